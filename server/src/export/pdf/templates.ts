import {
  RULE,
  shapesOn,
  tilesOf,
  type PaperId,
  type Stroke,
  type Template,
  type Tile,
} from '@huerta/core/fabrication';
import { makePdf, points, sizeFor, type, type Pdf } from './page';

/** Width of a line in points, and its dashes. */
const PEN: Readonly<Record<Stroke, { width: number; dash: number | null }>> = {
  cut: { width: 0.9, dash: null },
  mark: { width: 0.7, dash: 3 },
  fine: { width: 0.3, dash: null },
};
const MARGIN = 0.011;
/** Arms of a registration mark, metres. */
const ARM = 0.004;

/** Templates at 1:1, cut into sheets of a paper, each with a check rule. */
export function templatesPdf(
  name: string,
  templates: readonly Template[],
  paper: PaperId,
): Promise<Buffer> {
  return makePdf(`Templates: ${name}`, (pdf) => {
    for (const template of templates) {
      for (const tile of tilesOf(template, paper)) sheet(pdf, name, template, tile);
    }
  });
}

function sheet(pdf: Pdf, name: string, template: Template, tile: Tile): void {
  const { window, at } = tile;
  pdf.addPage({ size: [points(tile.width), points(tile.height)], margin: 0 });
  const x = (value: number) => points(at.x + value - window.left);
  const y = (value: number) => points(tile.height - at.y - (value - window.bottom));
  heading(pdf, name, template, tile);
  pdf.save();
  pdf
    .rect(
      x(window.left),
      y(window.bottom + window.height),
      points(window.width),
      points(window.height),
    )
    .clip();
  for (const shape of shapesOn(template.shapes, tile)) {
    if (shape.kind === 'text') {
      const size = sizeFor(shape.size);
      type(pdf, 'body', size);
      const wide = pdf.widthOfString(shape.text);
      const from = { start: 0, middle: 0.5, end: 1 }[shape.anchor];
      pdf.text(shape.text, x(shape.x) - from * wide, y(shape.y), {
        lineBreak: false,
        baseline: 'alphabetic',
      });
      continue;
    }
    pen(pdf, shape.stroke);
    if (shape.kind === 'circle') {
      pdf.circle(x(shape.x), y(shape.y), points(shape.r));
    } else {
      shape.points.forEach(([px, py], i) =>
        i === 0 ? pdf.moveTo(x(px), y(py)) : pdf.lineTo(x(px), y(py)),
      );
      if (shape.closed) pdf.closePath();
    }
    pdf.stroke();
  }
  pdf.restore();
  pen(pdf, 'fine');
  for (const mark of tile.marks) {
    const [mx, my, arm] = [x(mark.x), y(mark.y), points(ARM)];
    pdf
      .moveTo(mx - arm, my)
      .lineTo(mx + arm, my)
      .stroke();
    pdf
      .moveTo(mx, my - arm)
      .lineTo(mx, my + arm)
      .stroke();
    type(pdf, 'bold', 8).text(mark.label, mx + 3, my - 11, { lineBreak: false });
  }
  rule(pdf, tile);
}

function pen(pdf: Pdf, stroke: Stroke): void {
  const { width, dash } = PEN[stroke];
  pdf.lineWidth(width).strokeColor('#000');
  if (dash) pdf.dash(dash, { space: dash * 0.6 });
  else pdf.undash();
}

function heading(pdf: Pdf, name: string, template: Template, tile: Tile): void {
  const wide = points(tile.width - 2 * MARGIN);
  const many = tile.columns * tile.rows > 1;
  const place = many
    ? `, sheet ${tile.column + 1} of ${tile.columns} across, ${tile.row + 1} of ${tile.rows} up`
    : '';
  type(pdf, 'bold', 10).text(`${template.title}${place}`, points(MARGIN), points(MARGIN), {
    width: wide,
    height: 12,
    ellipsis: true,
  });
  const join = many ? ' Join the sheets so that crosses of one letter meet.' : '';
  type(pdf, 'body', 7.5).text(
    `${name}. ${template.says}${join}`,
    points(MARGIN),
    points(MARGIN) + 14,
    {
      width: wide,
      height: 27,
      ellipsis: true,
    },
  );
}

/** 100 mm and 4 in, to lay a ruler on before anything is cut. */
function rule(pdf: Pdf, tile: Tile): void {
  const left = points(MARGIN);
  const top = points(tile.height - MARGIN - 0.008);
  pen(pdf, 'cut');
  pdf
    .moveTo(left, top)
    .lineTo(left + points(RULE.metric), top)
    .stroke();
  pdf
    .moveTo(left, top + 9)
    .lineTo(left + points(RULE.us), top + 9)
    .stroke();
  pen(pdf, 'fine');
  for (let i = 0; i <= 10; i += 1) {
    const at = left + points((RULE.metric * i) / 10);
    pdf
      .moveTo(at, top)
      .lineTo(at, top - (i % 5 === 0 ? 6 : 3))
      .stroke();
  }
  for (let i = 0; i <= 4; i += 1) {
    const at = left + points((RULE.us * i) / 4);
    pdf
      .moveTo(at, top + 9)
      .lineTo(at, top + 14)
      .stroke();
  }
  const beside = left + points(RULE.us) + 6;
  type(pdf, 'body', 7.5).text('100 mm', beside, top - 6, { lineBreak: false });
  pdf.text('4 in', beside, top + 5, { lineBreak: false });
  pdf.text(
    'Lay a ruler on these first. If they are off, print again at 100 %, not ‘fit to page’.',
    beside + 34,
    top - 6,
    {
      width: points(tile.width - MARGIN) - beside - 34,
      height: 24,
    },
  );
}

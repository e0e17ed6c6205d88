import { buildSheet, PAPERS, PAPER_IDS, tilesOf, type Template } from '@huerta/core/fabrication';
import { evaluate } from '@huerta/core/assessment';
import { STARTING_POINTS } from '@huerta/core/document';
import DxfParser from 'dxf-parser';
import { parse, type ElementNode } from 'svg-parser';
import { readPdf } from '../testing/readPdf';
import { readWords, type PlacedWords } from '../testing/readWords';
import { templateDxf } from './dxf/dxf';
import { templateSvg } from './svg/svg';
import { templatesPdf } from './pdf/templates';

/** What a drawing office would call within tolerance, metres. */
const NEAR = 1e-4;

const templatesFor = (id: string): readonly Template[] => {
  const { design } = STARTING_POINTS.find((one) => one.id === id)!;
  const { planter, assessment } = evaluate(design);
  return buildSheet(planter, assessment.figures, 'metric').templates;
};
interface Round {
  x: number;
  y: number;
  diameter: number;
}
const circlesOf = ({ shapes }: Template): Round[] =>
  shapes.flatMap((shape) =>
    shape.kind === 'circle' ? [{ x: shape.x, y: shape.y, diameter: 2 * shape.r }] : [],
  );
const found = (list: readonly Round[], one: Round): boolean =>
  list.some(
    (other) =>
      Math.hypot(one.x - other.x, one.y - other.y) < NEAR &&
      Math.abs(one.diameter - other.diameter) < NEAR,
  );

/** A pail, a tote, a barrel’s cut end on twelve sheets, rows of air holes, a gutter’s pails. */
const READ = ['cloth-pail', 'tote-pipes', 'cut-barrel', 'air-barrel', 'gutter-pails'];
const all = READ.flatMap((id) =>
  templatesFor(id).map((template) => [id, template.id, template] as const),
);

test.each(all)(
  '%s, %s: centres and diameters come back from SVG in millimetres',
  (_id, _name, template) => {
    const root = parse(templateSvg(template)).children.find(
      (node): node is ElementNode => node.type === 'element',
    )!;
    const { width, height, viewBox } = root.properties!;
    expect(viewBox).toBe(`0 0 ${parseFloat(String(width))} ${parseFloat(String(height))}`);
    expect(width).toMatch(/^[\d.]+mm$/);
    const read: Round[] = [];
    const walk = (node: ElementNode): void => {
      const { cx, cy, r } = node.properties ?? {};
      if (node.tagName === 'circle') {
        read.push({
          x: template.left + Number(cx) / 1000,
          y: template.top - Number(cy) / 1000,
          diameter: (2 * Number(r)) / 1000,
        });
      }
      node.children.forEach((child) => {
        if (typeof child !== 'string' && child.type === 'element') walk(child);
      });
    };
    walk(root);
    const circles = circlesOf(template);
    expect(read).toHaveLength(circles.length);
    expect(circles.filter((circle) => !found(read, circle))).toEqual([]);
  },
);

test.each(all)('%s, %s: and from DXF, with the outline’s corners', (_id, _name, template) => {
  const dxf = new DxfParser().parseSync(templateDxf(template))!;
  expect(dxf.header.$INSUNITS).toBe(4);
  interface Entity {
    type: string;
    layer: string;
    center?: { x: number; y: number };
    radius?: number;
    vertices?: { x: number; y: number }[];
  }
  const entities = dxf.entities as unknown as Entity[];
  const read = entities.flatMap(({ type, center, radius }) =>
    type === 'CIRCLE'
      ? [{ x: center!.x / 1000, y: center!.y / 1000, diameter: (2 * radius!) / 1000 }]
      : [],
  );
  const circles = circlesOf(template);
  expect(read).toHaveLength(circles.length);
  expect(circles.filter((circle) => !found(read, circle))).toEqual([]);
  for (const shape of template.shapes) {
    if (shape.kind !== 'path' || shape.points.length === 2) continue;
    const same = entities.find(
      ({ vertices }) =>
        vertices?.length === shape.points.length &&
        vertices.every(
          ({ x, y }, i) =>
            Math.hypot(x / 1000 - shape.points[i]![0], y / 1000 - shape.points[i]![1]) < NEAR,
        ),
    );
    expect(same?.layer).toBe(shape.stroke.toUpperCase());
  }
});

describe.each(PAPER_IDS)('on %s', (paper) => {
  test.each(READ)(
    '%s: every hole is on its sheets where it should be, and the rule is 100.0 mm',
    async (id) => {
      const templates = templatesFor(id);
      const sheets = readPdf(await templatesPdf('Test', templates, paper));
      const tiles = templates.flatMap((template) =>
        tilesOf(template, paper).map((tile) => ({ template, tile })),
      );
      expect(sheets).toHaveLength(tiles.length);
      const sides = [PAPERS[paper].width, PAPERS[paper].height].sort();
      const seen = new Map<Template, Round[]>();
      sheets.forEach((sheet, i) => {
        const { template, tile } = tiles[i]!;
        [sheet.width, sheet.height]
          .sort()
          .forEach((side, k) => expect(side).toBeCloseTo(sides[k]!, 5));
        const list = seen.get(template) ?? [];
        list.push(
          ...sheet.circles.map(({ x, y, diameter }) => ({
            x: x - tile.at.x + tile.window.left,
            y: y - tile.at.y + tile.window.bottom,
            diameter,
          })),
        );
        seen.set(template, list);
        const level = sheet.lines.filter(({ y1, y2 }) => Math.abs(y1 - y2) < 1e-7);
        const lengths = level.map(({ x1, x2 }) => Math.round(Math.abs(x2 - x1) * 1e4) / 10);
        expect(lengths).toEqual(expect.arrayContaining([100, 101.6]));
      });
      for (const template of templates) {
        const read = seen.get(template) ?? [];
        expect(circlesOf(template).filter((circle) => !found(read, circle))).toEqual([]);
      }
    },
  );
});

test('sheets of one template lie edge to edge: a cross is at the same place on both', async () => {
  const [plate] = templatesFor('cut-barrel').filter(({ id }) => id === 'platform');
  const tiles = tilesOf(plate!, 'a4');
  const sheets = readPdf(await templatesPdf('Test', [plate!], 'a4'));
  const labels = new Map<string, number>();
  tiles.forEach((tile, i) => {
    for (const { x, y, label } of tile.marks) {
      const [px, py] = [x - tile.window.left + tile.at.x, y - tile.window.bottom + tile.at.y];
      const crossed = sheets[i]!.lines.filter(
        ({ x1, y1, x2, y2 }) =>
          Math.hypot((x1 + x2) / 2 - px, (y1 + y2) / 2 - py) < NEAR &&
          Math.abs(Math.hypot(x2 - x1, y2 - y1) - 0.008) < NEAR,
      );
      expect(crossed).toHaveLength(2);
      labels.set(label, (labels.get(label) ?? 0) + 1);
    }
  });
  expect(Math.max(...labels.values())).toBe(2);
});

/** Whether two runs of words lie over each other. */
const over = (a: PlacedWords, b: PlacedWords): boolean =>
  a.page === b.page && a.left < b.right && b.left < a.right && a.bottom < b.top && b.bottom < a.top;

test.each(['metric', 'us'] as const)(
  'on dip sticks and float scales no words lie over others, in %s units',
  async (units) => {
    const gauges = STARTING_POINTS.flatMap(({ design }) => {
      const { planter, assessment } = evaluate(design);
      return buildSheet(planter, assessment.figures, units).templates;
    }).filter(({ id }) => id === 'dip-stick' || id === 'float-scale');
    expect(gauges.length).toBeGreaterThan(STARTING_POINTS.length);
    const words = await readWords(await templatesPdf('Test', gauges, 'a4'));
    expect(words.filter((one) => one.words.startsWith('FULL')).length).toBeGreaterThanOrEqual(
      gauges.length,
    );
    const clashes = words.flatMap((one, i) =>
      words.slice(i + 1).flatMap((other) => (over(one, other) ? [[one.words, other.words]] : [])),
    );
    expect(clashes).toEqual([]);
    const sheets = [...new Set(words.map(({ page }) => page))].map((page) =>
      words.filter((one) => one.page === page).map((one) => one.words),
    );
    const marked = (on: readonly string[], unit: RegExp) => on.some((one) => unit.test(one));
    expect(sheets.filter((on) => marked(on, /^\S+\sgal$/) && marked(on, /cups?$/))).toEqual([]);
  },
);

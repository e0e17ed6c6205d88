import { cropIn } from '@huerta/core/document';
import type { Planter } from '@huerta/core/assembly';
import type { PaperId } from '@huerta/core/fabrication';
import type { Words } from '@huerta/core/units';
import QRCode from 'qrcode';
import { addSheet, makePdf, points, type, type Pdf } from './page';

/** What a label says. */
export interface Labelled {
  planter: Planter;
  /** Water that it holds, m³. */
  gross: number;
  /** Day that it was planted or built, as 2026-05-01. */
  day: string;
  /** Where its page opens. */
  link: string;
  words: Words;
  paper: PaperId;
}

/** A tub label and a plant label, metres. */
const TUB = { width: 0.1, height: 0.06 };
const STAKE = { width: 0.15, height: 0.03 };
const EDGE = 0.02;
const QUIET = 0.003;

/** Two labels on a sheet, to cut out: one for the tub, one for a stake among the plants. */
export function labelPdf(labelled: Labelled): Promise<Buffer> {
  return makePdf(`Label: ${labelled.planter.design.name}`, (pdf) => {
    addSheet(pdf, labelled.paper);
    type(pdf, 'body', 9).text(
      'Cut out along the lines. Under clear tape they last a season.',
      points(EDGE),
      points(0.012),
    );
    label(pdf, labelled, { x: EDGE, y: EDGE, ...TUB }, 17);
    label(pdf, labelled, { x: EDGE, y: EDGE + TUB.height + 0.01, ...STAKE }, 12);
  });
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function label(
  pdf: Pdf,
  { planter, gross, day, link, words }: Labelled,
  box: Box,
  size: number,
): void {
  const { design } = planter;
  pdf.lineWidth(0.5).dash(3, { space: 2 }).strokeColor('#000');
  pdf.rect(points(box.x), points(box.y), points(box.width), points(box.height)).stroke().undash();
  const side = Math.min(box.height - 2 * QUIET, 0.034);
  const left = points(box.x + 0.004);
  const width = points(box.width - side - QUIET * 2 - 0.006);
  const grown = design.planting.crops.filter(({ count, from }) => count > 0 && from === 0);
  const grows =
    grown
      .map((one) => `${one.count} × ${one.own?.name ?? words.say(cropIn(one).name)}`)
      .join(', ') || 'Nothing planted yet';
  type(pdf, 'heading', size).text(design.name, left, points(box.y) + 6, {
    width,
    height: size * 2.5,
    ellipsis: true,
  });
  const under = pdf.y + 2;
  const rows = [
    grows,
    day,
    `Takes ${words.write(gross, 'volume')} when empty`,
    ...(design.variant ? [design.variant] : []),
  ];
  const text = size * 0.6;
  const room = Math.floor((points(box.y + box.height) - under - 2) / (text * 1.3));
  rows.slice(0, Math.max(room, 1)).forEach((words, i) => {
    type(pdf, i === 0 ? 'bold' : 'body', text).text(words, left, under + i * text * 1.3, {
      width,
      height: text * 1.3,
      ellipsis: true,
    });
  });
  drawQr(pdf, link, box.x + box.width - side - QUIET, box.y + (box.height - side) / 2, side);
}

/** A QR code of error correction level M. Metres. */
function drawQr(pdf: Pdf, link: string, x: number, y: number, side: number): void {
  const { modules } = QRCode.create(link, { errorCorrectionLevel: 'M' });
  const step = points(side) / modules.size;
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (modules.get(row, column)) {
        pdf.rect(points(x) + column * step, points(y) + row * step, step, step);
      }
    }
  }
  pdf.fill('#000');
}

import { roundPicture, stepPicture } from '@huerta/core/drawing/round';
import {
  billOf,
  buildTimeText,
  progressOf,
  stepTimeText,
  timeLeft,
  type Hole,
  type Step,
} from '@huerta/core/fabrication';
import type { Words } from '@huerta/core/units';
import { beginFlow, heading, here, inColumns, need, square, write, type Flow } from './column';
import { makePdf, type, type Pdf } from './page';
import { drawRound } from './round';
import type { Printed } from './sheet';

/** The build as a booklet: what it becomes, what it takes, and each step with its picture. All in points. */

const COVER_HIGH = 300;
const PICTURE_WIDE = 226;
const PICTURE_HIGH = 168;
const GAP = 16;
const BOX = 9;

/** What the signs of the pictures mean, said once. */
const SIGNS = [
  'Pale stands there already; in colour is what the step adds.',
  'An arrow says from where it comes, or where one pours.',
  'The near side is cut away so that one sees inside: nothing is cut there.',
] as const;

export function bookletPdf(printed: Printed): Promise<Buffer> {
  const { planter, sheet, paper } = printed;
  const { name } = planter.design;
  return makePdf(
    `Build in pictures: ${name}`,
    (pdf: Pdf) => {
      const flow = beginFlow(pdf, paper);
      cover(flow, printed);
      const order = sheet.steps.map(({ id }) => id);
      heading(flow, 'Step by step', PICTURE_HIGH + 30);
      sheet.steps.forEach((step, i) => oneStep(flow, printed, order, step, i + 1));
    },
    name,
  );
}

function cover(flow: Flow, { planter, sheet, hole, shopping, words }: Printed): void {
  const { design } = planter;
  write(flow, design.name, 'heading', 24, 0, 2);
  const about = [design.variant, design.place.name].filter(Boolean).join(' · ');
  if (about) write(flow, about, 'body', 11, 0, 4);
  const { x, width } = here(flow);
  const picture = roundPicture(planter);
  const high = drawRound(flow.pdf, picture, { x, y: flow.y + 6, width, height: COVER_HIGH }, words);
  flow.y += high + 14;
  write(flow, `Takes ${buildTimeText(timeLeft(sheet.steps, progressOf([])))}.`, 'bold', 10, 0, 3);
  if (hole) write(flow, words.tell(hole), 'bold', 9, 0, 2);
  for (const sign of SIGNS) write(flow, `–  ${sign}`, 'body', 9, 0, 1);
  heading(flow, 'What it takes');
  inColumns(flow, 2);
  for (const one of billOf(sheet, shopping))
    write(flow, `${words.tell(one.what)}: ${words.tell(one.amount)}`, 'body', 9, 0, 2);
  const tools = [...new Set(sheet.steps.flatMap((step) => step.tools))];
  write(flow, `Tools: ${tools.join(', ')}`, 'bold', 9, 0, 4);
  inColumns(flow, 1);
  flow.y = Math.max(flow.y, flow.top);
}

/** A step: its picture on the left, beside it what is done, drilled and looked at. */
function oneStep(
  flow: Flow,
  { planter, sheet, words }: Printed,
  order: readonly string[],
  step: Step,
  number: number,
): void {
  const { pdf } = flow;
  const texts = textsOf(step, sheet.holes, words);
  const whole = here(flow).width;
  const beside = whole - PICTURE_WIDE - GAP;
  const high = (text: Text): number =>
    type(pdf, text.font, text.size).heightOfString(text.words, { width: beside - text.indent });
  const textHigh = 20 + texts.reduce((sum, text) => sum + high(text) + 3, 0);
  need(flow, Math.max(textHigh, PICTURE_HIGH) + GAP);
  const { x } = here(flow);
  const top = flow.y;
  const picture = stepPicture(planter, order, step.id);
  drawRound(pdf, picture, { x, y: top + 2, width: PICTURE_WIDE, height: PICTURE_HIGH }, words);
  const left = x + PICTURE_WIDE + GAP;
  type(pdf, 'bold', 12).text(`${number}  ${step.title}`, left, top, { width: beside });
  let y = pdf.y + 3;
  for (const text of texts) {
    if (text.box) square(flow, left, y + 1, BOX);
    type(pdf, text.font, text.size).text(text.words, left + text.indent, y, {
      width: beside - text.indent,
    });
    y += high(text) + 3;
  }
  flow.y = Math.max(top + PICTURE_HIGH, y) + GAP;
}

interface Text {
  words: string;
  font: 'body' | 'bold';
  size: number;
  indent: number;
  box: boolean;
}

/** What stands beside a picture. */
function textsOf(step: Step, holes: readonly Hole[], words: Words): Text[] {
  const line = (text: string, more: Partial<Text> = {}): Text => ({
    ...{ words: text, font: 'body', size: 9.5, indent: 0, box: false },
    ...more,
  });
  const drilled = holes.filter(({ id }) => step.holes.includes(id));
  return [
    line(stepTimeText(step), { size: 8 }),
    ...step.cautions.map(({ text }) => line(text, { font: 'bold', size: 7.5 })),
    ...step.doing.map((one) => line(words.tell(one))),
    ...drilled.map(({ part, count, bit, where }) =>
      line(`${part}: ${count} × ${words.write(bit, 'length')}, ${words.tell(where)}`, {
        font: 'bold',
        size: 8.5,
      }),
    ),
    ...step.checks.map(({ must }) => line(words.tell(must), { indent: BOX + 6, box: true })),
  ];
}

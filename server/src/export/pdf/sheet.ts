import {
  boughtOf,
  billOf,
  buildTimeText,
  progressOf,
  sourcingOf,
  timeLeft,
  type BuildSheet,
  type CutPlan,
  type PlatformSheet,
  type PaperId,
  type ShoppingList,
  type Step,
} from '@huerta/core/fabrication';
import { reportOf, SHOWN, type Assessment } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import type { Planter } from '@huerta/core/assembly';
import { portionOf, type Message, type Words } from '@huerta/core/units';
import {
  beginFlow,
  heading,
  here,
  inColumns,
  need,
  square,
  table,
  write,
  type Flow,
} from './column';
import { makePdf, type, type Pdf } from './page';
import { drawSection } from './section';

/** What the paper sheet is made of. */
export interface Printed {
  planter: Planter;
  assessment: Assessment;
  sheet: BuildSheet;
  /** The hole for the hose of one that is joined to others. */
  hole?: Message | null;
  shopping: ShoppingList;
  /** How its measures and numbers are written. */
  words: Words;
  paper: PaperId;
}

const SECTION_HIGH = 172;
const SECTION_WIDE = 232;
/** What the drawing of the deck takes on the right. */
const DECK_WIDE = 136;

/** The whole build sheet on paper, legible in black and white. */
export function sheetPdf(printed: Printed): Promise<Buffer> {
  const { planter, sheet, paper } = printed;
  const draw = (pdf: Pdf) => {
    const flow = beginFlow(pdf, paper);
    top(flow, printed);
    parts(flow, printed);
    holes(flow, printed);
    cuts(flow, printed);
    steps(flow, printed);
    cautions(flow, sheet.steps);
  };
  const { name } = planter.design;
  return makePdf(`Build: ${name}`, draw, name);
}

function top(flow: Flow, printed: Printed): void {
  const { planter, assessment, sheet, hole, shopping, words } = printed;
  const { design } = planter;
  const { figures, findings } = assessment;
  write(flow, `Build: ${design.name}`, 'heading', 18, 0, 2);
  const about = [design.variant, design.place.name].filter(Boolean).join(' · ');
  if (about) write(flow, about, 'body', 9.5, 0, 4);
  if (hole) write(flow, words.tell(hole), 'bold', 9, 0, 2);
  const y = flow.y + 6;
  const { x, width } = here(flow);
  drawSection(
    flow.pdf,
    section(planter),
    { x, y, width: SECTION_WIDE, height: SECTION_HIGH },
    words,
  );
  const beside = x + SECTION_WIDE + 12;
  const [own] = shopping.planters;
  const lines: [string, string][] = [
    ...reportOf(figures, SHOWN.paper).map(({ short, kind, value, none }): [string, string] => [
      short,
      value === null ? none : words.write(value, kind),
    ]),
    [
      'Cost, and used',
      `${words.money(shopping.total, shopping.currency)}, ${words.money(shopping.used, shopping.currency)}`,
    ],
    ...(own?.perUsable != null
      ? [
          [
            words.say(`For a usable ${portionOf('water', words.units).name}`),
            words.money(own.perUsable * portionOf('water', words.units).volume, shopping.currency),
          ] as [string, string],
        ]
      : []),
  ];
  if (sheet.platform)
    drawDeck(flow, sheet.platform, { x: x + width - DECK_WIDE, y, size: DECK_WIDE });
  let at = y;
  for (const [label, value] of lines) {
    type(flow.pdf, 'body', 9).text(label, beside, at, { lineBreak: false });
    type(flow.pdf, 'bold', 10).text(value, beside + 84, at - 1, {
      width: width - SECTION_WIDE - 104,
    });
    at += 15;
  }
  const serious = findings.filter(({ severity }) => severity === 'danger' || severity === 'fault');
  if (serious.length > 0) {
    const mend = `Still to mend before anything is cut: ${serious.map(({ text }) => words.tell(text)).join(' ')}`;
    type(flow.pdf, 'bold', 8.5).text(mend, beside, at + 4, {
      width: width - SECTION_WIDE - 12 - (sheet.platform ? DECK_WIDE : 0),
      height: Math.max(y + SECTION_HIGH - at, 20),
      ellipsis: true,
    });
  }
  flow.y = y + SECTION_HIGH + 4;
}

/** The deck from above with its holes, small; its template is at 1:1. */
function drawDeck(
  flow: Flow,
  deck: PlatformSheet,
  box: { x: number; y: number; size: number },
): void {
  const { a, b } = deck.outline;
  const scale = (box.size - 6) / (2 * Math.max(a, b));
  const [cx, cy] = [box.x + box.size / 2, box.y + b * scale + 2];
  const { pdf } = flow;
  pdf.undash().lineWidth(0.9).strokeColor('#000');
  const { c } = deck.outline;
  pdf.roundedRect(cx - a * scale, cy - b * scale, 2 * a * scale, 2 * b * scale, c * scale).stroke();
  pdf.lineWidth(0.5);
  for (const { bit, spots } of deck.holes) {
    for (const spot of spots) {
      pdf
        .circle(cx + spot.x * scale, cy - spot.y * scale, Math.max((bit / 2) * scale, 0.8))
        .stroke();
    }
  }
  type(pdf, 'body', 8).text(`${deck.name}, from above`, box.x, cy + b * scale + 4, {
    width: box.size,
    align: 'center',
  });
}

function parts(flow: Flow, { sheet, shopping, words }: Printed): void {
  heading(flow, 'What it takes');
  table(
    flow,
    ['Part', 'How much', 'Where', 'Buy'],
    [0.22, 0.34, 0.26, 0.18],
    billOf(sheet, shopping).map((one) => [
      `${one.into === null ? '' : '– '}${words.tell(one.what)}`,
      words.tell(one.amount),
      one.use,
      words.tell(sourcingOf(one)),
    ]),
  );
  for (const one of sheet.feeding.says) write(flow, words.tell(one), 'body', 8, 0, 1);
}

function holes(flow: Flow, { sheet, words }: Printed): void {
  if (sheet.holes.length === 0) return;
  heading(flow, 'Holes');
  table(
    flow,
    ['In', 'Number', 'Drill', 'Where', 'Why'],
    [0.17, 0.08, 0.2, 0.31, 0.24],
    sheet.holes.map((hole) => [
      hole.part,
      String(hole.count),
      `${words.write(hole.bit, 'length')} ${hole.tool.toLowerCase()}`,
      words.tell(hole.where),
      words.tell(hole.why),
    ]),
  );
}

function cuts(flow: Flow, { sheet, shopping, words }: Printed): void {
  const lines = shopping.lines.filter(({ plan }) => plan !== null);
  if (lines.length === 0 && sheet.sheets.length === 0) return;
  heading(flow, 'Cuts');
  for (const { good, plan, buy } of lines) {
    if (!plan) continue;
    const bought = `${words.tell(good.name)}: ${buy.length > 0 ? words.tell(boughtOf(good, buy)) : 'from what is at hand'}`;
    need(flow, 34);
    write(flow, bought, 'bold', 8.5, 0, 2);
    bars(flow, plan, words);
  }
  const notes = sheet.cuts.flatMap(({ pieces }) => pieces.filter(({ note }) => note !== null));
  for (const { label, note } of notes) {
    if (note) write(flow, `${label}: ${words.tell(note)}.`, 'body', 8, 0, 2);
  }
  if (sheet.sheets.length > 0) {
    flow.y += 4;
    table(
      flow,
      ['Flat piece', 'Size', 'From'],
      [0.22, 0.26, 0.52],
      sheet.sheets.map(({ what, count, length, width, from }) => [
        count > 1 ? `${what}, ${count} of them` : what,
        `${words.write(length, 'length')} by ${words.write(width, 'length')}`,
        words.tell(from),
      ]),
    );
  }
}

const BAR = 12;

/** Lengths as bars with their pieces; equal bars once, with how many. */
function bars(flow: Flow, plan: CutPlan, words: Words): void {
  const same = new Map<string, { bar: CutPlan['bars'][number]; count: number }>();
  for (const bar of plan.bars) {
    const id = `${bar.length} ${bar.pieces.map(({ length }) => length).join(' ')}`;
    const known = same.get(id);
    if (known) known.count += 1;
    else same.set(id, { bar, count: 1 });
  }
  for (const { bar, count } of same.values()) {
    need(flow, BAR + 6);
    const { x, width } = here(flow);
    const whole = width - 34;
    const { pdf } = flow;
    type(pdf, 'body', 8).text(count > 1 ? `${count} ×` : '', x, flow.y + 2, { lineBreak: false });
    const left = x + 30;
    pdf.lineWidth(0.4).strokeColor('#000').dash(2, { space: 2 });
    pdf.rect(left, flow.y, whole, BAR).stroke().undash();
    for (const piece of bar.pieces) {
      const from = left + (piece.at / bar.length) * whole;
      const wide = (piece.length / bar.length) * whole;
      pdf.lineWidth(0.8).rect(from, flow.y, wide, BAR).fillAndStroke('#eee', '#000');
      const long = words.write(piece.length, 'length');
      type(pdf, 'body', 7.5);
      if (pdf.widthOfString(long) < wide - 2) {
        pdf.text(long, from, flow.y + 2, { width: wide, align: 'center', lineBreak: false });
      }
    }
    flow.y += BAR + 4;
  }
}

const BOX = 9;
/** Type size of steps and cautions. */
const SMALL = 7.5;
const INDENT = 15;

function steps(flow: Flow, { sheet, words }: Printed): void {
  heading(flow, `Steps: ${buildTimeText(timeLeft(sheet.steps, progressOf([])))}`, 120);
  inColumns(flow, 2);
  const letters = lettersOf(sheet.steps);
  for (const step of sheet.steps) {
    need(flow, 46);
    const { x } = here(flow);
    square(flow, x, flow.y + 1, BOX);
    write(flow, `${step.title} (${step.practised}–${step.minutes} min)`, 'bold', 9, INDENT, 0.5);
    const warned = step.cautions.map(({ id }) => letters.get(id)).join(', ');
    const tools = [step.tools.join(', '), warned ? `Caution ${warned}` : ''].filter(Boolean);
    write(flow, tools.join('. '), 'bold', 7.5, INDENT, 0.5);
    for (const one of step.doing) write(flow, words.tell(one), 'body', SMALL, INDENT, 1);
    for (const { must } of step.checks) {
      need(flow, 12);
      square(flow, here(flow).x + INDENT, flow.y + 1.5, 6);
      write(flow, words.tell(must), 'body', SMALL, INDENT + 11, 1);
    }
    for (const { label, planned, kind } of step.measures) {
      write(
        flow,
        `${label}: ${words.write(planned, kind)} planned, built ____________`,
        'body',
        SMALL,
        INDENT,
        1,
      );
    }
    flow.y += 4;
  }
}

/** A letter for each caution, in the order in which they are met. */
function lettersOf(list: readonly Step[]): Map<string, string> {
  const ids = [...new Set(list.flatMap((step) => step.cautions.map(({ id }) => id)))];
  return new Map(ids.map((id, i) => [id, String.fromCharCode(65 + i)]));
}

function cautions(flow: Flow, list: readonly Step[]): void {
  const letters = lettersOf(list);
  heading(flow, 'Cautions');
  const texts = new Map(list.flatMap(({ cautions: all }) => all.map(({ id, text }) => [id, text])));
  for (const [id, letter] of letters) {
    write(flow, `${letter}  ${texts.get(id as never) ?? ''}`, 'body', SMALL, 0, 1);
  }
  write(
    flow,
    'Huerta gives loads and figures, never permission. Local codes and licensed practice come first.',
    'bold',
    SMALL,
  );
}

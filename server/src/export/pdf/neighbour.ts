import { assemble } from '@huerta/core/assembly';
import { LEAVE_ALONE, pourWords } from '@huerta/core/journal';
import { section } from '@huerta/core/drawing';
import { wordsIn, type DecimalMark, type UnitSystem } from '@huerta/core/units';
import type { PaperId } from '@huerta/core/fabrication';
import type { PlanterDesign, WaterLine } from '@huerta/core/document';
import { beginFlow, heading, here, need, square, write, type Flow } from './column';
import { makePdf, type } from './page';
import { drawSection } from './section';

/** What a neighbour's sheet is made from. */
export interface NeighbourJob {
  what: 'neighbour';
  /** In walking order. */
  planters: readonly { id: string; design: PlanterDesign; line: WaterLine | null }[];
  from: string;
  until: string;
  visits: readonly {
    date: string;
    fills: readonly { id: string; volume: number; most: number }[];
  }[];
  /** Planters that no visits keep alive. */
  beyond: readonly string[];
  units: UnitSystem;
  decimal?: DecimalMark;
  paper: PaperId;
}

const PICTURE = 52;
const LEAST_ROW = 34;
const BOX = 8;
/** Visits beside each other; more go into a second line of boxes. */
const BESIDE = 4;
const LINE = 26;

const dayIn = (locale: string) =>
  new Intl.DateTimeFormat(locale, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
const DAYS: Readonly<Record<UnitSystem, Intl.DateTimeFormat>> = {
  metric: dayIn('en-GB'),
  us: dayIn('en-US'),
};
const dayWords = (date: string, units: UnitSystem): string =>
  DAYS[units].format(new Date(`${date}T00:00:00Z`)).replace(',', '');

/** One sheet for whoever waters meanwhile: pictures in walking order, where to pour, how much, a box to tick. */
export function neighbourPdf(job: NeighbourJob): Promise<Buffer> {
  const { planters, from, until, visits, paper } = job;
  return makePdf('Watering while we are away', (pdf) => {
    const flow = beginFlow(pdf, paper);
    write(flow, 'Watering while we are away', 'heading', 18, 0, 2);
    write(flow, `${dayWords(from, job.units)} to ${dayWords(until, job.units)}`, 'body', 11, 0, 4);
    const wants = saveFirst(job);
    if (wants) write(flow, wants, 'bold', 10, 0, 4);
    if (visits.length === 0) {
      if (!wants)
        write(flow, 'All planters last by themselves. Nothing has to be filled.', 'bold', 10, 0, 4);
    } else {
      write(flow, come(job), 'bold', 10, 0, 2);
      write(flow, 'Tick what is filled. Amounts are what each is likely to take.', 'body', 9, 0, 3);
    }
    const left = flow.height - 31 - flow.y - 110;
    const most = Math.max(...planters.map(({ id }) => fillsOf(job, id).length));
    const least = Math.max(Math.ceil(most / BESIDE) * LINE + 8, LEAST_ROW);
    const row = Math.max(Math.min(left / planters.length, PICTURE + 12), least);
    planters.forEach((planter, i) => planterRow(flow, job, planter, i, row));
    heading(flow, 'Please', 50);
    for (const words of LEAVE_ALONE) write(flow, `–  ${words}`, 'body', 9, 0, 1.5);
  });
}

const fillsOf = ({ visits }: NeighbourJob, id: string) =>
  visits.flatMap(({ date, fills }) =>
    fills.filter((fill) => fill.id === id).map(({ volume }) => ({ date, volume })),
  );

/** What planters need first that visits do not keep; null where there are none. */
function saveFirst({ beyond, planters }: NeighbourJob): string | null {
  const names = planters.filter(({ id }) => beyond.includes(id)).map(({ design }) => design.name);
  if (names.length === 0) return null;
  const [them, they] = names.length > 1 ? ['them', 'They go'] : ['it', 'It goes'];
  return `Fill ${names.join(', ')} every day, or take ${them} in with you: ${they} short within a day or two of a filling, and these visits do not keep ${them} alive.`;
}

/** On which days, and how much water each takes. */
function come({ visits, units, decimal }: NeighbourJob): string {
  const days = visits.map(({ date, fills }) => {
    const water = fills.reduce((sum, { volume }) => sum + volume, 0);
    return `${dayWords(date, units)} (${wordsIn(units, decimal).write(water, 'volume')})`;
  });
  return `Please come on ${days.length > 1 ? `${days.slice(0, -1).join(', ')} and ${days.at(-1)}` : days[0]}.`;
}

function planterRow(
  flow: Flow,
  job: NeighbourJob,
  { id, design, line }: NeighbourJob['planters'][number],
  index: number,
  row: number,
): void {
  const { units } = job;
  const words = wordsIn(units, job.decimal);
  need(flow, row);
  const { pdf, y } = flow;
  const { x, width } = here(flow);
  pdf.lineWidth(0.3).strokeColor('#888');
  pdf
    .moveTo(x, y)
    .lineTo(x + width, y)
    .stroke();
  const planter = assemble(design);
  const size = row - 6;
  drawSection(pdf, section(planter), { x, y: y + 3, width: size, height: size }, null);
  const beside = x + size + 10;
  const half = width * 0.5 - size;
  type(pdf, 'bold', 9.5).text(`${index + 1}  ${design.name}`, beside, y + 4, {
    width: half,
    height: 12,
    ellipsis: true,
  });
  const place = design.place.name ? `${design.place.name}. ` : '';
  type(pdf, 'body', 7.5).text(`${place}${words.tell(pourWords(planter, line))}`, beside, y + 17, {
    width: half,
    height: row - 18,
    ellipsis: true,
  });
  const boxes = x + width * 0.5 + 10;
  const each = (width * 0.5 - 10) / BESIDE;
  const mine = fillsOf(job, id);
  if (mine.length === 0) {
    const says = job.beyond.includes(id) ? 'Fill it every day: see above.' : 'Lasts by itself.';
    type(pdf, 'body', 8.5).text(says, boxes, y + row / 2 - 6, { lineBreak: false });
  }
  mine.forEach(({ date, volume }, i) => {
    const at = boxes + (i % BESIDE) * each;
    const down = y + 5 + Math.floor(i / BESIDE) * LINE;
    square(flow, at, down, BOX);
    type(pdf, 'body', 7.5).text(dayWords(date, units), at + BOX + 3, down, { lineBreak: false });
    type(pdf, 'bold', 8.5).text(words.write(volume, 'volume'), at + BOX + 3, down + 9.5, {
      lineBreak: false,
    });
  });
  flow.y = y + row;
}

import {
  asShopper,
  buildSheet,
  markedWith,
  shoppingFor,
  tilesOf,
  type PaperId,
  type PriceBook,
} from '@huerta/core/fabrication';
import { evaluate } from '@huerta/core/assessment';
import { stateOf, type TendedQuestion } from '@huerta/core/journal';
import { plansFor, type PlanSetting, type PlanWish } from '@huerta/core/planning/plans';
import { wordsIn, type DecimalMark, type Message, type UnitSystem } from '@huerta/core/units';
import type { LineShare, PlanterDesign } from '@huerta/core/document';
import { calendarFile, type CalendarJob } from './ics/calendar';
import { neighbourPdf, type NeighbourJob } from './pdf/neighbour';
import { bookletPdf } from './pdf/booklet';
import { sheetPdf } from './pdf/sheet';
import { templatesPdf } from './pdf/templates';

/** Paper, and what else takes long to make, from what can be sent to another thread. */

export interface BuildJob {
  what: 'sheet' | 'booklet' | 'templates';
  design: PlanterDesign;
  /** What a line that it is joined to gives it, by which its days go, and the hole for its hose. */
  joined?: { share: LineShare | null; hole: Message | null } | null;
  book: PriceBook;
  units: UnitSystem;
  decimal?: DecimalMark;
  paper: PaperId;
}

/** How a planter stands, as JSON. */
interface PlanterStateJob {
  what: 'standing';
  question: TendedQuestion;
}

/** Whole plans for a wish, as JSON. */
interface PlansJob {
  what: 'plans';
  wish: PlanWish;
  setting: PlanSetting;
}

export type PdfJob = BuildJob | CalendarJob | NeighbourJob | PlanterStateJob | PlansJob;

/** The file, or why there is none. */
export type PdfResult =
  { ok: true; file: Uint8Array } | { ok: false; why: 'none' | 'too-many'; sheets: number };

/** More sheets than these are taped together by nobody. */
const MOST_SHEETS = 80;

/** Draws a paper. */
export async function renderPdf(job: PdfJob): Promise<PdfResult> {
  switch (job.what) {
    case 'calendar':
      return { ok: true, file: Buffer.from(calendarFile(job)) };
    case 'standing':
      return { ok: true, file: Buffer.from(JSON.stringify(stateOf(job.question))) };
    case 'plans':
      return {
        ok: true,
        file: Buffer.from(JSON.stringify([...plansFor(job.wish, job.setting)].at(-1))),
      };
    case 'neighbour':
      return { ok: true, file: await neighbourPdf(job) };
    default:
      return drawBuild(job);
  }
}

async function drawBuild(job: BuildJob): Promise<PdfResult> {
  const { what, design, book, units, paper } = job;
  const words = wordsIn(units, job.decimal);
  const { planter, assessment } = evaluate(design);
  const sheet = buildSheet(planter, assessment.figures, units);
  if (what !== 'templates') {
    const shopper = asShopper(design.name, sheet, assessment.figures);
    const shopping = shoppingFor([shopper], book, units);
    const draw = what === 'sheet' ? sheetPdf : bookletPdf;
    const { share = null, hole = null } = job.joined ?? {};
    const supplied = share ? evaluate(design, share).assessment : assessment;
    const pdf = await draw({ planter, assessment: supplied, sheet, hole, shopping, words, paper });
    return { ok: true, file: pdf };
  }
  const marked = sheet.templates.map((one) => markedWith(one, words.mark));
  const sheets = sheet.templates.reduce((sum, one) => sum + tilesOf(one, paper).length, 0);
  if (sheets === 0) return { ok: false, why: 'none', sheets };
  if (sheets > MOST_SHEETS) return { ok: false, why: 'too-many', sheets };
  return { ok: true, file: await templatesPdf(design.name, marked, paper) };
}

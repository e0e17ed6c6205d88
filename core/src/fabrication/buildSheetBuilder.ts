import { caution, type CautionId, type Figures } from '../assessment';
import { INCH_BITS, METRIC_BITS, type MATERIALS } from '../catalog';
import type { PartGroup, Planter } from '../assembly';
import type { Message, UnitSystem } from '../units';
import type { Outline } from '../geometry/vessels';
import type { Ingredient } from './amounts';
import type { Cut } from './cuts';
import type { PlatformSheet, Spot } from './platform';
import type { Good } from './goods';
import { STEP_IDS, type BuildCheck, type Measure, type Step, type StepId } from './step';

/** Something that a planter takes. */
export interface PartLine {
  /** Stable, so that two planters' lists can stand side by side and steps can name it. */
  id: string;
  what: string;
  /** How many and how large, in words. */
  amount: Message;
  /** Where it goes. */
  use: string;
  /** What is bought for it, or null where it is made of something else on the list or at hand. */
  good: Good | null;
  /** How much of that, in the good's unit. */
  quantity: number;
  /** What it is mixed from: where one may mix it oneself, and where nobody sells it mixed. */
  ingredients?: readonly Ingredient[];
}

/** Pieces of one length that a planter takes. */
export interface CutPiece extends Cut {
  /** Which part of the planter they belong to. */
  part: string;
  /** How the end is cut, where it is not square. */
  note: Message | null;
}

/** Pieces that come out of one kind of stock. */
export interface StockCuts {
  /** What is bought by the length. */
  good: Good;
  pieces: CutPiece[];
}

/** A flat piece that is cut with knife, shears or jigsaw. Metres. */
export interface SheetPiece {
  id: string;
  /** Which part of the planter it belongs to. */
  part: string;
  what: string;
  count: number;
  /** The rectangle that it is cut out of. */
  length: number;
  width: number;
  /** Its outline where it is not the rectangle, from its middle. */
  outline: Outline | null;
  /** What it is cut from, and how. */
  from: Message;
}

/** A mark on the outside of a wall. Metres. */
export interface WallMark {
  /** Round the wall from the middle of all marks. */
  along: number;
  /** Above the inside floor, and up the slant of the wall from there. */
  height: number;
  up: number;
}

/** Holes of one kind, as they are marked and drilled. */
export interface Hole {
  id: string;
  /** At which step. */
  step: StepId;
  /** Which part is drilled, in words. */
  part: string;
  count: number;
  /** What the design asks for, and what is drilled or cut with the chosen set. Metres. */
  diameter: number;
  bit: number;
  /** What to drill it with. */
  tool: string;
  /** Where the middle is marked, from where it is measured. */
  where: Message;
  why: Message;
  /** Lip that an overflow's hole yields, metres above the inside floor; null for other holes. */
  lip: number | null;
  /** Places on the deck, where it has some. */
  spots: readonly Spot[];
  /** Places on the wall, where it has some. */
  marks: readonly WallMark[];
}

type MaterialId = keyof typeof MATERIALS;

/** Widest hole of a twist drill and of a step drill, metres. */
const TWIST = 0.013;
const STEP = 0.032;

/** A bit that misses a width by less than this makes it: 1 3/8 in and 35 mm are one saw. Metres. */
const SAME_BIT = 2e-4;

/** The tool for a hole of this width in a material. */
function toolFor(width: number, bits: readonly number[], material: MaterialId | null): string {
  if (material === 'clay') return width <= TWIST ? 'Masonry drill, wet' : 'Diamond hole saw, wet';
  if (width <= TWIST) return material === 'metal' ? 'Metal drill' : 'Twist drill';
  if (width <= STEP) return material === 'wood' ? 'Spade bit' : 'Step drill';
  return bits.some((one) => Math.abs(one - width) < SAME_BIT)
    ? 'Hole saw'
    : 'Knife or jigsaw, to a line';
}

/** The bit of a set that is nearest to a width. */
export const nearestBit = (width: number, bits: readonly number[]): number =>
  bits.reduce(
    (a, b) => (Math.abs(b - width) < Math.abs(a - width) - 1e-9 ? b : a),
    bits[0] ?? width,
  );

/** What a step collects while the kinds say what they need. */
interface Draft {
  doing: Message[];
  tools: string[];
  minutes: number;
  waits: number;
  cautions: CautionId[];
  checks: BuildCheck[];
  measures: Measure[];
}

/** Minutes for a hole of a twist drill, a step drill and a hole saw, and for a cut. Typical. */
const SMALL_HOLE = 0.4;
const MEDIUM_HOLE = 1.5;
const LARGE_HOLE = 4;
const ONE_CUT = 3;
/**
 * Shares of the time of somebody who reads each sentence twice: of most who build their first, and of practised hands.
 * Set so that a pail takes these an hour and some, and those two.
 */
const FIRST = 0.6;
const PRACTISED = 0.33;

/**
 * Collects what a planter takes and how it is made. Each kind of thing puts in its own parts, cuts, holes
 * and sentences, at the steps that are its own; the order of the steps follows from what must come first.
 */
export class BuildSheetBuilder {
  readonly parts: PartLine[] = [];
  readonly sheets: SheetPiece[] = [];
  readonly holes: Hole[] = [];
  readonly bits: readonly number[];
  private readonly stock = new Map<string, StockCuts>();
  private readonly drafts = new Map<StepId, Draft>();
  private readonly stepOf = new Map<string, StepId>();
  private readonly begun = new Set<StepId>();
  private readonly edges: [StepId, StepId][] = [];

  constructor(
    readonly planter: Planter,
    readonly figures: Figures,
    readonly set: UnitSystem,
    readonly deck: PlatformSheet | null,
  ) {
    this.bits = set === 'us' ? INCH_BITS : METRIC_BITS;
  }

  get cuts(): StockCuts[] {
    return [...this.stock.values()];
  }

  private at(step: StepId): Draft {
    const known = this.drafts.get(step);
    if (known) return known;
    const made: Draft = {
      doing: [],
      tools: [],
      minutes: 0,
      waits: 0,
      cautions: [],
      checks: [],
      measures: [],
    };
    this.drafts.set(step, made);
    return made;
  }

  /** A sentence of a step, with how many minutes it takes. */
  say(step: StepId, words: Message, minutes = 0): void {
    const draft = this.at(step);
    draft.doing.push(words);
    draft.minutes += minutes;
  }

  /** Time in which nothing is to be done, minutes. */
  wait(step: StepId, minutes: number): void {
    this.at(step).waits += minutes;
  }

  /** What a step begins with, whoever asks for it. */
  sayFirst(step: StepId, words: Message, minutes = 0): void {
    const draft = this.at(step);
    draft.doing.unshift(words);
    draft.minutes += minutes;
  }

  tools(step: StepId, ...names: string[]): void {
    this.at(step).tools.push(...names);
  }

  warn(step: StepId, ...ids: CautionId[]): void {
    this.at(step).cautions.push(...ids);
  }

  check(step: StepId, check: BuildCheck): void {
    const { checks } = this.at(step);
    if (!checks.some(({ id }) => id === check.id)) checks.push(check);
  }

  measure(step: StepId, one: Measure): void {
    this.at(step).measures.push(one);
  }

  /** What one step needs to have been done before it. */
  after(first: StepId, then: StepId): void {
    this.edges.push([first, then]);
  }

  /** Says that a step is there before its words are known. */
  begin(step: StepId): void {
    this.at(step);
    this.begun.add(step);
  }

  /** Whether a step has anything to do. */
  has(step: StepId): boolean {
    return this.begun.has(step) || (this.drafts.get(step)?.doing.length ?? 0) > 0;
  }

  part(
    step: StepId,
    part: Omit<PartLine, 'good' | 'quantity' | 'ingredients'> & Partial<PartLine>,
    ingredients: readonly Ingredient[] | null = null,
  ): void {
    this.stepOf.set(part.id, step);
    const { good = null, quantity = 0, ...rest } = part;
    this.parts.push({ ...rest, good, quantity, ...(ingredients ? { ingredients } : {}) });
  }

  /** Pieces cut from a length. @returns their length together, metres */
  cut(
    step: StepId,
    part: string,
    good: Good,
    label: string,
    length: number,
    count = 1,
    note: Message | null = null,
  ): number {
    if (count <= 0 || length <= 0) return 0;
    if (!this.stepOf.has(part)) this.stepOf.set(part, step);
    const known = this.stock.get(good.id) ?? { good, pieces: [] };
    const same = known.pieces.find(
      (piece) => piece.label === label && Math.abs(piece.length - length) < 1e-6,
    );
    if (same) same.count += count;
    else known.pieces.push({ label, length, count, part, note });
    this.stock.set(good.id, known);
    return length * count;
  }

  sheet(step: StepId, piece: SheetPiece): void {
    if (!this.stepOf.has(piece.part)) this.stepOf.set(piece.part, step);
    this.sheets.push(piece);
  }

  /** Holes that are drilled with the bit of the set that is nearest, unless a width is given. */
  hole(
    hole: Pick<Hole, 'id' | 'step' | 'part' | 'count' | 'diameter' | 'where' | 'why'> &
      Partial<Pick<Hole, 'bit' | 'tool' | 'lip' | 'spots' | 'marks'>>,
    material: MaterialId | null = null,
  ): Hole | null {
    if (hole.count <= 0) return null;
    const bit = hole.bit ?? nearestBit(hole.diameter, this.bits);
    const made: Hole = {
      lip: null,
      spots: [],
      marks: [],
      ...hole,
      bit,
      tool: hole.tool ?? toolFor(bit, this.bits, material),
    };
    this.holes.push(made);
    return made;
  }

  /** Length that is cut for a part, all pieces together, metres. */
  lengthOf(part: string): number {
    return this.cuts
      .flatMap(({ pieces }) => pieces)
      .filter((piece) => piece.part === part)
      .reduce((sum, { length, count }) => sum + length * count, 0);
  }

  /** The steps that have something to do, each after what it needs, else in their usual order. */
  get order(): StepId[] {
    const left = STEP_IDS.filter((id) => this.has(id));
    const done: StepId[] = [];
    while (left.length > 0) {
      const next =
        left.find((id) =>
          this.edges.every(([first, then]) => then !== id || !left.includes(first) || first === id),
        ) ?? left[0];
      done.push(next as StepId);
      left.splice(left.indexOf(next as StepId), 1);
    }
    return done;
  }

  /** What must come before what. */
  get needs(): readonly (readonly [first: StepId, then: StepId])[] {
    return this.edges;
  }

  /** The steps as they are read. @param titles what each is called */
  steps(titles: Readonly<Record<StepId, string>>, plastic: boolean): Step[] {
    return this.order.map((id) => {
      const draft = this.at(id);
      const holes = this.holes.filter(({ step }) => step === id);
      const of = (part: string) => this.stepOf.get(part) === id;
      const pieces = this.cuts.flatMap((one) => one.pieces).filter(({ part }) => of(part));
      const sheets = this.sheets.filter(({ part }) => of(part));
      const cutting = holes.length > 0 || pieces.length > 0 || sheets.length > 0;
      const drilling = holes.reduce(
        (sum, { count, bit }) =>
          sum + count * (bit <= TWIST ? SMALL_HOLE : bit <= STEP ? MEDIUM_HOLE : LARGE_HOLE),
        0,
      );
      const sawing = pieces.reduce((sum, { count }) => sum + count * ONE_CUT, 0);
      const time = draft.minutes + drilling + sawing;
      const ids: CautionId[] = [
        ...(cutting ? (['cutting'] as const) : []),
        ...(holes.length > 0 && plastic ? (['fumes'] as const) : []),
        ...draft.cautions,
      ];
      return {
        id,
        title: titles[id],
        doing: draft.doing,
        tools: [
          ...new Set([
            ...draft.tools,
            ...holes.map(({ tool }) => (tool.startsWith('Borrow') ? 'A borrowed bit' : tool)),
          ]),
        ],
        minutes: Math.max(Math.round((time * FIRST) / 5) * 5, 5),
        practised: Math.max(Math.round(time * PRACTISED), 1),
        waits: draft.waits,
        cautions: [...new Set(ids)].map(caution),
        checks: draft.checks,
        measures: draft.measures,
        parts: this.parts.filter((part) => of(part.id)).map((part) => part.id),
        holes: holes.map((hole) => hole.id),
        cuts: pieces.map(({ label }) => label),
        sheets: sheets.map((sheet) => sheet.id),
      };
    });
  }
}

/** What one kind of thing puts in. */
export type PartBuilder<K extends PartGroup['kind']> = (
  group: PartGroup<K>,
  builder: BuildSheetBuilder,
) => void;

/** Size of a flat piece in words, with how many of it. */
export const areaNeeded = ({ count, length, width }: SheetPiece): number => count * length * width;

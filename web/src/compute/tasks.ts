import {
  answersTo,
  runSeason,
  sowNow,
  yearDemand,
  type SeasonAsked,
  type SeasonPart,
  type SeasonParts,
  type SeasonQuestion,
  type SowNow,
  type YearDays,
} from '@huerta/core/simulation/season';
import {
  absenceAhead,
  calendarOf,
  gardenAway,
  oneChange,
  stateOf,
  waterAheadOf,
  type AwayChange,
  type CalendarEvent,
  type GardenAbsence,
  type GardenAwayAnswer,
  type GardenAwayQuestion,
  type JoinedTo,
  type TendedQuestion,
  type TendedState,
  type WaterAhead,
} from '@huerta/core/journal';
import {
  floorFor,
  lineShares,
  suppliedBy,
  usualLine,
  type LineShares,
} from '@huerta/core/simulation/waterLine';
import { assemble } from '@huerta/core/assembly';
import {
  carries,
  moistureField,
  picturesOf,
  readField,
  type Carry,
  type FieldPictures,
  type FieldQuestion,
} from '@huerta/core/simulation/moisture';
import {
  bringsFault,
  candidatesOf,
  score,
  type Candidate,
  type Scored,
  type Shop,
} from '@huerta/core/planning';
import {
  plansFor,
  type PlansFound,
  type PlanSetting,
  type PlanWish,
} from '@huerta/core/planning/plans';
import { faultsOf, figuresOf, tradeCurve, type TradePoint } from '@huerta/core/assessment';
import { section, type Section } from '@huerta/core/drawing';
import {
  goodsOf,
  shopperOf,
  shoppingFor,
  type PriceBook,
  type GoodInUse,
  type ShoppingList,
} from '@huerta/core/fabrication';
import { SITES, type Site } from '@huerta/core/catalog';
import {
  STARTING_POINTS,
  type LineContext,
  type LineShare,
  type PlanterDesign,
} from '@huerta/core/document';
import { weatherOf, type WeatherDay } from '@huerta/core/physics/climate';
import type { UnitSystem } from '@huerta/core/units';
import { lineShopper, lineShown, type LineAsked, type LineShown } from './lineTask';

/** Where the water gets to, of a design. */
export interface FieldAsked {
  design: PlanterDesign;
  /** The level as a share of the full reservoir, and the kind of day. */
  share: number;
  day: 'hot' | 'mild';
}

/** A season’s question, with the line that the planter is joined to. */
export interface JoinedSeason extends SeasonQuestion {
  joined: JoinedTo | null;
}

/** A planter, and the level at which its water is drawn, metres. */
export interface WaterDrawingAsked {
  design: PlanterDesign;
  level: number;
}
/** A section with its water; full, and read as low, at these levels, metres. */
export interface WaterDrawing {
  section: Section;
  brim: number;
  low: number;
}

/** What can go into planters now, soonest harvest first, by id. */
export type GardenSowNow = Readonly<Record<string, readonly SowNow[]>>;

/** What planters take a day through a year, m³ by id. */
export type GardenDemand = Readonly<Record<string, readonly number[]>>;

/** A planter of a round. */
export interface RoundPlanter {
  id: string;
  question: TendedQuestion;
}
/** How it stands, or null where it is not planted yet. */
export interface RoundState {
  id: string;
  state: TendedState | null;
}

/** How a garden fares, and a change for each planter that does not last; null where none helps. */
export interface AwayTold {
  answer: GardenAwayAnswer;
  changes: Readonly<Record<string, AwayChange | null>>;
}

/** What the weeks ahead bring: the calendar, and each planter's water by its id; null where nothing is known of it. */
export interface WeeksTold {
  events: readonly CalendarEvent[];
  water: Readonly<Record<string, WaterAhead | null>>;
}

/** What other designs are looked for. */
export interface SearchAsked {
  design: PlanterDesign;
  weathers: readonly (readonly WeatherDay[])[];
  planted: string;
  shop: Shop;
}

/** What is told goes to the page by a way of its own and may come after the answer: it is waited for. */
type Tell<T> = (told: T) => unknown;
async function heard<T>(tell: Tell<T>, work: (say: (told: T) => void) => void): Promise<void> {
  const told: unknown[] = [];
  work((one) => told.push(tell(one)));
  await Promise.all(told);
}

type Told = SeasonParts[SeasonPart]['told'];

/** All that is worked out away from the screen: functions of core, carried by a worker. */
export const tasks = {
  /** Runs a short season, so that what comes next finds its code compiled. */
  warmUp(): void {
    const [first] = STARTING_POINTS;
    if (!first) return;
    const days = weatherOf(SITES.vallesol, '2026-06-01', 10, 0);
    runSeason(assemble(first.design), days, {
      planted: '2026-05-01',
      filling: { kind: 'never' },
      refillAt: 0,
    });
  },
  season: (asked: SeasonAsked, tell: Tell<Told>): Promise<void> =>
    heard(tell, (say) => {
      const { joined, ...question } = asked.question as JoinedSeason;
      // What its line brings is part of its season.
      const design = suppliedBy(question.design, joined?.planter ?? '', joined);
      const supplied = { ...asked, question: { ...question, design } } as SeasonAsked;
      for (const told of answersTo(supplied)) say(told);
    }),
  /** What a line of joined planters gives each of them, by their ids. */
  lineShares: (context: LineContext): LineShares => lineShares(context),
  pictures({ design, share, day }: FieldAsked): FieldPictures {
    const planter = assemble(design);
    const field = moistureField(planter, fieldQuestion({ design, share, day }));
    return picturesOf(planter, field, readField(planter, field));
  },
  carries: (asked: FieldAsked): Carry[] => carries(asked.design, fieldQuestion(asked)),
  /** The section of a planter with its water at a level, and the heights that the water is read against. */
  waterDrawing({ design, level }: WaterDrawingAsked): WaterDrawing {
    const planter = assemble(design);
    const { brim } = planter.heights;
    const low = figuresOf(planter).usableLevel;
    return { section: section(planter, Math.min(level, brim)), brim, low };
  },
  /** How planters stand, told one by one. */
  round: (planters: readonly RoundPlanter[], tell: Tell<RoundState>): Promise<void> =>
    heard(tell, (say) => {
      for (const { id, question } of planters) say({ id, state: stateOf(question) });
    }),
  away: (asked: GardenAwayQuestion, tell: Tell<AwayTold>): Promise<void> =>
    heard(tell, (say) => {
      const answer = gardenAway(asked);
      let changes: AwayTold['changes'] = {};
      say({ answer, changes });
      for (const { id, safe } of answer.alone) {
        const question = asked.planters.find((one) => one.id === id)?.question;
        if (!question || safe >= answer.days) continue;
        changes = { ...changes, [id]: oneChange(question, asked.from, asked.until) };
        say({ answer, changes });
      }
    }),
  /** What the weeks ahead bring, planters in the order of the walk. */
  weeks(planters: readonly RoundPlanter[], away: GardenAbsence | null): WeeksTold {
    const absence = absenceAhead(planters, away);
    const events = calendarOf(planters, away, absence);
    const alone = away && absence && { from: away.from, until: away.until, answer: absence };
    const water = planters.map((one) => [one.id, waterAheadOf(one, events, alone)] as const);
    return { events, water: Object.fromEntries(water) };
  },
  /** What can go into planters now, told planter by planter. @param planters with the ISO date of their first day */
  sowNow: (
    planters: readonly { id: string; design: PlanterDesign; planted: string }[],
    today: string,
    site: Site,
    tell: Tell<GardenSowNow>,
  ): Promise<void> =>
    heard(tell, (say) => {
      let all: GardenSowNow = {};
      for (const { id, design, planted } of planters) {
        all = { ...all, [id]: sowNow(assemble(design), planted, today, site) };
        say(all);
      }
    }),
  /** What planters take a day through a year of average weather. @param planters with the ISO date of their first day */
  gardenDemand: (
    planters: readonly { id: string; design: PlanterDesign; planted: string }[],
    site: Site,
    days: YearDays,
  ): GardenDemand =>
    Object.fromEntries(
      planters.map(({ id, design, planted }) => [
        id,
        yearDemand(assemble(design), planted, site, days),
      ]),
    ),
  line: (asked: LineAsked): LineShown => lineShown(asked),
  usualLine,
  floorFor,
  trade: (design: PlanterDesign, share: LineShare | null): TradePoint[] =>
    tradeCurve(design, undefined, share),
  shopping: (
    designs: readonly PlanterDesign[],
    units: UnitSystem,
    book: PriceBook,
    joined: readonly LineContext[],
  ): ShoppingList =>
    shoppingFor(
      [
        ...designs.map((design) => shopperOf(design, units)),
        ...joined.map((one) => lineShopper(one, units)),
      ],
      book,
      units,
    ),
  goods: (
    designs: readonly PlanterDesign[],
    units: UnitSystem,
    joined: readonly LineContext[],
  ): GoodInUse[] =>
    goodsOf(
      designs,
      units,
      joined.map((one) => lineShopper(one, units)),
    ),
  /** Whole plans, told as they are found. */
  plans: (wish: PlanWish, setting: PlanSetting, tell: Tell<PlansFound>): Promise<void> =>
    heard(tell, (say) => {
      for (const found of plansFor(wish, setting)) say(found);
    }),
  /** The designs that a search tries. */
  candidates: (design: PlanterDesign): Candidate[] => candidatesOf(design),
  /** Scores candidates one after the other and tells of each; null for what brings a fault or cannot be worked out. */
  search: (
    { design, weathers, planted, shop }: SearchAsked,
    candidates: readonly Candidate[],
    tell: Tell<Scored | null>,
  ): Promise<void> =>
    heard(tell, (say) => {
      const known = faultsOf(design);
      for (const one of candidates) {
        let point: Scored | null = null;
        try {
          if (!bringsFault(design, one, known))
            point = score(design, one, weathers, planted, shop, known);
        } catch {
          // One design that cannot be worked out does not end the search.
        }
        say(point);
      }
    }),
};
export type Tasks = typeof tasks;

function fieldQuestion({ design, share, day }: FieldAsked): FieldQuestion {
  const { brim } = assemble(design).heights;
  const { etHot, etMild } = design.place;
  return { level: share * brim, et: day === 'hot' ? etHot : etMild };
}

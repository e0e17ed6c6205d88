import type { QuantityKind } from '../units';
import { cautiousDays } from './daysOfWater';
import type { Figures } from './figures';

/**
 * The figures of a planter as they are shown: one table of what each is called, how it is written and
 * which way is better. Bench, compare, as-built and paper choose rows of it and add nothing of their own.
 */

/** One figure as it is shown. */
export interface Reported {
  label: string;
  /** For where there is little room; the label where left out. */
  short?: string;
  kind: QuantityKind;
  /** In SI; null where this planter has none. */
  value(figures: Figures): number | null;
  /** What is written where there is none. */
  none?: string;
  /** Which way is better, where one is. */
  better?: 'more' | 'less';
}

const tilted = (pick: (tilt: Figures['tilt']) => number) => (figures: Figures) =>
  figures.tilt.across > 5e-4 ? pick(figures.tilt) : null;

/** Beyond so many times the need what comes up is ample, and no figure is given. */
export const AMPLE = 10;
const isAmple = ({ duty }: Figures): boolean => duty > AMPLE;

/** Every figure that is shown anywhere, in the order in which a gardener asks for it. */
const REPORT = {
  usable: { label: 'Water to use', kind: 'volume', value: (f) => f.usable, better: 'more' },
  gross: {
    label: 'Holds to the overflow',
    short: 'Holds',
    kind: 'volume',
    value: (f) => f.gross,
    better: 'more',
  },
  stranded: {
    label: 'Water the wicks cannot reach',
    kind: 'volume',
    value: (f) => f.stranded,
    better: 'less',
  },
  slow: {
    label: 'Of that, too slow for hot days',
    kind: 'volume',
    value: (f) => f.stranded - f.beyondReach,
    better: 'less',
  },
  beyondReach: {
    label: 'Of that, out of reach',
    kind: 'volume',
    value: (f) => f.beyondReach,
    better: 'less',
  },
  lastsHot: {
    label: 'Until it reads low, hot',
    short: 'Hot: low in',
    kind: 'days',
    value: (f) => cautiousDays(f.lastsHot.days),
    better: 'more',
  },
  lastsMild: {
    label: 'Until it reads low, mild',
    kind: 'days',
    value: (f) => cautiousDays(f.lastsMild.days),
    better: 'more',
  },
  shortHot: {
    label: 'Until plants go short, hot',
    kind: 'days',
    value: (f) => cautiousDays(f.lastsHot.short),
    better: 'more',
  },
  shortMild: {
    label: 'Until plants go short, mild',
    kind: 'days',
    value: (f) => cautiousDays(f.lastsMild.short),
    better: 'more',
  },
  airGap: { label: 'Air gap', kind: 'length', value: (f) => f.airGap, none: 'no overflow' },
  tiltWettest: { label: 'Out of level, deepest', kind: 'length', value: tilted((t) => t.wettest) },
  tiltDriest: { label: 'Out of level, shallowest', kind: 'length', value: tilted((t) => t.driest) },
  tiltHolds: { label: 'Out of level it holds', kind: 'volume', value: tilted((t) => t.holds) },
  growingDepth: { label: 'Root room', kind: 'span', value: (f) => f.growingDepth, better: 'more' },
  waterShare: { label: 'Water’s share of the height', kind: 'share', value: (f) => f.waterShare },
  drinksMild: { label: 'Drinks, mild day', kind: 'daily', value: (f) => f.mild.total },
  drinksHot: { label: 'Drinks, hot day', kind: 'daily', value: (f) => f.hot.total },
  delivery: {
    label: 'Comes up, full',
    kind: 'daily',
    value: (f) => (isAmple(f) ? null : f.delivery),
    none: 'ample',
  },
  duty: {
    label: 'Comes up, to a hot day’s thirst',
    kind: 'times',
    value: (f) => (isAmple(f) ? null : f.duty),
    none: 'ample',
    better: 'more',
  },
  mix: { label: 'Mix, loose', kind: 'loose', value: (f) => f.looseVolume },
  weightEmpty: { label: 'Weighs empty', kind: 'mass', value: (f) => f.weight.empty },
  weightDry: { label: 'With dry mix and stone', kind: 'mass', value: (f) => f.weight.dry },
  weightFull: { label: 'Weighs full', kind: 'mass', value: (f) => f.weight.full, better: 'less' },
  pressure: {
    label: 'Load on the floor',
    kind: 'pressure',
    value: (f) => f.weight.pressure,
    better: 'less',
  },
  perLeg: { label: 'On each leg', kind: 'mass', value: (f) => f.weight.perLeg },
  carriers: { label: 'People to carry it empty', kind: 'count', value: (f) => f.weight.carriers },
  stormClimb: {
    label: 'Hard rain climbs above the lip',
    kind: 'length',
    value: (f) => f.stormClimb,
    none: 'no overflow',
  },
} as const satisfies Readonly<Record<string, Reported>>;

export type ReportId = keyof typeof REPORT;

/** The four figures that matter. */
const HEADLINE: readonly ReportId[] = ['usable', 'lastsHot', 'growingDepth', 'weightFull'];

const IN_COMPARISON: readonly ReportId[] = [
  'usable',
  'gross',
  'stranded',
  'lastsHot',
  'shortHot',
  'lastsMild',
  'shortMild',
  'growingDepth',
  'drinksHot',
  'duty',
  'weightFull',
  'pressure',
];
const AS_BUILT: readonly ReportId[] = ['gross', 'usable', 'lastsHot', 'airGap', 'growingDepth'];
const ON_PAPER: readonly ReportId[] = [
  'gross',
  'usable',
  'lastsHot',
  'growingDepth',
  'weightEmpty',
  'weightFull',
  'mix',
];

/** Which figures are shown where. */
export const SHOWN = {
  headline: HEADLINE,
  all: Object.keys(REPORT) as readonly ReportId[],
  comparison: IN_COMPARISON,
  asBuilt: AS_BUILT,
  paper: ON_PAPER,
} as const;

/** A figure of one planter, ready to be written. */
export interface ReportRow extends Pick<Reported, 'label' | 'kind' | 'better'> {
  id: ReportId;
  short: string;
  /** In SI, or null where there is none. */
  value: number | null;
  none: string;
}

/** The rows of a report of one planter; those that say nothing of it are left out of the whole table. */
export function reportOf(figures: Figures, shown: readonly ReportId[]): ReportRow[] {
  return shown
    .map((id) => reported(figures, id))
    .filter(({ id, value }) => {
      const row: Reported = REPORT[id];
      return value !== null || row.none !== undefined;
    });
}

/** One figure of one planter, also where there is none. */
export function reported(figures: Figures, id: ReportId): ReportRow {
  const { label, kind, short = label, none = '', better, value }: Reported = REPORT[id];
  return { id, label, short, kind, value: value(figures), none, ...(better ? { better } : {}) };
}

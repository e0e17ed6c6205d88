import fc from 'fast-check';
import { evaluate } from '../assessment';
import { dayAfter, type WeatherDay } from '../physics/climate';
import { applyPatch, cropIn, STARTING_POINTS, type PlanterDesign, type Planted } from '../document';
import { runSeason } from '../simulation/season';
import { changedDesign } from '../testing/changed';

/**
 * What the bench says in one figure is what a season of that very day, over and over, lives through: also for
 * designs that nobody began with, sound or not.
 */

const START = '2026-05-01';
const DAY = 86_400;
const LONGEST = 25;

/** The same day for ever, with plants that stay as grown as they are. */
const stillDay = (days: number, et: number): WeatherDay[] =>
  Array.from({ length: days }, () => ({ date: START, tMin: 18, tMax: 34, rain: 0, et }));

const grown = ({ planting }: PlanterDesign): string => {
  const first = planting.crops[0];
  if (!first) return START;
  const [young, growing] = cropIn(first as Planted).stages;
  return dayAfter(START, -(young + growing + 1));
};

/** Days between fillings of a season in which it is filled when its stick says so; null where it is not often enough. */
function seasonDays(design: PlanterDesign, et: number) {
  const { planter, assessment } = evaluate({ ...design, place: { ...design.place, etHot: et } });
  const said = assessment.figures.lastsHot;
  const weather = stillDay(Math.min(Math.ceil(12 * said.days) + 20, 300), et);
  const season = runSeason(planter, weather, {
    planted: grown(design),
    filling: { kind: 'when-low' },
    refillAt: said.level,
  });
  const fills = season.days.flatMap((day, i) => (day.filled > 0 ? [{ i, ...day }] : []));
  // What the soil held at first is spent by and by; the later half of the fillings is what goes on for ever.
  const [first, ...rest] = fills.slice(Math.floor(fills.length / 2));
  const last = rest[rest.length - 1];
  if (!first || !last) return { said, lived: null };
  const poured = rest.reduce((sum, { filled }) => sum + filled, 0);
  // Filled in the morning after it was low: where it is low when it is empty, plants went short by then.
  const met = season.days
    .slice(first.i, last.i)
    .reduce((sum, { drunk, asked }) => sum + (asked > 0 ? drunk / asked : 1), 0);
  return { said, lived: (met * said.used) / poured };
}

test('days between refills are those of a season of that day, for changed designs too', () => {
  let judged = 0;
  fc.assert(
    fc.property(changedDesign, fc.double({ min: 2, max: 9, noNaN: true }), (design, mm) => {
      const { said, lived } = seasonDays(design, (mm * 1e-3) / DAY);
      // Of what lasts longer, three hundred days hold too few fillings to compare.
      if (lived === null || said.days > LONGEST) return;
      judged += 1;
      expect(Math.abs(lived - said.days)).toBeLessThanOrEqual(Math.max(0.1 * said.days, 0.5));
    }),
    // A season takes long to run again: the first that fails is shown as it is.
    { numRuns: 200, endOnFailure: true },
  );
  expect(judged).toBeGreaterThan(130);
});

test.each([
  // Spread wide, the same cloth brings less: so many times a hot day's thirst from the full mark.
  [0.12, 2.0, 0.99],
  [0.18, 1.5, 0.99],
  [0.2, 1.4, 0.99],
  [0.22, 1.3, 0.94],
  [0.25, 1.1, 0.85],
])(
  'filled where the bench says so, a cloth spread %s m (%s times the thirst) gives %s of it, day after day',
  (spread, duty, met) => {
    const pail = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design;
    const design = applyPatch(pail, [{ path: ['wicks', 0, 'spread'], value: spread }]);
    const { planter, assessment } = evaluate(design);
    const { figures } = assessment;
    expect(figures.duty).toBeCloseTo(duty, 1);
    const days = runSeason(planter, stillDay(160, design.place.etHot), {
      planted: grown(design),
      filling: { kind: 'when-low' },
      refillAt: figures.usableLevel,
    }).days.slice(80);
    const share = days.reduce((sum, { drunk, asked }) => sum + drunk / asked, 0) / days.length;
    expect(share).toBeGreaterThan(met);
    // A weaker wick never makes more water usable than a stronger one.
    const stronger = applyPatch(pail, [{ path: ['wicks', 0, 'spread'], value: spread - 0.04 }]);
    const more = evaluate(stronger).assessment.figures.usable;
    expect(figures.usable).toBeLessThan(more + 0.0002);
  },
);

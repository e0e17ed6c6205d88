import fc from 'fast-check';
import { evaluate } from '../../assessment';
import { SITES, SITE_IDS } from '../../catalog';
import { weatherOf } from '../../physics/climate';
import { anyDesign } from '../../testing/designs';
import { runSeason, totalsOf, type Watering } from '.';

const date = fc.integer({ min: 1, max: 25 }).map((d) => `2026-06-${String(d).padStart(2, '0')}`);
const volume = fc.double({ min: 1e-4, max: 0.03, noNaN: true });
const watering: fc.Arbitrary<Watering> = fc.oneof(
  fc.record({ where: fc.constant('tube' as const), date, volume: fc.option(volume) }),
  fc.record({ where: fc.constant('top' as const), date, volume }),
);

/** Whatever a person may have designed, in whatever climate, luck or neglect. */
test('a season of any design keeps its water, and nothing in it is more than there is', () => {
  fc.assert(
    fc.property(
      anyDesign,
      fc.constantFrom(...SITE_IDS),
      fc.record({
        clogged: fc.boolean(),
        broken: fc.boolean(),
        filling: fc.constantFrom(
          { kind: 'when-low' } as const,
          { kind: 'never' } as const,
          { kind: 'every', days: 4 } as const,
        ),
        waterings: fc.array(watering, { maxLength: 3 }),
      }),
      fc.integer({ min: 0, max: 500 }),
      (design, site, luck, seed) => {
        const { planter, assessment } = evaluate(design);
        const weather = weatherOf(SITES[site], '2026-06-01', 25, seed);
        const options = { planted: '2026-04-20', ...luck };
        const run = runSeason(planter, weather, {
          ...options,
          refillAt: assessment.figures.usableLevel,
        });
        expect(run.balance).toBeLessThan(1e-3);
        const totals = totalsOf(run);
        expect(totals.drunk).toBeLessThanOrEqual(totals.asked * (1 + 1e-9));
        const meant = luck.waterings.reduce((sum, { volume }) => sum + (volume ?? Infinity), 0);
        if (luck.filling.kind === 'never') expect(totals.filled).toBeLessThanOrEqual(meant + 1e-12);
        const wrong = run.days.filter(
          ({ level, water, evaporated }) =>
            !(level >= -1e-6 && water >= -1e-6 && evaporated >= -1e-9),
        );
        expect(wrong).toEqual([]);
        expect([...run.moisture].filter((share) => !(share > 0 && share < 1))).toEqual([]);
      },
    ),
    // A season takes long to run again: the first that fails is shown as it is.
    { numRuns: 60, endOnFailure: true },
  );
});

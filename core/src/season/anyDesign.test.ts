import fc from 'fast-check';
import { evaluate } from '../assess';
import { SITES, SITE_IDS } from '../catalog';
import { weatherOf } from '../climate';
import { anyDesign } from '../testing/designs';
import { runSeason, totalsOf } from '.';

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
      }),
      fc.integer({ min: 0, max: 500 }),
      (design, site, luck, seed) => {
        const { planter, assessment } = evaluate(design);
        const weather = weatherOf(SITES[site], '2026-06-01', 25, seed);
        const options = { planted: '2026-04-20', ...luck };
        const run = runSeason(planter, weather, options, assessment.figures.usableLevel);
        expect(run.balance).toBeLessThan(1e-3);
        const totals = totalsOf(run);
        expect(totals.drunk).toBeLessThanOrEqual(totals.asked * (1 + 1e-9));
        if (luck.filling.kind === 'never') expect(totals.filled).toBe(0);
        for (const day of run.days) {
          expect(day.level).toBeGreaterThanOrEqual(-1e-6);
          expect(day.water).toBeGreaterThanOrEqual(-1e-6);
          expect(day.evaporated).toBeGreaterThanOrEqual(-1e-9);
        }
        for (const share of run.moisture) expect(share > 0 && share < 1).toBe(true);
      },
    ),
    { numRuns: 40 },
  );
});

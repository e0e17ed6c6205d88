import fc from 'fast-check';
import { CROP_IDS, SITES } from '../../catalog';
import { evaluate } from '../../assessment';
import { STARTING_POINTS, usualPlanted } from '../../document';
import { dayAfter, weatherOf } from '../../physics/climate';
import { cropWater, runSeason } from '.';

const PLANTED = '2026-05-01';

test('what crops drink adds up to what all drink, whatever grows with whatever', () => {
  const planted = fc
    .record({
      crop: fc.constantFrom(...CROP_IDS),
      count: fc.integer({ min: 0, max: 6 }),
      from: fc.integer({ min: 0, max: 60 }),
      stays: fc.option(fc.integer({ min: 5, max: 90 })),
    })
    .map(({ crop, count, ...when }) => usualPlanted(crop, count, when));
  fc.assert(
    fc.property(
      fc.array(planted, { minLength: 1, maxLength: 4 }),
      fc.array(fc.double({ min: 0, max: 0.02, noNaN: true }), { minLength: 1, maxLength: 120 }),
      (crops, drunk) => {
        const days = drunk.map((volume, i) => ({ date: dayAfter(PLANTED, i), drunk: volume }));
        const told = cropWater({ crops }, days, PLANTED);
        const sum = told.reduce((before, { volume }) => before + volume, 0);
        expect(sum).toBeLessThanOrEqual(drunk.reduce((a, b) => a + b, 0) + 1e-12);
        const shares = told.reduce((before, { share }) => before + share, 0);
        expect(sum > 0 ? shares : 1).toBeCloseTo(1, 9);
        expect(told.map(({ volume }) => volume)).toEqual(
          told.map(({ volume }) => volume).sort((a, b) => b - a),
        );
        for (const { volume, most, count } of told) {
          expect(most?.volume ?? 0).toBeLessThanOrEqual(volume + 1e-15);
          if (count === 0) expect(volume).toBe(0);
        }
      },
    ),
  );
});

test('a crop alone drinks all that is drunk; beside basil a tomato drinks most', () => {
  const [point] = STARTING_POINTS.filter(({ id }) => id === 'cloth-pail');
  const drinks = (...crops: ReturnType<typeof usualPlanted>[]) => {
    const design = { ...point!.design, planting: { crops } };
    const { planter, assessment } = evaluate(design);
    const low = assessment.figures.usableLevel;
    const filling = { kind: 'when-low' } as const;
    const weather = weatherOf(SITES.vallesol, PLANTED, 90, 7);
    const run = runSeason(planter, weather, { planted: PLANTED, filling, refillAt: low });
    const drunk = run.days.reduce((sum, day) => sum + day.drunk, 0);
    return { drunk, told: cropWater(design.planting, run.days, PLANTED) };
  };
  const alone = drinks(usualPlanted('tomato', 1));
  expect(alone.told).toHaveLength(1);
  expect(alone.told[0]!.volume).toBeCloseTo(alone.drunk, 9);
  const [most, least] = drinks(usualPlanted('basil', 1), usualPlanted('tomato', 1)).told;
  expect([most!.crop, least!.crop]).toEqual(['Tomato', 'Basil']);
  expect(most!.share + least!.share).toBeCloseTo(1, 9);
});

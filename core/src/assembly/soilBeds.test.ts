import fc from 'fast-check';
import { evaluate } from '../assessment';
import { MIXES, MIX_IDS, catalogMix } from '../catalog';
import { applyPatch, STARTING_POINTS, type PlanterDesign } from '../document';
import { runSeason } from '../simulation/season';
import { anyDesign } from '../testing/designs';
import { buildSheet, NEW_BOOK, shoppingFor } from '../fabrication';
import { assemble, soilBeds, wetsTo } from '.';

/** Two mixes, one on the other. */

const designOf = (id: string): PlanterDesign =>
  STARTING_POINTS.find((one) => one.id === id)!.design;
const withUpper = (design: PlanterDesign, medium: string, depth: number): PlanterDesign =>
  applyPatch(design, [{ path: ['soil', 'upper'], value: { medium, depth } }]);

test('the same mix on top changes no litre, kilogram or day', () => {
  for (const { design } of STARTING_POINTS) {
    if (design.soil.recipe) continue;
    const one = evaluate(design).assessment.figures;
    const two = evaluate(withUpper(design, design.soil.medium, 0.06)).assessment.figures;
    expect(two.usable).toBeCloseTo(one.usable, 9);
    expect(two.soilVolume).toBeCloseTo(one.soilVolume, 9);
    expect(two.weight.dry).toBeCloseTo(one.weight.dry, 6);
    // What hangs in a bed is reckoned with its volume even over its height, so that parts of a vessel
    // that widens come a little nearer to the truth than the whole.
    expect(Math.abs(two.weight.full / one.weight.full - 1)).toBeLessThan(0.01);
    expect(Math.abs(two.lastsHot.days - one.lastsHot.days)).toBeLessThan(
      0.02 * one.lastsHot.days + 0.05,
    );
  }
});

test('dry weight of two mixes is that of their volumes at their densities', () => {
  const design = designOf('tote-pipes');
  const one = evaluate(design);
  const two = evaluate(withUpper(design, 'ground-soil', 0.08));
  const upper = soilBeds(two.planter).find(({ part }) => part === 'upper')!;
  const { bed, heights } = two.planter;
  const pipes = two.planter.storage.pipesInSoil(
    two.planter.heights.surface - 0.08,
    two.planter.heights.surface,
  );
  const byHand = bed.inside.volumeBetween(heights.surface - 0.08, heights.surface) - pipes;
  expect(upper.volume).toBeCloseTo(byHand, 9);
  const denser = catalogMix('ground-soil').dryDensity - catalogMix(design.soil.medium).dryDensity;
  expect(two.assessment.figures.weight.dry - one.assessment.figures.weight.dry).toBeCloseTo(
    byHand * denser,
    6,
  );
});

test('the sheet of any design with two mixes names both, and they add up', () => {
  fc.assert(
    fc.property(
      anyDesign,
      fc.constantFrom(...MIX_IDS),
      fc.double({ min: 0.02, max: 0.3, noNaN: true }),
      (any, medium, depth) => {
        const design = withUpper(any, medium, depth);
        const { planter, assessment } = evaluate(design);
        const { figures } = assessment;
        const beds = soilBeds(planter);
        expect(beds.at(-1)!.to).toBeCloseTo(planter.heights.surface, 9);
        expect(beds.reduce((sum, { volume }) => sum + volume, 0)).toBeLessThanOrEqual(
          figures.soilVolume + 1e-9,
        );
        const sheet = buildSheet(planter, figures, 'metric');
        const mixes = sheet.parts.filter(({ id }) => id === 'mix' || id === 'mix-upper');
        expect(mixes.map(({ id }) => id)).toEqual(['mix', 'mix-upper']);
        expect(mixes.reduce((sum, { quantity }) => sum + quantity, 0)).toBeCloseTo(
          figures.looseVolume,
          9,
        );
        const list = shoppingFor(
          [{ name: '', ...sheet, usable: figures.usable }],
          NEW_BOOK,
          'metric',
        );
        expect(list.lines.every(({ wanted }) => wanted > 0)).toBe(true);
        expect(wetsTo(planter)).toBeLessThanOrEqual(
          planter.heights.surface - planter.heights.base + 1e-9,
        );
      },
    ),
    { numRuns: 40 },
  );
});

test('an upper mix that is deeper than the soil takes it all, and that is said', () => {
  const { planter, assessment } = evaluate(withUpper(designOf('cloth-pail'), 'compost-mix', 0.8));
  expect(soilBeds(planter).map(({ part }) => part)).toEqual(['upper']);
  const finding = assessment.findings.find(({ id }) => id === 'upper-deep')!;
  expect(finding.remedies.length).toBeGreaterThan(0);
});

test('water crosses the seam: a season over two mixes keeps its balance, and each holds what it can', () => {
  const design = withUpper(designOf('tote-pipes'), 'ground-soil', 0.08);
  const planter = assemble(design);
  const weather = Array.from({ length: 25 }, (_, i) => ({
    date: new Date(Date.UTC(2026, 5, 1 + i)).toISOString().slice(0, 10),
    tMax: 28,
    tMin: 16,
    rain: i === 6 ? 0.01 : 0,
    et: 0.005 / 86_400,
  }));
  const run = runSeason(planter, weather, {
    planted: '2026-05-01',
    filling: { kind: 'when-low' },
    refillAt: evaluate(design).assessment.figures.usableLevel,
    cells: 30,
  });
  expect(Math.abs(run.balance)).toBeLessThan(1e-3);
  const last = run.moisture.slice(-30);
  const seam = soilBeds(planter).find(({ part }) => part === 'upper')!.from;
  run.heights.forEach((z, i) => {
    const mix = z > seam ? MIXES['ground-soil'] : MIXES[design.soil.medium];
    expect(last[i]!).toBeLessThanOrEqual(mix.thetaS + 1e-3);
    expect(last[i]!).toBeGreaterThanOrEqual(mix.thetaR);
  });
});

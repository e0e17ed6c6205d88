import fc from 'fast-check';
import { applyPatch, planterDesignSchema, STARTING_POINTS } from '../document';
import { contradictions, assemble } from '../assembly';
import { anyDesign } from '../testing/designs';
import {
  evaluate,
  followsPractice,
  practiceOutcome,
  propose,
  practicesFor,
  tradeCurve,
  type PracticeOutcome,
} from '.';
import { figuresOf } from './figures';

const design = STARTING_POINTS.find(({ id }) => id === 'cup-pail')!.design;

describe('water against roots', () => {
  const curve = tradeCurve(design);

  test('every point is a design that can exist and gives what the point says', () => {
    expect(curve.length).toBeGreaterThan(50);
    for (const point of curve.filter((_, i) => i % 9 === 0)) {
      const moved = applyPatch(design, point.patch);
      expect(contradictions(moved)).toEqual([]);
      const { figures } = evaluate(moved).assessment;
      expect(figures.usable).toBeCloseTo(point.usable, 12);
      expect(figures.growingDepth).toBeCloseTo(point.growingDepth, 12);
    }
  });

  test('of one that is joined to others each point has the days of its bench, with what its line gives it', () => {
    const share = { level: 0.05, volume: 0.02 };
    for (const { patch, days } of tradeCurve(design, 6, share)) {
      const { lastsHot } = evaluate(applyPatch(design, patch), share).assessment.figures;
      expect(days).toBeCloseTo(lastsHot.days, 9);
    }
  });

  test('raising the base takes from the roots all the way', () => {
    const depths = curve.map((point) => point.growingDepth);
    expect([...depths].sort((a, b) => b - a)).toEqual(depths);
  });

  test('the proposal lasts longest of those that leave the roots their room', () => {
    const wish = { days: 5, roots: 0.2 };
    const found = propose(curve, wish)!;
    expect(found).toMatchObject({ lasts: true, roomy: true });
    expect(found.point.growingDepth).toBeGreaterThanOrEqual(0.2);
    const better = curve.filter((p) => p.growingDepth >= 0.2 && p.days > found.point.days);
    expect(better).toEqual([]);
  });

  test('where both cannot be had, the roots are kept and the days said', () => {
    const found = propose(curve, { days: 60, roots: 0.2 })!;
    expect(found).toMatchObject({ lasts: false, roomy: true });
    expect(found.point.growingDepth).toBeGreaterThanOrEqual(0.2);
    expect(propose(curve, { days: 1, roots: 2 })).toMatchObject({ roomy: false });
    expect(propose([], { days: 1, roots: 0.1 })).toBeNull();
  });

  test('any design has a curve or none, never a broken one', () => {
    fc.assert(
      fc.property(anyDesign, (any) => {
        for (const point of tradeCurve(any, 6)) {
          expect(Number.isFinite(point.usable) && point.usable >= 0).toBe(true);
          expect(planterDesignSchema.safeParse(applyPatch(any, point.patch)).success).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('schools', () => {
  test('every starting point is asked what it can answer, and each answer is worked out', () => {
    const asked = new Set<string>();
    for (const { design: from } of STARTING_POINTS) {
      for (const { id, schools } of practicesFor(assemble(from))) {
        asked.add(id);
        expect(schools.length).toBeGreaterThan(1);
        const outcomes = schools.map((school) => practiceOutcome(from, school));
        for (const outcome of outcomes) {
          if (outcome) expect(outcome.usable + outcome.stranded).toBeGreaterThan(0);
        }
      }
    }
    expect([...asked].sort()).toEqual(
      [
        'bottle',
        'feed',
        'gap',
        'holes',
        'rain',
        'separator',
        'share',
        'tube',
        'voids',
        'wick',
      ].sort(),
    );
  });

  test('following a school is following it', () => {
    const [share] = practicesFor(assemble(design));
    const quarter = share!.schools[0]!;
    expect(followsPractice(design, quarter)).toBe(false);
    expect(followsPractice(applyPatch(design, quarter.patch), quarter)).toBe(true);
  });

  test('deep coarse stone strands water until roots are down, and legs of mix bring it up before', () => {
    const bed = STARTING_POINTS.find(({ id }) => id === 'rock-bed')!.design;
    const voids = practicesFor(assemble(bed)).find(({ id }) => id === 'voids')!.schools;
    const bare = practiceOutcome(
      { ...bed, wicks: [] },
      voids.find(({ id }) => id === 'stone')!,
    )!;
    const legs = practiceOutcome(
      bed,
      voids.find(({ id }) => id === 'stone-leg')!,
    )!;
    const early = (patch: PracticeOutcome['patch']) =>
      figuresOf(assemble(applyPatch(bed, patch))).beforeRoots!.usable;
    const whole = bare.usable + bare.stranded;
    expect(early([{ path: ['wicks'], value: [] }, ...bare.patch])).toBeLessThan(0.4 * whole);
    expect(early(legs.patch)).toBeGreaterThan(0.9 * whole);
    expect(bare.usable).toBeGreaterThan(0.9 * whole);
    expect(bare.roots).toBeGreaterThan(14);
  });
});

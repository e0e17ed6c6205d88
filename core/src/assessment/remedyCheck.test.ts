import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type Patch, type PlanterDesign } from '../document';
import { assemble, BRIDGE, platformOpenings, drilledSheet, placesOf } from '../assembly';
import { anyDesign } from '../testing/designs';
import { holdsCircle } from '../geometry/vessels';
import {
  evaluate,
  faultsOf,
  practiceOutcome,
  practicesFor,
  settled,
  tradeCurve,
  type RemedyCheck,
} from '.';

/** Nothing that is offered may bring a fault, cut a bridge away or let two things share a place. */

const valueAt = (design: PlanterDesign, path: Patch[number]['path']): unknown =>
  path.reduce<unknown>((at, key) => (at as Record<string | number, unknown> | null)?.[key], design);

/** Holes of the sheet that leave too little between each other or to its edge, by count. */
function thinBridges({ planter }: Pick<RemedyCheck, 'planter'>): number {
  const sheet = drilledSheet(planter);
  if (!sheet) return 0;
  const spots = platformOpenings(planter).map(({ x, y, least }) => ({ x, y, r: least / 2 }));
  const near = BRIDGE - 1e-6;
  const close = spots.flatMap((a, i) =>
    spots.slice(i + 1).filter((b) => Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r + near),
  );
  const over = spots.filter(({ x, y, r }) => !holdsCircle(sheet, x, y, r + near));
  return close.length + over.length;
}

test('every remedy of any design goes where there is room, and leaves a bridge round every hole', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const { planter, assessment } = evaluate(design);
      const before = { thin: thinBridges({ planter }), faults: faultsOf(design) };
      for (const { remedies } of assessment.findings) {
        for (const { patch } of remedies) {
          const changed = applyPatch(design, patch);
          const after = assemble(changed);
          expect(thinBridges({ planter: after })).toBeLessThanOrEqual(before.thin);
          // A remedy of a note may not bring a fault, one of a fault takes at least that away.
          const faults = faultsOf(changed);
          expect([...faults].filter((id) => !before.faults.has(id))).toEqual([]);
          for (const group of after.partGroups)
            expect(group.parts.length).toBeLessThanOrEqual(group.wanted);
        }
      }
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

test.each(STARTING_POINTS.map(({ id, design }) => [id, design] as const))(
  'schools and heights offered for %s bring no fault and do what they say',
  (_id, design) => {
    const before = faultsOf(design);
    for (const { schools } of practicesFor(assemble(design))) {
      for (const school of schools) {
        const outcome = practiceOutcome(design, school);
        if (!outcome || outcome.brings) continue;
        const changed = applyPatch(design, outcome.patch);
        expect([...faultsOf(changed)].filter((fault) => !before.has(fault))).toEqual([]);
        expect(evaluate(changed).assessment.figures.usable).toBe(outcome.usable);
        // What is done beside it does not go back on the school itself.
        const own = applyPatch(design, school.patch);
        for (const { path, value } of school.patch) {
          if (typeof value !== 'object') expect(valueAt(changed, path)).toEqual(valueAt(own, path));
        }
      }
    }
    const sound = tradeCurve(design, 8).filter((point) => point.sound);
    for (const { patch } of sound) {
      const faults = faultsOf(applyPatch(design, patch));
      expect([...faults].filter((fault) => !before.has(fault))).toEqual([]);
    }
  },
);

test('a change that brings a fault is made whole, or says which fault is left', () => {
  const tub = STARTING_POINTS.find(({ id }) => id === 'pot-tub')!.design;
  const deep = settled(tub, [{ path: ['soil', 'freeboard'], value: 0.14 }])!;
  expect(deep.brings).not.toBeNull();
  expect(settled(tub, [{ path: ['vessel', 'bungs'], value: 0 }])!.brings).toBeNull();
  // Measures that cannot be are not judged at all.
  expect(settled(tub, [{ path: ['reservoir', 'top'], value: 1.2 }])).toBeNull();
  expect(placesOf(assemble(tub)).length).toBeGreaterThan(0);
});

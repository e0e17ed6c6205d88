import fc from 'fast-check';
import { contradictions } from '../assembly';
import { anyDesign } from '../testing/designs';
import { shapeOf } from '../geometry/vessels';
import {
  applyPatch,
  depthOf,
  leastWidth,
  planterDesignSchema,
  putVessel,
  reshape,
  SHAPES,
  STARTING_POINTS,
  type VesselKind,
} from '.';

const kinds = Object.keys(SHAPES) as VesselKind[];

test.each(kinds)(
  'a vessel that becomes %s is about as large as it was, to be corrected',
  (kind) => {
    for (const { id, design } of STARTING_POINTS) {
      const next = reshape(design.vessel, kind);
      expect(next.kind).toBe(kind);
      const before = shapeOf(design.vessel);
      const after = shapeOf(next);
      const ratio = after.volumeBelow(after.depth) / before.volumeBelow(before.depth);
      expect([id, ratio > 0.4 && ratio < 2.2]).toEqual([id, true]);
      if (kind !== 'lying')
        expect(depthOf(next)).toBeCloseTo(Math.max(depthOf(design.vessel), 0.06), 2);
    }
  },
);

test('what inspecting it told stays, and what it is already is not touched', () => {
  const { vessel } = STARTING_POINTS[0]!.design;
  const told = { ...vessel, formerContents: 'unknown', cracked: 'open', wall: 0.0031 } as const;
  for (const kind of kinds) {
    expect(reshape(told, kind)).toMatchObject({
      formerContents: 'unknown',
      cracked: 'open',
      wall: 0.0031,
      material: vessel.material,
    });
  }
  expect(reshape(told, told.kind)).toBe(told);
});

test('from any shape to any other and back it is a vessel, no narrower than it was', () => {
  fc.assert(
    fc.property(anyDesign, fc.constantFrom(...kinds), ({ vessel, ...rest }, kind) => {
      const there = reshape(vessel, kind);
      const design = { ...rest, vessel: there };
      expect(planterDesignSchema.shape.vessel.safeParse(there).error?.issues).toBeUndefined();
      const back = reshape(there, vessel.kind);
      expect(back.kind).toBe(vessel.kind);
      expect(leastWidth(back)).toBeGreaterThan(0.9 * Math.min(leastWidth(vessel), 0.05));
      // Whether the rest of the design still goes in is told in words, not thrown.
      expect(Array.isArray(contradictions(design))).toBe(true);
    }),
    { numRuns: 150 },
  );
});

test('another vessel keeps the tube as far above the rim, within what a tube can be', () => {
  const { design } = STARTING_POINTS[0]!;
  const above = design.fillTube!.length - depthOf(design.vessel);
  for (const { design: other } of STARTING_POINTS) {
    const next = applyPatch(design, putVessel(design, other.vessel));
    const length = depthOf(other.vessel) + above;
    expect(next.fillTube!.length).toBeCloseTo(Math.min(Math.max(length, 0.03), 2.5), 3);
  }
  const without = { ...design, fillTube: null };
  expect(putVessel(without, STARTING_POINTS[3]!.design.vessel)).toHaveLength(1);
});

import fc from 'fast-check';
import { SOLD, type Sold } from '../catalog';
import {
  airCeiling,
  applyPatch,
  baseOf,
  BASES,
  inInches,
  measuredIn,
  planterDesignSchema,
  standsOnFloor,
  STARTING_POINTS,
  USUAL_CUP,
  type BaseId,
  type SupportDesign,
  type PlanterDesign,
} from '../document';
import { anyDesign } from '../testing/designs';
import { assemble, changeBase, contradictions } from '.';

const design = STARTING_POINTS[0]!.design;
const plain = STARTING_POINTS.filter(({ design: from }) => from.bed === null);
const bases = Object.keys(BASES) as BaseId[];
const based = (from: PlanterDesign, base: BaseId) => applyPatch(from, changeBase(from, base));

test.each(bases)('a base of %s is a design that can exist', (base) => {
  for (const { id, design: from } of plain) {
    const changed = based(from, base);
    if (base !== 'stone') expect([id, baseOf(changed)]).toEqual([id, base]);
    expect(airCeiling(changed)).toBeCloseTo(airCeiling(from), 12);
    expect(planterDesignSchema.safeParse(changed).error?.issues).toBeUndefined();
    const curved = from.vessel.kind === 'lying' && standsOnFloor(base);
    expect([id, contradictions(changed).length > 0]).toEqual([id, curved]);
  }
});

/** Sizes of a part that somebody has to buy, or null where it is cut as one likes. */
function soldFor(part: SupportDesign, sold: Sold): readonly number[] | null {
  switch (part.kind) {
    case 'ring':
      return sold.ring;
    case 'lying':
      return sold.drain;
    case 'crates':
      return sold.crate.map(([length]) => length);
    case 'standing':
      return sold[part.what as 'tub' | 'pipe' | 'pot' | 'bottle'];
    default:
      return null;
  }
}

describe.each(['metric', 'us'] as const)('what it is made of, %s', (units) => {
  const from = (start: PlanterDesign) => (units === 'us' ? inInches(start) : start);

  test.each(bases)('%s: sizes are sold there, and no more asked for than stand', (base) => {
    for (const { id, design: start } of plain) {
      const changed = based(from(start), base);
      if (contradictions(changed).length > 0) continue;
      const [part] = changed.reservoir.parts;
      if (!part) continue;
      const sizes = soldFor(part, SOLD[measuredIn(changed)]);
      const size =
        'length' in part && part.kind === 'crates'
          ? part.length
          : 'diameter' in part && part.diameter;
      if (sizes) expect([id, sizes]).toEqual([id, expect.arrayContaining([size])]);
      const group = assemble(changed).partGroups.find(({ kind }) => kind === part.kind)!;
      if (group.parts.length > 0) expect([id, group.parts.length]).toEqual([id, group.wanted]);
    }
  });
});

test('crates are of the size that leaves least of the floor open, and higher than the base', () => {
  const tote = STARTING_POINTS.find(({ id }) => id === 'tote-pipes')!.design;
  const [crates] = based(tote, 'crates').reservoir.parts;
  if (crates?.kind !== 'crates') throw new Error('no crates');
  const floor = 0.6 * 0.4;
  expect(crates.count * crates.length * crates.width).toBeGreaterThan(0.3 * floor);
  expect(crates.height).toBeGreaterThanOrEqual(tote.reservoir.top);
});

test('crates that go into nothing are one, of the smallest', () => {
  const [crates] = based(STARTING_POINTS.find(({ id }) => id === 'bottle-pail')!.design, 'crates')
    .reservoir.parts;
  expect(crates).toMatchObject({ kind: 'crates', count: 1, length: 0.25 });
});

test('a pipe that cannot be bent in so small a vessel is the thinnest there is', () => {
  const [loop] = based(design, 'loop').reservoir.parts;
  expect(loop).toMatchObject({ kind: 'lying', lay: 'loop', diameter: SOLD.metric.drain[0] });
  expect(assemble(based(design, 'loop')).of('lying')[0]?.parts).toHaveLength(0);
});

test('bottles in mix take the cups out and leave the cloth', () => {
  const both = { ...design, wicks: [...design.wicks, USUAL_CUP] };
  expect(based(both, 'bottles').wicks.map((wick) => wick.kind)).toEqual(['cloth']);
});

test('the base of any design can be changed to any other', () => {
  fc.assert(
    fc.property(anyDesign, fc.constantFrom(...bases), (any, base) => {
      expect(planterDesignSchema.safeParse(based(any, base)).success).toBe(true);
    }),
  );
});

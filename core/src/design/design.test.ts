import { CROPS, MEDIA, METRIC_BITS, bitFor, PIPES, ROUND_VESSELS } from '../catalog';
import { contradictions } from '../planter';
import { anyDesign } from '../testing/designs';
import fc from 'fast-check';
import {
  airCeiling,
  applyPatch,
  BUILDS,
  buildOf,
  changeBuild,
  FIELDS,
  planterDesignSchema,
  STARTING_POINTS,
  type BuildId,
} from '.';

const design = STARTING_POINTS[0]!.design;

describe('patches', () => {
  test('change one thing, share the rest, and leave the design as it was', () => {
    const frozen = JSON.parse(JSON.stringify(design)) as object;
    const changed = applyPatch(design, [{ path: ['wicks', 0, 'legs'], value: 7 }]);
    expect(design).toEqual(frozen);
    expect(changed.wicks[0]).toMatchObject({ legs: 7 });
    expect(changed.vessel).toBe(design.vessel);
    expect(changed.wicks).not.toBe(design.wicks);
  });

  test('follow one another in order', () => {
    const changed = applyPatch(design, [
      { path: ['overflow'], value: null },
      { path: ['overflow'], value: { ...design.overflow!, count: 3 } },
    ]);
    expect(changed.overflow?.count).toBe(3);
  });

  test('that lead nowhere are bugs and say so', () => {
    const without = { ...design, overflow: null };
    expect(() => applyPatch(without, [{ path: ['overflow', 'count'], value: 2 }])).toThrow(
      'through ‘count’',
    );
  });
});

describe('changing the build', () => {
  test.each(Object.keys(BUILDS) as BuildId[])('to %s gives a design that can exist', (build) => {
    for (const { design: from } of STARTING_POINTS) {
      const changed = applyPatch(from, changeBuild(from, build));
      expect(buildOf(changed)).toBe(build);
      expect(contradictions(changed)).toEqual([]);
      expect(planterDesignSchema.safeParse(changed).success).toBe(true);
      expect(airCeiling(changed.reservoir)).toBeCloseTo(airCeiling(from.reservoir), 12);
    }
  });

  test('to bottles takes the cups out and leaves the cloth', () => {
    const both = {
      ...design,
      wicks: [...design.wicks, { kind: 'cup' as const, count: 1, diameter: 0.08, foot: 0 }],
    };
    const changed = applyPatch(both, changeBuild(both, 'bottles'));
    expect(changed.wicks.map((wick) => wick.kind)).toEqual(['cloth']);
  });

  test('of any design never throws', () => {
    fc.assert(
      fc.property(anyDesign, fc.constantFrom<BuildId>('ring', 'tubs', 'bottles'), (any, build) => {
        expect(buildOf(applyPatch(any, changeBuild(any, build)))).toBe(build);
      }),
    );
  });
});

describe('the schema', () => {
  const issues = (patch: object) =>
    planterDesignSchema.safeParse({ ...design, ...patch }).error?.issues.map((i) => i.path.join());

  test.each<[string, object, string]>([
    ['a negative depth', { vessel: { ...design.vessel, depth: -1 } }, 'vessel,depth'],
    ['half a hole', { overflow: { ...design.overflow, count: 1.5 } }, 'overflow,count'],
    ['an unknown crop', { planting: { ...design.planting, crop: 'triffid' } }, 'planting,crop'],
    ['a nameless planter', { name: '   ' }, 'name'],
    ['too many wicks', { wicks: Array(7).fill(design.wicks[0]) }, 'wicks'],
    ['a missing part', { soil: undefined }, 'soil'],
    ['not a number', { place: { ...design.place, slope: NaN } }, 'place,slope'],
    ['an infinite load', { place: { ...design.place, liftLimit: Infinity } }, 'place,liftLimit'],
  ])('refuses %s', (_name, patch, path) => expect(issues(patch)).toContain(path));

  test('every field’s range is the right way round and named', () => {
    for (const group of Object.values(FIELDS)) {
      for (const { label, min, max } of Object.values(group)) {
        expect(min).toBeLessThan(max);
        expect(label).toMatch(/^[A-Z]/);
      }
    }
  });
});

describe('the catalogue', () => {
  test('pipes are thicker outside than in, and no inch name is its outside diameter', () => {
    for (const pipe of Object.values(PIPES)) expect(pipe.outside).toBeGreaterThan(pipe.inside);
    expect(PIPES['in-1.5'].outside / 0.0254).toBeCloseTo(1.9, 12);
    expect(PIPES['mm-32'].outside).toBe(0.032);
  });

  test('a bit is found that the pipe goes through', () => {
    expect(bitFor(0.033, METRIC_BITS)).toBe(0.035);
    expect(bitFor(0.035, METRIC_BITS)).toBe(0.035);
    expect(bitFor(0.5, METRIC_BITS)).toBe(0.5);
    expect([...METRIC_BITS].sort((a, b) => a - b)).toEqual(METRIC_BITS);
  });

  test('mixes hold less when dry than wet, and crops’ numbers are a garden’s', () => {
    for (const mix of Object.values(MEDIA)) {
      expect(mix.thetaR).toBeLessThan(mix.thetaS);
      expect(mix.thetaS).toBeLessThan(1);
      expect(mix.n).toBeGreaterThan(1);
    }
    for (const crop of Object.values(CROPS)) {
      expect(crop.kc).toBeGreaterThan(0.5);
      expect(crop.kc).toBeLessThan(1.3);
      expect(crop.roots).toBeLessThan(0.4);
    }
  });

  test('vessels hold about what their name says', () => {
    for (const { name, topDiameter: D, bottomDiameter: d, depth } of Object.values(ROUND_VESSELS)) {
      const litres = ((Math.PI * depth) / 12) * (D * D + D * d + d * d) * 1000;
      const named = Number(/(\d+) L/.exec(name)![1]);
      expect(litres / named).toBeGreaterThan(1);
      expect(litres / named).toBeLessThan(1.2);
    }
  });
});

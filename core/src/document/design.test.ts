import { AGGREGATES, MIXES, METRIC_BITS, bitFor, PIPES, SOLD } from '../catalog';
import { asVersion1, asVersion2, asVersion3, asVersion4, asVersion5 } from '../testing/earlier';
import {
  applyPatch,
  baseChanges,
  baseOf,
  BASES,
  FIELDS,
  migrate,
  SUPPORT_KINDS,
  partsToAdd,
  planterDesignSchema,
  STARTING_POINTS,
  type BaseId,
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
    expect(changed.overflow).toMatchObject({ count: 3 });
  });

  test('that lead nowhere are bugs and say so', () => {
    const without = { ...design, overflow: null };
    expect(() => applyPatch(without, [{ path: ['overflow', 'count'], value: 2 }])).toThrow(
      'through ‘count’',
    );
  });
});

describe('a document of version 1', () => {
  const old = (reservoir: object) => asVersion1(design, reservoir);
  // Version 3 let two legs through a hole and joined tubes by elbows.
  const asItWas = {
    ...design,
    wicks: design.wicks.map((wick) => ({ ...wick, holes: 2 })),
    fillTube: { ...design.fillTube!, joint: 'elbow' },
  };

  test('with a platform on a ring becomes what it was', () => {
    const ring = { kind: 'ring', diameter: 0.16, wall: 0.0047, vents: 'both' };
    const before = old({ kind: 'platform', underside: 0.1, thickness: 0.003, supports: ring });
    const now = planterDesignSchema.parse(migrate(before));
    expect({ ...now, planting: design.planting }).toEqual(asItWas);
  });

  test('on bottles becomes bottles in mix', () => {
    const bottles = { count: 5, diameter: 0.065, height: 0.12, wall: 0.0004, vents: 'both' };
    const now = planterDesignSchema.parse(migrate(old({ kind: 'bottles', ...bottles })));
    expect(baseOf(now)).toBe('bottles');
    expect(now.reservoir).toEqual({
      ...STARTING_POINTS[2]!.design.reservoir,
      top: 0.12,
      thickness: 0.003,
    });
  });
});

test('a document of version 2 keeps its mix', () => {
  const now = planterDesignSchema.parse(migrate(asVersion2(design)));
  expect(now.soil).toEqual(design.soil);
});

test('a document of version 5 says how long its feed lasts, by what it is', () => {
  const fed = (feed: 'liquid' | 'none' | 'in-mix', feedLasts: number) => ({
    ...design,
    soil: { ...design.soil, feed, feedLasts },
  });
  for (const now of [fed('liquid', 14), fed('in-mix', 60), fed('none', 0)])
    expect(planterDesignSchema.parse(migrate(asVersion5(now)))).toEqual(now);
});

test.each(STARTING_POINTS.map((point) => [point.id, point.design] as const))(
  'a document of version 4 of %s, with its one crop, is the same one now',
  (_id, now) => {
    expect(planterDesignSchema.parse(migrate(asVersion4(now)))).toEqual(now);
  },
);

test.each(STARTING_POINTS.map((point) => [point.id, point.design] as const))(
  'a document of version 3 of %s keeps its measures and its layers',
  (_id, now) => {
    const migrated = planterDesignSchema.parse(migrate(asVersion3(now)));
    expect(migrated.vessel).toMatchObject({
      ...now.vessel,
      drainHole: 'none',
      sawing: 'none',
      bungs: 0,
    });
    expect(migrated.reservoir.top).toBe(now.reservoir.top);
    expect(migrated.layers.filter(({ what }) => what !== 'straw')).toHaveLength(
      now.layers.filter(({ what }) => what !== 'straw').length,
    );
    expect(migrated.wicks.map(({ kind }) => kind)).toEqual(now.wicks.map(({ kind }) => kind));
  },
);

describe('the schema', () => {
  const issues = (patch: object) =>
    planterDesignSchema.safeParse({ ...design, ...patch }).error?.issues.map((i) => i.path.join());

  test.each<[string, object, string]>([
    ['a negative depth', { vessel: { ...design.vessel, depth: -1 } }, 'vessel,depth'],
    ['half a hole', { overflow: { ...design.overflow, count: 1.5 } }, 'overflow,count'],
    [
      'an unknown crop',
      { planting: { crops: [{ ...design.planting.crops[0], crop: 'triffid' }] } },
      'planting,crops,0,crop',
    ],
    ['a nameless planter', { name: '   ' }, 'name'],
    ['too many wicks', { wicks: Array(7).fill(design.wicks[0]) }, 'wicks'],
    [
      'a mix of nothing',
      { soil: { ...design.soil, recipe: { parts: [], measured: null } } },
      'soil,recipe,parts',
    ],
    ['a missing part', { soil: undefined }, 'soil'],
    ['not a number', { place: { ...design.place, slopeAcross: NaN } }, 'place,slopeAcross'],
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

  test('mixes hold less when dry than wet', () => {
    for (const mix of Object.values(MIXES)) {
      expect(mix.thetaR).toBeLessThan(mix.thetaS);
      expect(mix.thetaS).toBeLessThan(1);
      expect(mix.n).toBeGreaterThan(1);
    }
  });

  test('stone and sand hold less than they look, and only stone lifts little', () => {
    for (const { thetaR, thetaS, reach, grain } of Object.values(AGGREGATES)) {
      expect(thetaR).toBeLessThan(thetaS);
      expect(thetaS).toBeLessThan(0.6);
      // Sand as far as its grains say (Lohman 1972), stone and chip hardly.
      if (grain === 'sand') expect([0.065, 0.135, 0.246, 0.428, 1.055]).toContain(reach);
      else expect(reach).toBeLessThan(0.1);
    }
  });
});

describe('every kind of support', () => {
  test.each(SUPPORT_KINDS)('%s is the base of something that people build', (kind) => {
    const from = STARTING_POINTS.find(({ id }) => id === 'cut-barrel')?.design ?? design;
    const kinds = Object.keys(BASES).map(
      (base) => applyPatch(from, baseChanges(from, base as BaseId)[0]!).reservoir.parts[0]?.kind,
    );
    expect(kinds).toContain(kind);
  });

  test.each([...partsToAdd(SOLD.metric), ...partsToAdd(SOLD.us)])(
    '%s can be added to a base and are what they were',
    (_label, part) => {
      const { reservoir } = design;
      const more = { ...design, reservoir: { ...reservoir, parts: [...reservoir.parts, part] } };
      const read = planterDesignSchema.parse(JSON.parse(JSON.stringify(more)));
      expect(read.reservoir.parts.at(-1)).toEqual(part);
      expect(SUPPORT_KINDS).toContain(part.kind);
    },
  );
});

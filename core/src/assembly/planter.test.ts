import fc from 'fast-check';
import {
  applyPatch,
  invertOf,
  migrate,
  planterDesignSchema,
  planterJsonSchema,
  STARTING_POINTS,
  DESIGN_VERSION,
} from '../document';
import { tell } from '../units';
import { anyDesign } from '../testing/designs';
import {
  contradictions,
  levelsOf,
  moveLevel,
  pour,
  readPlanterFile,
  assemble,
  writePlanterFile,
} from '.';

const design = STARTING_POINTS[0]!.design;
const overflow = design.overflow as Extract<typeof design.overflow, { kind: 'hole' }>;

test('the overflow’s invert is its centre less its radius', () => {
  const marked = { ...design, overflow: { ...overflow, centre: 0.126, diameter: 0.016 } };
  expect(invertOf(marked)).toBeCloseTo(0.118, 15);
  expect(assemble(design).heights.invert).toBe(overflow.centre - overflow.diameter / 2);
});

describe('pouring', () => {
  const planter = assemble(design);
  const full = planter.storage.volumeBelow(planter.heights.brim);

  test('rises to the lip, then runs out of it', () => {
    expect(pour(planter, full / 2).level).toBeLessThan(planter.heights.brim);
    const over = pour(planter, full + 0.002);
    expect(over.level).toBeCloseTo(planter.heights.invert!, 12);
    expect(over.lost).toBeCloseTo(0.002, 12);
    expect(over).toMatchObject({ over: 'overflow', floods: false });
  });

  test('without an overflow it floods the soil and at last the rim', () => {
    const closed = assemble({ ...design, overflow: null });
    expect(pour(closed, full * 2)).toMatchObject({ over: null, floods: true });
    expect(pour(closed, 0.1)).toMatchObject({ over: 'rim', level: 0.368 });
  });
});

describe('contradictions', () => {
  const after = (path: (string | number)[], value: unknown) =>
    contradictions(applyPatch(design, [{ path, value }])).map((c) => tell(c.message, 'metric'));

  test.each([
    [['reservoir', 'top'], 0.36, 'leaves no room for soil'],
    [['overflow', 'centre'], 0.003, 'would cut through the floor'],
    [['overflow', 'centre'], 0.366, 'would cut through the rim'],
    [['reservoir', 'parts', 0, 'diameter'], 0.3, 'cannot stand in a vessel'],
    [['reservoir', 'parts', 0, 'wall'], 0.05, ''],
    [['wicks', 0, 'foot'], 0.2, 'not below the soil'],
    [['fillTube', 'pipe'], 'mm-160', 'more than half of a floor'],
    [['wicks', 0, 'strip'], { hour: 0.1, day: 0.05 }, 'after a day than after an hour'],
    [['soil', 'freeboard'], 0.3, 'leaves no room for soil'],
  ] as const)('%j = %j', (path, value, sentence) => {
    const found = after([...path], value);
    if (sentence === '') expect(found).toEqual([]);
    else expect(found.join()).toContain(sentence);
  });

  test('a line that is moved anywhere never contradicts anything', () => {
    fc.assert(
      fc.property(anyDesign, fc.double({ min: -0.5, max: 2, noNaN: true }), (any, height) => {
        const planter = assemble(any);
        for (const { id, min, max } of levelsOf(planter)) {
          expect(min).toBeLessThanOrEqual(max + 1e-9);
          const moved = applyPatch(any, moveLevel(planter, id, height));
          expect(contradictions(moved).map((c) => tell(c.message, 'metric'))).toEqual([]);
          expect(planterDesignSchema.safeParse(moved).error?.issues).toBeUndefined();
        }
      }),
    );
  });
});

describe('planter files', () => {
  test('any design comes back as it went', () => {
    fc.assert(
      fc.property(anyDesign, (any) => {
        const reading = readPlanterFile(writePlanterFile(any));
        expect(reading.ok && reading.design).toEqual(any);
      }),
    );
  });

  const text = (change: object) => JSON.stringify({ ...design, ...change });
  test.each([
    ['{"format": "huerta.pl', 'breaks off'],
    ['[1, 2]', 'not from Huerta'],
    ['{"format": "song", "version": 1}', 'not from Huerta'],
    [text({ version: 99 }), 'later Huerta (file version 99'],
    [text({ vessel: { ...design.vessel, depth: 'deep' } }), 'damaged at ‘vessel, depth’'],
    [text({ overflow: { ...overflow, centre: 1 } }), 'cannot exist as written'],
    [text({ colour: 'red' }), 'damaged at'],
  ])('%# is refused with a reason', (file, reason) => {
    const reading = readPlanterFile(file);
    expect(reading.ok ? '' : reading.message).toContain(reason);
  });

  test('old documents are brought up step by step', () => {
    const steps = {
      1: (d: object) => ({ ...d, b: 1 }),
      2: (d: object) => ({ ...d, c: 2 }),
    };
    expect(migrate({ version: 1, a: 0 }, steps, 3)).toEqual({ version: 3, a: 0, b: 1, c: 2 });
    expect(() => migrate({ version: 1 }, {}, 2)).toThrow('No migration from design version 1');
    expect(migrate({ ...design }).version).toBe(DESIGN_VERSION);
  });

  test('the schema is published as JSON Schema with units', () => {
    const schema = JSON.stringify(planterJsonSchema());
    expect(schema).toContain('Inside depth (m)');
    expect(schema).toContain('huerta.planter');
  });
});

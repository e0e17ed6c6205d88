import fc from 'fast-check';
import { INCH_BITS, METRIC_BITS, PIPE_IDS, PIPES } from '../catalog';
import { INCH } from '../units';
import {
  applyPatch,
  BASES,
  baseChanges,
  baseStyle,
  cupOf,
  platformHeight,
  invertOf,
  lipBelowMark,
  lipHeight,
  measuredIn,
  soilBaseHeight,
  STARTING_POINTS,
  usualFor,
  usualIn,
  type BaseId,
  type OverflowDesign,
} from '.';
import { holeForPipe, USUAL_AIR_GAP, usualOverflow, usualTube, usualTubeLength } from './defaults';

const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('an overflow as it is usually drilled', () => {
  const bits = fc.constantFrom(...METRIC_BITS.filter((bit) => bit <= 0.04));

  test('leaves 20 mm of air under the platform, and is marked half a hole above its lip', () => {
    const hole = usualOverflow(0.1);
    expect(hole).toMatchObject({ kind: 'hole', diameter: 0.012, count: 1, screened: true });
    expect(hole.centre).toBeCloseTo(0.086, 12);
    expect(lipHeight(hole)).toBeCloseTo(0.1 - USUAL_AIR_GAP, 12);
  });

  test('whatever the base and the bit: on a mark of the rule, with air, and whole under the base', () => {
    fc.assert(
      fc.property(length(0.06, 0.6), bits, fc.constantFrom(0.001, INCH / 16), (top, bit, mark) => {
        const { centre, diameter } = usualOverflow(top, bit, mark);
        expect(Math.abs(centre / mark - Math.round(centre / mark))).toBeLessThan(1e-6);
        const lip = centre - diameter / 2;
        expect(lip).toBeGreaterThanOrEqual(top / 2 - mark - 1e-9);
        if (top > 2 * (bit + 0.004)) expect(centre + diameter / 2).toBeLessThan(top);
        expect(top - lip).toBeGreaterThanOrEqual(Math.min(USUAL_AIR_GAP, top / 2) - 1e-9);
      }),
    );
  });
});

describe('a fill tube as it is usually cut', () => {
  test('reaches from the floor to a hand over the rim, to the next whole millimetre', () => {
    expect(usualTubeLength(0.368)).toBeCloseTo(0.468, 12);
    expect(usualTubeLength(0.3681)).toBeCloseTo(0.469, 12);
    expect(usualTube(0.368)).toMatchObject({ pipe: 'mm-32', foot: 'bevel', cap: 'cap', at: null });
  });

  test.each(PIPE_IDS)('the hole for %s is of a bit that its outside goes through', (pipe) => {
    const hole = holeForPipe(pipe);
    const { outside, family } = PIPES[pipe];
    const bits = family === 'inch' ? INCH_BITS : METRIC_BITS;
    const largest = Math.max(...bits);
    if (outside + 0.001 > largest) return;
    expect(bits).toContain(hole);
    expect(hole).toBeGreaterThan(outside);
    // The next smaller bit would grip it.
    const smaller = bits.filter((bit) => bit < hole - 1e-9).at(-1) ?? 0;
    expect(smaller).toBeLessThan(outside + 0.001);
  });
});

describe('a cup as it is usually bought', () => {
  test('tapers to four fifths and hangs by a rim of 8 mm', () => {
    expect(cupOf(0.08)).toMatchObject({ diameter: 0.08, bottom: 0.064, rim: 0.096, foot: 0 });
    expect(cupOf(0.11, 3)).toMatchObject({ count: 3, bottom: 0.088, rim: 0.126 });
  });
});

describe('where one measures in inches', () => {
  test('bits, cups, tubes and holes are inch ones, on marks of a sixteenth', () => {
    const { bits, cup, largeCup, tube, hole } = usualIn('us');
    expect(bits).toBe(INCH_BITS);
    expect(cup / INCH).toBeCloseTo(3, 12);
    expect(largeCup / INCH).toBeCloseTo(4, 12);
    const { length: long, pipe } = tube(0.368);
    expect(PIPES[pipe].family).toBe('inch');
    expect((long / INCH) * 4).toBeCloseTo(Math.round((long / INCH) * 4), 9);
    expect(long).toBeGreaterThanOrEqual(0.468);
    const { centre, diameter } = hole(0.1, 0.013);
    expect(INCH_BITS).toContain(diameter);
    expect(diameter).toBeGreaterThanOrEqual(0.013);
    expect((centre / INCH) * 16).toBeCloseTo(Math.round((centre / INCH) * 16), 6);
  });

  test('a planter is measured as its tube is bought, or else as its vessel was', () => {
    const { design } = STARTING_POINTS[0]!;
    expect(measuredIn(design)).toBe('metric');
    const inch = { ...design, fillTube: { ...design.fillTube!, pipe: 'in-1' as const } };
    expect(measuredIn(inch)).toBe('us');
    expect(usualFor(inch)).toBe(usualIn('us'));
    const bare = (depth: number, width: number) =>
      measuredIn({
        ...design,
        fillTube: null,
        vessel: { ...design.vessel, depth, topDiameter: width, bottomDiameter: width } as never,
      });
    expect(bare(14.5 * INCH, 12 * INCH)).toBe('us');
    expect(bare(0.368, 0.305)).toBe('metric');
  });
});

describe('heights that follow from a design', () => {
  test('the lip is the mark less half the hole, and for an elbow turned up what that adds', () => {
    const of = (overflow: OverflowDesign | null) =>
      invertOf({ ...STARTING_POINTS[0]!.design, overflow });
    const hole = {
      kind: 'hole',
      centre: 0.1,
      diameter: 0.02,
      count: 1,
      bearing: 0,
      screened: true,
    } as const;
    expect(of(hole)).toBeCloseTo(0.09, 12);
    expect(of(null)).toBeNull();
    const fitting = STARTING_POINTS.map(({ design }) => design.overflow).find(
      (one) => one?.kind === 'fitting',
    )!;
    if (fitting.kind !== 'fitting') throw new Error('no fitting');
    const up = { ...fitting, centre: 0.1, bore: 0.02, rise: 0.03 };
    expect(of(up)).toBeCloseTo(0.1 - 0.01 + 0.03, 12);
    expect(lipBelowMark(up)).toBeCloseTo(-0.02, 12);
  });

  test.each(Object.keys(BASES) as BaseId[])('soil stands on %s, or in it', (base) => {
    for (const { id, design } of STARTING_POINTS) {
      if (design.bed) continue;
      const changed = applyPatch(design, baseChanges(design, base)[0]!);
      const { reservoir } = changed;
      const deck = platformHeight(reservoir) - reservoir.top;
      expect([id, deck]).toEqual([
        id,
        reservoir.cover === 'platform' ? expect.closeTo(reservoir.thickness, 12) : 0,
      ]);
      expect(soilBaseHeight(changed)).toBeGreaterThanOrEqual(platformHeight(reservoir));
      const full = reservoir.fill.some(({ upTo }) => upTo >= 1);
      expect([id, baseStyle(changed)]).toEqual([
        id,
        reservoir.cover === 'none' && full ? 'fill' : 'gap',
      ]);
    }
  });
});

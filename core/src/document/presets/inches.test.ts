import { INCH_BITS, PIPES, VESSEL_IDS } from '../../catalog';
import { evaluate } from '../../assessment';
import { vesselContradictions, contradictions } from '../../assembly';
import {
  depthOf,
  measuredIn,
  planterDesignSchema,
  STARTING_POINTS,
  usualFor,
  usualIn,
  vesselFrom,
} from '..';
import { inInches, vesselIn } from '.';

/** Whoever measures in inches begins with what can be measured and bought there. */

const INCH = 0.0254;
const onA = (part: number) => (metres: number) =>
  Math.abs((metres / INCH) * part - Math.round((metres / INCH) * part)) < 1e-6;
const serious = (severity: string) => severity === 'danger' || severity === 'fault';

describe.each(STARTING_POINTS.map((point) => [point.id, point] as const))(
  '%s in inches',
  (_id, { design }) => {
    const us = inInches(design);
    const [before, after] = [evaluate(design).assessment, evaluate(us).assessment];

    test('can be built, and finds nothing serious that it did not find in millimetres', () => {
      expect(planterDesignSchema.parse(us)).toEqual(us);
      expect(contradictions(us)).toEqual([]);
      const known = before.findings.map(({ id }) => id);
      const fresh = after.findings.filter(
        ({ id, severity }) => serious(severity) && !known.includes(id),
      );
      expect(fresh.map(({ id }) => id)).toEqual([]);
      const { usable } = before.figures;
      expect(Math.abs(after.figures.usable - usable)).toBeLessThanOrEqual(0.12 * usable);
    });

    test('takes inch pipe, bits on sale and marks of a rule', () => {
      expect(onA(8)(us.reservoir.top)).toBe(true);
      expect(onA(8)(us.soil.freeboard)).toBe(true);
      const { overflow, fillTube } = us;
      if (overflow && 'centre' in overflow) expect(onA(16)(overflow.centre)).toBe(true);
      if (overflow?.kind === 'hole') expect(INCH_BITS).toContain(overflow.diameter);
      if (fillTube) {
        expect(PIPES[fillTube.pipe].family).toBe('inch');
        expect(fillTube.hole).toBeGreaterThan(PIPES[fillTube.pipe].outside);
        expect(onA(4)(fillTube.length)).toBe(true);
      }
      if (fillTube || design.vessel.kind !== 'stations') expect(measuredIn(us)).toBe('us');
      expect(measuredIn(design)).toBe('metric');
    });

    test('what is sawn from rigid pipe is of a pipe on sale, so that elbows and tees fit', () => {
      const outsides: number[] = Object.values(PIPES).map(({ outside }) => outside);
      for (const part of us.reservoir.parts) {
        if (part.kind === 'ring' && part.cutEnd) continue;
        const sawn =
          part.kind === 'ring' ||
          (part.kind === 'standing' && part.what === 'pipe') ||
          (part.kind === 'lying' && part.stiff);
        if (sawn && 'diameter' in part) expect(outsides).toContain(part.diameter);
      }
      const stiff = us.reservoir.parts.find((part) => part.kind === 'lying' && part.stiff);
      if (stiff?.kind === 'lying' && us.fillTube?.joint === 'tee') {
        expect(PIPES[us.fillTube.pipe].outside).toBe(stiff.diameter);
      }
    });

    test('in inches already it stays as it is', () => {
      expect(inInches(us)).toEqual(us);
    });
  },
);

test('usual vessels can be had in either system, nearly as large', () => {
  for (const id of VESSEL_IDS) {
    expect(vesselIn(id, 'metric')).toEqual(vesselFrom(id));
    const us = vesselIn(id, 'us');
    expect([id, vesselContradictions(us)]).toEqual([id, []]);
    expect(Math.abs(depthOf(us) - depthOf(vesselFrom(id)))).toBeLessThanOrEqual(INCH / 8);
  }
});

test('what is usual follows what a planter is measured in', () => {
  const { design } = STARTING_POINTS.find(({ id }) => id === 'blank')!;
  expect(usualFor(design)).toBe(usualIn('metric'));
  const us = inInches(design);
  expect(usualFor(us)).toBe(usualIn('us'));
  const hole = usualFor(us).hole(us.reservoir.top);
  expect(INCH_BITS).toContain(hole.diameter);
  expect(onA(16)(hole.centre)).toBe(true);
  const tube = usualFor(us).tube(0.368);
  expect(PIPES[tube.pipe].name).toBe('1 in pipe');
  expect(tube.length).toBeGreaterThanOrEqual(usualIn('metric').tube(0.368).length);
});

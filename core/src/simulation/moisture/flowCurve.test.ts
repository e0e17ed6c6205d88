import fc from 'fast-check';
import { STARTING_POINTS } from '../../document';
import { assemble } from '../../assembly';
import { SUCTIONS } from '../../physics/wick';
import { flowCurve } from './flowCurve';

/** A wick's flow in a table, beside the flow itself. */

const two = new Float64Array(2);
const points = STARTING_POINTS.filter(({ id }) => id !== 'blank');

test.each(points.map(({ id }) => id))('%s: the table is its wicks’ flow', (id) => {
  const { wicks, heights } = assemble(points.find((one) => one.id === id)!.design);
  for (const wick of wicks) {
    for (const share of [1, 0.5, 0.15]) {
      const level = share * heights.brim;
      const curve = flowCurve((s) => wick.flowAt(level, s));
      const most = Math.max(...SUCTIONS.map((s) => Math.abs(wick.flowAt(level, s))), 1e-12);
      for (const suction of SUCTIONS) {
        curve(suction, two);
        expect(Math.abs(two[0]! - wick.flowAt(level, suction))).toBeLessThan(1e-4 * most);
      }
    }
  }
});

test('between its entries it is straight, its slope that line’s, and nothing jumps', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.011, max: 9.9, noNaN: true }),
      fc.double({ min: 0.1, max: 5, noNaN: true }),
      (suction, steep) => {
        const curve = flowCurve((s) => 1e-6 * Math.tanh(steep * s));
        curve(suction, two);
        const [flow, slope] = [two[0]!, two[1]!];
        const by = 1e-7;
        curve(suction + by, two);
        expect(two[0]! - flow).toBeGreaterThanOrEqual(-1e-20);
        expect(Math.abs(two[0]! - flow)).toBeLessThan(1e-5);
        // Unless an entry lies just there.
        if (!SUCTIONS.some((s) => Math.abs(s - suction) < 2 * by))
          expect(two[0]!).toBeCloseTo(flow + slope * by, 15);
      },
    ),
  );
});

import fc from 'fast-check';
import { flowUnder, headLoss, secondsToFollow, valveFlow, type Hose } from '.';

const hose = fc.record({
  length: fc.double({ min: 0.1, max: 50, noNaN: true }),
  bore: fc.double({ min: 0.006, max: 0.05, noNaN: true }),
});
const g = 9.80665;
const nu = 1.004e-6;

test('in layers it is Hagen and Poiseuille’s law, with what is lost at both ends', () => {
  const one: Hose = { length: 5, bore: 0.013 };
  const flow = 10e-3 / 3600;
  const speed = flow / ((Math.PI / 4) * one.bore ** 2);
  expect((speed * one.bore) / nu).toBeLessThan(2000);
  const poiseuille = (128 * nu * one.length * flow) / (Math.PI * g * one.bore ** 4);
  expect(headLoss(flow, one)).toBeCloseTo(poiseuille + (1.5 * speed ** 2) / (2 * g), 12);
});

test('turbulent it is within 3 percent of Colebrook and White’s implicit factor', () => {
  for (const [flow, bore] of [
    [0.2e-3, 0.016],
    [0.5e-3, 0.019],
    [1e-3, 0.025],
  ] as const) {
    const speed = flow / ((Math.PI / 4) * bore ** 2);
    const re = (speed * bore) / nu;
    let f = 0.02;
    for (let i = 0; i < 50; i += 1)
      f = (-2 * Math.log10(1.5e-6 / bore / 3.7 + 2.51 / (re * Math.sqrt(f)))) ** -2;
    const expected = ((f * 20) / bore + 1.5) * (speed ** 2 / (2 * g));
    expect(headLoss(flow, { length: 20, bore }) / expected).toBeGreaterThan(0.97);
    expect(headLoss(flow, { length: 20, bore }) / expected).toBeLessThan(1.03);
  }
});

test('a flow takes the head that drives it, and more of the one goes with more of the other', () => {
  fc.assert(
    fc.property(hose, fc.double({ min: 1e-4, max: 3, noNaN: true }), (one, head) => {
      const flow = flowUnder(head, one);
      expect(headLoss(flow, one)).toBeCloseTo(head, 6);
      expect(flowUnder(1.1 * head, one)).toBeGreaterThan(flow);
      expect(flowUnder(head, { ...one, length: one.length * 1.2 })).toBeLessThan(flow);
    }),
  );
});

test('two tanks through a thin hose come together as the closed form says', () => {
  // Narrow and long: what is lost at the ends is nothing beside it.
  const thin: Hose = { length: 20, bore: 0.006 };
  const [a, b] = [0.2, 0.05] as const;
  const tau = ((128 * nu * thin.length) / (Math.PI * g * thin.bore ** 4)) * ((a * b) / (a + b));
  const seconds = secondsToFollow(0.01, 0.001, [a, b], thin);
  expect(seconds / (tau * Math.log(10))).toBeGreaterThan(0.99);
  expect(seconds / (tau * Math.log(10))).toBeLessThan(1.01);
});

test('a valve lets in no more than its seat would alone, nor than its hose would', () => {
  fc.assert(
    fc.property(hose, fc.double({ min: 0.01, max: 3, noNaN: true }), (one, head) => {
      const flow = valveFlow(head, 0.006, one);
      const seat = 0.6 * (Math.PI / 4) * 0.006 ** 2 * Math.sqrt(2 * g * head);
      expect(flow).toBeLessThanOrEqual(seat * (1 + 1e-9));
      expect(flow).toBeLessThanOrEqual(flowUnder(head, one) * (1 + 1e-9));
      expect(flow).toBeGreaterThan(0);
    }),
  );
  expect(valveFlow(0, 0.006, { length: 1, bore: 0.013 })).toBe(0);
});

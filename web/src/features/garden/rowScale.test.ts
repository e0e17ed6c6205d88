import type { Section } from '@huerta/core/drawing';
import fc from 'fast-check';
import { rowScales } from './rowScale';

const drawn = (wide: number, high: number) =>
  ({ bounds: { left: -wide / 2, right: wide / 2, bottom: 0, top: high } }) as Section;

test('a row has one scale that fits all, told once; what would be tiny has its own, told over it', () => {
  const size = fc.double({ min: 0.1, max: 2.5, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(size, size), { minLength: 1, maxLength: 5 }), (sizes) => {
      const scales = rowScales(
        sizes.map(([wide, high]) => drawn(wide, high)),
        216,
      );
      const one = Math.min(...scales.map(({ scale }) => scale));
      scales.forEach(({ scale }, i) => {
        const [wide, high] = sizes[i]!;
        expect(wide * scale).toBeLessThanOrEqual(260);
        expect(high * scale).toBeLessThanOrEqual(216);
        // Large enough to be recognised.
        expect(Math.max((wide * scale) / 252, (high * scale) / 187)).toBeGreaterThan(0.29);
        if (scale > one) expect(scales[i]!.told).toBe(true);
      });
      expect(scales.filter(({ scale, told }) => scale === one && told)).toHaveLength(1);
    }),
  );
});

test('what is not there yet waits for the scale of the others', () => {
  const [first, second] = rowScales([null, drawn(0.4, 0.4)], 216);
  expect(first).toEqual({ scale: second!.scale, told: false });
  expect(second!.told).toBe(true);
});

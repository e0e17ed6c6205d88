import { MEDIA } from '../catalog';
import { conductivity } from '../soil';
import { clothDelivery, columnFlux, fromStripTest, jurinHeight, steadyRise } from '.';

describe('steady flow up a column', () => {
  const Ks = 1e-5;
  const alpha = 5;

  test.each([0.05, 0.1, 0.2, 0.4])(
    'Gardner’s soil, dry end: q = Ks/(e^(αL) − 1) rises exactly L = %d m',
    (L) => {
      const q = Ks / (Math.exp(alpha * L) - 1);
      const rise = steadyRise((h) => Ks * Math.exp(-alpha * h), q, 60);
      expect(Math.abs(rise / L - 1)).toBeLessThan(1e-3);
    },
  );

  test.each([0.3, 0.75, 1])('Gardner’s closed form to a suction of %d m', (H) => {
    const q = 2e-6;
    // ∫₀ᴴ dh/(1 + (q/Ks)e^(αh)) = H − ln[(1 + (q/Ks)e^(αH))/(1 + q/Ks)]/α
    const exact = H - Math.log((1 + (q / Ks) * Math.exp(alpha * H)) / (1 + q / Ks)) / alpha;
    const rise = steadyRise((h) => Ks * Math.exp(-alpha * h), q, H);
    expect(Math.abs(rise / exact - 1)).toBeLessThan(1e-5);
  });

  test.each(Object.values(MEDIA))('$name: the table agrees with the integral', (mix) => {
    for (const lift of [0.01, 0.04, 0.1, 0.2]) {
      const q = columnFlux(mix, lift, 0.75);
      const rise = steadyRise((h) => conductivity(mix, h), q, 0.75);
      expect(Math.abs(rise / lift - 1)).toBeLessThan(2e-3);
    }
  });

  test('delivery falls with lift and ends where suction would have to exceed the limit', () => {
    const mix = MEDIA['coir-perlite'];
    const lifts = [0.01, 0.05, 0.1, 0.2, 0.4, 0.7];
    const fluxes = lifts.map((lift) => columnFlux(mix, lift, 0.75));
    expect([...fluxes].sort((a, b) => b - a)).toEqual(fluxes);
    expect(columnFlux(mix, 0.76, 0.75)).toBe(0);
  });
});

describe('cloth', () => {
  const cloth = { reach: 0.18, K: 2e-4 };

  test('Darcy with a fixed capillary head, worked by hand', () => {
    // 2 legs of 50 × 2 mm, lift 80 mm, 60 mm spread: 2e-4·2e-4·0.1/0.11 m³/s
    expect(clothDelivery(cloth, 2e-4, 0.08, 0.06)).toBeCloseTo((2e-4 * 2e-4 * 0.1) / 0.11, 15);
    expect(clothDelivery(cloth, 2e-4, 0.18, 0.06)).toBe(0);
  });

  test('a strip test gives back the cloth it was made on', () => {
    // Green–Ampt wetting of a strip with K = 2e-5, H = 0.18, φ = 0.75, stepped for an hour.
    let h = 0.002;
    for (let t = 0; t < 3600; t += 0.02) h += ((2e-5 * (0.18 - h)) / h / 0.75) * 0.02;
    const measured = fromStripTest(h, 0.18, 0.75);
    expect(measured.reach).toBe(0.18);
    expect(Math.abs(measured.K / 2e-5 - 1)).toBeLessThan(0.01);
  });

  test('Jurin: a pore of 0.1 mm radius raises water 149 mm', () => {
    expect(jurinHeight(1e-4)).toBeCloseTo(0.1487, 3);
    expect(jurinHeight(1e-4, Math.PI / 3)).toBeCloseTo(0.1487 / 2, 3);
  });
});

import { AGGREGATES, CLOTHS, MIXES } from '../../catalog';
import { conductivity, waterContent } from '../soil';
import {
  clothDelivery,
  clothProperties,
  columnFlux,
  fromStripTest,
  jurinHeight,
  riser,
  steadyRise,
  stripHeight,
} from '.';

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

  test.each(Object.values(MIXES))('$name: the table agrees with the integral', (mix) => {
    for (const lift of [0.01, 0.04, 0.1, 0.2]) {
      const q = columnFlux(mix, lift, 0.75);
      const rise = steadyRise((h) => conductivity(mix, h), q, 0.75);
      expect(Math.abs(rise / lift - 1)).toBeLessThan(2e-3);
    }
  });

  test('delivery falls with lift and ends where suction would have to exceed the limit', () => {
    const mix = MIXES['coir-perlite'];
    const lifts = [0.01, 0.05, 0.1, 0.2, 0.4, 0.7];
    const fluxes = lifts.map((lift) => columnFlux(mix, lift, 0.75));
    expect([...fluxes].sort((a, b) => b - a)).toEqual(fluxes);
    expect(columnFlux(mix, 0.76, 0.75)).toBe(0);
  });
});

describe('cloth', () => {
  const cloth = { reach: 0.18, K: 2e-4 };

  test('Darcy with a fixed capillary head, worked by hand', () => {
    // 2 legs of 50 × 2 mm, bunched, lift 80 mm, 60 mm spread: 0.85·2e-4·2e-4·0.1/0.11 m³/s
    expect(clothDelivery(cloth, 2e-4, 0.08, 0.06)).toBeCloseTo(
      (0.85 * 2e-4 * 2e-4 * 0.1) / 0.11,
      15,
    );
    expect(clothDelivery(cloth, 2e-4, 0.18, 0.06)).toBe(0);
  });

  test('a strip test gives back the cloth it was made on', () => {
    // Green–Ampt wetting of a strip with K = 2e-5, H = 0.18, φ = 0.75, stepped for an hour.
    let h = 0.002;
    for (let t = 0; t < 3600; t += 0.02) h += ((2e-5 * (0.18 - h)) / h / 0.75) * 0.02;
    const day = stripHeight({ reach: 0.18, K: 2e-5 }, 0.75, 86_400);
    const measured = fromStripTest(h, day, 0.75);
    expect(Math.abs(measured.reach / 0.18 - 1)).toBeLessThan(2e-3);
    expect(Math.abs(measured.K / 2e-5 - 1)).toBeLessThan(0.01);
  });

  test.each(Object.entries(CLOTHS))('%s: its own strip, at three times', (_id, cloth) => {
    const own = clothProperties(cloth);
    const at = (seconds: number) => stripHeight(own, cloth.porosity, seconds);
    expect(Math.abs(at(3600) / cloth.strip.hour - 1)).toBeLessThan(0.05);
    expect(Math.abs(at(86_400) / cloth.strip.day - 1)).toBeLessThan(0.05);
    // The third time is that of a strip wetted step by step: dz/dt = K/φ·(H − z)/z.
    let z = 1e-4;
    for (let t = 0; t < 600; t += 0.01)
      z += ((own.K * (own.reach - z)) / z / cloth.porosity) * 0.01;
    expect(Math.abs(at(600) / z - 1)).toBeLessThan(0.05);
  });

  test('good cotton climbs 50 to 100 mm in ten minutes, as shirts do', () => {
    const { porosity } = CLOTHS['cotton-cloth'];
    const height = stripHeight(clothProperties(CLOTHS['cotton-cloth']), porosity, 600);
    expect(height).toBeGreaterThan(0.05);
    expect(height).toBeLessThan(0.1);
    // At first it goes with the square root of time (Washburn).
    const at = (s: number) => stripHeight(clothProperties(CLOTHS['cotton-cloth']), porosity, s);
    expect(at(4) / at(1)).toBeCloseTo(2, 1);
  });

  test('three strands of twine lift less than a litre and a half a day', () => {
    const twine = clothProperties(CLOTHS['cotton-rope']);
    const strands = 3 * (Math.PI / 4) * 0.008 * 0.006;
    expect(clothDelivery(twine, strands, 0.02, 0.04) * 86_400_000).toBeLessThan(1.5);
  });

  test('Jurin: a pore of 0.1 mm radius raises water 149 mm', () => {
    expect(jurinHeight(1e-4)).toBeCloseTo(0.1487, 3);
    expect(jurinHeight(1e-4, Math.PI / 3)).toBeCloseTo(0.1487 / 2, 3);
  });
});

describe('rise by the size of grains (Lohman 1972)', () => {
  test('coarse sand reaches 135 mm, and stone less the coarser it is', () => {
    expect(AGGREGATES['coarse-sand'].reach).toBe(0.135);
    const stones = ['pea-gravel', 'gravel', 'rounded-rock'] as const;
    const reaches = stones.map((id) => AGGREGATES[id].reach);
    expect([...reaches].sort((a, b) => b - a)).toEqual(reaches);
    // 25 mm in fine gravel of 3.5 mm, and the inverse of the size beyond.
    expect(AGGREGATES['pea-gravel'].reach).toBeCloseTo((0.025 * 3.5) / 8, 2);
  });
});

describe('sand by its grains', () => {
  const sands = (['coarse-sand', 'medium-sand', 'fine-sand'] as const).map((id) => AGGREGATES[id]);

  test('the finer, the higher: 135, 246 and 428 mm (Lohman 1972)', () => {
    expect(sands.map(({ reach }) => reach)).toEqual([0.135, 0.246, 0.428]);
  });

  test('very coarse sand and silt are the ends of the row: 65 and 1,055 mm', () => {
    const row = (['grit', 'coarse-sand', 'medium-sand', 'fine-sand', 'silt'] as const).map(
      (id) => AGGREGATES[id],
    );
    expect([row[0]!.reach, row[4]!.reach]).toEqual([0.065, 1.055]);
    // The finer the grains, the higher water rises, the harder it is held and the slower it goes through.
    for (const key of ['reach', 'Ks', 'alpha'] as const) {
      const values = row.map((one) => one[key]);
      const sorted = [...values].sort((a, b) => (key === 'reach' ? a - b : b - a));
      expect(values).toEqual(sorted);
    }
  });

  test('silt lifts water through a metre, but less of it than sand near the water', () => {
    const through = (id: 'fine-sand' | 'silt', lift: number) =>
      columnFlux(AGGREGATES[id], lift, lift + 1) * 86_400_000;
    // Millimetres of water a day: sand gives out above its reach, silt does not.
    expect(through('fine-sand', 1)).toBeLessThan(1);
    expect(through('silt', 1)).toBeGreaterThan(1);
    expect(through('silt', 0.1)).toBeLessThan(through('fine-sand', 0.1));
  });

  test('at its reach a sand has let most of its water go, and well below it has not', () => {
    for (const sand of sands) {
      const held = (h: number) =>
        (waterContent(sand, h) - sand.thetaR) / (sand.thetaS - sand.thetaR);
      expect(held(1.6 * sand.reach)).toBeLessThan(0.35);
      expect(held(0.3 * sand.reach)).toBeGreaterThan(0.7);
    }
  });

  test('over the reach of the coarse one only the finer ones still bring up a hot day’s thirst', () => {
    // 5 mm a day through 300 mm, to a soil that draws with a metre of suction.
    const asked = 0.005 / 86_400;
    const [coarse, medium, fine] = sands.map((sand) => columnFlux(sand, 0.3, 1));
    expect(coarse).toBeLessThan(asked);
    expect(medium).toBeGreaterThan(coarse!);
    expect(fine).toBeGreaterThan(asked);
  });
});

describe('one flow through layers', () => {
  const Ks = 1e-5;
  const mix = MIXES['coir-perlite'];

  test('in one layer of one section it is the column’s own flux', () => {
    const rise = riser({ beds: [{ from: 0, to: 0.2, medium: mix }], areaAt: () => 0.03 });
    for (const level of [0.02, 0.1, 0.15]) {
      const flux = columnFlux(mix, 0.2 - level, 0.75);
      expect(Math.abs(rise.flow(level, 0.75) / (0.03 * flux) - 1)).toBeLessThan(0.02);
    }
  });

  test('Gardner’s limit: a dry top draws Ks/(e^(αL) − 1) and no more', () => {
    // A van Genuchten curve that is steep enough has a limit too; the curve of flows ends at it.
    const rise = riser({ beds: [{ from: 0, to: 0.3, medium: mix }], areaAt: () => 1 });
    const { flows, suctions } = rise.curve(0, 15);
    expect([...flows].sort((a, b) => a - b)).toEqual([...flows]);
    expect([...suctions].sort((a, b) => a - b)).toEqual([...suctions]);
    expect(suctions[suctions.length - 1]).toBeCloseTo(15, 0);
    // Each of them is the flow that `flow` finds for its suction.
    flows.forEach((Q, i) => {
      expect(Math.abs(rise.flow(0, suctions[i]!) / Q - 1)).toBeLessThan(0.02);
    });
    expect(Ks / (Math.exp(5 * 0.3) - 1)).toBeGreaterThan(0);
  });
});

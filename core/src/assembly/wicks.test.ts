import fc from 'fast-check';
import { AGGREGATES, MIXES } from '../catalog';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { conductivity } from '../physics/soil';
import { columnFlux } from '../physics/wick';
import { anyDesign } from '../testing/designs';
import { assemble, BASE_SUCTION, totalDelivery } from '.';

const planterOf = (id: string, patch: Patch = []) =>
  assemble(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch));
const one = (path: (string | number)[], value: unknown): Patch => [{ path, value }];
const fill = (...layers: [string, number][]): Patch =>
  one(
    ['reservoir', 'fill'],
    layers.map(([medium, upTo]) => ({ medium, upTo })),
  );

describe('what fills the base as a wick', () => {
  test('mix between bottles delivers by its own area and lift', () => {
    const planter = planterOf('bottle-pail');
    const [between] = planter.wicks;
    expect(between).toMatchObject({ kind: 'between', index: null, foot: 0 });
    expect(between!.lastDrop).toBe(0);
    // The narrowest place from the water up: at the level itself, where the pail is narrowest.
    const area = planter.storage.fillAreaAt(0.105);
    const flux = columnFlux(MIXES['coir-perlite'], 0.12 - 0.105, BASE_SUCTION);
    expect(between!.deliveryAt(0.105) / (area * flux)).toBeCloseTo(1, 1);
  });

  test('stone alone lifts its reach and no more, so the rest is beyond it', () => {
    const planter = planterOf('stone-pot', [...one(['wicks'], []), ...fill(['gravel', 1])]);
    const [stone] = planter.wicks;
    expect(stone!.lastDrop).toBeCloseTo(0.08 - AGGREGATES.gravel.reach, 12);
    expect(stone!.deliveryAt(stone!.lastDrop - 0.001)).toBe(0);
    expect(stone!.deliveryAt(0.075)).toBeGreaterThan(0);
  });

  test('sand on rock reaches as far down as the rock lets it', () => {
    const planter = planterOf('rock-bed', one(['wicks'], []));
    const [base] = planter.wicks;
    // Rock ends at 160 mm and lifts 2 mm; sand ends at 200 mm and lifts 135 mm.
    expect(base!.lastDrop).toBeCloseTo(0.16 - 0.002, 12);
    expect(base!.name).toBe('Coarse sand');
  });

  test('soil shoulders carry one flow through all their sections, up to the suction at the top', () => {
    const planter = planterOf('trough-pipes');
    const [shoulders] = planter.wicks;
    const area = (z: number) => planter.storage.fillAreaAt(z);
    const medium = MIXES['compost-mix'];
    const from = 0.04;
    const flow = shoulders!.deliveryAt(from);
    // More than the narrowest place for the whole lift, less than the widest.
    const flux = columnFlux(medium, 0.165 - from, BASE_SUCTION);
    const areas = Array.from({ length: 60 }, (_, i) => area(from + ((0.165 - from) * i) / 59));
    expect(flow).toBeGreaterThan(Math.min(...areas) * flux);
    expect(flow).toBeLessThan(Math.max(...areas) * flux);
    // dh/dz = 1 + Q/(A·K), marched up in ten thousand steps: a little less gets there, a little more not.
    const suctionAtTop = (Q: number): number => {
      let h = 1e-6;
      const dz = (0.165 - from) / 10_000;
      for (let i = 0; i < 10_000 && h < 100; i += 1) {
        h += dz * (1 + Q / (area(from + (i + 0.5) * dz) * conductivity(medium, h)));
      }
      return h;
    };
    expect(suctionAtTop(flow * 0.95)).toBeLessThan(BASE_SUCTION);
    expect(suctionAtTop(flow * 1.05)).toBeGreaterThan(BASE_SUCTION);
  });

  test('sand beside a round floor is a wick from the first drop on', () => {
    const [sand] = planterOf('lying-barrel').wicks;
    const low = sand!.deliveryAt(0.1 / 8);
    expect(low).toBeGreaterThan(0);
    expect(sand!.deliveryAt(0.03)).toBeGreaterThan(low);
  });

  test('a finer mix lifts higher, a coarser one brings more over a short way', () => {
    const sand = columnFlux(AGGREGATES['coarse-sand'], 0.03, BASE_SUCTION);
    const mix = columnFlux(MIXES['coir-perlite'], 0.03, BASE_SUCTION);
    const farSand = columnFlux(AGGREGATES['coarse-sand'], 0.3, BASE_SUCTION);
    const farMix = columnFlux(MIXES['compost-mix'], 0.3, BASE_SUCTION);
    expect(sand).toBeGreaterThan(mix);
    expect(farMix).toBeGreaterThan(farSand);
  });

  test('under a platform, and over open water, nothing of the base is a wick', () => {
    expect(planterOf('cloth-pail').wicks.map(({ kind }) => kind)).toEqual(['cloth']);
    expect(planterOf('tank-crates').wicks.map(({ kind }) => kind)).toEqual(['column', 'cup']);
  });
});

describe('columns and bags', () => {
  test('a column of sand ends at the reach of sand, one of mix at that of the mix', () => {
    const columns = (medium: string) =>
      planterOf('tank-crates', one(['wicks', 0, 'medium'], medium)).wicks[0]!;
    expect(columns('coarse-sand').lastDrop).toBeCloseTo(0.15 - 0.135, 12);
    expect(columns('pea-gravel').lastDrop).toBeCloseTo(0.15 - 0.012, 12);
    expect(columns('mix').reach).toBe(MIXES['coir-perlite'].reach);
  });

  test('twice the columns bring twice as much', () => {
    const two = planterOf('film-bed', one(['wicks', 0, 'count'], 2)).wicks.at(-1)!;
    const four = planterOf('film-bed').wicks.at(-1)!;
    expect(four.deliveryAt(0.1)).toBeCloseTo(2 * two.deliveryAt(0.1), 12);
  });

  test('a bag drinks while there is any water in its tray', () => {
    const [bag] = planterOf('bag-tray').wicks;
    expect(bag).toMatchObject({ kind: 'bag', lastDrop: 0 });
    expect(bag!.deliveryAt(0.002)).toBeGreaterThan(0);
    expect(bag!.deliveryAt(0)).toBe(0);
  });
});

test('no wick brings less when the water stands higher, and none brings anything from below its foot', () => {
  fc.assert(
    fc.property(
      anyDesign,
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (design, s, t) => {
        const planter = assemble(design);
        const [low, high] = [Math.min(s, t), Math.max(s, t)].map((x) => x * planter.heights.brim);
        expect(totalDelivery(planter.wicks, high!)).toBeGreaterThanOrEqual(
          totalDelivery(planter.wicks, low!) * (1 - 1e-9),
        );
        for (const wick of planter.wicks) {
          expect(wick.deliveryAt(wick.foot)).toBe(0);
          expect(wick.lastDrop).toBeGreaterThanOrEqual(wick.foot - 1e-12);
        }
      },
    ),
  );
});

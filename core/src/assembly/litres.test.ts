import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type PlanterDesign } from '../document';
import { waterUnderTrappedAir } from '../physics/overflow';
import { anyDesign } from '../testing/designs';
import { assemble } from './assemble';

const start = (id: string): PlanterDesign => {
  const found = STARTING_POINTS.find((point) => point.id === id);
  if (!found) throw new Error(id);
  return found.design;
};
const bare = (patch: Parameters<typeof applyPatch>[1]) =>
  assemble(applyPatch({ ...start('cloth-pail'), wicks: [], fillTube: null }, patch));

describe('litres by height', () => {
  const ring = { kind: 'ring', cutEnd: false, diameter: 0.16, wall: 0.004 };
  const withRing = (vents: string) =>
    bare([{ path: ['reservoir', 'parts', 0], value: { ...ring, vents } }]);

  test('a split ring takes out its own wall and no more', () => {
    const planter = withRing('both');
    const wall = (Math.PI / 4) * (0.16 ** 2 - 0.152 ** 2) * 0.08;
    expect(planter.storage.volumeBelow(0.08)).toBeCloseTo(
      planter.vessel.volumeBelow(0.08) - wall,
      12,
    );
  });

  test('a closed ring keeps its whole bore dry, but for what Boyle lets in', () => {
    const split = withRing('both').storage;
    const airlocked = withRing('foot').storage;
    const sealed = withRing('sealed').storage;
    const bore = (Math.PI / 4) * 0.152 ** 2;
    expect(split.volumeBelow(0.08) - sealed.volumeBelow(0.08)).toBeCloseTo(bore * 0.08, 12);
    const inside = waterUnderTrappedAir(0.1, 0.08);
    expect(split.volumeBelow(0.08) - airlocked.volumeBelow(0.08)).toBeCloseTo(
      bore * (0.08 - inside),
      12,
    );
    expect(airlocked.caughtAir(0.08)).toBeCloseTo(bore * (0.08 - inside), 12);
  });

  test('between bottles only what the mix gives back counts', () => {
    const planter = assemble({ ...start('bottle-pail'), fillTube: null });
    const bottles = 5 * (Math.PI / 4) * 0.065 ** 2;
    const inside = 5 * (Math.PI / 4) * (0.065 - 0.0008) ** 2;
    const z = 0.1;
    const around = planter.vessel.volumeBelow(z) - bottles * z;
    const inMix = (planter.storage.volumeBelow(z) - inside * z) / around;
    // θs − θ(0.5 m) of the coir mix: 0.76·(1 − (1 + 5^1.5)^(−1/3))
    expect(inMix).toBeCloseTo(0.76 * (1 - (1 + 5 ** 1.5) ** (-1 / 3)), 9);
  });

  test('never falls with height, and the height for a volume gives it back', () => {
    fc.assert(
      fc.property(anyDesign, fc.double({ min: 0, max: 1, noNaN: true }), (design, t) => {
        const { storage, vessel, heights, bed } = assemble(design);
        const z = Math.max(heights.rim, heights.waterRim) * t;
        const volume = storage.volumeBelow(z);
        expect(storage.volumeBelow(z + 0.001)).toBeGreaterThanOrEqual(volume - 1e-15);
        expect(storage.volumeBelow(storage.heightFor(volume))).toBeCloseTo(volume, 9);
        const most = bed.separate ? bed.places.length * bed.inside.volumeBelow(9) : 0;
        expect(volume).toBeLessThanOrEqual(vessel.volumeBelow(z) + most + 1e-9);
      }),
    );
  });
});

import { applyPatch, STARTING_POINTS, type Patch, type PlanterDesign } from '../design';
import { CLOTHS, MEDIA, PIPES } from '../catalog';
import { resolve } from '../planter';
import { drainable } from '../soil';

/**
 * Litres got in another way: the base is cut into small cubes and each is asked what it is, from the
 * design's own measures and the places on the floor. Shares no code with `storageOf`.
 */
function countedLitres(design: PlanterDesign, upTo: number): number {
  const { layout } = resolve(design);
  const { vessel, reservoir, wicks, fillTube, soil } = design;
  const medium = MEDIA[soil.medium];
  const inMix = drainable(medium, 0.5);
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const step = 0.0015;
  const widest = Math.max(vessel.topDiameter, vessel.bottomDiameter) / 2;
  let volume = 0;

  for (let z = step / 2; z < upTo; z += step) {
    const thick = Math.min(step, upTo - (z - step / 2));
    const radius =
      (vessel.bottomDiameter + ((vessel.topDiameter - vessel.bottomDiameter) * z) / vessel.depth) /
      2;
    for (let x = -widest + step / 2; x < widest; x += step) {
      for (let y = -widest + step / 2; y < widest; y += step) {
        if (Math.hypot(x, y) <= radius) volume += water(x, y) * step * step * thick;
      }
    }
  }
  // Cloth is thinner than a cube; what it displaces is taken off by its measures.
  for (const wick of wicks) {
    if (wick.kind !== 'cloth') continue;
    const solid = 1 - CLOTHS[wick.material].porosity;
    volume -= wick.legs * wick.width * wick.thickness * solid * Math.max(upTo - wick.foot, 0);
  }
  return volume * 1000;

  function water(x: number, y: number): number {
    if (layout.tube && fillTube) {
      const from = Math.hypot(x - layout.tube.x, y - layout.tube.y);
      if (from <= PIPES[fillTube.pipe].inside / 2) return 1;
      if (from <= PIPES[fillTube.pipe].outside / 2) return 0;
    }
    for (const cup of layout.cups) {
      const from = Math.hypot(x - cup.x, y - cup.y);
      if (from <= cup.r - 0.001) return inMix;
      if (from <= cup.r) return 0;
    }
    for (const circle of layout.supports) {
      const from = Math.hypot(x - circle.x, y - circle.y);
      if (from <= circle.r - support.wall) {
        // A ring lets cups and tube stand inside, which were asked above.
        return support.vents === 'both' ? 1 : 0;
      }
      if (from <= circle.r) return 0;
    }
    return reservoir.kind === 'bottles' ? inMix : 1;
  }
}

const start = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);

test.each<[string, PlanterDesign]>([
  ['a split ring and cloth', start('cloth-pail')],
  ['tubs and a cup', start('cup-pail')],
  ['bottles with mix between', start('bottle-pail')],
  ['nothing but a ring', start('blank')],
  [
    'two cups and six tubs',
    start('cup-pail', [
      { path: ['wicks', 0, 'count'], value: 2 },
      { path: ['wicks', 0, 'diameter'], value: 0.06 },
      { path: ['reservoir', 'supports', 'count'], value: 6 },
      { path: ['reservoir', 'supports', 'diameter'], value: 0.05 },
    ]),
  ],
  [
    'sealed bottles in a vessel that narrows',
    start('bottle-pail', [
      { path: ['reservoir', 'vents'], value: 'sealed' },
      { path: ['vessel', 'topDiameter'], value: 0.25 },
    ]),
  ],
])('%s: litres to the overflow agree within 1 percent', (_name, design) => {
  const { storage, heights } = resolve(design);
  const computed = storage.volumeBelow(heights.brim) * 1000;
  expect(Math.abs(computed / countedLitres(design, heights.brim) - 1)).toBeLessThan(0.01);
});

import { VESSEL_IDS } from '../catalog';
import { shapeOf } from '../geometry/vessels';
import { depthOf, putVessel, vesselFrom, type PlanterDesign } from '../document';
import { q, say } from '../units';
import type { Remedy } from './finding';

/** Usual vessels of the same shape that are large enough, where no height in the one that is there does it. */

/** A vessel narrower than this share of the present one is none to grow the same in. */
const AS_WIDE = 0.9;
const MOST = 4;
/** One that holds not so many times as much is no other size. */
const LARGER = 1.1;
/** Sizes are named to two digits, as they are asked for. */
const named = (volume: number): number => Number(volume.toPrecision(2));

/**
 * Proposes usual vessels that are larger, the smallest first.
 *
 * @param missing depth that is wanting, metres
 */
export function largerVessels(design: PlanterDesign, missing = 0): Remedy[] {
  const { vessel } = design;
  if (design.bed || vessel.sawing !== 'none' || vessel.kind === 'frame') return [];
  const now = shapeOf(vessel);
  const [wide, holds] = [now.halfAt(now.depth), now.volumeBelow(now.depth)];
  return VESSEL_IDS.map((id) => vesselFrom(id))
    .filter((one) => one.kind === vessel.kind && one.material === vessel.material)
    .map((one) => ({ ...one, formerContents: vessel.formerContents, colour: vessel.colour }))
    .map((one) => ({ one, shape: shapeOf(one) }))
    .filter(
      ({ one, shape }) =>
        depthOf(one) >= depthOf(vessel) + missing && shape.halfAt(shape.depth) >= AS_WIDE * wide,
    )
    .map(({ one, shape }) => ({ one, volume: shape.volumeBelow(shape.depth) }))
    .filter(({ volume }) => volume > LARGER * holds)
    .sort((a, b) => a.volume - b.volume)
    .slice(0, MOST)
    .map(({ one, volume }) => ({
      label: say`Take a vessel of ${q(named(volume), 'loose')}, ${q(depthOf(one), 'length')} deep`,
      patch: [...putVessel(design, one)],
    }));
}

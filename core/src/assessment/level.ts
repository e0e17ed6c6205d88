import type { Planter } from '../assembly';
import { q, say, type Message } from '../units';

/** What a floor out of level does to the water. Lengths in metres. */
export interface Tilt {
  /** From the highest to the lowest edge of the floor. */
  across: number;
  /** To put under the low end, side to side and back to front. */
  shimAcross: number;
  shimAlong: number;
  /** Depth of water at its deepest and shallowest, with the water at the overflow's lip. */
  wettest: number;
  driest: number;
  /** What it really holds, m³, with the depth taken where it is average. */
  holds: number;
}

/**
 * Water is level while the floor is not: it stands through the overflow's lip, so its depth changes
 * across the plan. The volume is that of the depth over the middle of the floor, which is exact for
 * upright walls and a floor that is wet all over.
 */
export function tiltOf({ design, vessel, storage, heights }: Planter): Tilt {
  const { place } = design;
  const { a, b, c } = vessel.outlineAt(vessel.flat ? 0 : vessel.depth);
  const fall = design.vessel.kind === 'frame' ? design.vessel.fall : 0;
  const long = a >= b;
  const sx = place.slopeAcross + (long ? fall : 0);
  const sy = place.slopeAlong + (long ? 0 : fall);
  const towards = place.falls === 'towards';
  const lip = heights.brim;
  const middle = lip + (towards ? -1 : 1) * sx * a;
  return {
    across: 2 * (sx * (a - c) + sy * (b - c) + c * Math.hypot(sx, sy)),
    // A fall that is built in on purpose is not shimmed away.
    shimAcross: 2 * place.slopeAcross * a,
    shimAlong: 2 * place.slopeAlong * b,
    wettest: lip + (towards ? 0 : 2 * sx * a) + sy * b,
    driest: Math.max(lip - (towards ? 2 * sx * a : 0) - sy * b, 0),
    holds: storage.volumeBelow(Math.max(middle, 0)),
  };
}

/** Thinner than this nobody puts anything under, metres. */
const THIN = 5e-4;

/**
 * What to put under the low ends to bring the floor level; null where it is. The overflow is in the left wall.
 *
 * @param spills whether there is an overflow to name the side by
 */
export function shimsOf(
  { shimAcross, shimAlong }: Tilt,
  falls: 'away' | 'towards',
  spills = true,
): Message | null {
  const away = falls === 'away';
  const side = spills
    ? away
      ? 'side away from the overflow'
      : 'side of the overflow'
    : `side on the ${away ? 'right' : 'left'} of the drawing`;
  const across = shimAcross > THIN ? say`${q(shimAcross, 'length')} under the ${side}` : null;
  const along = shimAlong > THIN ? say`${q(shimAlong, 'length')} under the front` : null;
  return across && along ? say`${across} and ${along}` : (across ?? along);
}

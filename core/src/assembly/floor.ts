import { airCeiling, runsAlong, soilBaseHeight, type PlanterDesign } from '../document';
import { arrange, beside } from '../geometry/packing';
import {
  bedShape,
  clearBetween,
  grown,
  holdsCircle,
  shared,
  type Outline,
  type Vessel,
} from '../geometry/vessels';
import type { Bed } from './part';

/** Floor, beds and sheet of a planter before anything stands in it. */

/** Play left round a platform so that it drops in, metres. */
export const PLATFORM_PLAY = 0.002;
/** On a curved floor things stand where it is this share of the depth up. */
const CURVED_FROM = 0.25;

/** Whether the section is cut across the vessel, to show lying pipes from their ends. */
export function cutAcross({ vessel, reservoir, bed }: PlanterDesign): boolean {
  if (bed?.kind === 'row') return false;
  const lies = reservoir.parts.some(runsAlong);
  return vessel.kind === 'lying' || (lies && vessel.kind !== 'round');
}

/** The floor that things stand on: the vessel's, and the bed's where they go through that. */
export function floorOf(design: PlanterDesign, vessel: Vessel, bed: Bed): Outline {
  const height = Math.min(Math.max(airCeiling(design), soilBaseHeight(design)), vessel.depth);
  const own = vessel.flat
    ? clearBetween(vessel, 0, height)
    : clearBetween(vessel, Math.min(height, vessel.depth * CURVED_FROM), height);
  const through = design.bed?.kind === 'nested' || design.bed?.kind === 'neck';
  return through ? shared(own, bed.inside.outlineAt(0)) : own;
}

/** The rigid sheet that soil stands on: a platform, or the floor of an upper vessel; null without. */
export function platformOutlineOf(design: PlanterDesign, vessel: Vessel, bed: Bed): Outline | null {
  const { reservoir } = design;
  if (design.bed) return design.bed.kind === 'nested' ? bed.inside.outlineAt(0) : null;
  if (reservoir.cover !== 'platform') return null;
  const top = Math.min(reservoir.top, vessel.depth);
  const clear = clearBetween(vessel, top, Math.min(top + reservoir.thickness, vessel.depth));
  return grown(clear, -PLATFORM_PLAY / 2);
}

/** The beds of a design; the vessel itself where there is none. */
export function bedOf(design: PlanterDesign, vessel: Vessel): Bed {
  const { bed, reservoir } = design;
  if (!bed) {
    const places = [{ x: 0, y: 0 }];
    return { inside: vessel, floor: 0, wall: vessel.wall, separate: false, places };
  }
  const inside = bedShape(bed, design.vessel, vessel);
  const common = { inside, separate: true };
  switch (bed.kind) {
    case 'nested':
    case 'neck':
      return {
        ...common,
        wall: vessel.wall,
        floor: reservoir.top + (bed.kind === 'nested' ? vessel.wall : 0),
        places: [{ x: 0, y: 0 }],
      };
    case 'row': {
      const long = 2 * vessel.outlineAt(vessel.depth).a;
      return {
        ...common,
        wall: bed.wall,
        floor: reservoir.top + bed.wall,
        places: Array.from({ length: bed.count }, (_, i) => ({
          x: ((i + 0.5) / bed.count - 0.5) * long,
          y: 0,
        })),
      };
    }
    case 'bag': {
      const r = Math.max(bed.topDiameter, bed.bottomDiameter) / 2 + bed.wall;
      return {
        ...common,
        wall: bed.wall,
        floor: bed.wall,
        places: arrange(vessel.outlineAt(0), r, bed.count, beside([])).map(({ x, y }) => ({
          x,
          y,
        })),
      };
    }
  }
}

/** The lowest that something this wide can stand: 0 on a flat floor, higher on a curved one. Metres. */
export function restsAt(vessel: Vessel, { x, y, r }: { x: number; y: number; r: number }): number {
  if (vessel.flat) return 0;
  return vessel.bends.find((z) => holdsCircle(vessel.outlineAt(z), x, y, r)) ?? vessel.depth;
}

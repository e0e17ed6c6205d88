import { leastWidth, depthOf } from './heights';
import type { PlanterDesign, VesselDesign, VesselKind } from './schema';
import type { Patch } from './patch';

/** Shapes of vessels, as they are chosen. */
export const SHAPES: Readonly<Record<VesselKind, { name: string }>> = {
  round: { name: 'Round, may taper' },
  box: { name: 'Rectangular, may taper' },
  stadium: { name: 'Long with round ends' },
  frame: { name: 'Framed box, with a liner' },
  lying: { name: 'A round cut lengthwise' },
  stations: { name: 'Odd shape, by its widths' },
  poured: { name: 'Odd shape, by pouring' },
};

const mm = (length: number): number => Math.round(length * 1000) / 1000;

/** Longest inside length at the rim, metres. */
function lengthOf(vessel: VesselDesign): number {
  switch (vessel.kind) {
    case 'round':
      return vessel.topDiameter;
    case 'box':
    case 'stadium':
      return vessel.topLength;
    case 'lying':
    case 'frame':
      return vessel.length;
    case 'stations':
      return Math.max(...vessel.stations.map((station) => station.length));
    case 'poured':
      return leastWidth(vessel) / (vessel.plan === 'round' ? 1 : vessel.ratio);
  }
}

/** What inspecting a vessel told, without its measures. */
export function inspected({
  wall,
  formerContents,
  material,
  colour,
  rigid,
  cracked,
  drainHole,
  sawing,
  bungs,
}: VesselDesign) {
  return { wall, formerContents, material, colour, rigid, cracked, drainHole, sawing, bungs };
}

/** A vessel of another shape and about the same size, to correct with the tape. */
export function reshape(vessel: VesselDesign, kind: VesselKind): VesselDesign {
  if (vessel.kind === kind) return vessel;
  const seen = inspected(vessel);
  const length = mm(Math.max(lengthOf(vessel), 0.06));
  const width = mm(Math.min(Math.max(leastWidth(vessel), 0.05), length));
  const depth = mm(Math.max(depthOf(vessel), 0.06));
  switch (kind) {
    case 'round': {
      // As much floor as there was; a channel is no cone.
      const across = Math.min(mm(Math.sqrt(length * width)), 2);
      return { ...seen, kind, topDiameter: across, bottomDiameter: across, depth };
    }
    case 'box':
      return {
        ...seen,
        kind,
        topLength: length,
        topWidth: width,
        bottomLength: length,
        bottomWidth: width,
        corner: mm(Math.min(0.02, width / 4)),
        depth,
      };
    case 'stadium':
      return {
        ...seen,
        kind,
        topLength: length,
        topWidth: width,
        bottomLength: length,
        bottomWidth: width,
        depth,
      };
    case 'frame':
      return {
        ...seen,
        kind,
        length,
        width,
        depth,
        liner: 'pond',
        legs: 0,
        fall: 0,
        stands: false,
      };
    case 'lying': {
      const diameter = Math.min(Math.max(width, depth * 1.1), 2);
      return { ...seen, kind, diameter, length, depth: mm(Math.min(depth, diameter * 0.9)) };
    }
    case 'stations':
      return {
        ...seen,
        kind,
        plan: vessel.kind === 'round' ? 'round' : 'box',
        stations: [
          { height: 0, length: width, width },
          { height: depth, length, width },
        ],
      };
    case 'poured': {
      const area = (vessel.kind === 'round' ? Math.PI / 4 : 1) * length * width;
      return {
        ...seen,
        kind,
        plan: vessel.kind === 'round' ? 'round' : 'box',
        ratio: Math.max(width / length, 0.05),
        depth,
        readings: [0.3, 0.9].map((share) => ({
          volume: Math.round(area * depth * share * 1e4) / 1e4,
          height: mm(depth * share),
        })),
      };
    }
  }
}

/** The patch that puts a vessel into a design; its fill tube keeps as far above the rim as it was. */
export function putVessel(design: PlanterDesign, vessel: VesselDesign): Patch {
  const { fillTube } = design;
  const longer = depthOf(vessel) - depthOf(design.vessel);
  const tube: Patch = fillTube
    ? [
        {
          path: ['fillTube', 'length'],
          value: mm(Math.min(Math.max(fillTube.length + longer, 0.03), 2.5)),
        },
      ]
    : [];
  return [{ path: ['vessel'], value: vessel }, ...tube];
}

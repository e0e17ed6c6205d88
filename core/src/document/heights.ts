import { grainOf } from '../catalog';
import type { FillLayer, LayerDesign, OverflowDesign, PlanterDesign, VesselDesign } from './schema';

/** Inside depth of a vessel, floor to rim. Metres. */
export function depthOf(vessel: VesselDesign): number {
  return vessel.kind === 'stations'
    ? (vessel.stations[vessel.stations.length - 1]?.height ?? 0)
    : vessel.depth;
}

/** The least inside width from wall to wall at floor and rim, for questions of what goes in. Metres. */
export function leastWidth(vessel: VesselDesign): number {
  switch (vessel.kind) {
    case 'round':
      return Math.min(vessel.topDiameter, vessel.bottomDiameter);
    case 'box':
    case 'stadium':
      return Math.min(vessel.topWidth, vessel.bottomWidth, vessel.topLength, vessel.bottomLength);
    case 'lying':
      return Math.min(vessel.diameter, vessel.length);
    case 'frame':
      return Math.min(vessel.width, vessel.length);
    case 'stations':
      return Math.min(
        ...vessel.stations.map((s) =>
          vessel.plan === 'round' ? s.length : Math.min(s.width, s.length),
        ),
      );
    case 'poured': {
      const last = vessel.readings[vessel.readings.length - 1];
      const area = (last?.volume ?? 0) / (last?.height ?? 1);
      return vessel.plan === 'round'
        ? 2 * Math.sqrt(area / Math.PI)
        : Math.sqrt(area * vessel.ratio);
    }
  }
}

/**
 * The layers of sand or stone that lie between base and soil, from below. Sheets and straw take no
 * height; a bed of its own has its base for a floor.
 */
export function grainsIn({ layers, bed }: PlanterDesign): readonly LayerDesign[] {
  return bed ? [] : layers.filter(({ what }) => grainOf(what) !== null);
}

/** Height of the surface that the soil stands on, above platform, sand and stone. Metres. */
export function soilBaseHeight(design: PlanterDesign): number {
  const { reservoir, bed, vessel } = design;
  switch (bed?.kind) {
    case 'bag':
      return bed.wall;
    case 'nested':
      return reservoir.top + vessel.wall;
    case 'row':
      return reservoir.top + bed.wall;
    case 'neck':
      return reservoir.top + dippingNeck(design);
    default:
      return (
        platformHeight(reservoir) + grainsIn(design).reduce((sum, one) => sum + one.thickness, 0)
      );
  }
}

/**
 * How far a bottle's neck reaches down below the soil proper: filled with mix and standing in the water it
 * is the wick itself, where no cloth hangs through its cap. Metres.
 */
export function dippingNeck({ bed, wicks }: PlanterDesign): number {
  return bed?.kind === 'neck' && wicks.length === 0 ? Math.min(bed.shoulder, bed.depth * 0.9) : 0;
}

/** Top of the platform, or of what stands in for it. Metres. */
export function platformHeight(reservoir: PlanterDesign['reservoir']): number {
  return reservoir.top + (reservoir.cover === 'platform' ? reservoir.thickness : 0);
}

/**
 * How soil and water meet. `gap`: air under a platform or a bed of its own; `fill`: mix, sand or stone
 * goes from the floor up to the soil; `bag`: the soil’s own bag stands in the water.
 */
export type BaseStyle = 'gap' | 'fill' | 'bag';

export function baseStyle({ reservoir, bed }: PlanterDesign): BaseStyle {
  if (bed?.kind === 'bag') return 'bag';
  const last = reservoir.fill[reservoir.fill.length - 1];
  const reaches = last !== undefined && last.upTo >= 1 - 1e-9;
  return bed === null && reservoir.cover === 'none' && reaches ? 'fill' : 'gap';
}

/** Whether stone or sand, and not the mix itself, carries the soil. */
export function standsOnStone(design: PlanterDesign): boolean {
  const last = design.reservoir.fill[design.reservoir.fill.length - 1];
  return baseStyle(design) === 'fill' && last?.medium !== 'mix';
}

/** Height that water must stay under to leave air: the top of the base, or a tray’s rim. Metres. */
export function airCeiling(design: PlanterDesign): number {
  if (design.bed?.kind === 'bag') return depthOf(design.vessel);
  return design.reservoir.top + dippingNeck(design);
}

/** The clear width that water goes out by. Metres. */
export const boreOf = (overflow: Exclude<OverflowDesign, { kind: 'rim' }>): number =>
  overflow.kind === 'fitting' ? overflow.bore : overflow.diameter;

/** How far the overflow's lip is below the mark that is drilled on; negative when it is above. Metres. */
export function lipBelowMark(overflow: Exclude<OverflowDesign, { kind: 'rim' }>): number {
  return boreOf(overflow) / 2 - (overflow.kind === 'fitting' ? overflow.rise : 0);
}

/** Height of the lip, where water begins to run: the invert of an overflow through the wall. Metres. */
export const lipHeight = (overflow: Exclude<OverflowDesign, { kind: 'rim' }>): number =>
  overflow.centre - lipBelowMark(overflow);

/**
 * The overflow's invert: the lowest lip, over which water runs out; null without an overflow. A mark
 * on the wall is a hole's centre, so the invert is the centre less the radius. Metres.
 */
export function invertOf({ overflow, vessel }: PlanterDesign): number | null {
  if (!overflow) return null;
  if (overflow.kind === 'rim') return depthOf(vessel);
  return lipHeight(overflow);
}

/** Height to which a layer of the fill reaches, from the floor. Metres. */
export function layerTop({ reservoir }: PlanterDesign, layer: FillLayer): number {
  return layer.upTo * reservoir.top;
}

/** Mulch is laid up to the rim, and no deeper than this. Metres. */
const MULCH_LAYER = 0.05;

/** How deep mulch lies on the soil, metres. */
export const mulchDepth = ({ soil }: PlanterDesign): number =>
  soil.mulch === 'straw' ? Math.min(Math.max(soil.freeboard, 0), MULCH_LAYER) : 0;

/** What stays of the side above openings that are sawn into it, metres. */
const TOP_STRIP = 0.02;

/**
 * Openings sawn into the sides, above soil and mulch: where they begin, and how tall they can be. Metres
 * above the inside floor, metres.
 */
export function sideOpenings(design: PlanterDesign): { sill: number; height: number } {
  const rim = depthOf(design.vessel);
  const sill = rim - design.soil.freeboard + mulchDepth(design);
  return { sill, height: Math.max(rim - TOP_STRIP - sill, 0) };
}

/** Height of the legs under a vessel, metres; 0 where it has none. */
export const legsOf = (vessel: VesselDesign): number => ('legs' in vessel ? vessel.legs : 0);

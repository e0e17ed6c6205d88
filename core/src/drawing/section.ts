import { shapeOf, turned } from '../geometry/vessels';
import { legsOf, type VesselDesign } from '../document';
import { halfAt, type Planter } from '../assembly';
import { soilOf, waterOf } from './contents';
import { dimensionsOf } from './dimensions';
import { insideBetween, shellOf } from './inside';
import { inPhase } from './partDrawings';
import { foliageHeight, grownTip, plantsOf } from './plants';
import { area, type Bounds, type Section, type Shape } from './shape';

/**
 * The section through a planter, true to scale.
 *
 * @param level height at which water stands, metres; the brim by default
 */
export function section(
  planter: Planter,
  level: number = planter.heights.brim,
  tip: number = grownTip(planter),
): Section {
  const { vessel, heights } = planter;
  const bounds = sectionBounds(planter);
  const water = Math.min(Math.max(level, 0), heights.rim);
  const phase = (name: Parameters<typeof inPhase>[1]) => inPhase(planter, name, water);
  const inFill = planter.design.reservoir.fill.length > 0;
  const shapes: Shape[] = [
    ...waterOf(planter, water),
    ...(inFill ? [] : phase('base')),
    ...phase('fill'),
    ...soilOf(planter, water),
    ...phase('packed'),
    ...(inFill ? phase('base') : []),
    ...phase('deck'),
    ...phase('layers'),
    ...phase('wicks'),
    ...plantsOf(planter, tip),
    ...phase('pipes'),
    ...phase('walls'),
    ...phase('outlets'),
  ];
  // Water stands in its own vessel, and in a bed of its own only above that vessel's rim.
  const waterHalf = water <= vessel.depth ? vessel.halfAt(water) : halfAt(planter, water);
  return {
    bounds,
    shapes,
    dimensions: dimensionsOf(planter, bounds.right),
    water: water > 0 ? { level: water, left: -waterHalf, right: waterHalf } : null,
  };
}

/** What the section spans: the vessel with what stands on and in it, whatever its water does. Metres. */
export function sectionBounds(planter: Planter): Bounds {
  const { vessel, heights, bed, design } = planter;
  const pipes = planter.partGroups.filter(({ kind }) =>
    ['tube', 'inspection', 'worm'].includes(kind),
  );
  const tubeTop = Math.max(0, ...pipes.map(({ height }) => height + 0.005));
  const beds = bed.separate
    ? bed.places.map(({ x }) => Math.abs(x) + bed.inside.halfAt(bed.inside.depth) + bed.wall)
    : [];
  const widest = Math.max(...vessel.bends.map((z) => vessel.halfAt(z) + vessel.wall), ...beds);
  const legs = legsOf(design.vessel);
  return {
    left: -widest,
    right: widest,
    bottom: -vessel.wall - legs,
    top: Math.max(heights.rim, tubeTop, heights.rim + foliageHeight(planter)),
  };
}

/** A vessel alone, cut along its length: its wall, what it holds to the rim, and nothing in it. */
export function vesselSection(design: VesselDesign): Section {
  const vessel = shapeOf(design);
  // One that was cut lengthwise shows its round.
  const shown = design.kind === 'lying' ? turned(vessel) : vessel;
  const widest = Math.max(...shown.bends.map((z) => shown.halfAt(z))) + shown.wall;
  const legs = legsOf(design);
  return {
    bounds: { left: -widest, right: widest, bottom: -shown.wall - legs, top: shown.depth },
    shapes: [
      area('water', 'water', insideBetween(shown, 0, shown.depth)),
      area('wall', 'wall', shellOf(shown, shown.wall)),
    ],
    dimensions: [],
    water: null,
  };
}

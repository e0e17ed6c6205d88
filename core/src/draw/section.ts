import { boreOf, depthOf, lipBelowMark, type VesselDesign } from '../design';
import { shapeOf, turned } from '../vessel';
import { halfAt, type Planter } from '../planter';
import { bedsInSection, fillsOf, layersOf, soilOf, waterOf } from './contents';
import { dimensionsOf } from './dimensions';
import { insideBetween, shellOf } from './inside';
import { partsInFill, partsOf, platformOf } from './parts';
import { foliageHeight, plantsOf } from './plants';
import { area, box, circlePoints, line, type Section, type Shape } from './shape';
import { extraPipesOf, tubeOf } from './tube';
import { wicksOf } from './wicks';

/**
 * The section through a planter, true to scale.
 *
 * @param level height at which water stands, metres; the brim by default
 */
export function section(planter: Planter, level: number = planter.heights.brim): Section {
  const { vessel, heights, bed, layout, design } = planter;
  const water = Math.min(Math.max(level, 0), heights.rim);
  const inFill = partsInFill(planter);
  const shapes: Shape[] = [
    ...waterOf(planter, water),
    ...(inFill ? [] : partsOf(planter, water)),
    ...fillsOf(planter, water),
    ...soilOf(planter, water),
    ...(inFill ? partsOf(planter, water) : []),
    ...platformOf(planter),
    ...layersOf(planter),
    ...wicksOf(planter),
    ...plantsOf(planter),
    ...extraPipesOf(planter, water),
    ...tubeOf(planter, water),
    ...wallsOf(planter),
    ...overflowOf(planter),
    ...supplyOf(planter, water),
  ];
  const tubeTop = design.fillTube && layout.tube ? layout.tube.foot + design.fillTube.length : 0;
  const beds = bed.separate
    ? bed.places.map(({ x }) => Math.abs(x) + bed.inside.halfAt(bed.inside.depth) + bed.wall)
    : [];
  const widest = Math.max(...vessel.bends.map((z) => vessel.halfAt(z) + vessel.wall), ...beds);
  const legs = design.vessel.kind === 'frame' ? design.vessel.legs : 0;
  // Water stands in its own vessel, and in a bed of its own only above that vessel's rim.
  const waterHalf = water <= vessel.depth ? vessel.halfAt(water) : halfAt(planter, water);
  return {
    bounds: {
      left: -widest,
      right: widest,
      bottom: -vessel.wall - legs,
      top: Math.max(
        heights.rim,
        tubeTop,
        heights.rim + foliageHeight(planter),
        layout.pipes.length > 0 ? heights.rim + 0.035 : 0,
      ),
    },
    shapes,
    dimensions: dimensionsOf(planter, widest),
    water: water > 0 ? { level: water, left: -waterHalf, right: waterHalf } : null,
  };
}

/** Liners are drawn this far from the boards, metres. */
const LINER = 0.004;

function wallsOf(planter: Planter): Shape[] {
  const { vessel, bed, design } = planter;
  const shapes: Shape[] = [area('wall', 'wall', shellOf(vessel, vessel.wall))];
  if (design.vessel.kind === 'frame') {
    const { legs, liner } = design.vessel;
    if (liner !== 'none') {
      const half = vessel.halfAt(0) - LINER;
      shapes.push(
        line('liner', 'liner', [
          [-half, vessel.depth],
          [-half, LINER],
          [half, LINER],
          [half, vessel.depth],
        ]),
      );
    }
    if (legs > 0) {
      const outer = vessel.halfAt(0) + vessel.wall;
      const thick = Math.min(0.07, outer / 3);
      shapes.push(
        box('leg-left', 'leg', -outer, -vessel.wall - legs, -outer + thick, -vessel.wall),
        box('leg-right', 'leg', outer - thick, -vessel.wall - legs, outer, -vessel.wall),
      );
    }
  }
  if (bed.separate) {
    const cloth = design.bed?.kind === 'bag';
    bedsInSection(planter).forEach((at, i) => {
      const shell = area(`bed-${i}`, cloth ? 'cloth' : 'wall', shellOf(bed.inside, bed.wall, at));
      shapes.push(shell);
    });
    if (design.bed?.kind === 'row') {
      const half = vessel.halfAt(vessel.depth) + vessel.wall;
      shapes.push(box('channel-lid', 'platform', -half, vessel.depth, half, vessel.depth + 0.003));
    }
  }
  return shapes;
}

function overflowOf(planter: Planter): Shape[] {
  const { vessel, design } = planter;
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return [];
  const t = vessel.wall;
  const opening = (id: string, z0: number, z1: number): Shape => {
    const [x0, x1] = [-vessel.halfAt(z0), -vessel.halfAt(z1)];
    return area(id, 'opening', [
      [x0, z0],
      [x0 - t, z0],
      [x1 - t, z1],
      [x1, z1],
    ]);
  };
  const lip = overflow.centre - lipBelowMark(overflow);
  const bore = boreOf(overflow);
  const shapes: Shape[] = [];
  if (overflow.kind === 'hole') {
    shapes.push(opening('overflow', lip, lip + bore));
  } else if (overflow.kind === 'rows') {
    const rows = Math.min(overflow.rows, 12);
    for (let row = 0; row < rows; row += 1) {
      const z = overflow.centre + row * overflow.pitch;
      const half = overflow.diameter / 2;
      shapes.push(opening(row === 0 ? 'overflow' : `overflow-${row}`, z - half, z + half));
      shapes.push(...ofRow(planter, row, z));
    }
  } else {
    const low = overflow.centre - bore / 2;
    const x = -vessel.halfAt(overflow.centre);
    const out = Math.max(0.03, t * 2);
    shapes.push(
      opening('overflow-hole', overflow.centre - overflow.diameter / 2, low + bore),
      box('overflow', 'opening', x - out, low, x + 0.006, low + bore),
    );
    if (overflow.rise > 0) {
      shapes.push(box('overflow-rise', 'opening', x - out - bore, low, x - out, lip + bore / 2));
    }
  }
  if (overflow.screened) {
    const x = -vessel.halfAt(lip) - t / 2;
    shapes.push(
      line('overflow-screen', 'screen', [
        [x, lip],
        [-vessel.halfAt(lip + bore) - t / 2, lip + bore],
      ]),
    );
  }
  return shapes;
}

/** The holes of a row that are seen on the far wall, staggered from row to row. */
function ofRow({ vessel, design }: Planter, row: number, z: number): Shape[] {
  if (design.overflow?.kind !== 'rows') return [];
  const seen = Math.max(Math.floor(design.overflow.count / 2), 1);
  const r = design.overflow.diameter / 2;
  const half = vessel.halfAt(z);
  return Array.from({ length: seen }, (_, i) => {
    const angle = ((i + (row % 2 === 0 ? 0.5 : 1)) / (seen + 0.5)) * Math.PI;
    const x = -Math.cos(angle) * half;
    const squeezed = circlePoints(0, z, r).map(
      ([px, pz]) => [x + px * Math.max(Math.sin(angle), 0.2), pz] as const,
    );
    return area(`air-hole-${row}-${i}`, 'opening', squeezed);
  }).filter((shape) => shape.points.every(([px]) => Math.abs(px) < half));
}

/** The float valve at the channel's end, when a barrel keeps the level. */
function supplyOf({ vessel, design }: Planter, level: number): Shape[] {
  const { supply } = design.reservoir;
  if (!supply) return [];
  const z = Math.min(level, depthOf(design.vessel));
  const x = vessel.halfAt(z) - 0.03;
  return [
    area('float', 'cap', circlePoints(x - 0.012, z + 0.002, Math.min(0.012, vessel.depth / 6))),
    line('float-arm', 'vent', [
      [x - 0.012, z + 0.002],
      [vessel.halfAt(vessel.depth), vessel.depth * 0.9],
    ]),
  ];
}

/** A vessel alone, cut along its length: its wall, what it holds to the rim, and nothing in it. */
export function vesselSection(design: VesselDesign): Section {
  const vessel = shapeOf(design);
  // One that was cut lengthwise shows its round.
  const shown = design.kind === 'lying' ? turned(vessel) : vessel;
  const widest = Math.max(...shown.bends.map((z) => shown.halfAt(z))) + shown.wall;
  const legs = design.kind === 'frame' ? design.legs : 0;
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

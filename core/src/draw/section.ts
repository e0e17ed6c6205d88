import { cropOf } from '../catalog';
import type { Planter } from '../planter';
import { dimensionsOf } from './dimensions';
import { soilOf, waterOf } from './contents';
import { foliageHeight, plantsOf } from './plants';
import { area, type Point, type Section, type Shape } from './shape';
import { carriersOf, supportsOf } from './supports';
import { tubeOf } from './tube';
import { wicksOf } from './wicks';

/**
 * The section through a planter, true to scale.
 *
 * @param level height at which water stands, metres; the brim by default
 */
export function section(planter: Planter, level: number = planter.heights.brim): Section {
  const { vessel, heights, design } = planter;
  const water = Math.min(Math.max(level, 0), heights.rim);
  const shapes: Shape[] = [
    ...waterOf(planter, water),
    ...supportsOf(planter, water),
    ...soilOf(planter, water),
    ...carriersOf(planter, water),
    ...wicksOf(planter),
    ...plantsOf(planter),
    ...tubeOf(planter, water),
    ...wallOf(planter),
  ];
  const tubeTop = design.fillTube ? design.fillTube.length : 0;
  const widest = Math.max(...vessel.stations.map((station) => station.radius)) + vessel.wall;
  return {
    bounds: {
      left: -widest,
      right: widest,
      bottom: -vessel.wall,
      top: Math.max(
        heights.rim,
        tubeTop,
        heights.rim + foliageHeight(cropOf(design.planting.crop), design.planting),
      ),
    },
    shapes,
    dimensions: dimensionsOf(planter),
    water:
      water > 0
        ? { level: water, left: -vessel.radiusAt(water), right: vessel.radiusAt(water) }
        : null,
  };
}

function wallOf({ vessel, design, heights }: Planter): Shape[] {
  const t = vessel.wall;
  const outer = vessel.stations.map((station): Point => [station.radius + t, station.z]);
  const inner = vessel.stations.map((station): Point => [station.radius, station.z]);
  const floorOut = (vessel.stations[0]?.radius ?? 0) + t;
  const mirror = (points: readonly Point[]): Point[] => points.map(([x, z]) => [-x, z]);
  const shapes = [
    area('wall', 'wall', [
      [floorOut, -t],
      ...outer,
      ...[...inner].reverse(),
      ...mirror(inner),
      ...mirror([...outer].reverse()),
      [-floorOut, -t],
    ]),
  ];
  const { overflow } = design;
  if (overflow && heights.invert !== null) {
    const z0 = heights.invert;
    const z1 = z0 + overflow.diameter;
    const x0 = -vessel.radiusAt(z0);
    const x1 = -vessel.radiusAt(z1);
    shapes.push(
      area('overflow', 'opening', [
        [x0, z0],
        [x0 - t, z0],
        [x1 - t, z1],
        [x1, z1],
      ]),
    );
    if (overflow.screened) {
      shapes.push({
        id: 'overflow-screen',
        ink: 'screen',
        form: 'line',
        points: [
          [x0 - t / 2, z0],
          [x1 - t / 2, z1],
        ],
      });
    }
  }
  return shapes;
}

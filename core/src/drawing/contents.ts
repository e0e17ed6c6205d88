import { grainOf, type FillId } from '../catalog';
import { dippingNeck, mulchDepth } from '../document';
import type { Planter } from '../assembly';
import type { InSection } from './partDrawing';
import { inkOf } from './ink';
import { insideBetween } from './inside';
import { area, line, type Point, type Shape } from './shape';

/** How far a fabric is turned up the wall, metres, where there is room. */
const TURN_UP = 0.03;
/** How thick a cover and marker straw are drawn, metres. */
const COVER = 0.02;

/** Whether water shows through a fill as it lies. */
const seenThrough = (fill: FillId): boolean => inkOf(fill) === 'stone' || inkOf(fill) === 'chip';

/** Where beds stand in the plane of the section, farthest first; one for those behind one another. */
export function bedsInSection({ bed }: Planter): { x: number; floor: number }[] {
  const seen = new Map<string, { x: number; y: number }>();
  for (const place of [...bed.places].sort((a, b) => b.y - a.y)) {
    seen.set(place.x.toFixed(3), place);
  }
  return [...seen.values()].map(({ x }) => ({ x, floor: bed.floor }));
}

/** The water that stands in the vessel, behind all else. */
export function waterOf(planter: Planter, level: number): Shape[] {
  const { vessel } = planter;
  const wet = Math.min(level, vessel.depth);
  const points = insideBetween(vessel, 0, wet);
  return wet > 0 ? [area('water', 'water', points)] : [];
}

/** What lies in the base around its parts, soaked where water stands in it. */
export const fill: InSection<'fill'> = ({ id, spec, parts }, { vessel }, level) => {
  const [piece] = parts;
  if (!piece || piece.to - piece.from <= 1e-6) return [];
  const { from, to } = piece;
  const shapes = [area(id, inkOf(spec.medium), insideBetween(vessel, from, to))];
  const wet = Math.min(level, to);
  if (wet > from && !seenThrough(spec.medium)) {
    shapes.push(area(`${id}-wet`, 'soaked', insideBetween(vessel, from, wet)));
  }
  return shapes;
};

/** Soil in its beds, soaked where water stands in it; a second mix above in a ground of its own. */
export function soilOf(planter: Planter, level: number): Shape[] {
  const { design, heights, bed } = planter;
  const from = heights.base - dippingNeck(design);
  const { upper } = design.soil;
  return bedsInSection(planter).flatMap((at, i): Shape[] => {
    const space = (z0: number, z1: number) => insideBetween(bed.inside, z0, z1, at);
    const id = (name: string) => (i === 0 ? name : `${name}-${i}`);
    const wet = Math.min(level, heights.surface);
    const seam = Math.max(heights.surface - (upper?.depth ?? 0), from);
    return [
      area(id('soil'), 'soil', space(from, heights.surface)),
      ...(upper ? [area(id('upper'), 'soil-upper', space(seam, heights.surface))] : []),
      ...(wet > from ? [area(id('soaked'), 'soaked', space(from, wet))] : []),
    ];
  });
}

/** A layer between base and roots: a sheet as a line, straw as a band, sand and stone in full. */
export const layer: InSection<'layer'> = (group, planter, level) => {
  const { spec, parts, id: name } = group;
  const { design, vessel, bed, heights } = planter;
  const [piece] = parts;
  if (!piece) return [];
  const grain = grainOf(spec.what);
  if (grain && !design.bed) {
    const wet = Math.min(level, piece.to);
    const ink = inkOf(spec.what as FillId);
    return [
      area(name, ink, insideBetween(vessel, piece.from, piece.to)),
      ...(wet > piece.from && ink === 'sand'
        ? [area(`${name}-wet`, 'soaked', insideBetween(vessel, piece.from, wet))]
        : []),
    ];
  }
  return bedsInSection(planter).flatMap((at, i): Shape[] => {
    const id = i === 0 ? name : `${name}-${i}`;
    if (spec.what === 'straw') {
      const to = Math.min(piece.from + Math.min(spec.thickness, COVER), heights.surface);
      return [area(id, 'straw', insideBetween(bed.inside, piece.from, to, at))];
    }
    const half = (z: number) => bed.inside.halfAt(z - bed.floor);
    const z = piece.from + 0.001 * (group.index + 1);
    const up = spec.up ? Math.min(z + TURN_UP, heights.surface) : z;
    const inset = 0.002;
    const wall = (side: 1 | -1, height: number): Point => [
      at.x + side * Math.max(half(height) - inset, 0),
      height,
    ];
    return [line(id, 'separator', [wall(-1, up), wall(-1, z), wall(1, z), wall(1, up)])];
  });
};

/** Mulch or a cover, bed by bed, no thicker than the freeboard. */
export const mulch: InSection<'mulch'> = (_lot, planter) => {
  const { design, heights, bed } = planter;
  const deep = design.soil.mulch === 'cover' ? COVER : mulchDepth(design);
  const z1 = Math.min(heights.surface + deep, heights.rim);
  if (z1 <= heights.surface + 1e-4) return [];
  return bedsInSection(planter).map((at, i) =>
    area(
      i === 0 ? 'mulch' : `mulch-${i}`,
      'mulch',
      insideBetween(bed.inside, heights.surface, z1, at),
    ),
  );
};

/**
 * Drawings as data: shapes in metres with the name of what they are, no SVG and no colours. x runs
 * from the vessel's axis to the right, z up from the inside floor.
 */

export type Point = readonly [x: number, z: number];

/** What a shape is, which decides how it is inked. */
export type Ink =
  | 'wall'
  | 'opening'
  | 'screen'
  | 'water'
  | 'air'
  | 'soil'
  | 'soil-upper'
  | 'soaked'
  | 'stone'
  | 'sand'
  | 'chip'
  | 'support'
  | 'support-behind'
  | 'vent'
  | 'bottle'
  | 'pipe'
  | 'crate'
  | 'stick'
  | 'platform'
  | 'separator'
  | 'cloth'
  | 'cup'
  | 'tube'
  | 'liner'
  | 'leg'
  | 'straw'
  | 'place'
  | 'cap'
  | 'mulch'
  | 'root'
  | 'leaf'
  | 'stem'
  | 'trunk'
  | 'bulb'
  | 'stake'
  | 'string';

export interface Shape {
  /** Unique within its drawing. */
  id: string;
  ink: Ink;
  /** A closed area, or an open line. */
  form: 'area' | 'line';
  points: readonly Point[];
}

/** A measure to write outside the wall, between two points at the same x or the same z. */
export interface Dimension {
  id: string;
  label: string;
  from: Point;
  to: Point;
  /** Metres. */
  value: number;
  side: 'right' | 'bottom' | 'top';
}

export interface Bounds {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** A section through a planter along the plane of its fill tube. */
export interface Section {
  bounds: Bounds;
  /** In painting order. */
  shapes: readonly Shape[];
  dimensions: readonly Dimension[];
  /** Where the water stands and how wide it is there, metres; null when dry. */
  water: { level: number; left: number; right: number } | null;
}

export const area = (id: string, ink: Ink, points: readonly Point[]): Shape => ({
  id,
  ink,
  form: 'area',
  points,
});

/** A circle as a polygon fine enough for any screen. */
export function circlePoints(x: number, z: number, r: number): Point[] {
  const steps = 36;
  return Array.from({ length: steps }, (_, i): Point => {
    const angle = (i * 2 * Math.PI) / steps;
    return [x + r * Math.cos(angle), z + r * Math.sin(angle)];
  });
}

/** The part of a circle below a height, as a polygon; empty when none is. */
export function circleBelow(x: number, z: number, r: number, height: number): Point[] {
  if (height <= z - r) return [];
  return circlePoints(x, z, r).map(([px, pz]): Point => {
    if (pz <= height) return [px, pz];
    const half = Math.sqrt(Math.max(r * r - (Math.min(height, z + r) - z) ** 2, 0));
    return [Math.min(Math.max(px, x - half), x + half), Math.min(height, pz)];
  });
}

export const line = (id: string, ink: Ink, points: readonly Point[]): Shape => ({
  id,
  ink,
  form: 'line',
  points,
});

/** An upright rectangle between two corners. */
export const box = (id: string, ink: Ink, x0: number, z0: number, x1: number, z1: number): Shape =>
  area(id, ink, [
    [x0, z0],
    [x1, z0],
    [x1, z1],
    [x0, z1],
  ]);

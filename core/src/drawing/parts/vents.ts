import { area, type Ink, type Point, type Shape } from '../shape';

/** Radius at which a vent hole is drawn, metres. */
export const VENT = 0.004;

/** A round hole, small enough that six corners are round. */
export function hexagon(id: string, x: number, z: number, r: number): Shape {
  const points = Array.from({ length: 6 }, (_, i): Point => {
    const angle = (i * Math.PI) / 3;
    return [x + r * Math.cos(angle), z + r * Math.sin(angle)];
  });
  return area(id, 'vent', points);
}

/** What is seen from above of something that lets water in, or catches air. */
export const inkOfVents = (vents: string): Ink => (vents === 'both' ? 'water' : 'air');

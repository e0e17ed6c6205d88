import { areaOf, perimeterOf, shared, turnedOutline, type Outline } from './outline';

/** Inside geometry of a vessel: pure functions of height above its inside floor, metres. */
export interface Vessel {
  /** Height of the rim above the inside floor. */
  readonly depth: number;
  /** Wall and floor thickness. */
  readonly wall: number;
  /** Heights at which the sides bend, floor and rim included, rising. */
  readonly bends: readonly number[];
  /** Whether its floor is flat, so that things can stand on it. */
  readonly flat: boolean;
  /** Inside outline at height z, clamped to floor and rim. */
  outlineAt(z: number): Outline;
  /** Inside half width in the plane of the section. */
  halfAt(z: number): number;
  /** m². */
  areaAt(z: number): number;
  perimeterAt(z: number): number;
  /** Volume below height z, 0 below the floor and never more than to the rim. m³. */
  volumeBelow(z: number): number;
  volumeBetween(z0: number, z1: number): number;
  /** The height to which a volume fills it, metres; the rim when there is more. */
  heightForVolume(volume: number): number;
}

/** What distinguishes one vessel from another. */
export interface Form {
  depth: number;
  wall: number;
  bends: readonly number[];
  flat?: boolean;
  /** For z from 0 to depth. */
  outlineAt(z: number): Outline;
  volumeBelow(z: number): number;
}

/** How high up its side a round-bottomed vessel is wedged, as a share of its depth. */
const WEDGED = 0.1;

/** The outline between whose edges a vessel stands: its floor, or its wedges where it would roll. */
export const standsOver = (vessel: Vessel): Outline =>
  vessel.outlineAt(vessel.flat ? 0 : WEDGED * vessel.depth);

/** A vessel from its form: clamps heights and adds what follows. */
export function vesselOf(form: Form): Vessel {
  const inside = (z: number) => Math.min(Math.max(z, 0), form.depth);
  const outlineAt = (z: number) => form.outlineAt(inside(z));
  const volumeBelow = (z: number) => form.volumeBelow(inside(z));
  return {
    depth: form.depth,
    wall: form.wall,
    bends: form.bends,
    flat: form.flat ?? true,
    outlineAt,
    halfAt: (z) => outlineAt(z).a,
    areaAt: (z) => areaOf(outlineAt(z)),
    perimeterAt: (z) => perimeterOf(outlineAt(z)),
    volumeBelow,
    volumeBetween: (z0, z1) => volumeBelow(z1) - volumeBelow(z0),
    heightForVolume(volume) {
      let low = 0;
      let high = form.depth;
      for (let i = 0; i < 50 && high - low > 1e-12; i += 1) {
        const middle = (low + high) / 2;
        if (volumeBelow(middle) < volume) low = middle;
        else high = middle;
      }
      return volume <= 0 ? 0 : high;
    },
  };
}

/** An outline at a height. */
export interface Station extends Outline {
  z: number;
}

/**
 * A stack of outlines. Dimensions vary linearly from station to station, so area is quadratic in
 * height within a segment and Simpson's rule is exact (the prismatoid formula).
 *
 * @param stations two or more, strictly rising in z, the first at z = 0
 * @throws Error with fewer than two stations
 */
export function stacked(stations: readonly Station[], wall: number): Vessel {
  const last = stations[stations.length - 1];
  if (!last || stations.length < 2) throw new Error('A vessel needs at least two stations');
  const segmentAt = (z: number): number => {
    let i = 0;
    while (i < stations.length - 2 && z > (stations[i + 1] as Station).z) i += 1;
    return i;
  };
  const within = (i: number, z: number): Outline => {
    const low = stations[i] as Station;
    const high = stations[i + 1] as Station;
    const t = (z - low.z) / (high.z - low.z);
    return {
      a: low.a + (high.a - low.a) * t,
      b: low.b + (high.b - low.b) * t,
      c: low.c + (high.c - low.c) * t,
    };
  };
  const slice = (i: number, z0: number, z1: number): number =>
    ((z1 - z0) / 6) *
    (areaOf(within(i, z0)) + 4 * areaOf(within(i, (z0 + z1) / 2)) + areaOf(within(i, z1)));
  const below = [0];
  stations.slice(1).forEach((station, i) => {
    below.push((below[i] as number) + slice(i, (stations[i] as Station).z, station.z));
  });
  return vesselOf({
    depth: last.z,
    wall,
    bends: stations.map(({ z }) => z),
    outlineAt: (z) => within(segmentAt(z), z),
    volumeBelow(z) {
      const i = segmentAt(z);
      return (below[i] as number) + slice(i, (stations[i] as Station).z, z);
    },
  });
}

/** The same vessel with length and width changed about, for a section across it. */
export function turned(vessel: Vessel): Vessel {
  return vesselOf({
    ...vessel,
    outlineAt: (z) => turnedOutline(vessel.outlineAt(z)),
  });
}

/** An outline that lies inside the vessel at every height from z0 to z1. */
export function clearBetween(vessel: Vessel, z0: number, z1: number): Outline {
  return [z1, ...vessel.bends.filter((z) => z > z0 && z < z1)].reduce(
    (outline, z) => shared(outline, vessel.outlineAt(z)),
    vessel.outlineAt(z0),
  );
}

/** Volume of the wall and floor themselves, m³, for the empty weight. */
export function shellVolume(vessel: Vessel): number {
  let sides = 0;
  vessel.bends.slice(1).forEach((upper, i) => {
    const lower = vessel.bends[i] as number;
    const [low, high] = [vessel.outlineAt(lower), vessel.outlineAt(upper)];
    const up = upper - lower;
    const mean = (one: number, other: number) => (one + other) / 2;
    const [a, b, c] = [mean(low.a, high.a), mean(low.b, high.b), mean(low.c, high.c)];
    const [da, db] = [high.a - low.a, high.b - low.b];
    // Sides lean by their own half width, corners by both; at the ends of a lying half they stand upright.
    const area =
      4 * (a - c) * Math.hypot(up, db) +
      4 * (b - c) * Math.hypot(up, da) +
      (2 * c + vessel.wall) * Math.PI * Math.hypot(up, (da + db) / 2);
    sides += area * vessel.wall;
  });
  return sides + vessel.areaAt(0) * vessel.wall;
}

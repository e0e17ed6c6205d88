/**
 * Vessels as a stack of horizontal outlines. Dimensions vary linearly between stations, so area is
 * quadratic in height within a segment and the prismatoid formula (Simpson's rule) is exact.
 */

/** A round outline at a height. Metres. */
export interface Station {
  z: number;
  radius: number;
}

/** Inside geometry of a vessel: pure functions of height above the inside floor, metres. */
export interface Vessel {
  /** Height of the rim above the inside floor, metres. */
  readonly depth: number;
  /** Wall and floor thickness, metres. */
  readonly wall: number;
  readonly stations: readonly Station[];
  /** Inside radius at height z, clamped to floor and rim. Metres. */
  radiusAt(z: number): number;
  /** Inside cross-section at height z. Square metres. */
  areaAt(z: number): number;
  /** Inside perimeter at height z. Metres. */
  perimeterAt(z: number): number;
  /** Volume below height z, 0 below the floor. Cubic metres. */
  volumeBelow(z: number): number;
  /** Volume between two heights. Cubic metres. */
  volumeBetween(z0: number, z1: number): number;
}

/**
 * A vessel from two or more stations in rising order, the first at the floor.
 *
 * @param stations inside radii by height, metres, strictly rising in z, first z = 0
 * @param wall thickness of wall and floor, metres
 */
export function roundVessel(stations: readonly Station[], wall: number): Vessel {
  const last = stations[stations.length - 1];
  if (!last || stations.length < 2) throw new Error('A vessel needs at least two stations');
  const depth = last.z;
  const volumesAtStations = [0];
  stations.slice(1).forEach((upper, i) => {
    const lower = stations[i] as Station;
    volumesAtStations.push(
      (volumesAtStations[i] as number) + frustum(lower.radius, upper.radius, upper.z - lower.z),
    );
  });

  const segmentAt = (z: number): number => {
    let i = 0;
    while (i < stations.length - 2 && z > (stations[i + 1] as Station).z) i += 1;
    return i;
  };
  const radiusAt = (height: number): number => {
    const z = Math.min(Math.max(height, 0), depth);
    const i = segmentAt(z);
    const lower = stations[i] as Station;
    const upper = stations[i + 1] as Station;
    return lower.radius + ((upper.radius - lower.radius) * (z - lower.z)) / (upper.z - lower.z);
  };
  const volumeBelow = (height: number): number => {
    const z = Math.min(Math.max(height, 0), depth);
    const i = segmentAt(z);
    const lower = stations[i] as Station;
    return (volumesAtStations[i] as number) + frustum(lower.radius, radiusAt(z), z - lower.z);
  };
  return {
    depth,
    wall,
    stations,
    radiusAt,
    areaAt: (z) => Math.PI * radiusAt(z) ** 2,
    perimeterAt: (z) => 2 * Math.PI * radiusAt(z),
    volumeBelow,
    volumeBetween: (z0, z1) => volumeBelow(z1) - volumeBelow(z0),
  };
}

/** Volume of a cone frustum, cubic metres: πh(r₀² + r₀r₁ + r₁²)/3. */
function frustum(r0: number, r1: number, height: number): number {
  return (Math.PI * height * (r0 * r0 + r0 * r1 + r1 * r1)) / 3;
}

/** What the document says of a tapered round vessel; metres. */
export interface TaperedRound {
  topDiameter: number;
  bottomDiameter: number;
  depth: number;
  wall: number;
}

/** The geometry of a tapered round vessel. */
export function taperedRound(measures: TaperedRound): Vessel {
  return roundVessel(
    [
      { z: 0, radius: measures.bottomDiameter / 2 },
      { z: measures.depth, radius: measures.topDiameter / 2 },
    ],
    measures.wall,
  );
}

/** Inside diameter of a tapered round vessel at height z, clamped to floor and rim. Metres. */
export function insideDiameterAt(measures: TaperedRound, z: number): number {
  const t = Math.min(Math.max(z / measures.depth, 0), 1);
  return measures.bottomDiameter + (measures.topDiameter - measures.bottomDiameter) * t;
}

/** Volume of the wall and floor themselves, cubic metres, for the empty weight. */
export function shellVolume(vessel: Vessel): number {
  const floor = vessel.areaAt(0) * vessel.wall;
  let sides = 0;
  vessel.stations.slice(1).forEach((upper, i) => {
    const lower = vessel.stations[i] as Station;
    const slant = Math.hypot(upper.z - lower.z, upper.radius - lower.radius);
    sides += Math.PI * (lower.radius + upper.radius + vessel.wall) * slant * vessel.wall;
  });
  return floor + sides;
}

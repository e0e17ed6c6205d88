import type { PartDesign, PartOf } from '../design';
import {
  areaOf,
  clearBetween,
  grown,
  reachAt,
  segmentArea,
  type Outline,
  type Vessel,
} from '../vessel';
import { arrange, fullest, pack, type Circle, type Free, type Rectangle } from './arrange';
import { waterUnderTrappedAir } from './trapped';

/**
 * What stands or lies in the base. Each part says what it takes out of the base and what water it
 * lets in again, by height; all volumes are closed forms.
 */
export interface BasePart {
  readonly design: PartDesign;
  /** Index in the design's parts. */
  readonly index: number;
  /** How many were asked for and how many are placed. */
  readonly wanted: number;
  readonly placed: number;
  /** How many there is room for, at least as many as are placed. */
  room(): number;
  /** Seen from above. */
  readonly circles: readonly Circle[];
  readonly boxes: readonly Rectangle[];
  /** Lying pipes, as runs or closed turns. */
  readonly runs: readonly Run[];
  /** Height of the part, metres. */
  readonly height: number;
  /** Volume of the part, walls and hollows, below height z. m³. */
  outerBelow(z: number): number;
  /** Water in its hollows with water standing at z outside. m³. */
  waterBelow(z: number): number;
  /** Volume of its hollows below z: `waterBelow` when nothing is caught. m³. */
  hollowBelow(z: number): number;
  /** Plan area that it takes at height z. m². */
  areaAt(z: number): number;
  /** Height of the water inside when it stands at z outside; equal to z where it breathes. Metres. */
  levelInside(z: number): number;
}

/** A pipe lying on the floor. */
export type Run =
  | { kind: 'straight'; x: number; half: number }
  /** A closed turn along an outline: the pipe's centre line. */
  | { kind: 'turn'; line: Outline };

const circleArea = (diameter: number): number => (Math.PI / 4) * diameter * diameter;

/** A cut end slides in with a little play all round, metres. */
const RING_SLACK = 5e-4;

/** Lays out one part on the floor of a vessel, where that is free. */
export function placePart(
  design: PartDesign,
  index: number,
  vessel: Vessel,
  top: number,
  free: Free,
): BasePart {
  const floor = clearBetween(vessel, 0, top);
  switch (design.kind) {
    case 'ring':
      return ring(design, index, top, free);
    case 'standing':
      return standing(design, index, floor, top, free);
    case 'lying':
      return lying(design, index, vessel);
    case 'crates':
      return crates(design, index, floor, top, free);
    case 'arch':
      return arch(design, index, floor, top, free);
    case 'sticks':
      return sticks(design, index, vessel, top);
  }
}

const NONE = { circles: [], boxes: [], runs: [] } as const;

/** Hollow things of one height with straight walls. */
function upright(
  vents: PartOf<'ring'>['vents'],
  outer: number,
  inner: number,
  height: number,
): Pick<
  BasePart,
  'height' | 'outerBelow' | 'waterBelow' | 'hollowBelow' | 'areaAt' | 'levelInside'
> {
  const levelInside = (z: number): number => {
    const level = Math.min(z, height);
    if (vents === 'both') return level;
    return vents === 'foot' ? waterUnderTrappedAir(height, level) : 0;
  };
  return {
    height,
    levelInside,
    outerBelow: (z) => outer * Math.min(z, height),
    waterBelow: (z) => inner * levelInside(z),
    hollowBelow: (z) => inner * Math.min(z, height),
    areaAt: (z) => (z <= height ? outer : 0),
  };
}

/** Water, wicks and supports go on inside a ring that is open; only its wall is taken out then. */
function ring(design: PartOf<'ring'>, index: number, top: number, free: Free): BasePart {
  const { diameter, wall, vents } = design;
  const bore = circleArea(diameter - 2 * wall);
  const open = vents === 'both';
  const outer = circleArea(diameter) - (open ? bore : 0);
  const r = diameter / 2 - (design.cutEnd ? RING_SLACK : 0);
  const fits = free.ring(r, wall);
  return {
    ...NONE,
    design,
    index,
    wanted: 1,
    placed: fits ? 1 : 0,
    room: () => (fits ? 1 : 0),
    circles: fits ? [{ x: 0, y: 0, r }] : [],
    ...upright(vents, fits ? outer : 0, open || !fits ? 0 : bore, top),
  };
}

/** Solid things hold no water, whatever their vents are said to be. */
const SOLID: readonly string[] = ['brick'];

function standing(
  design: PartOf<'standing'>,
  index: number,
  floor: Outline,
  top: number,
  free: Free,
): BasePart {
  const r = design.diameter / 2;
  const circles = arrange(floor, r, design.count, free);
  const n = circles.length;
  const inner = SOLID.includes(design.what) ? 0 : circleArea(design.diameter - 2 * design.wall);
  return {
    ...NONE,
    design,
    index,
    wanted: design.count,
    placed: n,
    room: () => Math.max(fullest(floor, r, free).length, n),
    circles,
    ...upright(design.vents, n * circleArea(design.diameter), n * inner, top),
  };
}

/** Gap between a coil's turns, as a share of its diameter, and between a loop and the wall. Metres. */
const TURN_GAP = 0.1;
const LOOP_GAP = 0.015;

/** How far from the axis a pipe of radius r on the floor can lie, in the plane of the section. */
function farthestRun(vessel: Vessel, r: number): number {
  let farthest = Infinity;
  for (let i = 0; i <= 12; i += 1) {
    const z = ((i + 0.001) / 12) * 2 * r;
    const chord = Math.sqrt(Math.max(r * r - (z - r) * (z - r), 0));
    farthest = Math.min(farthest, vessel.halfAt(z) - chord);
  }
  return farthest;
}

function lying(design: PartOf<'lying'>, index: number, vessel: Vessel): BasePart {
  const r = design.diameter / 2;
  const bore = r - design.wall;
  // What a pipe rests on is as wide as the vessel is at the pipe's middle when the floor is curved.
  const floor = vessel.flat
    ? clearBetween(vessel, 0, design.diameter)
    : clearBetween(vessel, r, design.diameter);
  const farthest = farthestRun(vessel, r);
  const { runs, room } =
    design.lay === 'runs'
      ? straightRuns(design, floor, farthest)
      : closedTurns(design, floor, farthest);
  const length = runs.reduce((sum, run) => sum + lengthOf(run), 0);
  const chordAt = (R: number, z: number) =>
    z <= 0 || z >= 2 * R ? 0 : 2 * Math.sqrt(2 * R * z - z * z);
  const inside = (z: number) => length * segmentArea(bore, z - design.wall);
  return {
    ...NONE,
    design,
    index,
    wanted: design.count,
    placed: runs.length,
    room: () => Math.max(room, runs.length),
    runs,
    height: design.diameter,
    levelInside: (z) => Math.min(z, design.diameter),
    outerBelow: (z) => length * segmentArea(r, z),
    waterBelow: inside,
    hollowBelow: inside,
    areaAt: (z) => length * chordAt(r, z),
  };
}

/** Length of a run's centre line, metres. */
export function lengthOf(run: Run): number {
  if (run.kind === 'straight') return 2 * run.half;
  const { a, b, c } = run.line;
  return 4 * (a + b) - (8 - 2 * Math.PI) * c;
}

function straightRuns(design: PartOf<'lying'>, floor: Outline, farthest: number) {
  const r = design.diameter / 2;
  const room = farthest < -1e-9 ? 0 : Math.floor((2 * farthest) / design.diameter + 1e-9) + 1;
  const count = Math.min(design.count, room);
  const spread = count === 1 ? 0 : Math.min(farthest, Math.max(farthest * 0.82, (count - 1) * r));
  const runs = Array.from({ length: count }, (_, i): Run => {
    const x = count === 1 ? 0 : (i / (count - 1) - 0.5) * 2 * spread;
    return { kind: 'straight', x, half: reachAt(floor, Math.abs(x) + r - 1e-9) };
  }).filter((run) => run.kind === 'straight' && run.half > 0);
  return { runs, room };
}

function closedTurns(design: PartOf<'lying'>, floor: Outline, farthest: number) {
  const r = design.diameter / 2;
  const gap = design.lay === 'loop' ? LOOP_GAP : 0.004;
  const pitch = design.diameter * (1 + TURN_GAP);
  const turns: Run[] = [];
  for (let i = 0; i < 40; i += 1) {
    const line = grown(floor, -(r + gap + i * pitch));
    if (line.a < r || line.b < r || farthest - gap - i * pitch < r) break;
    const c = Math.max(line.c, Math.min(r, line.a, line.b));
    turns.push({ kind: 'turn', line: { ...line, c } });
  }
  return { runs: turns.slice(0, design.count), room: turns.length };
}

function crates(
  design: PartOf<'crates'>,
  index: number,
  floor: Outline,
  top: number,
  free: Free,
): BasePart {
  const { length, width, count, voids } = design;
  const boxes = pack(floor, length, width, count, free);
  const cutAway = boxes.reduce((sum, box) => sum + free.areaIn(box), 0);
  const outer = Math.max(boxes.length * length * width - cutAway, 0);
  return {
    ...NONE,
    design,
    index,
    wanted: count,
    placed: boxes.length,
    room: () => Math.max(pack(floor, length, width, 1e4, free).length, boxes.length),
    boxes,
    ...upright('both', outer, outer * voids, top),
  };
}

/** A curved panel standing on both its edges: the space under it is a circular segment. */
function arch(
  design: PartOf<'arch'>,
  index: number,
  floor: Outline,
  top: number,
  free: Free,
): BasePart {
  const half = Math.min(design.width, 2 * floor.a) / 2;
  const box = { x: 0, y: 0, a: half, b: reachAt(floor, half * 0.999) };
  const long = box.b > 0 && free.box(box) ? 2 * box.b : 0;
  const profile = archProfile(half, top);
  const inner = archProfile(Math.max(half - design.wall, 1e-4), Math.max(top - design.wall, 1e-4));
  const levelInside = (z: number): number => {
    const level = Math.min(z, top);
    if (design.vents === 'both') return level;
    return design.vents === 'foot' ? waterUnderTrappedAir(top, level) : 0;
  };
  return {
    ...NONE,
    design,
    index,
    wanted: 1,
    placed: long > 0 ? 1 : 0,
    room: () => (long > 0 ? 1 : 0),
    boxes: long > 0 ? [box] : [],
    height: top,
    levelInside,
    outerBelow: (z) => long * profile.below(z),
    waterBelow: (z) => long * inner.below(levelInside(z)),
    hollowBelow: (z) => long * inner.below(z),
    areaAt: (z) => (z <= top ? long * 2 * profile.halfAt(z) : 0),
  };
}

/**
 * The segment under an arch of half width w and rise h: half width and area below by height. A rise
 * above the half width stands on straight sides.
 */
export function archProfile(w: number, h: number) {
  const straight = Math.max(h - w, 0);
  const rise = h - straight;
  const R = (w * w + rise * rise) / (2 * rise);
  const whole = segmentArea(R, rise);
  return {
    halfAt(z: number): number {
      if (z <= straight) return w;
      const up = Math.min(z - straight, rise);
      return Math.sqrt(Math.max(R * R - (up - rise + R) ** 2, 0));
    },
    below(z: number): number {
      const up = Math.min(Math.max(z - straight, 0), rise);
      return 2 * w * Math.min(Math.max(z, 0), straight) + whole - segmentArea(R, rise - up);
    },
  };
}

/** Crossed layers of sticks: a share of all the space up to the top is wood. */
function sticks(design: PartOf<'sticks'>, index: number, vessel: Vessel, top: number): BasePart {
  const share = Math.min(((Math.PI / 4) * design.diameter) / design.spacing, 0.95);
  return {
    ...NONE,
    design,
    index,
    wanted: 1,
    placed: 1,
    room: () => 1,
    height: top,
    levelInside: (z) => Math.min(z, top),
    outerBelow: (z) => share * vessel.volumeBelow(Math.min(z, top)),
    waterBelow: () => 0,
    hollowBelow: () => 0,
    areaAt: (z) => (z <= top ? share * areaOf(vessel.outlineAt(z)) : 0),
  };
}

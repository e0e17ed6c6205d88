import { PIPES } from '../catalog';
import type { PlanterDesign } from '../design';
import {
  bedShape,
  clearBetween,
  grown,
  holdsCircle,
  shapeOf,
  shared,
  turned,
  type Outline,
  type Vessel,
} from '../vessel';
import { airCeiling, soilBaseHeight } from '../design';
import { arrange, beside, type Circle } from './arrange';
import { obstacles, type Obstacles } from './obstacles';
import { placePart, type BasePart } from './parts';

/** Thickness of a packed cup's own wall, metres. */
export const CUP_WALL = 0.001;
/** Wall of an inspection pipe or worm tube, metres. */
export const PIPE_WALL = 0.003;
/** Play left round a platform so that it drops in, metres. */
export const PLATFORM_PLAY = 0.002;
/** How far an inspection pipe or worm tube stands over the rim, metres. */
export const PIPE_PROUD = 0.03;

/** A packed cup or a column of sand on the floor. */
export interface StandingWick extends Circle {
  /** Index of the wick that it belongs to. */
  wick: number;
}

/** A pipe that stands upright: where, how wide, and how high its foot is. */
export interface StandingPipe extends Circle {
  foot: number;
}

/** What holds the soil: the vessel itself, or beds of their own above or inside it. */
export interface Bed {
  /** The space in one of them, above its own floor. */
  readonly inside: Vessel;
  /** Height of that floor above the vessel's, metres. */
  readonly floor: number;
  readonly wall: number;
  /** Whether it is something other than the vessel. */
  readonly separate: boolean;
  /** Where each stands, seen from above. */
  readonly places: readonly { x: number; y: number }[];
}

/** Where everything stands on the floor, seen from above; the section is cut along y = 0. */
export interface FloorLayout {
  /** The water's own vessel, turned so that the section shows what there is to see. */
  readonly vessel: Vessel;
  readonly bed: Bed;
  /** Everything stands inside this. */
  readonly floor: Outline;
  readonly tube: StandingPipe | null;
  /** Inspection pipes and worm tubes, in the order of the design. */
  readonly pipes: readonly StandingPipe[];
  readonly cups: readonly StandingWick[];
  readonly columns: readonly StandingWick[];
  readonly parts: readonly BasePart[];
}

/** Whether the section is cut across the vessel, to show lying pipes from their ends. */
export function cutAcross({ vessel, reservoir, bed }: PlanterDesign): boolean {
  if (bed?.kind === 'row') return false;
  const lies = reservoir.parts.some(
    (part) => (part.kind === 'lying' && part.lay === 'runs') || part.kind === 'arch',
  );
  return vessel.kind === 'lying' || (lies && vessel.kind !== 'round');
}

/** Lays everything out: lying pipes first, then tube, pipes, wicks, and last what stands. */
export function layOut(design: PlanterDesign): FloorLayout {
  const across = cutAcross(design);
  const shape = shapeOf(design.vessel);
  const vessel = across ? turned(shape) : shape;
  const bed = bedOf(design, vessel);
  const { top, parts: partDesigns } = design.reservoir;
  const floor = floorOf(design, vessel, bed);
  const taken = obstacles();

  const parts: BasePart[] = [];
  const place = (lying: boolean) =>
    partDesigns.forEach((part, i) => {
      if ((part.kind === 'lying') !== lying) return;
      const placed = placePart(part, i, vessel, Math.min(top, vessel.depth), taken);
      taken.addPart(placed);
      parts.push(placed);
    });

  place(true);
  const tube = tubeOf(design, vessel, floor, parts);
  if (tube) taken.addCircle(tube);
  const pipes = design.pipes.map((pipe, i) => {
    const r = pipe.diameter / 2;
    const worm = pipe.use === 'worm';
    const at = atLeft(floor, r, i, design.pipes.length);
    const low = !worm && taken.circle({ ...at, r });
    const standing = {
      ...at,
      r,
      foot: worm ? soilBaseHeight(design) : low ? restsAt(vessel, { ...at, r }) : tallest(parts),
    };
    if (low) taken.addCircle(standing);
    return standing;
  });
  const columns = columnsOf(design, floor, taken);
  const cups = cupsOf(design, bed, floor, taken);
  place(false);
  parts.sort((one, other) => one.index - other.index);
  return { vessel, bed, floor, tube, pipes, cups, columns, parts };
}

const tallest = (parts: readonly BasePart[]): number =>
  parts.reduce((height, part) => Math.max(height, part.height), 0);

/** The floor that things stand on: the vessel's, and the bed's where they go through that. */
function floorOf(design: PlanterDesign, vessel: Vessel, bed: Bed): Outline {
  const height = Math.min(Math.max(airCeiling(design), soilBaseHeight(design)), vessel.depth);
  const own = vessel.flat
    ? clearBetween(vessel, 0, height)
    : clearBetween(vessel, Math.min(height, vessel.depth * CURVED_FROM), height);
  const through = design.bed?.kind === 'nested' || design.bed?.kind === 'neck';
  return through ? shared(own, bed.inside.outlineAt(0)) : own;
}

/** On a curved floor things stand where it is this share of the depth up. */
const CURVED_FROM = 0.25;

/** The beds of a design; the vessel itself where there is none. */
function bedOf(design: PlanterDesign, vessel: Vessel): Bed {
  const { bed, reservoir } = design;
  if (!bed) {
    return {
      inside: vessel,
      floor: 0,
      wall: vessel.wall,
      separate: false,
      places: [{ x: 0, y: 0 }],
    };
  }
  const inside = bedShape(bed, design.vessel, vessel);
  const common = { inside, separate: true };
  switch (bed.kind) {
    case 'nested':
    case 'neck':
      return {
        ...common,
        wall: vessel.wall,
        floor: reservoir.top + (bed.kind === 'nested' ? vessel.wall : 0),
        places: [{ x: 0, y: 0 }],
      };
    case 'row': {
      const long = 2 * vessel.outlineAt(vessel.depth).a;
      return {
        ...common,
        wall: bed.wall,
        floor: reservoir.top + bed.wall,
        places: Array.from({ length: bed.count }, (_, i) => ({
          x: ((i + 0.5) / bed.count - 0.5) * long,
          y: 0,
        })),
      };
    }
    case 'bag': {
      const r = Math.max(bed.topDiameter, bed.bottomDiameter) / 2 + bed.wall;
      const tray = vessel.outlineAt(0);
      return {
        ...common,
        wall: bed.wall,
        floor: bed.wall,
        places: arrange(tray, r, bed.count, beside([])).map(({ x, y }) => ({ x, y })),
      };
    }
  }
}

/** The fill tube: on the lying pipe that it joins, else at the wall, inside a ring if need be. */
function tubeOf(
  design: PlanterDesign,
  vessel: Vessel,
  floor: Outline,
  parts: readonly BasePart[],
): StandingPipe | null {
  if (!design.fillTube) return null;
  const r = PIPES[design.fillTube.pipe].outside / 2;
  const lying = parts.find((part) => part.runs.length > 0);
  if (lying) {
    const xs = lying.runs.map((run) => (run.kind === 'straight' ? run.x : run.line.a));
    return { x: Math.min(Math.max(...xs), Math.max(floor.a - r, 0)), y: 0, r, foot: lying.height };
  }
  const ring = design.reservoir.parts.find((part) => part.kind === 'ring');
  const besideRing = !ring || floor.a - ring.diameter / 2 >= 2 * r;
  const edge = besideRing ? floor.a : ring.diameter / 2 - ring.wall - RING_PLAY;
  const at = { x: Math.max(edge - r, 0), y: 0, r };
  return { ...at, foot: restsAt(vessel, at) };
}

/** A tube inside a ring keeps this far from it, metres. */
const RING_PLAY = 0.001;

/** The lowest that something this wide can stand: 0 on a flat floor, higher on a curved one. Metres. */
function restsAt(vessel: Vessel, { x, y, r }: Circle): number {
  if (vessel.flat) return 0;
  return vessel.bends.find((z) => holdsCircle(vessel.outlineAt(z), x, y, r)) ?? vessel.depth;
}

/** Places along the left wall, one behind the other. */
function atLeft(floor: Outline, r: number, i: number, count: number): { x: number; y: number } {
  const inner = grown(floor, -r);
  const y = count === 1 ? 0 : ((i / (count - 1)) * 2 - 1) * Math.max(inner.b - inner.c, 0);
  return { x: -inner.a, y };
}

function columnsOf(design: PlanterDesign, floor: Outline, taken: Obstacles): StandingWick[] {
  return design.wicks.flatMap((wick, i) => {
    if (wick.kind !== 'column') return [];
    const r = wick.diameter / 2;
    const corners = wick.count <= 4 ? inCorners(floor, r, wick.count) : [];
    const good = corners.length === wick.count && corners.every((circle) => taken.circle(circle));
    return keep(good ? corners : arrange(floor, r, wick.count, taken), i, taken);
  });
}

/** Up to four circles in the corners, opposite ones first. */
function inCorners(floor: Outline, r: number, count: number): Circle[] {
  const inner = grown(floor, -r);
  if (inner.a <= 0 || inner.b <= 0 || inner.c >= Math.min(inner.a, inner.b) * 0.9) return [];
  const back = inner.c * (1 - Math.SQRT1_2);
  const [x, y] = [inner.a - back, inner.b - back];
  return [
    { x: -x, y: -y, r },
    { x, y, r },
    { x: -x, y, r },
    { x, y: -y, r },
  ].slice(0, count);
}

function cupsOf(design: PlanterDesign, bed: Bed, floor: Outline, taken: Obstacles): StandingWick[] {
  const ring = design.reservoir.parts.find((part) => part.kind === 'ring');
  const inRing = ring ? ring.diameter / 2 - ring.wall : Infinity;
  const room = Number.isFinite(inRing) ? shared(floor, { a: inRing, b: inRing, c: inRing }) : floor;
  return design.wicks.flatMap((wick, i) => {
    if (wick.kind !== 'cup') return [];
    const r = wick.diameter / 2 + CUP_WALL;
    const circles =
      bed.places.length > 1 && design.bed?.kind === 'row'
        ? underEach(bed, r, wick.count, floor)
        : arrange(room, r, wick.count, taken);
    return keep(circles, i, taken);
  });
}

/** Cups under the beds of a row, one under each before any has two. */
function underEach(bed: Bed, r: number, count: number, floor: Outline): Circle[] {
  if (r > floor.b) return [];
  const perBed = Math.ceil(count / bed.places.length);
  return Array.from({ length: count }, (_, i) => {
    const place = bed.places[i % bed.places.length] ?? { x: 0, y: 0 };
    const k = Math.floor(i / bed.places.length);
    return { x: place.x + (k - (perBed - 1) / 2) * 2.05 * r, y: 0, r };
  });
}

function keep(circles: readonly Circle[], wick: number, taken: Obstacles): StandingWick[] {
  circles.forEach((circle) => taken.addCircle(circle));
  return circles.map((circle) => ({ ...circle, wick }));
}

import {
  airCeiling,
  depthOf,
  FIELDS,
  lipBelowMark,
  SUPPORT_KINDS,
  soilBaseHeight,
  type FieldSpec,
  type SupportKind,
  type Patch,
  type PlanterDesign,
} from '../document';
import { shapeOf, type Vessel } from '../geometry/vessels';
import { PART_DEFINITIONS } from './parts';
import { leavesWall } from './parts/outlets';
import type { RequestedPart, PartDefinition } from './part';
import { baseName } from './baseName';
import { LEAST_SOIL } from './contradictions';
import type { Planter } from './assemble';

/** A line in the section that is a decision and can be taken hold of. Metres above the floor. */
export interface Level {
  id: 'overflow' | 'platform' | 'surface';
  label: string;
  /** Where the line is. For the overflow this is its lip. */
  height: number;
  /** How far it can be moved without a contradiction. */
  min: number;
  max: number;
}

/** How far from `here`, which is sound, towards `there` one can go and stay sound. Metres. */
function farthest(here: number, there: number, sound: (z: number) => boolean): number {
  if (sound(there)) return there;
  let [good, bad] = [here, there];
  for (let step = 0; step < 30; step += 1) {
    const middle = (good + bad) / 2;
    if (sound(middle)) good = middle;
    else bad = middle;
  }
  return good;
}

/** The movable lines of a planter, from the floor up. */
export function levelsOf({ design, heights, bed, vessel }: Planter): Level[] {
  const { overflow } = design;
  const depth = depthOf(design.vessel);
  const levels: Level[] = [];
  if (overflow && overflow.kind !== 'rim') {
    const below = lipBelowMark(overflow);
    const radius = overflow.diameter / 2;
    const up = overflow.kind === 'rows' ? (overflow.rows - 1) * overflow.pitch : 0;
    const lowest = Math.max(FIELDS.overflow.centre.min, radius) - below;
    const height = overflow.centre - below;
    const highest = Math.min(
      depth - radius - up - below,
      FIELDS.overflow.centre.max - below,
      depth,
    );
    const stays = (lip: number) => leavesWall(overflow, vessel, lip + below);
    levels.push({
      id: 'overflow',
      label: 'Overflow lip',
      height,
      min: farthest(height, lowest, stays),
      max: farthest(height, Math.max(lowest, highest), stays),
    });
  }
  if (design.bed?.kind !== 'bag') {
    const { min, max } = baseRange(design);
    const name = baseName(design).replace(/^the /, '');
    levels.push({
      id: 'platform',
      label: name.charAt(0).toUpperCase() + name.slice(1),
      height: heights.ceiling,
      min,
      max,
    });
  }
  levels.push({
    id: 'surface',
    label: 'Soil surface',
    height: heights.surface,
    min: Math.max(heights.base + LEAST_SOIL, heights.rim - FIELDS.soil.freeboard.max),
    max: bed.floor + bed.inside.depth,
  });
  return levels.map((level) => ({
    ...level,
    min: Math.min(level.min, level.height),
    max: Math.max(level.max, level.height),
  }));
}

/** How far the top of the base can move. */
function baseRange(design: PlanterDesign): { min: number; max: number } {
  const { reservoir, soil, bed } = design;
  const depth = depthOf(design.vessel);
  const top = airCeiling(design);
  const over = soilBaseHeight(design) - top;
  const feet = design.wicks.map((wick) => wick.foot + 0.002 - over);
  const shape = shapeOf(design.vessel);
  const parts = reservoir.parts.map((part) => {
    const { least } = PART_DEFINITIONS[part.kind] as PartDefinition<SupportKind>;
    return least?.(part, shape) ?? 0;
  });
  const roof = bed ? depth : depth - soil.freeboard - LEAST_SOIL - over;
  return {
    min: Math.max(FIELDS.reservoir.top.min, ...feet, ...parts),
    max: Math.min(roof, FIELDS.reservoir.top.max, highestStanding(design, top, roof)),
  };
}

/** Where something standing on the floor would touch the wall of a vessel that narrows upward. */
function highestStanding(design: PlanterDesign, from: number, to: number): number {
  if (design.reservoir.parts.length === 0) return Infinity;
  const shape = shapeOf(design.vessel);
  const stands = (top: number): boolean => {
    const raised = { ...design, reservoir: { ...design.reservoir, top } };
    return SUPPORT_KINDS.every((kind) => fits(kind, raised, shape));
  };
  if (
    shape.bends.every((z) => z <= from || shape.areaAt(z) >= shape.areaAt(from) - 1e-12) ||
    stands(to)
  )
    return Infinity;
  let low = from;
  let high = to;
  for (let i = 0; i < 30; i += 1) {
    const middle = (low + high) / 2;
    if (stands(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** Whether a kind of part can be as it is asked for. */
function fits<K extends SupportKind>(kind: K, design: PlanterDesign, shape: Vessel): boolean {
  const faces = PART_DEFINITIONS[kind];
  return (faces.asked(design) as readonly RequestedPart<K>[]).every(
    (one) => (faces.contradictions?.(one, design, shape) ?? []).length === 0,
  );
}

/** The patch that moves a line to `height` (metres), kept within its range. */
export function moveLevel(planter: Planter, id: Level['id'], height: number): Patch {
  const { design, heights } = planter;
  const level = levelsOf(planter).find((candidate) => candidate.id === id);
  if (!level) return [];
  const z = Math.min(Math.max(height, level.min), level.max);
  switch (id) {
    case 'overflow':
      return design.overflow && design.overflow.kind !== 'rim'
        ? [
            {
              path: ['overflow', 'centre'],
              value: within(FIELDS.overflow.centre, z + lipBelowMark(design.overflow)),
            },
          ]
        : [];
    case 'platform':
      return [{ path: ['reservoir', 'top'], value: within(FIELDS.reservoir.top, z) }];
    case 'surface':
      return [
        { path: ['soil', 'freeboard'], value: within(FIELDS.soil.freeboard, heights.rim - z) },
      ];
  }
}

/** Takes the rounding off at the ends of a field's range. */
const within = ({ min, max }: FieldSpec, value: number): number =>
  Math.min(Math.max(value, min), max);

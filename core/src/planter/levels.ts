import {
  airCeiling,
  FIELDS,
  soilBaseHeight,
  type Patch,
  type FieldSpec,
  type PlanterDesign,
} from '../design';
import { insideDiameterAt } from '../vessel';
import { LEAST_SOIL } from './contradictions';

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

/** The movable lines of a design, from the floor up. */
export function levelsOf(design: PlanterDesign): Level[] {
  const { vessel, reservoir, overflow, soil } = design;
  const base = soilBaseHeight(reservoir);
  const ceiling = airCeiling(reservoir);
  const rim = vessel.depth;
  const highestBase = rim - soil.freeboard - LEAST_SOIL;
  const levels: Level[] = [];
  if (overflow) {
    const radius = overflow.diameter / 2;
    levels.push({
      id: 'overflow',
      label: 'Overflow lip',
      height: overflow.centre - radius,
      min: Math.max(FIELDS.overflow.centre.min - radius, 0),
      max: Math.min(rim - 2 * radius, FIELDS.overflow.centre.max - radius),
    });
  }
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const feet = design.wicks.map((wick) => wick.foot);
  const range = reservoir.kind === 'platform' ? FIELDS.platform.underside : FIELDS.support.height;
  levels.push({
    id: 'platform',
    label: reservoir.kind === 'platform' ? 'Platform' : 'Bottle tops',
    height: ceiling,
    min: Math.min(
      ceiling,
      Math.max(range.min, ...feet.map((foot) => foot + 0.002 + ceiling - base)),
    ),
    max: Math.max(
      ceiling,
      Math.min(
        highestBase - (base - ceiling),
        highestStanding(vessel, support.diameter),
        range.max,
      ),
    ),
  });
  levels.push({
    id: 'surface',
    label: 'Soil surface',
    height: rim - soil.freeboard,
    min: Math.max(base + LEAST_SOIL, rim - FIELDS.soil.freeboard.max),
    max: rim,
  });
  return levels;
}

/** Where a support of this diameter would touch the wall of a vessel that narrows upward. */
function highestStanding(vessel: PlanterDesign['vessel'], diameter: number): number {
  if (insideDiameterAt(vessel, vessel.depth) >= diameter) return vessel.depth;
  const t = (vessel.bottomDiameter - diameter) / (vessel.bottomDiameter - vessel.topDiameter);
  return Math.max(t, 0) * vessel.depth;
}

/** The patch that moves a line to `height` (metres), kept within its range. */
export function moveLevel(design: PlanterDesign, id: Level['id'], height: number): Patch {
  const level = levelsOf(design).find((candidate) => candidate.id === id);
  if (!level) return [];
  const z = Math.min(Math.max(height, level.min), level.max);
  switch (id) {
    case 'overflow':
      return design.overflow
        ? [
            {
              path: ['overflow', 'centre'],
              value: within(FIELDS.overflow.centre, z + design.overflow.diameter / 2),
            },
          ]
        : [];
    case 'platform':
      return [
        {
          path: ['reservoir', design.reservoir.kind === 'platform' ? 'underside' : 'height'],
          value: within(
            design.reservoir.kind === 'platform'
              ? FIELDS.platform.underside
              : FIELDS.support.height,
            z,
          ),
        },
      ];
    case 'surface':
      return [
        {
          path: ['soil', 'freeboard'],
          value: within(FIELDS.soil.freeboard, design.vessel.depth - z),
        },
      ];
  }
}

/** Takes the rounding off at the ends of a field's range. */
const within = ({ min, max }: FieldSpec, value: number): number =>
  Math.min(Math.max(value, min), max);

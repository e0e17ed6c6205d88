import { soilBaseHeight, type PlanterDesign } from '../document';
import { q, say } from '../units';
import { shapeOf, type Vessel } from '../geometry/vessels';
import { baseName } from './baseName';
import { found, type Contradiction } from './contradiction';
import { PART_DEFINITIONS, PLACING_ORDER } from './parts';
import type { RequestedPart, PartKind } from './part';
import { bedMeasures, vesselContradictions } from './vesselContradictions';

/** Least depth of soil that still makes a planter rather than a bucket of water, metres. */
export const LEAST_SOIL = 0.02;

/**
 * Measures that contradict each other, as against unwise ones, which are findings. A design with
 * contradictions is never saved; a design without any can always be put together and drawn.
 */
export function contradictions(design: PlanterDesign): Contradiction[] {
  const vessel = vesselContradictions(design.vessel);
  // Nothing else can be asked of a vessel that cannot be.
  if (vessel.length > 0) return vessel;
  const shape = shapeOf(design.vessel);
  const bed = bedMeasures(design, shape);
  if (bed.length > 0) return bed;
  return [
    ...heights(design, shape),
    ...PLACING_ORDER.flatMap((kind) => ofKind(kind, design, shape)),
  ];
}

function ofKind<K extends PartKind>(
  kind: K,
  design: PlanterDesign,
  shape: Vessel,
): Contradiction[] {
  const { asked, contradictions: impossible } = PART_DEFINITIONS[kind];
  if (!impossible) return [];
  return (asked(design) as readonly RequestedPart<K>[]).flatMap((one) =>
    impossible(one, design, shape),
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function heights(design: PlanterDesign, shape: Vessel): Contradiction[] {
  const { soil, bed } = design;
  const base = soilBaseHeight(design);
  const floor = bed?.kind === 'neck' ? design.reservoir.top : bed ? base : 0;
  const rim = floor + (bed && bed.kind !== 'nested' ? bed.depth : shape.depth);
  const highest = rim - soil.freeboard - LEAST_SOIL;
  if (base <= highest + 1e-9) return [];
  const depth = rim - (bed ? base : 0);
  if (bed) {
    return [
      found(
        ['soil', 'freeboard'],
        say`${q(soil.freeboard, 'length')} of freeboard leaves no room for soil in ${q(depth, 'length')}. Leave ${q(Math.max(depth - LEAST_SOIL, 0), 'length')} or less.`,
      ),
    ];
  }
  return [
    found(
      ['reservoir', 'top'],
      say`${capital(baseName(design))} at ${q(design.reservoir.top, 'length')} leaves no room for soil: the vessel is ${q(depth, 'length')} deep, with ${q(soil.freeboard, 'length')} of freeboard. Keep it at ${q(Math.max(highest - (base - design.reservoir.top), 0), 'length')} or lower.`,
    ),
  ];
}

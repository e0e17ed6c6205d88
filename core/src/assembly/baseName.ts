import type { PlanterDesign } from '../document';
import { PART_DEFINITIONS } from './parts';
import type { PartDefinition, PartKind } from './part';

const BEDS = {
  nested: 'the upper vessel’s floor',
  neck: 'the cap',
  row: 'the pails’ floor',
  bag: 'the tray’s rim',
} as const;

/** How the top of the base is spoken of. */
export function baseName({ reservoir, bed }: PlanterDesign): string {
  if (bed) return BEDS[bed.kind];
  if (reservoir.cover === 'platform') return 'the platform';
  const [part] = reservoir.parts;
  if (!part || reservoir.fill.some((layer) => layer.medium !== 'mix')) return 'the top of the base';
  const { name, top } = PART_DEFINITIONS[part.kind] as unknown as PartDefinition<PartKind>;
  return top?.(name(part, 1), name(part, 2)) ?? 'the top of the base';
}

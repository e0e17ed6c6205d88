import type { PlanterDesign } from '../design';
import { KIND_FACES } from './kinds';
import type { Kind } from './piece';

const BEDS = {
  nested: 'the upper vessel’s floor',
  neck: 'the cap',
  row: 'the pails’ floor',
  bag: 'the tray’s rim',
} as const;

/** Kinds whose tops are spoken of where the soil lies straight on them. */
const TOPS: Partial<Record<Kind, (one: string, many: string) => string>> = {
  standing: (_one, many) => `the ${many}’ tops`,
  crates: (_one, many) => `the ${many}’ tops`,
  arch: () => 'the top of the panel',
};

/** How the top of the base is spoken of. */
export function baseName({ reservoir, bed }: PlanterDesign): string {
  if (bed) return BEDS[bed.kind];
  if (reservoir.cover === 'platform') return 'the platform';
  const [part] = reservoir.parts;
  if (!part || reservoir.fill.some((layer) => layer.medium !== 'mix')) return 'the top of the base';
  const name = KIND_FACES[part.kind].name as (spec: typeof part, count: number) => string;
  return TOPS[part.kind]?.(name(part, 1), name(part, 2)) ?? 'the top of the base';
}

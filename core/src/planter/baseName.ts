import { STANDING } from '../catalog';
import type { PlanterDesign } from '../design';

/** How the top of the base is spoken of. */
export function baseName({ reservoir, bed }: PlanterDesign): string {
  if (bed?.kind === 'nested') return 'the upper vessel’s floor';
  if (bed?.kind === 'neck') return 'the cap';
  if (bed?.kind === 'row') return 'the pails’ floor';
  if (bed?.kind === 'bag') return 'the tray’s rim';
  if (reservoir.cover === 'platform') return 'the platform';
  const part = reservoir.parts[0];
  if (reservoir.fill.some((layer) => layer.medium !== 'mix')) return 'the top of the base';
  if (part?.kind === 'standing') return `the ${STANDING[part.what].one}s’ tops`;
  if (part?.kind === 'crates') return 'the crates’ tops';
  if (part?.kind === 'arch') return 'the top of the panel';
  return 'the top of the base';
}

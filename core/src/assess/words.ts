import { STANDING } from '../catalog';
import type { BasePart } from '../reservoir';

/** What a part is called when it is spoken of, in the plural where there are several. */
export function partName({ design, placed }: Pick<BasePart, 'design' | 'placed'>): string {
  switch (design.kind) {
    case 'ring':
      return design.cutEnd ? 'cut end' : 'ring';
    case 'standing':
      return placed === 1 ? STANDING[design.what].one : `${STANDING[design.what].one}s`;
    case 'lying':
      return design.lay === 'runs' ? 'pipes' : 'turns of pipe';
    case 'crates':
      return design.what === 'former' ? 'boxes' : `${design.what}s`;
    case 'arch':
      return 'panel';
    case 'sticks':
      return 'sticks';
  }
}

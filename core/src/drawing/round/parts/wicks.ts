import { CUP_WALL, type Part, type PartGroup } from '../../../assembly';
import { boxCell, type Cell } from '../cell';
import type { PartRound } from '../partRound';
import { rod } from '../solids';

/** Cloth, cups and columns: those that hang in a sheet come with it, others stand when they are made. */

const comes = (sheet: boolean): readonly string[] =>
  sheet ? ['set', 'stand', 'wick'] : ['wick', 'base'];

/** Cloth that hangs bunched is drawn flat, so much of its bunch thick. */
const CLOTH_FLAT = 0.35;

/** Cloth as it hangs, and what of it lies spread on the base. */
function hanging({ spec }: PartGroup<'cloth'>, { x, y, from, to, foot }: Part): Cell[] {
  if (foot.form !== 'disc' || to <= from + 1e-9) return [];
  const { r } = foot;
  const thick = Math.max(r * CLOTH_FLAT, 0.0015);
  const lies = Math.max(spec.thickness, 0.002);
  return [
    boxCell(x, y, r, thick, from, to),
    boxCell(x, y, Math.max(spec.spread, r), Math.min(r, spec.width / 2 + r / 2), to, to + lies),
  ];
}

export const cloth: PartRound<'cloth'> = {
  ink: () => 'cloth',
  cells: hanging,
  tier: 'sheet',
  comes,
  hangs: true,
};

export const cup: PartRound<'cup'> = {
  ink: () => 'support',
  cells: ({ spec }, part) => rod(part, spec.bottom / 2 + CUP_WALL, spec.diameter / 2 + CUP_WALL),
  tier: 'sheet',
  comes,
  hangs: true,
};

export const column: PartRound<'column'> = {
  ink: ({ spec }) => (spec.medium === 'mix' ? 'soil' : 'sand'),
  cells: (_, part) => (part.foot.form === 'disc' ? rod(part, part.foot.r) : []),
  tier: 'sheet',
  comes,
};

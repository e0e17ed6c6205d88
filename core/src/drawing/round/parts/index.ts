import type { Part, PartGroup, PartKind, Planter } from '../../../assembly';
import type { Cell } from '../cell';
import type { PartRound } from '../partRound';
import { fill, layer, mulch } from './contents';
import { fitting, hole, rim, rows, supply } from './outlets';
import { platform } from './platform';
import * as supports from './supports/all';
import { inspection, tube, worm } from './tube';
import { bag, bearers, liner, neck, nested, patch, row, vessel } from './walls';
import { cloth, column, cup } from './wicks';

/** How every kind is drawn in the round. A kind without a look does not compile. */
const LOOKS: { readonly [K in PartKind]: PartRound<K> } = {
  ...supports,
  ...{ vessel, liner, patch, nested, neck, row, bag, bearers },
  ...{ fill, layer, mulch, platform, cloth, cup, column },
  ...{ tube, inspection, worm, hole, fitting, rows, rim, supply },
};

/** How a group of parts is drawn. */
export const lookOf = ({ kind }: Pick<PartGroup, 'kind'>): PartRound<PartKind> =>
  LOOKS[kind] as unknown as PartRound<PartKind>;

/** The cells of one part of a group. */
export const cellsOf = (group: PartGroup, part: Part, planter: Planter): Cell[] =>
  lookOf(group).cells(group as PartGroup<PartKind>, part, planter);

import { SUPPORT_KINDS } from '../../document';
import type { PartDefinition, PartKind, PartGroup, PartSize } from '../part';
import { bearers } from './bearers';
import { bag, neck, nested, row } from './beds';
import { cloth } from './cloth';
import { column } from './column';
import { cup } from './cup';
import { fill, layer, mulch } from './layers';
import { fitting, hole, rim, rows, supply } from './outlets';
import { inspection, worm } from './pipes';
import { platform } from './platform';
import * as supports from './supports/all';
import { tube } from './tube';
import { liner, patch, vessel } from './vessel';

const WALLS = { vessel, liner, patch, bag };
const UPRIGHT = { tube, inspection, worm, column, cup, cloth };
const REST = {
  fill,
  platform,
  nested,
  neck,
  row,
  bearers,
  layer,
  hole,
  fitting,
  rows,
  rim,
  supply,
  mulch,
};

/** Every kind of thing with all its faces. A kind without one does not compile. */
export const PART_DEFINITIONS: { readonly [K in PartKind]: PartDefinition<K> } = {
  ...WALLS,
  ...UPRIGHT,
  ...supports,
  ...REST,
};

const first = (kind: PartKind): boolean => PART_DEFINITIONS[kind].placedFirst ?? false;

/** In this order things are placed: what can stand in one place only comes first. */
export const PLACING_ORDER: readonly PartKind[] = [
  ...(Object.keys(WALLS) as PartKind[]),
  ...SUPPORT_KINDS.filter(first),
  ...(Object.keys(UPRIGHT) as PartKind[]),
  ...SUPPORT_KINDS.filter((kind) => !first(kind)),
  ...(Object.keys(REST) as PartKind[]),
];

/** What a group of parts is called; in the plural where there are several of it. */
export function nameOf(group: PartGroup, count = group.parts.length): string {
  const name = PART_DEFINITIONS[group.kind].name as (spec: unknown, count: number) => string;
  return name(group.spec, count);
}

/** Sizes of a group of parts that can be made smaller where it has no room, or null where there are none. */
export function sizeOf(group: PartGroup): PartSize | null {
  const { size } = PART_DEFINITIONS[group.kind] as unknown as PartDefinition<PartKind>;
  return size?.(group.spec as never) ?? null;
}

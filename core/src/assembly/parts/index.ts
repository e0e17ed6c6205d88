import { PART_KINDS } from '../../document';
import type { Faces, Kind, Lot, Size } from '../part';
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
const REST = { fill, platform, nested, neck, row, layer, hole, fitting, rows, rim, supply, mulch };

/** Every kind of thing with all its faces. A kind without one does not compile. */
export const KIND_FACES: { readonly [K in Kind]: Faces<K> } = {
  ...WALLS,
  ...UPRIGHT,
  ...supports,
  ...REST,
};

const first = (kind: Kind): boolean => KIND_FACES[kind].placedFirst ?? false;

/** In this order things are placed: what can stand in one place only comes first. */
export const PLACING: readonly Kind[] = [
  ...(Object.keys(WALLS) as Kind[]),
  ...PART_KINDS.filter(first),
  ...(Object.keys(UPRIGHT) as Kind[]),
  ...PART_KINDS.filter((kind) => !first(kind)),
  ...(Object.keys(REST) as Kind[]),
];

/** What a lot is called; in the plural where there are several of it. */
export function nameOf(lot: Lot, count = lot.pieces.length): string {
  const name = KIND_FACES[lot.kind].name as (spec: unknown, count: number) => string;
  return name(lot.spec, count);
}

/** Sizes of a lot that can be made smaller where it has no room, or null where there are none. */
export function sizeOf(lot: Lot): Size | null {
  const { size } = KIND_FACES[lot.kind] as unknown as Faces<Kind>;
  return size?.(lot.spec as never) ?? null;
}

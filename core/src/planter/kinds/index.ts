import type { Message } from '../../quantity';
import type { Faces, Kind, Lot } from '../piece';
import { arch } from './arch';
import { bag, neck, nested, row } from './beds';
import { cloth } from './cloth';
import { column } from './column';
import { crates } from './crates';
import { cup } from './cup';
import { fill, layer, mulch } from './layers';
import { lying } from './lying';
import { fitting, hole, rim, rows, supply } from './outlets';
import { inspection, worm } from './pipes';
import { platform } from './platform';
import { ring } from './ring';
import { standing } from './standing';
import { sticks } from './sticks';
import { tube } from './tube';
import { liner, patch, vessel } from './vessel';

/** Every kind of thing with all its faces. A kind without one does not compile. */
export const KIND_FACES: { readonly [K in Kind]: Faces<K> } = {
  vessel,
  liner,
  patch,
  bag,
  lying,
  tube,
  inspection,
  worm,
  column,
  cup,
  cloth,
  ring,
  standing,
  crates,
  arch,
  sticks,
  fill,
  platform,
  nested,
  neck,
  row,
  layer,
  hole,
  fitting,
  rows,
  rim,
  supply,
  mulch,
};

/** In this order things are placed: what can stand in one place only comes first. */
export const PLACING = Object.keys(KIND_FACES) as readonly Kind[];

/** What a lot is called; in the plural where there are several of it. */
export function nameOf(lot: Lot, count = lot.pieces.length): string {
  const name = KIND_FACES[lot.kind].name as (spec: unknown, count: number) => string;
  return name(lot.spec, count);
}

/** Sizes of a lot that can be made smaller where it has no room, or null where there are none. */
export function sizeOf(lot: Lot): { fields: readonly string[]; says: Message } | null {
  const { size } = KIND_FACES[lot.kind] as unknown as Faces<Kind>;
  return size?.(lot.spec as never) ?? null;
}

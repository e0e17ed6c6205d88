import { PART_KINDS } from '../../document';
import type { Kind, Lot } from '../../assembly';
import type { Maker, Work } from '../buildSheetBuilder';
import * as beds from './beds';
import * as layers from './layers';
import * as outlets from './outlets';
import * as supports from './supports/all';
import * as tubes from './tubes';
import * as vessels from './vessel';
import * as wicks from './wicks';

/** The vessel is bought first, and so stands first on the list. */
const FIRST = { vessel: vessels.vessel, patch: vessels.patch, liner: vessels.liner };

const THEN = {
  platform: beds.platform,
  nested: beds.nested,
  neck: beds.neck,
  row: beds.row,
  bag: beds.bag,
  cloth: wicks.cloth,
  cup: wicks.cup,
  column: wicks.column,
  hole: outlets.hole,
  fitting: outlets.fitting,
  rows: outlets.rows,
  rim: outlets.rim,
  tube: tubes.tube,
  inspection: tubes.inspection,
  worm: tubes.worm,
  supply: outlets.supply,
  fill: layers.fill,
  layer: layers.layer,
  mulch: layers.mulch,
};

/** What every kind of thing takes and how it is made. A kind without it does not compile. */
const WORKS: { readonly [K in Kind]: Work<K> } = { ...FIRST, ...supports, ...THEN };

const IN_ORDER = [...Object.keys(FIRST), ...PART_KINDS, ...Object.keys(THEN)] as readonly Kind[];

/** Every lot of a planter puts in what it takes, kind by kind in one order. */
export function makeAll(maker: Maker): void {
  const { lots } = maker.planter;
  for (const kind of IN_ORDER) {
    const work = WORKS[kind] as unknown as Work<Kind>;
    for (const lot of lots) if (lot.kind === kind) work(lot as Lot<Kind>, maker);
  }
}

import type { Kind, Lot } from '../../planter';
import type { Maker, Work } from '../maker';
import * as base from './base';
import * as beds from './beds';
import * as layers from './layers';
import * as outlets from './outlets';
import * as tubes from './tubes';
import * as vessels from './vessel';
import * as wicks from './wicks';

/** What every kind of thing takes and how it is made. A kind without it does not compile. */
const WORKS: { readonly [K in Kind]: Work<K> } = {
  vessel: vessels.vessel,
  patch: vessels.patch,
  liner: vessels.liner,
  ring: base.ring,
  standing: base.standing,
  lying: base.lying,
  crates: base.crates,
  arch: base.arch,
  sticks: base.sticks,
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

/** Every lot of a planter puts in what it takes, in the order of the list above. */
export function makeAll(maker: Maker): void {
  const { lots } = maker.planter;
  for (const kind of Object.keys(WORKS) as Kind[]) {
    const work = WORKS[kind] as unknown as Work<Kind>;
    for (const lot of lots) if (lot.kind === kind) work(lot as Lot<Kind>, maker);
  }
}

import type { Kind, Lot, Planter } from '../assembly';
import { fill, layer, mulch } from './contents';
import type { Look, Phase } from './faces';
import * as above from './above';
import { fitting, hole, rows } from './parts/outlets';
import { platform } from './parts/platform';
import type { Shape } from './shape';
import * as supports from './parts/supports/all';
import { inspection, tube, worm } from './parts/tube';
import { liner, bag, nested, neck, row, supply, vessel } from './walls';
import { cloth, column, cup } from './parts/wicks';

const nothing = (): Shape[] => [];

/** How every kind of thing looks. A kind without a look does not compile. */
const LOOKS: { readonly [K in Kind]: Look<K> } = {
  ...supports,
  fill: { phase: 'fill', section: fill, plan: nothing },
  column: { phase: 'packed', section: column, plan: above.column },
  cup: { phase: 'packed', section: cup, plan: above.cup },
  platform: { phase: 'deck', section: platform, plan: nothing },
  layer: { phase: 'layers', section: layer, plan: nothing },
  mulch: { phase: 'layers', section: mulch, plan: nothing },
  cloth: { phase: 'wicks', section: cloth, plan: above.cloth },
  inspection: { phase: 'pipes', section: inspection, plan: above.pipe('inspection') },
  worm: { phase: 'pipes', section: worm, plan: above.pipe('worm') },
  tube: { phase: 'pipes', section: tube, plan: above.tube },
  vessel: { phase: 'walls', section: vessel, plan: nothing },
  liner: { phase: 'walls', section: liner, plan: nothing },
  patch: { phase: 'walls', section: nothing, plan: nothing },
  nested: { phase: 'walls', section: nested, plan: nothing },
  neck: { phase: 'walls', section: neck, plan: above.bed },
  row: { phase: 'walls', section: row, plan: above.bed },
  bag: { phase: 'walls', section: bag, plan: above.bed },
  hole: { phase: 'outlets', section: hole, plan: above.outlet },
  fitting: { phase: 'outlets', section: fitting, plan: above.outlet },
  rows: { phase: 'outlets', section: rows, plan: above.outlet },
  rim: { phase: 'outlets', section: nothing, plan: nothing },
  supply: { phase: 'outlets', section: supply, plan: nothing },
};

/** The section's shapes of all lots that are painted in a phase. */
export function inPhase(planter: Planter, phase: Phase, level: number): Shape[] {
  return planter.lots.flatMap((lot) => {
    const look = LOOKS[lot.kind] as unknown as Look<Kind>;
    return look.phase === phase ? look.section(lot as Lot<Kind>, planter, level) : [];
  });
}

/** All lots as they are seen from above, what lies on the floor first. */
export function fromAbove(planter: Planter): Shape[] {
  const look = (lot: Lot) => LOOKS[lot.kind] as unknown as Look<Kind>;
  const low = (lot: Lot) => look(lot).phase === 'base';
  const inOrder = [...planter.lots.filter(low), ...planter.lots.filter((lot) => !low(lot))];
  return inOrder.flatMap((lot) => look(lot).plan(lot as Lot<Kind>, planter));
}

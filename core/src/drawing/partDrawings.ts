import type { PartKind, PartGroup, Planter } from '../assembly';
import { fill, layer, mulch } from './contents';
import type { PartDrawing, Phase } from './partDrawing';
import * as above from './above';
import { fitting, hole, rows } from './parts/outlets';
import { platform } from './parts/platform';
import type { Shape } from './shape';
import * as supports from './parts/supports/all';
import { inspection, tube, worm } from './parts/tube';
import { bearers, liner, bag, nested, neck, row, supply, vessel } from './walls';
import { cloth, column, cup } from './parts/wicks';

const nothing = (): Shape[] => [];

/** How every kind of thing looks. A kind without a look does not compile. */
const LOOKS: { readonly [K in PartKind]: PartDrawing<K> } = {
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
  bearers: { phase: 'walls', section: bearers, plan: nothing },
};

/** The section's shapes of all part groups that are painted in a phase. */
export function inPhase(planter: Planter, phase: Phase, level: number): Shape[] {
  return planter.partGroups.flatMap((group) => {
    const look = LOOKS[group.kind] as unknown as PartDrawing<PartKind>;
    return look.phase === phase ? look.section(group as PartGroup<PartKind>, planter, level) : [];
  });
}

/** All part groups as they are seen from above, what lies on the floor first. */
export function fromAbove(planter: Planter): Shape[] {
  const look = (group: PartGroup) => LOOKS[group.kind] as unknown as PartDrawing<PartKind>;
  const low = (group: PartGroup) => look(group).phase === 'base';
  const inOrder = [
    ...planter.partGroups.filter(low),
    ...planter.partGroups.filter((group) => !low(group)),
  ];
  return inOrder.flatMap((group) => look(group).plan(group as PartGroup<PartKind>, planter));
}

import { SUPPORT_KINDS } from '../../document';
import type { PartKind, PartGroup } from '../../assembly';
import type { BuildSheetBuilder, PartBuilder } from '../buildSheetBuilder';
import * as beds from './beds';
import * as layers from './layers';
import * as outlets from './outlets';
import * as supports from './supports/all';
import * as tubes from './tube';
import * as vessels from './vessel';
import * as wicks from './wicks';

/** The vessel is bought first, and so stands first on the list. */
const FIRST = { vessel: vessels.vessel, patch: vessels.patch, liner: vessels.liner };

const THEN = {
  platform: beds.platform,
  nested: beds.nested,
  neck: beds.neck,
  row: beds.row,
  bearers: beds.bearers,
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
const PART_BUILDERS: { readonly [K in PartKind]: PartBuilder<K> } = {
  ...FIRST,
  ...supports,
  ...THEN,
};

const IN_ORDER = [
  ...Object.keys(FIRST),
  ...SUPPORT_KINDS,
  ...Object.keys(THEN),
] as readonly PartKind[];

/** Every lot of a planter puts in what it takes, kind by kind in one order. */
export function buildAllParts(builder: BuildSheetBuilder): void {
  const { partGroups } = builder.planter;
  for (const kind of IN_ORDER) {
    const work = PART_BUILDERS[kind] as unknown as PartBuilder<PartKind>;
    for (const group of partGroups)
      if (group.kind === kind) work(group as PartGroup<PartKind>, builder);
  }
}

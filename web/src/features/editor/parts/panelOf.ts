import type { PartKind } from '@huerta/core/assembly';
import type { PanelId } from '../usePanel';

/** The panel in which each kind of part has its fields. A kind without one does not compile. */
export const PANEL_OF: Readonly<Record<PartKind, PanelId>> = {
  ...{ vessel: 'vessel', liner: 'vessel', patch: 'vessel' },
  ...{ ring: 'water', standing: 'water', crates: 'water', arch: 'water', lying: 'water' },
  ...{ sticks: 'water', fill: 'water', platform: 'water' },
  ...{ hole: 'water', fitting: 'water', rows: 'water', rim: 'water', supply: 'water' },
  ...{ cloth: 'wick', cup: 'wick', column: 'wick' },
  ...{ tube: 'tube', inspection: 'tube', worm: 'tube' },
  ...{
    nested: 'soil',
    neck: 'soil',
    row: 'soil',
    bag: 'soil',
    bearers: 'soil',
    layer: 'soil',
    mulch: 'soil',
  },
};

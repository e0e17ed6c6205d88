import { depthOf, invertOf, leastWidth } from './heights';
import type { BedDesign, OverflowDesign, OverflowKind, PlanterDesign } from './schema';

/** What a part becomes when it is made another way, so that the rest of the design still fits. */

/** What holds the soil: the vessel's own walls, or one of the beds that stand in or on it. */
export type BedKind = BedDesign['kind'] | 'own';

/** The overflow made by other means, with its lip where it was. Lengths in metres. */
export function overflowAs(kind: OverflowKind, design: PlanterDesign): OverflowDesign {
  if (kind === 'rim') return { kind };
  const depth = depthOf(design.vessel);
  const lip = Math.min(invertOf(design) ?? depth * 0.25, depth * 0.6);
  const old = design.overflow;
  const diameter = old && old.kind !== 'rim' ? old.diameter : 0.016;
  const screened = old && old.kind !== 'rim' ? old.screened : true;
  const bearing = old && old.kind !== 'rim' ? old.bearing : 0;
  const centre = lip + diameter / 2;
  switch (kind) {
    case 'hole':
      return { kind, centre, diameter, count: 1, bearing, screened };
    case 'fitting': {
      const bore = Math.max(diameter * 0.75, 0.002);
      return {
        kind,
        style: 'barb',
        centre: lip + bore / 2,
        diameter: Math.min(diameter, 2 * lip + bore),
        bore,
        rise: 0,
        count: 1,
        bearing,
        screened,
      };
    }
    case 'rows': {
      const pitch = 0.06;
      const rows = Math.max(Math.min(3, Math.floor((depth - centre - diameter) / pitch)), 1);
      return { kind, centre, diameter, count: 8, rows, pitch, bearing, screened };
    }
  }
}

/** A bed of this kind in usual sizes for the vessel. */
export function usualBed(kind: BedKind, { vessel }: PlanterDesign): BedDesign | null {
  const width = leastWidth(vessel);
  const depth = depthOf(vessel);
  switch (kind) {
    case 'own':
      return null;
    case 'nested':
      return { kind };
    case 'neck':
      return { kind, neckDiameter: width * 0.3, shoulder: depth * 0.4, depth };
    case 'row':
      return {
        kind,
        count: 1,
        topDiameter: 0.295,
        bottomDiameter: 0.262,
        depth: 0.368,
        wall: 0.002,
      };
    case 'bag': {
      const across = Math.min(0.26, width * 0.9);
      return {
        kind,
        count: 1,
        topDiameter: across,
        bottomDiameter: across,
        depth: 0.28,
        wall: 0.003,
      };
    }
  }
}

import type { Patch } from './patch';
import { depthOf, leastWidth } from './heights';
import type { PartDesign, PlanterDesign, ReservoirDesign } from './schema';
import { USUAL_LYING } from './usual';

/** Bases that people build, each a usual choice of parts and fill to begin from. */
export const BASES = {
  ring: { name: 'Platform on a split ring' },
  tubs: { name: 'Platform on drilled tubs' },
  pipes: { name: 'Platform on short pipes' },
  crates: { name: 'Crates as a false floor' },
  bottles: { name: 'Drilled bottles in the mix' },
  pots: { name: 'Fabric over small pots' },
  lying: { name: 'Lying pipes, soil between' },
  coil: { name: 'Drain pipe coiled in sand' },
  loop: { name: 'A loop of pipe in gravel' },
  stone: { name: 'Stone throughout' },
  arch: { name: 'A curved panel laid in' },
  sticks: { name: 'Crossed sticks' },
  open: { name: 'Open water, nothing in it' },
} as const;
export type BaseId = keyof typeof BASES;

/** The usual base that a design's is most like, or null when it is its own mixture. */
export function baseOf({ reservoir }: PlanterDesign): BaseId | null {
  const { parts, fill, cover } = reservoir;
  if (parts.length > 1) return null;
  const [part] = parts;
  if (!part) return fill.length === 0 ? 'open' : fill[0]?.medium === 'mix' ? null : 'stone';
  switch (part.kind) {
    case 'ring':
      return 'ring';
    case 'standing':
      if (cover === 'platform') return part.what === 'pipe' ? 'pipes' : 'tubs';
      return fill.some(({ medium }) => medium === 'mix') ? 'bottles' : 'pots';
    case 'lying':
      return part.lay === 'runs' ? 'lying' : part.lay;
    case 'crates':
      return 'crates';
    case 'arch':
      return 'arch';
    case 'sticks':
      return 'sticks';
  }
}

/** Whether a base stands on the floor, and so needs a flat one. */
export const standsOnFloor = (base: BaseId): boolean =>
  !['lying', 'coil', 'loop', 'stone', 'sticks', 'open'].includes(base);

const mm = (length: number, least = 0.02): number =>
  Math.max(Math.round(length * 1000) / 1000, least);
/** Usual sizes, metres. */
const BOTTLE = 0.065;
const CRATE = 0.3;
const MIX = [{ medium: 'mix', upTo: 1 }] as const;

/** Parts and fill of a usual base for a vessel this wide, with this height to fill. Metres. */
function usual(base: BaseId, width: number, top: number): Partial<ReservoirDesign> {
  const platform: Pick<ReservoirDesign, 'cover' | 'fill'> = { cover: 'platform', fill: [] };
  const standing = (
    what: 'tub' | 'bottle' | 'pipe' | 'pot',
    count: number,
    diameter: number,
  ): PartDesign => ({
    kind: 'standing',
    what,
    count,
    diameter: mm(diameter),
    wall: what === 'pipe' ? 0.002 : what === 'pot' ? 0.004 : 0.0006,
    vents: 'both',
  });
  const pipe = { ...USUAL_LYING, diameter: mm(Math.min(top * 0.92, width * 0.3, 0.1)) };
  switch (base) {
    case 'ring':
      return {
        ...platform,
        parts: [
          { kind: 'ring', cutEnd: false, diameter: mm(width * 0.6), wall: 0.004, vents: 'both' },
        ],
      };
    case 'tubs':
      return { ...platform, parts: [standing('tub', 4, width * 0.25)] };
    case 'pipes':
      return { ...platform, parts: [standing('pipe', 6, Math.min(width * 0.15, 0.05))] };
    case 'crates': {
      const side = mm(Math.min(CRATE, width * 0.5));
      return {
        cover: 'none',
        fill: [],
        parts: [
          {
            kind: 'crates',
            what: 'crate',
            count: 60,
            length: side,
            width: side,
            height: mm(top),
            voids: 0.93,
            cut: true,
            at: null,
          },
        ],
      };
    }
    case 'bottles':
      return {
        cover: 'none',
        fill: [...MIX],
        parts: [standing('bottle', 5, Math.min(BOTTLE, width / 3))],
      };
    case 'pots':
      return { cover: 'none', fill: [], parts: [standing('pot', 6, Math.min(0.09, width / 4))] };
    case 'lying':
      return { cover: 'none', fill: [...MIX], parts: [{ ...pipe, count: 2 }] };
    case 'coil':
      return {
        cover: 'none',
        fill: [{ medium: 'coarse-sand', upTo: 1 }],
        parts: [{ ...pipe, lay: 'coil', diameter: mm(Math.min(top * 0.9, width * 0.16)) }],
      };
    case 'loop':
      return {
        cover: 'none',
        fill: [
          { medium: 'gravel', upTo: 0.5 },
          { medium: 'mix', upTo: 1 },
        ],
        parts: [{ ...pipe, lay: 'loop', diameter: mm(Math.min(top * 0.9, width * 0.16)) }],
      };
    case 'stone':
      return { cover: 'none', fill: [{ medium: 'gravel', upTo: 1 }], parts: [] };
    case 'arch':
      return {
        cover: 'none',
        fill: [...MIX],
        parts: [{ kind: 'arch', width: mm(width * 0.75), wall: 0.004, own: false, vents: 'both' }],
      };
    case 'sticks':
      return {
        cover: 'none',
        fill: [],
        parts: [{ kind: 'sticks', diameter: 0.012, spacing: 0.04 }],
      };
    case 'open':
      return { cover: 'none', fill: [], parts: [] };
  }
}

/**
 * The patch that changes the base and keeps its height. Wicks that the new base cannot carry are left
 * out; sizes are the usual ones for this vessel.
 */
export function changeBase(design: PlanterDesign, base: BaseId): Patch {
  const top = Math.min(design.reservoir.top, depthOf(design.vessel));
  const next: ReservoirDesign = {
    ...design.reservoir,
    ...usual(base, leastWidth(design.vessel), top),
  };
  const reaches = next.fill.some(({ medium, upTo }) => medium === 'mix' && upTo >= 1);
  return [
    { path: ['reservoir'], value: next },
    ...(reaches && next.cover === 'none'
      ? [{ path: ['wicks'], value: design.wicks.filter((wick) => wick.kind !== 'cup') }]
      : []),
  ];
}

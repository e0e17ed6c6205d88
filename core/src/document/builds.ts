import { SOLD } from '../catalog';
import { measuredIn } from './measured';
import type { Patch } from './patch';
import { depthOf, leastWidth } from './heights';
import type { PlanterDesign, ReservoirDesign } from './schema';
import { SUPPORT_BASES, type Around, type SupportBase } from './parts/supports';

/** Bases without any support. */
const BARE = {
  stone: { name: 'Stone throughout', fill: [{ medium: 'gravel', upTo: 1 }] },
  open: { name: 'Open water, nothing in it', fill: [] },
} as const satisfies Record<string, { name: string; fill: readonly Around['fill'][number][] }>;

export type BaseId = SupportBase | keyof typeof BARE;

/** Bases that people build, each a usual choice of parts and fill to begin from. */
export const BASES: Readonly<Record<BaseId, { readonly name: string }>> = {
  ...SUPPORT_BASES,
  ...BARE,
};

const ofSupports = Object.keys(SUPPORT_BASES) as readonly SupportBase[];
const isBare = (base: BaseId): base is keyof typeof BARE => base in BARE;

/** The usual base that a design's is most like, or null when it is its own mixture. */
export function baseOf({ reservoir }: PlanterDesign): BaseId | null {
  const { parts, fill } = reservoir;
  if (parts.length > 1) return null;
  const [part] = parts;
  if (!part) return fill.length === 0 ? 'open' : fill[0]?.medium === 'mix' ? null : 'stone';
  return (
    ofSupports.find((id) => {
      const { kind, like } = SUPPORT_BASES[id];
      return kind === part.kind && like(part, reservoir);
    }) ?? null
  );
}

/** Whether a base stands on the floor, and so needs a flat one. */
export const standsOnFloor = (base: BaseId): boolean => !isBare(base) && SUPPORT_BASES[base].flat;

/** Whether as many parts of a base are set in as there is room for. */
export const fillsFloor = (base: BaseId): boolean =>
  !isBare(base) && SUPPORT_BASES[base].fills === true;

/**
 * The patches that change the base to each usual size of another and keep its height, the likeliest first; at
 * least one. Wicks that the new base cannot carry are left out. Whether its parts have room is not asked here.
 */
export function baseChanges(design: PlanterDesign, base: BaseId): Patch[] {
  const top = Math.min(design.reservoir.top, depthOf(design.vessel));
  const sizes: readonly Partial<ReservoirDesign>[] = isBare(base)
    ? [{ cover: 'none', fill: [...BARE[base].fill], parts: [] }]
    : SUPPORT_BASES[base].usual(leastWidth(design.vessel), top, SOLD[measuredIn(design)]);
  return sizes.map((size) => toBase(design, size));
}

function toBase(design: PlanterDesign, size: Partial<ReservoirDesign>): Patch {
  const next: ReservoirDesign = { ...design.reservoir, ...size };
  const reaches = next.fill.some(({ medium, upTo }) => medium === 'mix' && upTo >= 1);
  return [
    { path: ['reservoir'], value: next },
    ...(reaches && next.cover === 'none'
      ? [{ path: ['wicks'], value: design.wicks.filter((wick) => wick.kind !== 'cup') }]
      : []),
  ];
}

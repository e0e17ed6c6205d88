import type { Patch } from './patch';
import { airCeiling } from './heights';
import type { BottleBuild, PlanterDesign, SupportDesign } from './schema';

/** The ways to keep soil out of the water that a round vessel can have. */
export type BuildId = 'ring' | 'tubs' | 'bottles';

export const BUILDS: Readonly<Record<BuildId, { name: string }>> = {
  ring: { name: 'Platform on a split ring' },
  tubs: { name: 'Platform on drilled tubs' },
  bottles: { name: 'Drilled bottles' },
};

export const buildOf = ({ reservoir }: PlanterDesign): BuildId =>
  reservoir.kind === 'bottles' ? 'bottles' : reservoir.supports.kind;

/** Platforms are about this thick when nothing else is known, metres. */
const USUAL_THICKNESS = 0.003;
const USUAL_BOTTLE = 0.065;
const LOWEST_BOTTLE = 0.03;

/**
 * The patch that changes the build and keeps the height that the water may rise to. Wicks that the
 * new build cannot carry are left out; sizes are the usual ones for this vessel.
 */
export function changeBuild(design: PlanterDesign, build: BuildId): Patch {
  const height = airCeiling(design.reservoir);
  const floor = Math.min(design.vessel.bottomDiameter, design.vessel.topDiameter);
  if (build === 'bottles') {
    const bottles: BottleBuild = {
      kind: 'bottles',
      count: 5,
      diameter: Math.min(USUAL_BOTTLE, floor / 3),
      height: Math.max(height, LOWEST_BOTTLE),
      wall: 0.0004,
      vents: 'both',
    };
    return [
      { path: ['reservoir'], value: bottles },
      { path: ['wicks'], value: design.wicks.filter((wick) => wick.kind === 'cloth') },
    ];
  }
  const supports: SupportDesign =
    build === 'ring'
      ? { kind: 'ring', diameter: round(floor * 0.6), wall: 0.004, vents: 'both' }
      : { kind: 'tubs', count: 4, diameter: round(floor * 0.25), wall: 0.0008, vents: 'both' };
  const thickness =
    design.reservoir.kind === 'platform' ? design.reservoir.thickness : USUAL_THICKNESS;
  return [
    { path: ['reservoir'], value: { kind: 'platform', underside: height, thickness, supports } },
  ];
}

const round = (length: number): number => Math.max(Math.round(length * 1000) / 1000, 0.02);

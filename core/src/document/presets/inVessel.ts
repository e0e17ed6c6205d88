import type { VesselId } from '../../catalog';
import { depthOf } from '../heights';
import type { PlanterDesign } from '../schema';
import { usualOverflow, usualTube } from '../defaults';
import { CLOTH_PAIL } from './pails';
import { vesselFrom } from './parts';

/** A design in another vessel, with its tube and overflow cut for it. */
export function inVessel(
  id: VesselId,
  rest: Partial<PlanterDesign> & Pick<PlanterDesign, 'name' | 'reservoir'>,
  overflowDiameter = 0.02,
): PlanterDesign {
  const vessel = vesselFrom(id);
  return {
    ...CLOTH_PAIL,
    vessel,
    overflow: usualOverflow(rest.reservoir.top, overflowDiameter),
    wicks: [],
    fillTube: usualTube(depthOf(vessel), 'mm-40'),
    place: { ...CLOTH_PAIL.place, daysAway: 3, liftLimit: 60 },
    ...rest,
  };
}

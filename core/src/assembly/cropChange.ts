import { cropOf, type Crop, type CropId } from '../catalog';
import {
  applyPatch,
  usualPlanted,
  usualStart,
  type OwnCrop,
  type Patch,
  type PlanterDesign,
} from '../document';
import { assemble } from './assemble';
import { plantingPlan } from './plants';

/** Another crop in the place of one, as it is usually planted there. */

/** Tall ones of more than this want a stake, metres. */
const TALL = 1;

/** What usually holds a crop up. */
export const usualSupport = ({ habit, height }: Pick<Crop, 'habit' | 'height'>) =>
  habit === 'climbing' ? 'mesh' : habit === 'upright' && height > TALL ? 'stake' : 'none';

/**
 * What puts another crop in the place of one: it takes the same share of the surface, begins at the same time, in
 * the way that is usual for it, and is held up as it usually is.
 *
 * @param of its place in the list of plantings
 */
export function changeCrop(
  design: PlanterDesign,
  of: number,
  crop: CropId,
  own: OwnCrop | null = null,
): Patch {
  const before = design.planting.crops[of];
  if (!before) return [];
  const path = ['planting', 'crops', of];
  const next = usualPlanted(
    crop,
    1,
    {
      start: usualStart(crop),
      from: before.from,
      bed: before.bed,
      support: usualSupport(own ?? cropOf(crop)),
    },
    own,
  );
  const roomIn = (one: PlanterDesign): number => plantingPlan(assemble(one)).room[of] ?? 0;
  const share = before.count / Math.max(roomIn(design), before.count, 1);
  const room = roomIn(applyPatch(design, [{ path, value: next }]));
  const count = Math.max(Math.round(share * room), 1);
  return [{ path, value: { ...next, count } }];
}

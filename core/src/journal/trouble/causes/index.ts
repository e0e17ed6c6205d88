import { FOOD } from './food';
import { FRUIT } from './fruit';
import { NORMAL } from './normal';
import { PESTS } from './pests';
import { THIRST } from './thirst';
import { VESSEL } from './vessel';
import { WET } from './wet';

/** What may be wrong with a planter. */
export const CAUSES = { ...NORMAL, ...THIRST, ...WET, ...VESSEL, ...FOOD, ...FRUIT, ...PESTS };
export type Cause = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as Cause[];
export type { CauseRow, TroublePlace } from './cause';

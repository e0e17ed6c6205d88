import { z } from 'zod';
import { FIELDS } from './fields';
import { number } from './number';

/** A place on the floor that was chosen by hand, from the middle of the section's own view. */
export const spot = z.strictObject({ x: number(FIELDS.at.x), y: number(FIELDS.at.y) });
export const MAX_SPOTS = 24;
export const spots = z
  .array(spot)
  .max(MAX_SPOTS)
  .nullable()
  .describe('Where they stand, or null to leave it to Huerta');

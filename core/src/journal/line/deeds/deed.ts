import type { UnitSystem } from '../../../units';
import type { Activity, EntryBody } from '../../entry';

/** What a part of a line tells: one deed, with what is left of it as words. */

/** What is known of the planter that a line is about. */
export interface LinePlanter {
  /** Depth of so much water in it, metres. @param volume m³ */
  depthOf(volume: number): number;
  /** Depth of the water when it is full, and of all that holds water, metres. */
  full: number;
  rim: number;
  /** What it holds when it is full, with a barrel beside it, m³. */
  holds: number;
}

export interface DeedContext {
  system: UnitSystem;
  /** What one's can holds, m³. */
  can: number;
  planter: LinePlanter | null;
  /** Whether it is a line of one part: a crop with a number stands for a harvest only alone. */
  alone: boolean;
}

export interface Deed {
  did: EntryBody;
  /** What else there is to say. */
  text: string;
  /** What is to be asked before it counts; empty where nothing is in doubt. */
  doubt: string;
}

export type Reader = (clause: string, context: DeedContext) => Deed | null;
export const deed = (did: EntryBody, text = '', doubt = ''): Deed => ({
  did,
  text: text.replace(/^[\s,;:.-]+|[\s,;:-]+$/g, ''),
  doubt,
});
export const activity = (what: Activity, text: string): Deed => deed({ kind: 'did', what }, text);

/** What is no deed. */
export const EMPTY: EntryBody = { kind: 'did', what: 'note' };

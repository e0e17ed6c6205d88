import type { z } from 'zod';
import type { FillId, Sold } from '../catalog';

/**
 * What can keep the soil up out of the water. Each kind of support says in a file of its own how it
 * stands in the document, which usual bases are made of it, and what one more of it begins with.
 */

/** What lies round the parts of a base and over them. */
export interface Around {
  cover: 'platform' | 'none';
  fill: { medium: FillId; upTo: number }[];
}

/** A usual base, made of parts of one kind. */
export interface UsualBase<Part> {
  name: string;
  /** Whether it stands on the floor, and so needs a flat one. */
  flat: boolean;
  /** Whether a base of this one part is of this sort. */
  like(part: Part, around: Around): boolean;
  /**
   * Its parts with what lies round them, in a vessel this wide with this height to fill: in usual sizes that
   * are sold, the likeliest first. Metres.
   */
  usual(width: number, top: number, sold: Sold): readonly (Around & { parts: Part[] })[];
  /** Whether as many of them are set in as there is room for. */
  fills?: true;
}

export interface Support<Schema extends z.ZodType, Bases> {
  /** Where it stands among the others where they are listed: the lowest first. */
  rank: number;
  schema: Schema;
  bases: Bases;
  /** What can be added to a base by a press, with what stands on the button. */
  more(sold: Sold): readonly (readonly [label: string, part: z.infer<Schema>])[];
  /** Whether such a part is the vessel’s own end, which is the platform too; left out where none is. */
  ownEnd?(part: z.infer<Schema>): boolean;
  /** Whether such a part is sawn from rigid pipe, which is sold by its size; left out where none is. */
  rigidPipe?(part: z.infer<Schema>): boolean;
  /** Whether such a part runs along the vessel; left out where none does. */
  along?(part: z.infer<Schema>): boolean;
}

/** One kind of support, held to what every kind has to say. */
export const support = <
  Schema extends z.ZodType,
  Bases extends Record<string, UsualBase<z.infer<Schema>>>,
>(
  kind: Support<Schema, Bases>,
): Support<Schema, Bases> => kind;

/** Metres on whole millimetres, and no smaller than can be made. */
export const mm = (length: number, least = 0.02): number =>
  Math.max(Math.round(length * 1000) / 1000, least);

/** Only mix lies round it, up to its top. */
export const inMix = (): Around => ({ cover: 'none', fill: [{ medium: 'mix', upTo: 1 }] });
export const underPlatform = (): Around => ({ cover: 'platform', fill: [] });
export const bare = (): Around => ({ cover: 'none', fill: [] });

import type { z } from 'zod';
import type { Sold } from '../../../catalog';
import type { FieldSpec } from '../../fields';
import { fieldOf } from '../../number';
import type { UsualBase } from '../../support';
import * as all from './all';

export { USUAL_LYING } from './lying';
export type { Around } from '../../support';

type Supports = typeof all;
export type SupportKind = keyof Supports;
export type SupportDesign = z.infer<Supports[SupportKind]['schema']>;
export type SupportOf<K extends SupportKind> = Extract<SupportDesign, { kind: K }>;

type KeyOfEach<T> = T extends unknown ? keyof T : never;
/** Usual bases that are made of supports. */
export type SupportBase = KeyOfEach<Supports[SupportKind]['bases']>;

const names = Object.keys(all) as SupportKind[];

/** Every kind of support, in the order in which they are read, chosen from and made. */
export const SUPPORT_KINDS: readonly SupportKind[] = names.sort(
  (a, b) => all[a].rank - all[b].rank,
);

type Schemas = Supports[SupportKind]['schema'];
/** What a design's list of parts can hold. */
export const PART_SCHEMAS = SUPPORT_KINDS.map((kind) => all[kind].schema) as unknown as readonly [
  Schemas,
  ...Schemas[],
];

/** What a number of a part is called, or undefined where it is none. */
export const fieldOfPart = (kind: SupportKind, key: string): FieldSpec | undefined =>
  fieldOf((all[kind].schema.shape as Partial<Record<string, z.ZodType>>)[key]);

/** Usual bases of each kind, by their names. */
export const SUPPORT_BASES = Object.fromEntries(
  SUPPORT_KINDS.flatMap((kind) =>
    Object.entries(all[kind].bases).map(([id, base]) => [id, { kind, ...base }]),
  ),
) as unknown as Readonly<Record<SupportBase, UsualBase<SupportDesign> & { kind: SupportKind }>>;

/** What can be added to a base by a press, with what stands on the button; in sizes that are sold. */
export const partsToAdd = (sold: Sold): (readonly [label: string, part: SupportDesign])[] =>
  SUPPORT_KINDS.flatMap<readonly [label: string, part: SupportDesign]>((kind) =>
    all[kind].more(sold),
  );

/** A question that only some kinds answer: no for all others. */
const asks =
  (question: 'ownEnd' | 'rigidPipe' | 'along') =>
  (part: SupportDesign): boolean => {
    const kind: Partial<Record<typeof question, (part: SupportDesign) => boolean>> = all[
      part.kind
    ] as never;
    return kind[question]?.(part) ?? false;
  };

/** Whether a part is the vessel’s own end, sawn off and slid in as the platform. */
export const isOwnEnd = asks('ownEnd');
/** Whether a part is sawn from rigid pipe. */
export const isRigidPipe = asks('rigidPipe');
/** Whether what lies in the base runs along the vessel, so that the section is cut across it. */
export const runsAlong = asks('along');

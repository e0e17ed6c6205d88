import type { z } from 'zod';
import { arch } from './arch';
import { crates } from './crates';
import { lying } from './lying';
import { ring } from './ring';
import { standing } from './standing';
import { sticks } from './sticks';
import type { UsualBase } from './support';

export { USUAL_LYING } from './lying';
export type { Around } from './support';

/** Every kind of support. What else there is to say of one follows from this list, by types or by tests. */
const SUPPORTS = { ring, standing, crates, lying, arch, sticks };

type Supports = typeof SUPPORTS;
export type PartKind = keyof Supports;
export type PartDesign = z.infer<Supports[PartKind]['schema']>;
export type PartOf<K extends PartKind> = Extract<PartDesign, { kind: K }>;

type KeyOfEach<T> = T extends unknown ? keyof T : never;
/** Usual bases that are made of supports. */
export type SupportBase = KeyOfEach<Supports[PartKind]['bases']>;

export const PART_KINDS = Object.keys(SUPPORTS) as readonly PartKind[];

type Schemas = Supports[PartKind]['schema'];
/** What a design's list of parts can hold. */
export const PART_SCHEMAS = PART_KINDS.map((kind) => SUPPORTS[kind].schema) as unknown as readonly [
  Schemas,
  ...Schemas[],
];

/** Usual bases of each kind, by their names. */
export const SUPPORT_BASES = Object.fromEntries(
  PART_KINDS.flatMap((kind) =>
    Object.entries(SUPPORTS[kind].bases).map(([id, base]) => [id, { kind, ...base }]),
  ),
) as unknown as Readonly<Record<SupportBase, UsualBase<PartDesign> & { kind: PartKind }>>;

/** What can be added to a base by a press, with what stands on the button. */
export const MORE_PARTS: readonly (readonly [label: string, part: PartDesign])[] =
  PART_KINDS.flatMap<readonly [label: string, part: PartDesign]>((kind) => SUPPORTS[kind].more);

import {
  CLOTHS,
  CRATE_KINDS,
  CROPS,
  FEEDS,
  FILLS,
  LAYERS,
  MATERIALS,
  MIXES,
  MULCHES,
  PIPES,
  RAIN,
  STANDING,
  SUN,
  WIND,
} from '../catalog';
import { q, say, type Message } from '../units';
import { FIELDS, type FieldSpec } from './fields';
import type { PlanterDesign, VesselDesign } from './schema';
import { fieldOfPart, SUPPORT_KINDS, type SupportKind } from './parts/supports';

/** What two versions of a design have otherwise, in words, part by part. */

/** The parts of a document that are chosen between as a whole. */
export type DesignPart = Exclude<keyof PlanterDesign, 'format' | 'version'>;

/** What each part is called, in the order of the work. */
export const SECTIONS: Readonly<Record<DesignPart, string>> = {
  name: 'Name',
  variant: 'Variant',
  notes: 'Notes',
  vessel: 'Vessel',
  bed: 'Vessel for the soil',
  reservoir: 'Base',
  overflow: 'Overflow',
  wicks: 'Wicks',
  fillTube: 'Fill tube',
  pipes: 'Other pipes',
  layers: 'Layers',
  soil: 'Mix',
  planting: 'Plants',
  place: 'Place',
};

/** One part that differs, with what is otherwise in it. */
export interface Difference {
  section: DesignPart;
  says: Message[];
}

type Spec = Readonly<Partial<Record<string, FieldSpec>>>;

/** Where the numbers of each part are described. */
const SPECS: Readonly<Partial<Record<DesignPart, readonly Spec[]>>> = {
  vessel: [FIELDS.vessel],
  bed: [FIELDS.bed],
  reservoir: [FIELDS.reservoir],
  overflow: [FIELDS.overflow],
  wicks: [FIELDS.cup, FIELDS.cloth, FIELDS.column],
  fillTube: [FIELDS.tube],
  pipes: [FIELDS.pipe],
  layers: [FIELDS.layer],
  soil: [FIELDS.soil, FIELDS.recipe],
  planting: [FIELDS.planting, FIELDS.crop],
  place: [FIELDS.place],
};

/** Names of what is chosen from a list, by the key that holds it. */
const NAMES: Readonly<
  Record<string, readonly [string, Readonly<Record<string, { name: string }>>]>
> = {
  crop: ['What grows', CROPS],
  medium: ['Filled with', { ...FILLS, ...MIXES }],
  material: ['Material', { ...CLOTHS, ...MATERIALS }],
  mulch: ['Surface', MULCHES],
  feed: ['Feed', FEEDS],
  what: ['Made of', { ...LAYERS, ...STANDING, ...CRATE_KINDS }],
  pipe: ['Pipe', PIPES],
  sun: ['Sun', SUN],
  wind: ['Wind', WIND],
  rain: ['Rain', RAIN],
};

/** The parts in which a design differs from another, with words for each. */
export function differences(before: PlanterDesign, after: PlanterDesign): Difference[] {
  return (Object.keys(SECTIONS) as DesignPart[]).flatMap((section): Difference[] => {
    const says = between(section, section, before[section], after[section]);
    return says.length > 0 ? [{ section, says: unique(says) }] : [];
  });
}

/** What is otherwise of a vessel, in words. */
export const vesselDifferences = (before: VesselDesign, after: VesselDesign): Message[] =>
  unique(between('vessel', 'vessel', before, after));

/**
 * A design with some parts of another. Whether its measures go together is for whoever asks.
 *
 * @param from the parts that are taken from `other`
 */
export function withParts(
  design: PlanterDesign,
  other: PlanterDesign,
  from: readonly DesignPart[],
): PlanterDesign {
  return from.reduce<PlanterDesign>(
    (merged, section) => ({ ...merged, [section]: other[section] }),
    design,
  );
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function between(
  section: DesignPart,
  key: string,
  before: unknown,
  after: unknown,
  field?: FieldSpec,
): Message[] {
  if (before === after) return [];
  if (Array.isArray(before) && Array.isArray(after) && before.length === after.length) {
    return before.flatMap((one, i) => between(section, key, one, after[i]));
  }
  if (isObject(before) && isObject(after) && before.kind === after.kind) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    const own = section === 'reservoir' ? ownField(before.kind) : () => undefined;
    return keys.flatMap((inner) =>
      between(section, inner, before[inner], after[inner], own(inner)),
    );
  }
  return [leaf(section, key, before, after, field)];
}

/** How a kind of support calls its own numbers. */
const ownField = (kind: unknown) => (key: string) =>
  SUPPORT_KINDS.includes(kind as SupportKind) ? fieldOfPart(kind as SupportKind, key) : undefined;

/** One thing that is otherwise: a measure, a choice, or something that is there in one of them only. */
function leaf(
  section: DesignPart,
  key: string,
  before: unknown,
  after: unknown,
  field?: FieldSpec,
): Message {
  const spec = field ?? SPECS[section]?.find((one) => one[key])?.[key];
  if (spec && typeof before === 'number' && typeof after === 'number') {
    return say`${spec.label}: ${q(before, spec.kind)}, then ${q(after, spec.kind)}`;
  }
  const [label, names] = NAMES[key] ?? [];
  if (label && names && typeof before === 'string' && typeof after === 'string') {
    return say`${label}: ${names[before]?.name ?? before}, then ${names[after]?.name ?? after}`;
  }
  if (key === 'name' && typeof before === 'string' && typeof after === 'string') {
    return say`${before}, then ${after}`;
  }
  if (before === null) return say`${SECTIONS[section]}: added`;
  if (after === null) return say`${SECTIONS[section]}: taken away`;
  if (Array.isArray(before) && Array.isArray(after)) {
    return say`${SECTIONS[section]}: ${q(before.length, 'count')}, then ${q(after.length, 'count')}`;
  }
  return say`${SECTIONS[section]}: changed`;
}

/** Each sentence once. */
function unique(list: readonly Message[]): Message[] {
  const said = new Set<string>();
  return list.filter((message) => {
    const words = JSON.stringify(message);
    if (said.has(words)) return false;
    said.add(words);
    return true;
  });
}

import type {
  BedDesign,
  Change,
  ClothWickDesign,
  ColumnWickDesign,
  CupWickDesign,
  ExtraPipe,
  FillLayer,
  FillTubeDesign,
  LayerDesign,
  OverflowDesign,
  SupportKind,
  SupportOf,
  PlanterDesign,
  ReservoirDesign,
  SpotDesign,
  VesselDesign,
} from '../document';
import type { Sold } from '../catalog';
import type { Message } from '../units';
import type { Outline, Vessel } from '../geometry/vessels';
import type { Circle, Rectangle } from '../geometry/packing';
import type { Contradiction } from './contradiction';
import type { Obstacles } from './obstacles';
import type { Run, Solid } from './solid';

/**
 * What a planter is made of. A design asks for things; each kind of thing says in one place how many of
 * it stand and where, what room they take in the water, what they weigh and what they are called. The
 * workshop and the drawing have faces of their own, keyed by the same kinds.
 */

type Overflow<K extends OverflowDesign['kind']> = Extract<OverflowDesign, { kind: K }>;
type BedOf<K extends BedDesign['kind']> = Extract<BedDesign, { kind: K }>;

/** Supports are said in the design as they are, whatever kinds there are of them. */
type SupportSpecs = { [K in SupportKind]: SupportOf<K> };

/** What the design says of a thing of each kind. */
export interface PartSpecs extends SupportSpecs {
  vessel: VesselDesign;
  liner: Extract<VesselDesign, { kind: 'frame' }>;
  patch: VesselDesign;
  fill: FillLayer;
  platform: ReservoirDesign;
  tube: FillTubeDesign;
  inspection: ExtraPipe;
  worm: ExtraPipe;
  column: ColumnWickDesign;
  cup: CupWickDesign;
  cloth: ClothWickDesign;
  nested: BedOf<'nested'>;
  neck: BedOf<'neck'>;
  row: BedOf<'row'>;
  bearers: BedOf<'row'>;
  bag: BedOf<'bag'>;
  layer: LayerDesign;
  hole: Overflow<'hole'>;
  fitting: Overflow<'fitting'>;
  rows: Overflow<'rows'>;
  rim: Overflow<'rim'>;
  supply: NonNullable<ReservoirDesign['supply']>;
  mulch: PlanterDesign['soil'];
}
export type PartKind = keyof PartSpecs;

/** A thing that a design asks for, and which entry of its own list in the design that is. */
export interface RequestedPart<K extends PartKind> {
  spec: PartSpecs[K];
  index: number;
}

/** One physical thing in its place; heights in metres above the inside floor. */
export interface Part {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly from: number;
  readonly to: number;
  readonly foot: Footprint;
  /** What it is from outside, hollows and all; null for what takes no room of its own. */
  readonly body: Solid | null;
  /** What of it is hollow, or holds water in its pores, and the share of that which is water to be had. */
  readonly bore: { solid: Solid; share: number } | null;
}

/** How a thing stands, seen from above, about its own middle. Metres. */
export type Footprint =
  | { form: 'disc'; r: number }
  | { form: 'ring'; r: number; wall: number }
  | { form: 'box'; a: number; b: number }
  | { form: 'run'; run: Run; r: number }
  | { form: 'outline'; outline: Outline }
  | { form: 'none' };

/** The room that things take in the base, and the water they let in again, by height. */
export interface Displacement {
  /** Volume of walls and hollows below height z. m³ */
  outerBelow(z: number): number;
  /** Water to be had in the hollows with water standing at z outside. m³ */
  waterBelow(z: number): number;
  /** Volume of the hollows below z: `waterBelow` when nothing is caught. m³ */
  hollowBelow(z: number): number;
  /** Plan area at height z. m² */
  areaAt(z: number): number;
  /** Height of the water inside when it stands at z outside. Metres. */
  levelInside(z: number): number;
}

/** All things of one entry of the design, as they are placed: of one of these kinds, told by `kind`. */
export type PartGroup<K extends PartKind = PartKind> = { [One in K]: PartGroupOf<One> }[K];

interface PartGroupOf<K extends PartKind> extends Displacement {
  readonly kind: K;
  readonly spec: PartSpecs[K];
  readonly index: number;
  /** Stable: `kind-index`. */
  readonly id: string;
  /** How many were asked for. */
  readonly wanted: number;
  readonly parts: readonly Part[];
  /** Height of its top, metres. */
  readonly height: number;
  /** What it weighs, dry and without what is packed into it. Kilograms. */
  readonly mass: number;
  /** The most that fit in the places that are left to it, whatever number was typed. */
  capacity(): number;
}

/** What holds the soil: the vessel itself, or beds of their own above or inside it. */
export interface Bed {
  /** The space in one of them, above its own floor. */
  readonly inside: Vessel;
  /** Height of that floor above the vessel's, metres. */
  readonly floor: number;
  readonly wall: number;
  /** Whether it is something other than the vessel. */
  readonly separate: boolean;
  /** Where each stands, seen from above. */
  readonly places: readonly { x: number; y: number }[];
}

/** Where things are placed: what there is, and what stands there already. */
export interface PlacementSite {
  readonly design: PlanterDesign;
  /** The water's own vessel, turned so that the section shows what there is to see. */
  readonly vessel: Vessel;
  readonly bed: Bed;
  /** Everything stands inside this. */
  readonly floor: Outline;
  /** The rigid sheet that soil stands on, seen from above; null where there is none. */
  readonly platformOutline: Outline | null;
  /** Top of the base, metres. */
  readonly top: number;
  readonly taken: Obstacles;
  /** What has been placed so far. */
  readonly partGroups: readonly PartGroup[];
}

/** The places of a group of parts in its design. */
export interface ChosenSpots {
  path: Change['path'];
  /** Those that were chosen, or null while they are left to Huerta. */
  chosen: readonly SpotDesign[] | null;
  /** Whether the design holds a list of them, or one place only. */
  many: boolean;
}

/**
 * How the things of a planter hold together. `a` is the one that is put to `b`; `b` is another group's id,
 * or the ground that all stand on.
 */
export interface Joint {
  kind:
    | 'stands-on'
    | 'rests-on'
    | 'goes-through'
    | 'hangs-in'
    | 'packed-round'
    | 'lies-over'
    | 'lines'
    | 'sealed-into'
    | 'joined-to'
    | 'tied-to'
    | 'cut-from'
    | 'caps';
  a: string;
  b: string;
}

/** What the joints of a planter are found by, once all is placed. */
export interface JointContext {
  readonly partGroups: readonly PartGroup[];
  readonly heights: { readonly ceiling: number };
  /** What a group of parts that keeps the water's room open bears over it: soil, or a sheet too. */
  bears(group: PartGroup): 'soil' | 'sheet' | undefined;
}

export type JointsOf<K extends PartKind> = (group: PartGroup<K>, together: JointContext) => Joint[];

/** How large the things of a group of parts are, and how else they could be. */
export interface PartSize {
  /** Fields that are made smaller together, metres. */
  fields: readonly string[];
  /** What is written of them. */
  says: Message;
  /** The sizes that are sold, by their fields; left out where each is cut as one likes. */
  sold?(sold: Sold): readonly Readonly<Record<string, number>>[];
}

/** Everything about one kind of thing. */
export interface PartDefinition<K extends PartKind> {
  /** The entries of a design that ask for it. */
  asked(design: PlanterDesign): readonly RequestedPart<K>[];
  /** Places what one entry asks for, as far as it fits. */
  place(asked: RequestedPart<K>, site: PlacementSite): PartGroup<K>;
  /** What it is called, in the plural where there are several. */
  name(spec: PartSpecs[K], count: number): string;
  /** What it rests on, goes through, hangs in, lines or is tied to. */
  joints: JointsOf<K>;
  /** Whether it keeps the water's room open and bears what lies over it: the soil only, or a sheet too. */
  bears?: 'soil' | 'sheet';
  /** It is placed before tubes and wicks are: they find room beside it, or meet it. */
  placedFirst?: true;
  /** How high the base must be for it at the least, metres; left out where that is all the same. */
  least?(spec: PartSpecs[K], vessel: Vessel): number;
  /** How its top is spoken of where soil lies straight on it, by its name for one and for several. */
  top?(one: string, many: string): string;
  /** Its size, where it can be made smaller for want of room. */
  size?(spec: PartSpecs[K]): PartSize;
  /** Where the design keeps the places that were chosen for it by hand; left out where it has none. */
  spots?(index: number, design: PlanterDesign): ChosenSpots | null;
  /** Measures of it that cannot be. */
  contradictions?(asked: RequestedPart<K>, design: PlanterDesign, shape: Vessel): Contradiction[];
}

/** Room of what takes none. */
export const NO_DISPLACEMENT: Displacement = {
  outerBelow: () => 0,
  waterBelow: () => 0,
  hollowBelow: () => 0,
  areaAt: () => 0,
  levelInside: (z) => z,
};

/** A group of parts with what most have in common filled in. */
export function partGroup<K extends PartKind>(
  kind: K,
  { spec, index }: RequestedPart<K>,
  rest: Partial<Omit<PartGroupOf<PartKind>, 'kind' | 'spec' | 'index' | 'id'>> = {},
): PartGroup<K> {
  const parts = rest.parts ?? [];
  return {
    ...NO_DISPLACEMENT,
    kind,
    spec,
    index,
    id: `${kind}-${index}`,
    wanted: parts.length,
    height: 0,
    mass: 0,
    capacity: () => parts.length,
    ...rest,
    parts,
  };
}

/** The only entry of a list of one, or none. */
export const singleRequest = <K extends PartKind>(spec: PartSpecs[K] | null): RequestedPart<K>[] =>
  spec === null ? [] : [{ spec, index: 0 }];

/** Entries of a list that are of one sort, with their place in it. */
export function requestsWhere<T, K extends PartKind>(
  list: readonly T[],
  is: (one: T) => boolean,
): RequestedPart<K>[] {
  return list.flatMap((one, index) =>
    is(one) ? [{ spec: one as unknown as PartSpecs[K], index }] : [],
  );
}

export const discPart = (
  id: string,
  { x, y, r }: Circle,
  from: number,
  to: number,
  body: Solid,
  bore: Part['bore'] = null,
): Part => ({
  id,
  x,
  y,
  from,
  to,
  foot: { form: 'disc', r },
  body,
  bore,
});

export const boxPart = (
  id: string,
  { x, y, a, b }: Rectangle,
  from: number,
  to: number,
  body: Solid,
  bore: Part['bore'] = null,
): Part => ({ id, x, y, from, to, foot: { form: 'box', a, b }, body, bore });

/** The circles of a group of parts's pieces. */
export const discsOf = ({ parts }: Pick<PartGroup, 'parts'>): Circle[] =>
  parts.flatMap(({ x, y, foot }) =>
    foot.form === 'disc' || foot.form === 'ring' ? [{ x, y, r: foot.r }] : [],
  );
export const boxesOf = ({ parts }: Pick<PartGroup, 'parts'>): Rectangle[] =>
  parts.flatMap(({ x, y, foot }) => (foot.form === 'box' ? [{ x, y, a: foot.a, b: foot.b }] : []));
export const runsOf = ({ parts }: Pick<PartGroup, 'parts'>): Run[] =>
  parts.flatMap(({ foot }) => (foot.form === 'run' ? [foot.run] : []));

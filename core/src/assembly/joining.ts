import type { Joint, JointsOf, PartKind, PartGroup, JointContext } from './part';

/** How the kinds say what they are put to: what the joints of several kinds have in common. */

/** The ground, and the floor of the vessel or of its liner. */
export const GROUND = 'ground';
export const FLOOR = 'floor';
const VESSEL = 'vessel-0';

const to =
  (kind: Joint['kind'], b: string) =>
  (a: { id: string }): Joint[] => [{ kind, a: a.id, b }];
const toEach = (kind: Joint['kind'], a: PartGroup, others: readonly PartGroup[]): Joint[] =>
  others.map(({ id }) => ({ kind, a: a.id, b: id }));

export const onGround = to('stands-on', GROUND);
export const onFloor = to('stands-on', FLOOR);
export const onVessel = to('rests-on', VESSEL);
export const throughVessel = to('goes-through', VESSEL);
export const intoVessel = to('sealed-into', VESSEL);
export const liningVessel = to('lines', VESSEL);
export const cutFromVessel = to('cut-from', VESSEL);
export const tiedToVessel = to('tied-to', VESSEL);
export const joinedToVessel = to('joined-to', VESSEL);

const UPRIGHT: readonly PartKind[] = ['tube', 'inspection', 'column', 'cup', 'cloth'];
/** What stands up through the base to the soil. */
export const upright = (group: PartGroup): boolean => UPRIGHT.includes(group.kind);

/** On the floor, as far as any of it stands at all. */
export const standing = (group: PartGroup): Joint[] =>
  group.parts.length > 0 ? onFloor(group) : [];

/** Round each of those that `is` says. */
export const packedRound = (
  group: PartGroup,
  { partGroups }: JointContext,
  is: (other: PartGroup) => boolean,
): Joint[] =>
  toEach(
    'packed-round',
    group,
    partGroups.filter((other) => other.id !== group.id && is(other)),
  );

/** Over what lies before it in its own list, or else over those. */
export const over = (group: PartGroup, first: () => Joint[]): Joint[] =>
  group.index > 0 ? to('lies-over', `${group.kind}-${group.index - 1}`)(group) : first();

/** The sheet that soil stands on: platform, upper vessel, or pails over a channel. */
function deckLot({ partGroups }: JointContext): PartGroup | undefined {
  return (
    partGroups.find(({ kind, parts }) => kind === 'platform' && parts.length > 0) ??
    partGroups.find(({ kind }) => kind === 'nested' || kind === 'row')
  );
}

/** What lies or stands directly under the layers and the soil. */
export function baseLots(planter: JointContext): PartGroup[] {
  const deck = deckLot(planter);
  if (deck) return [deck];
  const fills = planter.partGroups.filter(({ kind }) => kind === 'fill');
  const bearers = planter.partGroups.filter(planter.bears);
  return fills.length > 0 ? [fills[fills.length - 1] as PartGroup, ...bearers] : bearers;
}

/** On the first of those, or on the floor where there is none. */
export function restsOnFirst(group: PartGroup, [under]: readonly PartGroup[]): Joint[] {
  return under ? to('rests-on', under.id)(group) : onFloor(group);
}

export function overBase(group: PartGroup, planter: JointContext): Joint[] {
  const under = baseLots(planter);
  return under.length > 0 ? toEach('lies-over', group, under) : onFloor(group);
}

/** On top of the soil's own layers. */
export function overLayers(group: PartGroup, { partGroups }: JointContext): Joint[] {
  const top = [...partGroups].reverse().find(({ kind }) => kind === 'layer');
  return to('lies-over', top?.id ?? VESSEL)(group);
}

/** Through the deck, where there is one and it is deep enough. */
export function throughPlatform(
  group: PartGroup,
  planter: JointContext,
  kind: Joint['kind'] = 'goes-through',
): Joint[] {
  const deck = deckLot(planter);
  const low = group.parts.some(({ from }) => from < planter.heights.ceiling - 1e-6);
  return deck && low ? [{ kind, a: group.id, b: deck.id }] : [];
}

/** Through the layers that lie over the base. */
export const throughLayers = (group: PartGroup, { partGroups }: JointContext): Joint[] =>
  toEach(
    'goes-through',
    group,
    partGroups.filter(({ kind }) => kind === 'layer'),
  );

export const throughLiner = (group: PartGroup, { partGroups }: JointContext): Joint[] =>
  toEach(
    'goes-through',
    group,
    partGroups.filter(({ kind }) => kind === 'liner'),
  );

/** Joined to the first pipe that lies on the floor, or else on the floor itself. */
export function onPipeOrFloor(group: PartGroup, { partGroups }: JointContext): Joint[] {
  const pipe = partGroups.find(({ kind, parts }) => kind === 'lying' && parts.length > 0);
  return pipe ? to('joined-to', pipe.id)(group) : onFloor(group);
}

/** On all that bears it; a lying pipe bears soil, but no sheet. */
export function onSupports(group: PartGroup, planter: JointContext): Joint[] {
  const bearing = planter.partGroups.filter(
    (one) => planter.bears(one) === 'sheet' && one.parts.length > 0,
  );
  return bearing.length > 0 ? toEach('rests-on', group, bearing) : onVessel(group);
}

/** A wick stands on the floor, or hangs in the sheet; and goes through what lies over that. */
export const wickJoints =
  <K extends 'cup' | 'cloth' | 'column'>(hangs: Joint['kind']): JointsOf<K> =>
  (group, together) => {
    if (group.parts.length === 0) return [];
    const wick = group as PartGroup<'cup' | 'cloth' | 'column'>;
    const through = throughPlatform(wick, together, hangs);
    const low = wick.spec.foot <= 1e-9 || through.length === 0;
    return [...through, ...(low ? standing(wick) : [])];
  };

import type { PlanSetting, PlanVessel } from './setting';
import { ROW } from './builds';
import { KINDS_ON_SALE, thirstOf, vesselsHeld, vesselsOnSale } from './setting';
import { keptApart, roomIn, type Content, type OptionSetting } from './options';
import { SCATTERED, shareCrops, type Share, type ShareCrop, type ShareVessel } from './share';
import { MOST_VESSELS, type PlanWish } from './wish';

/** Which vessels a plan takes, and which crops grow in which. */
export interface Arrangement {
  contents: readonly { content: Content; count: number }[];
  /** Whether a vessel of it is bought. */
  bought: boolean;
}

type Room = (vessel: PlanVessel, c: number) => { most: number; water: number };

/** Share of the water below the base that is of use. Typical, and the same for all: it only ranks. */
const OF_USE = 0.6;

/** What each kind of vessel has room for, worked out once a kind. */
function roomsOf(setting: OptionSetting): Room {
  const known = new Map<string, { most: number; water: number }>();
  return (vessel, c) => {
    const key = `${vessel.kind} ${c}`;
    const crop = setting.wish.crops[c];
    const room = known.get(key) ?? (crop ? roomIn(vessel, crop.crop, setting) : NONE);
    known.set(key, room);
    return room;
  };
}
const NONE = { most: 0, water: 0 };

class Arranger {
  private readonly room: Room;
  private readonly crops: readonly ShareCrop[];

  constructor(private readonly setting: OptionSetting) {
    const { wish, place } = setting;
    this.room = roomsOf(setting);
    this.crops = wish.crops.map(({ crop, count }, c) => ({
      count,
      thirst: thirstOf(crop, place),
      apart: wish.crops.flatMap((other, k) => (k !== c && keptApart(crop, other.crop) ? [k] : [])),
    }));
  }

  /** Shares the crops out among some vessels. */
  share(vessels: readonly PlanVessel[], how: keyof typeof SCATTERED = 'tidy'): Share {
    const rooms = vessels.map((vessel) => this.crops.map((_, c) => this.room(vessel, c)));
    return shareCrops(
      vessels.map((vessel, v): ShareVessel => ({
        kind: vessel.kind,
        water: OF_USE * Math.max(...(rooms[v] ?? []).map(({ water }) => water), 1e-6),
        most: (rooms[v] ?? []).map(({ most }) => most),
      })),
      this.crops,
      SCATTERED[how],
    );
  }

  get wanted(): number {
    return this.crops.reduce((sum, { count }) => sum + count, 0);
  }

  /** Each vessel with its crops, those that are alike together; where they are joined in a row all as one. */
  arrangement(
    vessels: readonly PlanVessel[],
    { counts }: Share,
    how: 'pair' | 'row' | null = null,
  ): Arrangement {
    const { crops } = this.setting.wish;
    const plantsIn = (row: readonly number[]) =>
      crops.flatMap(({ crop }, c) => (row[c] ? [{ crop, count: row[c] }] : []));
    const kinds = new Map<string, { content: Content; count: number }>();
    const add = (vessel: PlanVessel, row: readonly number[], joins: Content['joins']): void => {
      const planted = plantsIn(row);
      if (planted.length === 0) return;
      const key = `${vessel.kind} ${JSON.stringify(planted)}`;
      const known = kinds.get(key) ?? { content: { vessel, crops: planted, joins }, count: 0 };
      kinds.set(key, { ...known, count: known.count + 1 });
    };
    if (how === 'row' && vessels[0])
      add(
        vessels[0],
        crops.map((_, c) => counts.reduce((sum, row) => sum + (row[c] ?? 0), 0)),
        { how, count: vessels.length },
      );
    else
      vessels.forEach((vessel, v) =>
        add(vessel, counts[v] ?? [], how === 'pair' ? { how, count: 2 } : null),
      );
    return {
      contents: [...kinds.values()],
      bought: [...kinds.values()].some(({ content }) => content.vessel.bought),
    };
  }
}

/** The fewest of some vessels that hold as many plants as all of them, those that last longest. */
function fewest(arranger: Arranger, vessels: readonly PlanVessel[], placed: number) {
  for (let k = 1; k < vessels.length; k += 1) {
    let best: { some: PlanVessel[]; share: Share } | null = null;
    for (const some of subsets(vessels, k)) {
      const share = arranger.share(some);
      if (share.placed < placed) continue;
      if (!best || share.days > best.share.days) best = { some, share };
    }
    if (best) return best;
  }
  return null;
}

const MOST_SUBSETS = 60;

/** Choices of so many vessels that differ in kind. */
function subsets(vessels: readonly PlanVessel[], k: number): PlanVessel[][] {
  const found = new Map<string, PlanVessel[]>();
  const choose = (from: number, chosen: PlanVessel[]): void => {
    if (found.size >= MOST_SUBSETS) return;
    if (chosen.length === k) {
      found.set(chosen.map(({ kind }) => kind).join(), chosen);
      return;
    }
    for (let i = from; i < vessels.length; i += 1)
      if (i === from || vessels[i]?.kind !== vessels[i - 1]?.kind)
        choose(i + 1, [...chosen, vessels[i] as PlanVessel]);
  };
  choose(0, []);
  return [...found.values()];
}

/** Vessels of each kind. */
function kindsOf(vessels: readonly PlanVessel[]): PlanVessel[][] {
  const kinds = new Map<string, PlanVessel[]>();
  for (const one of vessels) kinds.set(one.kind, [...(kinds.get(one.kind) ?? []), one]);
  return [...kinds.values()];
}

/** Equal vessels by twos, of which one stands in the other; one of each two. */
const pairsIn = (vessels: readonly PlanVessel[]): PlanVessel[] =>
  kindsOf(vessels).flatMap((all) => all.slice(0, Math.floor(all.length / 2)));

/** Pails of one kind that make a row over one channel; none where there are too few. */
const rowIn = (vessels: readonly PlanVessel[]): PlanVessel[] =>
  kindsOf(vessels)
    .filter((all) => all[0]?.group === 'pail' && all.length >= ROW.least)
    .map((all) => all.slice(0, ROW.most))
    .sort((a, b) => b.length - a.length)[0] ?? [];

/**
 * Ways to take vessels and share the crops out, those that need nothing bought first: all vessels there are, the
 * fewest of them, pairs of them; then with so many of one kind bought that all has room and is likely to last.
 */
export function* arrangementsOf(
  setting: OptionSetting,
  { units }: PlanSetting,
): Generator<Arrangement> {
  const { wish } = setting;
  const arranger = new Arranger(setting);
  const held = vesselsHeld(wish, units).slice(0, MOST_VESSELS);
  const enough = held.length > 0 && (yield* ofHeld(arranger, held, wish.days));
  const sale = vesselsOnSale(wish, units);
  for (const vessel of enough ? sale.slice(0, FEW_BOUGHT) : sale) {
    yield* withBought(arranger, held, vessel, wish.days);
  }
}

/** Arrangements of what there is. @returns whether all has room in it and is likely to last */
function* ofHeld(
  arranger: Arranger,
  held: readonly PlanVessel[],
  days: number,
): Generator<Arrangement, boolean> {
  const whole = arranger.share(held);
  if (whole.placed === 0) return false;
  yield arranger.arrangement(held, whole);
  const longest = arranger.share(held, 'longest');
  if (longest.days > whole.days) yield arranger.arrangement(held, longest);
  const few = fewest(arranger, held, whole.placed);
  if (few) yield arranger.arrangement(few.some, few.share);
  yield* joined(arranger, pairsIn(held), 'pair');
  yield* joined(arranger, rowIn(held), 'row');
  return whole.placed === arranger.wanted && Math.max(whole.days, longest.days) >= days;
}

/** Vessels that are joined to planters. */
function* joined(
  arranger: Arranger,
  vessels: readonly PlanVessel[],
  how: 'pair' | 'row',
): Generator<Arrangement> {
  const share = arranger.share(vessels);
  if (share.placed > 0) yield arranger.arrangement(vessels, share, how);
}

/** Arrangements that there are at most, to tell how far the search is. */
export const mostArrangements = ({ vessels, own, buys }: PlanWish): number =>
  (vessels.length + own.length > 0 ? OF_HELD : 0) + (buys ? KINDS_ON_SALE : 0);
const OF_HELD = 5;

/** Kinds that are bought where what there is would do. */
const FEW_BOUGHT = 2;
/** Most that are bought of one kind. */
const MOST_BOUGHT = 6;

/** So many of one kind beside what there is that all plants have room and the water is likely to last. */
function* withBought(
  arranger: Arranger,
  held: readonly PlanVessel[],
  vessel: PlanVessel,
  days: number,
): Generator<Arrangement> {
  let best: { vessels: PlanVessel[]; share: Share } | null = null;
  for (let more = 1; more <= MOST_BOUGHT && held.length + more <= MOST_VESSELS; more += 1) {
    const vessels = [...held, ...Array.from({ length: more }, () => vessel)];
    const share = arranger.share(vessels);
    if (best && share.placed <= best.share.placed && share.days <= best.share.days) break;
    best = { vessels, share };
    if (share.placed === arranger.wanted && share.days >= days) break;
  }
  if (!best || best.share.placed === 0) return;
  yield arranger.arrangement(best.vessels, best.share);
  if (held.length === 0) yield* joined(arranger, rowIn(best.vessels), 'row');
}

/**
 * Crops shared out among vessels: as many plants as there is room for, then so that the vessel that runs dry first does
 * so as late as can be, and no crop is scattered without need. Branch and bound over whole plants: a vessel's thirst only grows as it is planted, so what its
 * water lasts so far bounds what it can last, and all water over all thirst bounds it from the beginning (the relaxed
 * assignment). Beyond some thousands of branches the best found so far stands.
 */

export interface ShareVessel {
  /** Vessels of one kind are alike. */
  kind: string;
  /** Water to use, m³. */
  water: number;
  /** So many plants of each crop have room in it alone; 0 where its roots have none. */
  most: readonly number[];
}

export interface ShareCrop {
  count: number;
  /** What one plant drinks, m³ a day. */
  thirst: number;
  /** Crops by their place in the list that it does not grow beside. */
  apart: readonly number[];
}

/** What a share is worth for each vessel more that a crop is in, as a part of its days: tidy, or as long as can be. */
export const SCATTERED = { tidy: 0.7, longest: 0.97 } as const;

export interface Share {
  /** Plants by vessel and crop. */
  counts: readonly (readonly number[])[];
  /** Plants that found room, of all crops. */
  placed: number;
  /** Days until the first vessel has used its water up; infinite without plants. */
  days: number;
  /** Those days less what scattering takes. */
  worth: number;
}

const MOST_BRANCHES = 4000;
/** Plants of one crop are handed out in so many portions at most. */
const PORTIONS = 8;
/** Near enough to the bound to look no further. */
const ENOUGH = 0.97;
const TINY = 1e-9;

class Sharing {
  readonly counts: number[][];
  readonly left: number[];
  readonly thirst: number[];
  best: Share;
  /** Plants that have a place, and those that want one. */
  placed = 0;
  private readonly wanted: number;
  private branches = 0;
  private readonly bound: number;

  constructor(
    readonly vessels: readonly ShareVessel[],
    readonly crops: readonly ShareCrop[],
    readonly scattering: number,
  ) {
    this.counts = vessels.map(() => crops.map(() => 0));
    this.left = vessels.map(() => 1);
    this.thirst = vessels.map(() => 0);
    this.best = {
      counts: this.counts.map((row) => [...row]),
      placed: 0,
      days: Infinity,
      worth: Infinity,
    };
    const water = vessels.reduce((sum, one) => sum + one.water, 0);
    const thirst = crops.reduce((sum, one) => sum + one.count * one.thirst, 0);
    this.bound = thirst > 0 ? water / thirst : Infinity;
    this.wanted = crops.reduce((sum, { count }) => sum + count, 0);
  }

  /** How many more plants of a crop a vessel takes. */
  room(v: number, c: number): number {
    const most = this.vessels[v]?.most[c] ?? 0;
    const apart = this.crops[c]?.apart ?? [];
    if (most === 0 || apart.some((other) => (this.counts[v]?.[other] ?? 0) > 0)) return 0;
    return Math.floor((this.left[v] as number) * most + 1e-6);
  }

  put(v: number, c: number, count: number): void {
    const row = this.counts[v] as number[];
    row[c] = (row[c] as number) + count;
    this.left[v] = (this.left[v] as number) - count / (this.vessels[v]?.most[c] as number);
    this.thirst[v] = (this.thirst[v] as number) + count * (this.crops[c]?.thirst as number);
    this.placed += count;
  }

  lasts(v: number, more = 0): number {
    const thirst = (this.thirst[v] as number) + more;
    return thirst > 0 ? (this.vessels[v]?.water as number) / thirst : Infinity;
  }

  days(): number {
    return this.vessels.reduce((least, _, v) => Math.min(least, this.lasts(v)), Infinity);
  }

  /** Vessels that crops are in beyond one each. */
  get scattered(): number {
    return this.crops.reduce((sum, _, c) => {
      const vessels = this.counts.filter((row) => (row[c] as number) > 0).length;
      return sum + Math.max(vessels - 1, 0);
    }, 0);
  }

  get worth(): number {
    return this.days() * this.scattering ** this.scattered;
  }

  keep(): void {
    const { placed, worth } = this;
    const better =
      placed > this.best.placed || (placed === this.best.placed && worth > this.best.worth + TINY);
    if (better || this.best.placed === 0)
      this.best = {
        ...{ counts: this.counts.map((row) => [...row]), placed, worth },
        days: this.days(),
      };
  }

  /** Whether nothing that is left to look at can be better. */
  get done(): boolean {
    return (
      this.branches > MOST_BRANCHES ||
      (this.best.placed === this.wanted && this.best.worth >= ENOUGH * this.bound)
    );
  }

  /** Each plant goes where the water lasts longest with it; or whole crops do, as far as they have room in one vessel. */
  greedy(order: readonly number[], whole: boolean): void {
    for (const c of order) {
      const { count } = this.crops[c] as ShareCrop;
      for (let left = count; left > 0;) {
        const v = this.longestWith(c, whole ? left : 1);
        if (v < 0) break;
        const some = whole ? Math.min(left, this.room(v, c)) : 1;
        this.put(v, c, some);
        left -= some;
      }
    }
    this.keep();
    this.counts.forEach((row, v) =>
      row.forEach((count, c) => {
        if (count > 0) this.put(v, c, -count);
      }),
    );
  }

  /** The vessel that has room for most of so many plants, and of those where the water lasts longest with them; -1 for none. */
  private longestWith(c: number, plants: number): number {
    let best = -1;
    let [takes, lasts] = [0, 0];
    for (let v = 0; v < this.vessels.length; v += 1) {
      const some = Math.min(this.room(v, c), plants);
      const days = this.lasts(v, some * (this.crops[c]?.thirst as number));
      if (some > takes || (some > 0 && some === takes && days > lasts + TINY))
        [best, takes, lasts] = [v, some, days];
    }
    return best;
  }

  /** Hands what is left of a crop to the vessels from one on; then the next crop. */
  branch(order: readonly number[], k: number, v: number, remaining: number): void {
    if (this.done) return;
    const c = order[k];
    if (c === undefined) {
      this.keep();
      return;
    }
    if (remaining === 0 || v === this.vessels.length) {
      const next = order[k + 1];
      this.branch(order, k + 1, 0, next === undefined ? 0 : (this.crops[next]?.count as number));
      return;
    }
    this.branches += 1;
    if (this.best.placed === this.wanted && this.worth <= this.best.worth + TINY) return;
    const { count } = this.crops[c] as ShareCrop;
    const step = Math.max(Math.ceil(count / PORTIONS), 1);
    const most = Math.min(this.room(v, c), remaining, this.likeBefore(v, c, k));
    for (let n = most; ; n -= step) {
      const some = Math.max(n, 0);
      if (some > 0) this.put(v, c, some);
      this.branch(order, k, v + 1, remaining - some);
      if (some > 0) this.put(v, c, -some);
      if (some === 0 || this.done) return;
    }
  }

  /** Of vessels that are alike the later takes no more of the first crop than the one before. */
  private likeBefore(v: number, c: number, k: number): number {
    const before = this.vessels[v - 1];
    const alike = k === 0 && before !== undefined && before.kind === this.vessels[v]?.kind;
    return alike ? (this.counts[v - 1]?.[c] as number) : Infinity;
  }
}

/** Shares crops out among vessels. @param scattering what a share is worth for each vessel more that a crop is in */
export function shareCrops(
  vessels: readonly ShareVessel[],
  crops: readonly ShareCrop[],
  scattering: number = SCATTERED.longest,
): Share {
  const sharing = new Sharing(vessels, crops, scattering);
  // The thirstiest crops first: they decide.
  const order = crops
    .map((_, c) => c)
    .sort(
      (a, b) =>
        (crops[b]?.count ?? 0) * (crops[b]?.thirst ?? 0) -
        (crops[a]?.count ?? 0) * (crops[a]?.thirst ?? 0),
    );
  sharing.greedy(order, true);
  sharing.greedy(order, false);
  const first = order[0];
  if (first !== undefined && vessels.length > 0)
    sharing.branch(order, 0, 0, crops[first]?.count as number);
  return sharing.best;
}

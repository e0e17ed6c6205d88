import { VESSELS, vesselName, type VesselId } from '@huerta/core/catalog';
import {
  MEANS,
  MOST_VESSELS,
  meansOf,
  type MeansRead,
  type PlanWish,
} from '@huerta/core/planning/plans';
import type { QuantityKind, UnitSystem, Words } from '@huerta/core/units';

/** What there is and what is wanted, counted and in words. */

/** With so many more of a vessel; none of it is taken out of the list. */
export function withVessel(
  vessels: PlanWish['vessels'],
  vessel: VesselId,
  more: number,
): PlanWish['vessels'] {
  const known = vessels.find((one) => one.vessel === vessel);
  const count = Math.min((known?.count ?? 0) + more, MOST_VESSELS);
  if (!known) return count > 0 ? [...vessels, { vessel, count }] : vessels;
  return count > 0
    ? vessels.map((one) => (one === known ? { ...one, count } : one))
    : vessels.filter((one) => one !== known);
}

/** What was read from a line put beside what there is. */
export const withRead = (wish: PlanWish, read: MeansRead): Partial<PlanWish> => ({
  vessels: read.vessels.reduce(
    (all, { vessel, count }) => withVessel(all, vessel, count),
    [...wish.vessels],
  ),
  means: [...wish.means, ...read.means],
});

const KIND: Readonly<Record<(typeof MEANS)[keyof typeof MEANS]['unit'], QuantityKind>> = {
  piece: 'count',
  length: 'stock',
  area: 'area',
  volume: 'loose',
};

type Held = PlanWish['means'][number];

/** An amount of a thing in its own unit. */
export const amountOfMeans = (
  { what }: Pick<Held, 'what'>,
  amount: number,
  { write }: Pick<Words, 'write'>,
): string => write(amount, KIND[meansOf(what).unit]);

/** A thing that lies about, in words: "3 m pipe, 110 mm". */
export function meansWords(held: Held, words: Pick<Words, 'write' | 'say'>): string {
  const { what, amount, across } = held;
  const name = words.say(MEANS[what].name).toLowerCase();
  const wide = across === null ? '' : `, ${words.write(across, 'length')}`;
  return `${amountOfMeans(held, amount, words)} ${name}${wide}`;
}

/** Usual vessels by what they are, as a choice. */
export const vesselChoice = (units: UnitSystem): { value: VesselId; label: string }[] =>
  (Object.keys(VESSELS) as VesselId[]).map((value) => ({ value, label: vesselName(value, units) }));

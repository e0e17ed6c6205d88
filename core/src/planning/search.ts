import { evaluate, faultsOf, type Assessment } from '../assessment';
import { asShopper, buildSheet, NEW_BOOK, shoppingFor, type PriceBook } from '../fabrication';
import { roomDay, type WeatherDay } from '../physics/climate';
import { applyPatch, type PlanterDesign } from '../document';
import { daysLasted, plantsSuffer, runSeason, spreadOf } from '../simulation/season';
import type { UnitSystem } from '../units';
import type { Candidate } from './candidates';

/** Other designs in the same vessel: tried, scored against what people wish for, and the best kept. */

/** A candidate with what it yields. */
export interface Scored extends Candidate {
  /** Days that it is sure to last in nine weathers of ten. */
  days: number;
  /** Growing depth, metres; full weight, kilograms; cost of all parts in the book's currency. */
  roots: number;
  weight: number;
  cost: number;
  /** Dangers and faults that it has and the design as it is has not. */
  faults: number;
}

/** Findings of a design that are dangers or faults and not known already. */
const newFaults = ({ findings }: Assessment, known: ReadonlySet<string>): Assessment['findings'] =>
  findings.filter(
    ({ id, severity }) => (severity === 'danger' || severity === 'fault') && !known.has(id),
  );

/**
 * Whether a candidate brings a danger or a fault: then it is none, and need not be lived through.
 *
 * @param known the faults of the design as it is, which are no candidate's doing
 */
export const bringsFault = (
  design: PlanterDesign,
  one: Candidate,
  known: ReadonlySet<string>,
): boolean => newFaults(evaluate(applyPatch(design, one.patch)).assessment, known).length > 0;

/** Where is bought: by whose prices, and in which packs. */
export interface Shop {
  book: PriceBook;
  units: UnitSystem;
}

/**
 * Scores a candidate: how long it lasts without filling in some weathers, and what it costs.
 *
 * @param weathers from the day of leaving on, one for each chance
 * @param known the faults of the design as it is, which are no candidate's doing
 */
export function score(
  design: PlanterDesign,
  one: Candidate,
  weathers: readonly (readonly WeatherDay[])[],
  planted: string,
  { book, units }: Shop = { book: NEW_BOOK, units: 'metric' },
  known: ReadonlySet<string> = faultsOf(design),
): Scored {
  const { planter, assessment } = evaluate(applyPatch(design, one.patch));
  const { figures } = assessment;
  const indoors = design.place.rain === 'indoors';
  const lasted = weathers.map((weather) => {
    const run = runSeason(planter, indoors ? weather.map(roomDay) : weather, {
      planted,
      filling: { kind: 'never' },
      refillAt: figures.usableLevel,
      until: plantsSuffer,
      cells: 30,
    });
    return daysLasted(run);
  });
  const sheet = buildSheet(planter, figures, units);
  const list = shoppingFor([asShopper('', sheet, figures)], book, units);
  return {
    ...one,
    days: Math.floor(spreadOf(lasted).low + 1e-9),
    roots: figures.growingDepth,
    weight: figures.weight.full,
    cost: list.total,
    faults: newFaults(assessment, known).length,
  };
}

/** What is wished for. */
export interface Wishes {
  /** Least days and least root room, metres; most weight, kilograms, and most cost. */
  days: number;
  roots: number;
  weight: number;
  cost: number;
}

export const meets = (one: Scored, wishes: Wishes): boolean =>
  one.days >= wishes.days &&
  one.roots >= wishes.roots - 1e-9 &&
  one.weight <= wishes.weight &&
  one.cost <= wishes.cost;

/**
 * Those that no other beats in everything: days, root room, weight and cost, among those that bring no fault;
 * longest first, and of those that are equal in all four one.
 */
export function frontOf(points: readonly Scored[]): Scored[] {
  const sound = points.filter(({ faults }) => faults === 0);
  const beats = (a: Scored, b: Scored): boolean =>
    a.days >= b.days &&
    a.roots >= b.roots - 1e-4 &&
    a.weight <= b.weight + 0.05 &&
    a.cost <= b.cost + 0.01 &&
    (a.days > b.days ||
      a.roots > b.roots + 1e-4 ||
      a.weight < b.weight - 0.05 ||
      a.cost < b.cost - 0.01);
  const alike = (a: Scored, b: Scored): boolean =>
    a.days === b.days &&
    Math.abs(a.roots - b.roots) < 1e-3 &&
    Math.abs(a.weight - b.weight) < 0.05 &&
    Math.abs(a.cost - b.cost) < 0.01;
  return sound
    .filter((one) => !sound.some((other) => other !== one && beats(other, one)))
    .filter((one, i, list) => list.findIndex((other) => alike(other, one)) === i)
    .sort((a, b) => b.days - a.days || b.roots - a.roots);
}

/** What a design is the best at of a list, in words; empty where others are as good or better at all. */
export function bestAt(one: Scored, list: readonly Scored[]): string {
  const alone = (better: (other: Scored) => boolean): boolean =>
    list.every((other) => other === one || better(other));
  const said = [
    alone((other) => other.days < one.days) && 'lasts longest',
    alone((other) => other.roots < one.roots - 1e-3) && 'most root room',
    alone((other) => other.weight > one.weight + 0.05) && 'lightest',
    alone((other) => other.cost > one.cost + 0.01) && 'cheapest',
    one.patch.length === 0 && 'as it is now',
  ];
  return said.filter((words) => words !== false).join(', ');
}

/** Days of a stay away, for the search's weathers. */
export const SEARCH_DAYS = 50;

import type { Known } from './known';
import { CAUSE_IDS, CAUSES, type Cause } from './causes';
import { CHECK_IDS, CHECKS, type TroubleAnswer, type TroubleCheck } from './checks';
import { seldom, type Symptom } from './symptoms';

/**
 * Which cause is behind a trouble: Bayes' rule over the table of causes. What is seen, what the planter's own design
 * and log say, and what each check finds multiply a cause's prior; the next check is the one that is expected to leave
 * least doubt (greatest mutual information with the cause).
 */

/** What a check found. */
export interface TroubleSign {
  check: TroubleCheck;
  answer: string;
}

export interface TroubleQuestion {
  seen: readonly Symptom[];
  known: readonly Known[];
  found: readonly TroubleSign[];
  /** Checks that this planter has something for; all where it is left out. */
  can?: readonly TroubleCheck[];
}

/** A cause with its share of the belief. */
export interface Suspect {
  cause: Cause;
  share: number;
}

/** Fewest and most checks that are asked for, and the share from which on a cause is sure enough. */
const FEWEST = 2;
const MOST = 5;
const SURE = 0.85;
/** A check that is expected to tell less than this, in bits, is not asked for after the first two. */
const TELLS = 0.03;

/** Chance of an answer to a check where a cause is behind it. */
export function chanceOf(cause: Cause, check: TroubleCheck, answer: string): number {
  const told = CAUSES[cause].finds[check] as Partial<Record<string, number>> | undefined;
  if (told) return told[answer] ?? 0;
  const usual = CHECKS[check].answers as Record<string, readonly [string, number]>;
  return usual[answer]?.[1] ?? 0;
}

const bringing = (cause: Cause, symptom: Symptom): number =>
  (CAUSES[cause].brings as Partial<Record<Symptom, number>>)[symptom] ?? seldom(symptom);

const shared = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((all, one) => all + one, 0);
  return weights.map((one) => (sum > 0 ? one / sum : 1 / weights.length));
};

/** Causes by their share, likeliest first. The shares sum to 1. */
export function suspects({ seen, known, found }: TroubleQuestion): Suspect[] {
  const weights = CAUSE_IDS.map((cause) => {
    const seenOf = seen.reduce((all, symptom) => all * bringing(cause, symptom), 1);
    const knownOf = known.reduce((all, { times }) => all * (times[cause] ?? 1), 1);
    const foundOf = found.reduce(
      (all, { check, answer }) => all * Math.max(chanceOf(cause, check, answer), 1e-3),
      1,
    );
    return CAUSES[cause].prior * seenOf * knownOf * foundOf;
  });
  const shares = shared(weights);
  return CAUSE_IDS.map((cause, i) => ({ cause, share: shares[i] as number })).sort(
    (a, b) => b.share - a.share,
  );
}

const doubt = (shares: readonly number[]): number =>
  shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/** How much a check is expected to tell about the cause, in bits. */
export function tells(belief: readonly Suspect[], check: TroubleCheck): number {
  const before = doubt(belief.map(({ share }) => share));
  const after = Object.keys(CHECKS[check].answers).reduce((sum, answer) => {
    const joint = belief.map(({ cause, share }) => share * chanceOf(cause, check, answer));
    const chance = joint.reduce((all, one) => all + one, 0);
    return chance > 0 ? sum + chance * doubt(shared(joint)) : sum;
  }, 0);
  return before - after;
}

/** The check to make next; null where enough is known, or nothing more would tell. */
export function nextCheck(question: TroubleQuestion): TroubleCheck | null {
  const { found } = question;
  if (found.length >= MOST) return null;
  const belief = suspects(question);
  const top = belief[0]?.share ?? 0;
  if (found.length >= FEWEST && top >= SURE) return null;
  const made = new Set(found.map(({ check }) => check));
  const left = (question.can ?? CHECK_IDS)
    .filter((check) => !made.has(check))
    .map((check) => ({ check, bits: tells(belief, check) }))
    .sort((a, b) => b.bits - a.bits);
  const best = left[0];
  if (!best || (found.length >= FEWEST && best.bits < TELLS)) return null;
  return best.check;
}

/** The answers of a check as they are offered. */
export const answersOf = (check: TroubleCheck): { answer: string; text: string }[] =>
  Object.entries(CHECKS[check].answers as Record<TroubleAnswer, readonly [string, number]>).map(
    ([answer, [text]]) => ({ answer, text }),
  );

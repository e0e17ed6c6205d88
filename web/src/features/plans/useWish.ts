import { planWishSchema, usualWish, type PlanWish } from '@huerta/core/planning/plans';
import { useState } from 'react';
import { keepDraft, readKeptDraft } from '../../ui/keptDraft';

const KEY = 'huerta.wish';

/** What was wished last on this device, where it can still be read. */
function keptWish(month: number): PlanWish {
  const read = planWishSchema.safeParse(readKeptDraft<unknown>(KEY));
  return read.success ? read.data : usualWish(month);
}

/**
 * What is wished, kept on this device, so that one answer can be changed later.
 *
 * @param from the wish of a planter to begin from, instead of the last one
 */
export function useWish(month: number, from: PlanWish | null) {
  const [wish, setWish] = useState(() => from ?? keptWish(month));
  const change = (part: Partial<PlanWish>): void => {
    const next = { ...wish, ...part };
    setWish(next);
    keepDraft(KEY, next);
  };
  return { wish, change, clear: () => change(usualWish(month)) };
}

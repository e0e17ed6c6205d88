import { useSearchParams } from 'react-router';

/** The planters that the page's address asks for. */
export interface Chosen {
  /** Their ids in the order of choosing; null when the address says nothing. */
  ids: readonly string[] | null;
  /** Those that are among some planters, in that order. */
  among(planters: readonly { id: string }[]): string[];
  choose(ids: readonly string[]): void;
}

/** Keeps the choice of planters in the page's address, so that it can be sent and gone back to. */
export function useChosen(): Chosen {
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('with');
  const ids = wanted === null ? null : wanted.split(',').filter(Boolean);
  const named = ids ?? [];
  return {
    ids,
    among: (planters) => named.filter((id) => planters.some((planter) => planter.id === id)),
    choose: (next) => setSearch({ with: next.join(',') }, { replace: true }),
  };
}

/** A list with an id put in or taken out. */
export const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id];

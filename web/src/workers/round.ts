import type { TendedState } from '@huerta/core';
import { proxy } from 'comlink';
import { ask } from './hands';
import { useTold, type Known } from './useTold';
import type { RoundPlanter } from './work';

/** How planters stand, by id, as far as it is known. */
export type Round = Readonly<Record<string, TendedState | null>>;

/**
 * The round over some planters.
 *
 * @param mark what it depends on: with the same mark it is not asked again
 */
export const useRound = (planters: readonly RoundPlanter[] | null, mark: string): Known<Round> =>
  useTold<Round>({
    key: planters ? ['round', mark] : null,
    broke: 'How they stand could not be worked out. Load the page again to try once more.',
    ask: async (signal, tell) => {
      let known: Record<string, TendedState | null> = {};
      await ask(signal, (work) =>
        work.round(
          planters ?? [],
          proxy(({ id, state }: { id: string; state: TendedState | null }) => {
            known = { ...known, [id]: state };
            tell(known);
          }),
        ),
      );
      return known;
    },
  });

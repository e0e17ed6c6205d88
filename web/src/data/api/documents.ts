import type { DocumentKind } from '@huerta/contract';
import {
  CROPS_OF_ONES_OWN,
  ownCropsResourceSchema,
  PLANTERS,
  PRICES,
  priceBookResourceSchema,
  planterResourceSchema,
  ROUND,
  roundResourceSchema,
  SEASONS,
  seasonResourceSchema,
  VESSELS,
  vesselResourceSchema,
  WEATHER,
  weatherResourceSchema,
  type Route,
} from '@huerta/contract';
import { callRoute } from './client';
import { type RefusedError } from '../offline/refusalErrors';
import type { Bodies, PendingSave } from '../offline/types';

/** How documents of each kind are fetched and saved. */

/** A document as the server has it. */
export interface Loaded<K extends DocumentKind> {
  revision: number;
  body: Bodies[K];
}

interface Address<K extends DocumentKind> {
  get: Route | null;
  save: Route;
  /** What of an answer is the document, checked. */
  read(answer: unknown): Loaded<K>;
}

const ADDRESSES: { [K in DocumentKind]: Address<K> } = {
  planter: {
    get: PLANTERS.get,
    save: PLANTERS.save,
    read(answer) {
      const { revision, design } = planterResourceSchema.parse(answer);
      return { revision, body: { design } };
    },
  },
  vessel: {
    get: null,
    save: VESSELS.save,
    read(answer) {
      const { revision, name, vessel } = vesselResourceSchema.parse(answer);
      return { revision, body: { name, vessel } };
    },
  },
  prices: {
    get: PRICES.get,
    save: PRICES.save,
    read(answer) {
      const { revision, book } = priceBookResourceSchema.parse(answer);
      return { revision, body: { book } };
    },
  },
  weather: {
    get: WEATHER.get,
    save: WEATHER.save,
    read(answer) {
      const { revision, choice } = weatherResourceSchema.parse(answer);
      return { revision, body: { choice } };
    },
  },
  crops: {
    get: CROPS_OF_ONES_OWN.get,
    save: CROPS_OF_ONES_OWN.save,
    read(answer) {
      const { revision, own } = ownCropsResourceSchema.parse(answer);
      return { revision, body: { own } };
    },
  },
  round: {
    get: ROUND.get,
    save: ROUND.save,
    read(answer) {
      const { revision, plan } = roundResourceSchema.parse(answer);
      return { revision, body: { plan } };
    },
  },
  season: {
    get: SEASONS.get,
    save: SEASONS.save,
    read(answer) {
      const { revision, plan } = seasonResourceSchema.parse(answer);
      return { revision, body: { plan } };
    },
  },
};

/** The document as the server has it. */
export async function load<K extends DocumentKind>(kind: K, id: string): Promise<Loaded<K>> {
  const { get, read } = ADDRESSES[kind];
  if (!get) throw new Error(`A ${kind} is only fetched in its list`);
  return read(await callRoute(get, { id }));
}

/** Saves what is kept. A name that is known already is answered as before. */
export async function sendPendingSave<K extends DocumentKind>(
  kept: PendingSave<K>,
): Promise<Loaded<K>> {
  const { save, read } = ADDRESSES[kept.kind];
  const { base: revision, saveId, after, body } = kept;
  return read(await callRoute(save, { id: kept.id, body: { revision, saveId, after, ...body } }));
}

/** The other version that a refusal carries. */
export function conflictOf(error: RefusedError, { kind }: PendingSave): PendingSave['clash'] {
  const current = error.refusal.problem?.current;
  return current ? ADDRESSES[kind].read(current) : undefined;
}

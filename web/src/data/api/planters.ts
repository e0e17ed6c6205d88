import {
  useIsMutating,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import { GARDEN, PLANTERS, type PlanterSummary, type PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core/document';
import type { Section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { v4 as uuid } from 'uuid';
import { addPendingSave, pendingSaves, wakeOutbox } from '../offline/pendingSaves';
import { noteRefusal, refusalKeys } from '../offline/refusals';
import { pendingPlanters, listWithPending, planterWithPending } from './withPending';
import { callRoute } from './client';
import { RefusedError } from '../offline/refusalErrors';
import { sendPendingSave } from './documents';

const LIST = ['planters'] as const;
const GARDEN_KEY = ['garden'] as const;
const one = (id: string) => ['planters', id] as const;
const asLeft = (id: string) => [...one(id), 'as left'] as const;

/** Shows a planter as it will be once a change of it has been saved; what is being fetched meanwhile is dropped. */
export async function showPlanter(client: QueryClient, resource: PlanterResource): Promise<void> {
  const cancelled = client.cancelQueries({ queryKey: asLeft(resource.id) });
  client.setQueryData(asLeft(resource.id), resource);
  await cancelled;
}

const fetchGarden = () => callRoute(GARDEN.entries);

/** The garden in short: its planters, oldest first, and what cannot be read. */
export function useGarden() {
  return useQuery({ queryKey: GARDEN_KEY, queryFn: fetchGarden });
}

/** The planters in short. */
export function useEntries() {
  return useQuery({
    queryKey: GARDEN_KEY,
    queryFn: fetchGarden,
    select: ({ entries }): PlanterSummary[] => entries,
  });
}

/** All planters with their designs, oldest first. */
export function usePlanters() {
  return useQuery({
    queryKey: LIST,
    queryFn: async () => listWithPending((await callRoute(PLANTERS.list)).planters),
  });
}

/** The planters of the round with their designs, and how many more grow something. */
export function useRoundPlanters() {
  return useQuery({
    queryKey: [...LIST, 'round'],
    queryFn: async () => {
      const { planters, ...rest } = await callRoute(PLANTERS.round);
      return { ...rest, planters: await listWithPending(planters) };
    },
  });
}

const CHANGE_PLANTER = ['change-planter'] as const;

interface PlanterChange {
  id: string;
  change(now: PlanterDesign): PlanterDesign;
}

/**
 * Whether a change that a page asked for is still on its way into this device's storage and to the server: what is
 * fetched meanwhile may be from before it.
 *
 * @param id of any planter, where it is left out
 */
export const usePlanterChanging = (id?: string): boolean =>
  useIsMutating({
    mutationKey: CHANGE_PLANTER,
    predicate: ({ state }) =>
      id === undefined || (state.variables as PlanterChange | undefined)?.id === id,
  }) > 0;

/** Some planters with their designs, in the order of their ids; those that are gone are left out. */
export function usePlantersOf(ids: readonly string[]) {
  const changing = usePlanterChanging();
  const found = useQueries({
    queries: ids.map((id) => ({
      enabled: !changing,
      queryKey: [...one(id), 'read'],
      queryFn: () =>
        planterWithPending(id, fetchStored).catch((error: unknown) => {
          if (error instanceof RefusedError) return null;
          throw error;
        }),
      staleTime: 0,
    })),
    combine: (results) => ({
      data: results.every(({ data }) => data !== undefined)
        ? results.flatMap(({ data }) => data ?? [])
        : undefined,
      error: results.find(({ error }) => error)?.error ?? null,
      refetch: () => results.forEach((result) => void result.refetch()),
    }),
  });
  const { data } = found;
  // The same planters stay the same list, so that nothing is worked out anew.
  const mark = data?.map(({ id, revision }) => `${id} ${revision}`).join();
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const planters = useMemo(() => data, [mark]);
  return { ...found, data: planters };
}

/**
 * The sections of some planters, as the server drew them for their revisions, in their order; null
 * until all are there, and for one that cannot be drawn.
 */
export function useDrawings(
  planters: readonly PlanterSummary[],
  by: string,
  wanted: boolean,
): (Section | null)[] {
  return useQueries({
    queries: planters.map(({ id, revision }) => ({
      enabled: wanted,
      queryKey: ['drawing', id, revision, by],
      queryFn: async () =>
        (await callRoute(GARDEN.drawing, {
          id,
          query: { revision: String(revision), by },
        })) as unknown as Section,
      staleTime: Infinity,
    })),
    combine: (results) => {
      const waits = results.some(({ isPending }) => isPending);
      return results.map(({ data }) => (waits ? null : (data ?? null)));
    },
  });
}

/** What a planter was before its saves, newest first. */
export function useHistory(id: string) {
  return useQuery({
    queryKey: [...one(id), 'history'],
    queryFn: async () =>
      (await callRoute(PLANTERS.history, { id })).revisions.map(({ design, ...one }) => ({
        ...one,
        value: design,
      })),
    staleTime: 0,
  });
}

const fetchStored = (id: string): Promise<PlanterResource> => callRoute(PLANTERS.get, { id });

/** One planter as this device left it. */
export const fetchPlanter = (id: string): Promise<PlanterResource> =>
  planterWithPending(id, fetchStored);

/** One planter as this device left it, whether the server has that yet or not; asked for anew by every page. */
export function usePlanter(id: string) {
  const changing = usePlanterChanging(id);
  return useQuery({
    enabled: !changing,
    queryKey: asLeft(id),
    queryFn: () => fetchPlanter(id),
    staleTime: 0,
    gcTime: 0,
  });
}

/**
 * One planter as the server has it, always fetched anew: what waits here is laid over it by the bench itself.
 *
 * @param wanted whether it is fetched yet
 */
export function useStoredPlanter(id: string, wanted = true) {
  const changing = usePlanterChanging(id);
  return useQuery({
    enabled: !changing && wanted,
    queryKey: one(id),
    queryFn: () => fetchStored(id),
    staleTime: 0,
    gcTime: 0,
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
  });
}

export const savePlanter = (
  id: string,
  mark: { revision: number; saveId: string; after?: readonly string[] },
  design: PlanterDesign,
  keepalive = false,
): Promise<PlanterResource> =>
  callRoute(PLANTERS.save, { id, body: { ...mark, design }, keepalive });

/** A planter that was made here. */
export interface Made {
  id: string;
  design: PlanterDesign;
}

/**
 * Puts a new planter into the garden. It lies on this device first; where the server is away or cannot take it now, it
 * stays there until it can be sent.
 *
 * @throws RefusedError when the server does not take it; it stays on this device with the reason
 */
export const createPlanter = (design: PlanterDesign): Promise<Made> => keptFirst(uuid(), 0, design);

/**
 * Keeps a design on this device and sends it.
 *
 * @param base the revision that it was made from, 0 for none
 * @param last what a bench has not sent yet and this was made from
 */
async function keptFirst(
  id: string,
  base: number,
  design: PlanterDesign,
  last: string | null = null,
): Promise<Made & { revision: number }> {
  const kept = await addPendingSave('planter', id, base, { design }, last, false);
  try {
    const { revision } = await sendPendingSave(kept);
    await pendingSaves.answered(kept.key, kept.saveId, revision);
    return { id, design, revision };
  } catch (error) {
    if (error instanceof RefusedError) {
      // A change is told where it was asked for, and stands there still; something new has no such place.
      if (base > 0) await pendingSaves.drop(kept.key, kept.saveId);
      else await noteRefusal(refusalKeys.document(kept), error.refusal);
      throw error;
    }
    wakeOutbox();
    return { id, design, revision: base };
  }
}

const again = (client: QueryClient) => () => {
  void client.invalidateQueries({ queryKey: ['kept'] });
  void client.invalidateQueries({ queryKey: LIST, exact: true });
  void client.invalidateQueries({ queryKey: [...LIST, 'round'] });
  return client.invalidateQueries({ queryKey: GARDEN_KEY });
};

/** Says that planters changed, so that what shows them is fetched anew. */
export const plantersChanged = (client: QueryClient): void => void again(client)();

export function useCreatePlanter() {
  const client = useQueryClient();
  return useMutation({ mutationFn: createPlanter, onSuccess: again(client) });
}

/** A planter as a page that is open shows it. */
const shownPlanter = (client: QueryClient, id: string): PlanterResource | undefined =>
  client.getQueryData(asLeft(id));

/** Somebody else saved it in between: what is asked is asked of that. */
const isConflict = (error: unknown): boolean =>
  error instanceof RefusedError && error.refusal.problem?.kind === 'conflict';

/**
 * Changes a planter as it is shown, else as the server has it, as renaming does; what cannot be sent waits on this
 * device.
 */
export function useChangePlanter() {
  const client = useQueryClient();
  return useMutation({
    mutationKey: CHANGE_PLANTER,
    // One after the other: each is based on what the one before it saved.
    scope: { id: 'change-planter' },
    mutationFn: async ({ id, change }: PlanterChange) => {
      const make = async ({ revision, design }: PlanterResource) => {
        const last = (await pendingPlanters()).get(id)?.saveId ?? null;
        const made = await keptFirst(id, revision, change(design), last);
        client.setQueryData<PlanterResource>(asLeft(id), (now) =>
          now ? { ...now, revision: made.revision } : now,
        );
        return made;
      };
      // What a page shows is changed on this device at once: a window may be closed before the server answers.
      const shown = shownPlanter(client, id);
      if (!shown) return make(await fetchPlanter(id));
      try {
        return await make(shown);
      } catch (error) {
        if (!isConflict(error)) throw error;
        return make(await fetchPlanter(id));
      }
    },
    onSettled: again(client),
  });
}

export function useDeletePlanters() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (ids: readonly string[]) => {
      for (const id of ids) await callRoute(PLANTERS.remove, { id });
    },
    onSettled: again(client),
  });
}

export function useRestorePlanters() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (ids: readonly string[]) => {
      for (const id of ids) await callRoute(PLANTERS.restore, { id });
    },
    onSettled: again(client),
  });
}

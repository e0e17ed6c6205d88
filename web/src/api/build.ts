import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  priceBookResourceSchema,
  progressSchema,
  type LabelQuery,
  type FileQuery,
  type PriceBookResource,
} from '@huerta/contract';
import type { ProgressEntry } from '@huerta/core';
import { call } from './client';

export const fetchProgress = async (planter: string): Promise<ProgressEntry[]> =>
  (await call(`/planters/${planter}/progress`, progressSchema)).entries;

export const sendProgress = async (
  planter: string,
  entries: readonly ProgressEntry[],
): Promise<ProgressEntry[]> =>
  (
    await call(`/planters/${planter}/progress`, progressSchema, {
      method: 'PATCH',
      body: { entries },
    })
  ).entries;

const PRICES = ['prices'] as const;

/** The price book and its revision. */
export function usePriceBook() {
  return useQuery({
    queryKey: PRICES,
    queryFn: () => call('/prices', priceBookResourceSchema),
  });
}

export function useSavePriceBook() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: PriceBookResource) =>
      call('/prices', priceBookResourceSchema, { method: 'PUT', body }),
    onSuccess: (saved) => client.setQueryData(PRICES, saved),
  });
}

/** Address of one of a build sheet's files. */
export function fileAddress(
  planter: string,
  file: string,
  query: Partial<FileQuery> | LabelQuery,
): string {
  const search = new URLSearchParams(query as Record<string, string>);
  return `/api/planters/${planter}/build/${file}?${search.toString()}`;
}

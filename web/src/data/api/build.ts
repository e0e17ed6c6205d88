import { BUILD, type FileQuery, type LabelQuery } from '@huerta/contract';
import type { PriceBook, ProgressEntry } from '@huerta/core/fabrication';
import { callRoute } from './client';
import { ONLY, useChange, useDocument } from './useDocument';

export const fetchProgress = async (planter: string): Promise<ProgressEntry[]> =>
  (await callRoute(BUILD.progress, { id: planter })).entries;

export const sendProgress = async (
  planter: string,
  entries: readonly ProgressEntry[],
): Promise<ProgressEntry[]> =>
  (await callRoute(BUILD.mark, { id: planter, body: { entries } })).entries;

/** The price book and the revision that the server has of it. */
export const usePriceBook = () => {
  const { data, error, refetch } = useDocument('prices', ONLY);
  return {
    data: data ? { revision: data.revision, book: data.body.book } : undefined,
    error,
    refetch,
  };
};

/** Changes the price book. */
export function useSavePriceBook(): (book: PriceBook) => Promise<void> {
  const { mutateAsync } = useChange('prices', ONLY);
  return (book) => mutateAsync({ book });
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

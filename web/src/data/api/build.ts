import { BUILD, type FileQuery, type LabelQuery } from '@huerta/contract';
import type { ProgressEntry } from '@huerta/core/fabrication';
import { callRoute } from './client';

export const fetchProgress = async (planter: string): Promise<ProgressEntry[]> =>
  (await callRoute(BUILD.progress, { id: planter })).entries;

export const sendProgress = async (
  planter: string,
  entries: readonly ProgressEntry[],
): Promise<ProgressEntry[]> =>
  (await callRoute(BUILD.mark, { id: planter, body: { entries } })).entries;

/** Address of one of a build sheet's files. */
export function fileAddress(
  planter: string,
  file: string,
  query: Partial<FileQuery> | LabelQuery,
): string {
  const search = new URLSearchParams(query as Record<string, string>);
  return `/api/planters/${planter}/build/${file}?${search.toString()}`;
}

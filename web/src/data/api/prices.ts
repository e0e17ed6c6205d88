import type { PriceBook } from '@huerta/core/fabrication';
import { ONLY, useChange, useDocument } from './useDocument';

/** The price book, the revision that the server has of it, and whether a change of it still waits on this device. */
export const usePriceBook = () => {
  const { data, error, refetch } = useDocument('prices', ONLY);
  return {
    data: data
      ? { revision: data.revision, book: data.body.book, waits: data.kept !== null }
      : undefined,
    error,
    refetch,
  };
};

/** Changes the price book. */
export function useSavePriceBook(): (book: PriceBook) => Promise<void> {
  const { mutateAsync } = useChange('prices', ONLY);
  return (book) => mutateAsync({ book });
}

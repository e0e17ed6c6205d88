import { NO_CROPS, type OwnCrop } from '@huerta/core/document';
import { ONLY, useChange, useDocument } from './useDocument';

/** The crops of one's own that the garden keeps. */
export const useOwnCrops = () => {
  const { data, error } = useDocument('crops', ONLY);
  return { data: data?.body.own, error };
};

/** Keeps a crop of one's own for other planters, in the place of one of its name. */
export function useKeepOwnCrop() {
  const { data } = useOwnCrops();
  const { mutate, isPending } = useChange('crops', ONLY);
  return {
    isPending,
    mutate(own: OwnCrop, then: { onSuccess(): void; onError(error: Error): void }) {
      const { crops } = data ?? NO_CROPS;
      const others = crops.filter(({ name }) => name !== own.name);
      mutate({ own: { crops: [...others, own] } }, then);
    },
  };
}

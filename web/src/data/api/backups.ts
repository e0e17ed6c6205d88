import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { BACKUPS, type Different, type RestorePreview } from '@huerta/contract';
import { callRoute, sendFile } from './client';
import { plantersChanged } from './planters';

/** The garden as one file, its copies, and which Huerta this is. */

/** Which Huerta this is, and whether the page is open on its own machine. */
export function useAbout() {
  return useQuery({ queryKey: ['about'], queryFn: () => callRoute(BACKUPS.about) });
}

export function useBackups() {
  return useQuery({ queryKey: ['backups'], queryFn: () => callRoute(BACKUPS.days), staleTime: 0 });
}

/** Everything may be another after this. */
const allAnew = (client: ReturnType<typeof useQueryClient>) => () => {
  void client.invalidateQueries();
  plantersChanged(client);
};

export function usePutBack() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => callRoute(BACKUPS.putBack, { params: { name } }),
    onSuccess: allAnew(client),
  });
}

/** What would come in from a garden file. */
export function useLook() {
  return useMutation({
    mutationFn: (file: File): Promise<RestorePreview> => sendFile(BACKUPS.look, file),
  });
}

export function useBringIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ file, different }: { file: File; different: Different }) =>
      sendFile(BACKUPS.restore, file, { different }),
    onSuccess: allAnew(client),
  });
}

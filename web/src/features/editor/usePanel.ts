import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** The rooms of the bench, in the order of the work. */
export const PANELS = [
  { id: 'vessel', title: 'Vessel' },
  { id: 'water', title: 'Water' },
  { id: 'wick', title: 'Wick' },
  { id: 'tube', title: 'Fill tube' },
  { id: 'soil', title: 'Soil' },
  { id: 'check', title: 'Check' },
] as const;

export type PanelId = (typeof PANELS)[number]['id'];

/** The open room, kept in the address: a reload comes back to it, and Back to the one before. */
export function usePanel(): [PanelId, (room: PanelId) => void] {
  const [search, setSearch] = useSearchParams();
  const room = PANELS.find(({ id }) => id === search.get('room'))?.id ?? 'vessel';
  const open = useCallback(
    (next: PanelId) => setSearch({ room: next }, { replace: next === room }),
    [setSearch, room],
  );
  return [room, open];
}

import type { PlanterResource } from '@huerta/contract';
import { TILL_IT_RAN, type EntryBody } from '@huerta/core/journal';
import { useWriteLog } from '../../data/api/log';
import { notify } from '../../ui/notices';
import { useWords } from '../../ui/preferences';

/** Notes of the water of one planter, each with a way back. */
export function useNoteWater({ id, design }: PlanterResource) {
  const log = useWriteLog();
  const { write } = useWords();
  const note = (did: EntryBody, words: string) =>
    void log.write([id], { did }).then(([entry]) =>
      notify(`${design.name}: ${words}`, {
        label: 'Undo',
        run: () => void (entry && log.takeOut(entry)),
      }),
    );
  return {
    filled: () => note(TILL_IT_RAN, 'filled to overflow.'),
    /** @param depth of the water by the stick, metres */
    dipped: (depth: number) =>
      note({ kind: 'level', depth }, `${write(depth, 'length')} of water noted.`),
  };
}

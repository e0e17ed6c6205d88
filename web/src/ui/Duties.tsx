import { Button } from '@chakra-ui/react';
import type { Duty } from '@huerta/core/journal';
import { useWriteLog } from '../data/api/log';
import { useWords } from './preferences';
import { notify } from './notices';
import './tended.css';

interface DutiesProps {
  planter: string;
  name: string;
  duties: readonly Duty[];
}

/** What was put on the list is noted in its own words, and takes its place. */
export const doneOf = ({ instead }: Duty) =>
  instead?.did.kind === 'todo' ? { text: instead.did.what, instead: instead.id } : {};

/** What else is due, to be noted by a press. */
export function Duties({ planter, name, duties }: DutiesProps) {
  const { tell } = useWords();
  const log = useWriteLog();
  return (
    <ul className="duties" aria-label={`Also due: ${name}`}>
      {duties.map((duty) => (
        <li key={duty.id}>
          <span>{tell(duty.text)}</span>
          <Button
            className="not-printed"
            variant="ghost"
            px="2"
            aria-label={`Done: ${tell(duty.text)}`}
            onClick={() =>
              void log.write([planter], { did: duty.did, ...doneOf(duty) }).then(([entry]) =>
                notify('Noted.', {
                  label: 'Undo',
                  run: () => void (entry && log.takeOut(entry)),
                }),
              )
            }
          >
            Done
          </Button>
        </li>
      ))}
    </ul>
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { Duty } from '@huerta/core/journal';
import { plural, spelled } from '@huerta/core/units';
import { useWriteLog } from '../../data/api/log';
import { useGardenDay } from '../../data/gardenDay';
import { useWords } from '../../ui/preferences';
import { doneOf } from '../../ui/Duties';
import { notify } from '../../ui/notices';
import type { Round } from '../../compute/roundStates';
import { usePrinting } from '../../ui/usePrinting';
import { usePutOff } from './putOff';

/** A duty of one planter. */
interface Due {
  key: string;
  planter: PlanterResource;
  duty: Duty;
}

/** A duty as it is said once, with all planters that it is due at. */
interface Group {
  text: string;
  due: Due[];
}

/** What is due besides water, said once for the whole round. */
export function RoundDuties({
  planters,
  round,
}: {
  planters: readonly PlanterResource[];
  round: Round;
}) {
  const { tell } = useWords();
  const today = useGardenDay();
  const printing = usePrinting();
  const { isPutOff, putOff, takeBack } = usePutOff(today);
  const groups = new Map<string, Group>();
  for (const planter of planters)
    for (const duty of round[planter.id]?.duties ?? []) {
      const key = `${planter.id} ${duty.id}`;
      if (isPutOff(key)) continue;
      const text = tell(duty.text);
      const group = groups.get(text) ?? { text, due: [] };
      group.due.push({ key, planter, duty });
      groups.set(text, group);
    }
  if (groups.size === 0) return null;
  const later = ({ due }: Group) => {
    const keys = due.map(({ key }) => key);
    putOff(keys);
    notify('Put off for a week.', { label: 'Undo', run: () => takeBack(keys) });
  };
  return (
    <details className="round-duties" {...(printing ? { open: true } : {})}>
      <summary>
        <Text as="h2" fontSize="lg" flexShrink="0">
          Also due: {spelled(groups.size)} {plural(groups.size, 'job')}
        </Text>
        <span className="round-duties-named">
          {[...groups.values()].map(({ text }) => text).join(' ')}
        </span>
      </summary>
      <ul aria-label="Also due">
        {[...groups.values()].map((group) => (
          <DutyGroup key={group.text} group={group} onLater={() => later(group)} />
        ))}
      </ul>
    </details>
  );
}

/** More names than these are folded. */
const NAMES = 3;

function DutyGroup({ group: { text, due }, onLater }: { group: Group; onLater(): void }) {
  const log = useWriteLog();
  const names = due.map(({ planter }) => planter.design.name);
  const done = (those: readonly Due[]) =>
    void Promise.all(
      those.map(({ planter, duty }) => log.write([planter.id], { did: duty.did, ...doneOf(duty) })),
    ).then((all) =>
      notify('Noted.', {
        label: 'Undo',
        run: () => all.flat().forEach((entry) => void log.takeOut(entry)),
      }),
    );
  return (
    <li>
      <Box>
        <Text>{text}</Text>
        {due.length <= NAMES ? (
          <Text fontSize="sm" color="faint">
            {names.join(', ')}
          </Text>
        ) : (
          <details>
            <summary>{due.length} planters</summary>
            <ul className="round-duty-each">
              {due.map((one) => (
                <li key={one.key}>
                  {one.planter.design.name}
                  <Button
                    className="not-printed"
                    variant="ghost"
                    px="2"
                    aria-label={`Done at ${one.planter.design.name}: ${text}`}
                    onClick={() => done([one])}
                  >
                    Done
                  </Button>
                </li>
              ))}
            </ul>
          </details>
        )}
      </Box>
      <Box className="not-printed round-duty-acts">
        <Button aria-label={`Done: ${text}`} onClick={() => done(due)}>
          {due.length > 1 ? `Done, all ${due.length}` : 'Done'}
        </Button>
        <Button variant="ghost" px="2" aria-label={`In a week: ${text}`} onClick={onLater}>
          In a week
        </Button>
      </Box>
    </li>
  );
}

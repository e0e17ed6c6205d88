import { Box, Text } from '@chakra-ui/react';
import type { Totals } from '@huerta/core';
import { useState } from 'react';
import { useWords } from '../../app/preferences';
import { TickField } from '../../components/ChoiceField';
import type { WhatIfAnswer } from '../../workers/season';
import { Table } from '../build/sheet';
import { difference } from './words';

interface WhatIfViewProps {
  base: Totals;
  answers: readonly WhatIfAnswer[] | null;
}

/** Switches, each with what it would change, beside the season as it is. */
export function WhatIfView({ base, answers }: WhatIfViewProps) {
  const { write } = useWords();
  const [off, setOff] = useState<readonly string[]>([]);
  if (!answers) return <Text role="status">The other seasons are being worked out …</Text>;
  const shown = answers.filter(({ id }) => !off.includes(id));
  const row = (label: string, totals: Totals, words: string): [string, ...string[]] => [
    label,
    label,
    String(totals.fills),
    write(totals.filled, 'volume'),
    String(totals.dryDays),
    String(totals.drownedDays),
    write(totals.overflow, 'volume'),
    words,
  ];
  return (
    <Box>
      <Box role="group" aria-label="What if" className="what-ifs">
        {answers.map(({ id, label }) => (
          <TickField
            key={id}
            label={label}
            checked={!off.includes(id)}
            onTick={(on) => setOff((now) => (on ? now.filter((one) => one !== id) : [...now, id]))}
          />
        ))}
      </Box>
      <Table
        head={['The season', 'Fillings', 'Given', 'Days short', 'Days drowned', 'Lost', 'That is']}
        rows={[
          row('As it is', base, ''),
          ...shown.map(({ label, totals, trouble }) =>
            row(label, totals, trouble ?? difference(base, totals, write)),
          ),
        ]}
      />
    </Box>
  );
}

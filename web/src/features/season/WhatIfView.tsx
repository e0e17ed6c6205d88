import { Box, Button, Text } from '@chakra-ui/react';
import type {
  Totals,
  SeasonAnswer,
  SeasonQuestion,
  WhatIfAnswer,
} from '@huerta/core/simulation/season';
import { q } from '@huerta/core/units';
import { Download } from 'lucide-react';
import { useMemo, useState, type ReactNode } from 'react';
import { useWords } from '../../ui/preferences';
import { TickField } from '../../ui/ChoiceField';
import { useTogether } from '../../compute/season';
import { Table } from '../../ui/Table';
import { saveCsv } from '../../ui/saveCsv';
import { TwoLevels } from './TwoLevels';
import { difference } from './words';

interface WhatIfViewProps {
  name: string;
  question: SeasonQuestion;
  season: SeasonAnswer;
  answers: readonly WhatIfAnswer[] | null;
}

/** What could be otherwise, each beside the season as it is; what is ticked, all at once. */
export function WhatIfView({ name, question, season, answers }: WhatIfViewProps) {
  const { write, writeTogether, tell } = useWords();
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const all = useMemo(
    () => (ticked.length > 1 ? { ...question, together: ticked } : null),
    [question, ticked],
  );
  const { value, current, trouble } = useTogether(all);
  const together = current ? value : null;
  const base = season.totals;
  const shown = [base, ...(answers ?? []).map(({ totals }) => totals)];
  const amount = writeTogether(
    shown.flatMap(({ filled, overflow }) => [q(filled, 'volume'), q(overflow, 'volume')]),
  );
  if (!answers) return <Text role="status">Calculating…</Text>;
  const row = (
    id: string,
    what: ReactNode,
    totals: Totals,
    words: string,
  ): [string, ...ReactNode[]] => [
    id,
    what,
    String(totals.fills),
    amount(totals.filled, 'volume'),
    String(totals.dryDays),
    String(totals.drownedDays),
    amount(totals.overflow, 'volume'),
    words,
  ];
  const [only] = ticked;
  const chosen = ticked.length > 1 ? together : (answers.find(({ id }) => id === only) ?? null);
  return (
    <Box className="what-if">
      <Text my="3" maxW="44rem">
        Each row changes one thing. Tick what you want to see against it as a curve; tick several to
        have them all at once.
      </Text>
      <TwoLevels
        days={season.run.days}
        other={chosen}
        label={
          ticked.length === 0
            ? 'what you tick'
            : ticked.length > 1
              ? 'all that is ticked'
              : tell(chosen?.label ?? [])
        }
      />
      <Table
        head={[
          'The season',
          'Fillings',
          'Given',
          'Days short',
          'Days drowned',
          'Lost',
          'Difference',
        ]}
        rows={[
          row('base', 'As it is', base, ''),
          ...(ticked.length > 1
            ? [
                together
                  ? row(
                      'together',
                      'All that is ticked',
                      together.totals,
                      together.trouble ?? difference(base, together.totals, write),
                    )
                  : ([
                      'together',
                      'All that is ticked',
                      '',
                      '',
                      '',
                      '',
                      '',
                      trouble ?? 'One moment …',
                    ] as [string, ...ReactNode[]]),
              ]
            : []),
          ...answers.map(({ id, label, totals, trouble }) =>
            row(
              id,
              <TickField
                label={tell(label)}
                checked={ticked.includes(id)}
                onTick={(on) =>
                  setTicked((now) => (on ? [...now, id] : now.filter((one) => one !== id)))
                }
              />,
              totals,
              trouble ?? difference(base, totals, write),
            ),
          ),
        ]}
      />
      <Button
        mt="3"
        onClick={() =>
          saveCsv(
            `${name} what if`,
            [
              { label: ['As it is'], totals: base },
              ...(together ? [together] : []),
              ...answers,
            ].map(({ label, totals }) => plain(tell(label), totals)),
          )
        }
      >
        <Download size={18} aria-hidden /> As CSV
      </Button>
    </Box>
  );
}

/** One of the seasons as a row of a file, in litres. */
const plain = (label: string, totals: Totals) => ({
  season: label,
  fillings: totals.fills,
  'given L': (totals.filled * 1000).toFixed(2),
  'drunk L': (totals.drunk * 1000).toFixed(2),
  'days short': totals.dryDays,
  'days drowned': totals.drownedDays,
  'lost L': (totals.overflow * 1000).toFixed(2),
});

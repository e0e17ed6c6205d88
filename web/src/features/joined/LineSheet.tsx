import { Box, Text } from '@chakra-ui/react';
import { TriangleAlert } from 'lucide-react';
import type { LineShown } from '../../compute/lineTask';
import { useWords } from '../../ui/preferences';
import { Table } from '../../ui/Table';

/** What joining them takes, and how it is done. */
export function LineSheet({ told }: { told: LineShown }) {
  const words = useWords();
  const { tell, say } = words;
  const { sheet, shopping } = told;
  const money = (value: number) => (shopping ? words.money(value, shopping.currency) : '');
  return (
    <>
      <details className="line-sheet" open={false}>
        <summary>What it takes{shopping && `: ${money(shopping.total)}`}</summary>
        <Table
          head={['What', 'How much', ...(shopping ? ['To pay'] : [])]}
          rows={sheet.parts.map(({ id, what, amount, good }) => {
            const line = shopping?.lines.find((one) => one.good.id === good.id);
            return [
              id,
              tell(what),
              tell(amount),
              ...(shopping ? [line ? money(line.cost) : ''] : []),
            ] as const;
          })}
        />
      </details>
      <details className="line-sheet">
        <summary>How it is done: {sheet.steps.length} steps</summary>
        <ol className="line-steps">
          {sheet.steps.map(({ id, title, doing, cautions }) => (
            <li key={id}>
              <Text as="h3">{say(title)}</Text>
              <ul>
                {doing.map((one) => (
                  <li key={tell(one)}>{tell(one)}</li>
                ))}
              </ul>
              {cautions.map(({ id: caution, text }) => (
                <Box key={caution} className="line-caution">
                  <TriangleAlert size={16} aria-hidden /> {say(text)}
                </Box>
              ))}
            </li>
          ))}
        </ol>
      </details>
    </>
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import type { SeasonDay, WhatIfAnswer } from '@huerta/core/simulation/season';
import { Download } from 'lucide-react';
import { Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useWords } from '../../ui/preferences';
import { Table } from '../../ui/Table';
import { AROUND, daysAxis, levelAxis, levelUnit } from '../../ui/axes';
import { saveCsv } from '../../ui/saveCsv';

interface TwoLevelsProps {
  days: readonly SeasonDay[];
  /** The season otherwise; null while it is worked out. */
  other: WhatIfAnswer | null;
  label: string;
}

/** Water level of the season as it is, and of the same otherwise. */
export function TwoLevels({ days, other, label }: TwoLevelsProps) {
  const { units, write } = useWords();
  const { unit, symbol } = levelUnit(units);
  const level = other?.level ?? [];
  const data = days.map((one, i) => ({
    i,
    asItIs: one.level / unit,
    otherwise: level[i] === undefined ? undefined : level[i] / unit,
  }));
  const highest = Math.max(...data.flatMap(({ asItIs, otherwise = 0 }) => [asItIs, otherwise]));
  const rows = days.map((one, i) => ({
    date: one.date,
    'as it is mm': (one.level * 1000).toFixed(1),
    'otherwise mm': level[i] === undefined ? '' : (level[i] * 1000).toFixed(1),
  }));
  return (
    <Box my="4">
      <Text as="h2" fontSize="lg">
        Water level, {symbol}
      </Text>
      <Box
        role="img"
        aria-label="Water level by day, as it is and otherwise; the table below has its numbers"
        h="13rem"
      >
        <ResponsiveContainer>
          <LineChart data={data} margin={AROUND}>
            <XAxis {...daysAxis(days)} />
            <YAxis {...levelAxis(highest)} />
            <Line
              dataKey="asItIs"
              stroke="var(--hu-colors-water-ink)"
              strokeWidth={2}
              dot={false}
              activeDot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="otherwise"
              stroke="var(--hu-colors-clay)"
              strokeWidth={2}
              strokeDasharray="6 3"
              dot={false}
              activeDot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </Box>
      <Text fontSize="sm" color="faint">
        In the evenings. Solid line: as it is. Dashed line:{' '}
        {label.charAt(0).toLowerCase() + label.slice(1)}.
      </Text>
      <details className="season-numbers">
        <summary>The two levels, day by day</summary>
        <Button my="2" onClick={() => saveCsv(`levels ${label}`, rows)}>
          <Download size={18} aria-hidden /> Levels as CSV
        </Button>
        <Table
          head={['Day', 'As it is', 'Otherwise']}
          rows={days.map((one, i) => [
            one.date,
            one.date,
            write(one.level, 'length'),
            level[i] === undefined ? '' : write(level[i], 'length'),
          ])}
        />
      </details>
    </Box>
  );
}

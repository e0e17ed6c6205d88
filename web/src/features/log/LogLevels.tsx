import { Box, Text } from '@chakra-ui/react';
import { dayAfter } from '@huerta/core/physics/climate';
import type { LogEntry, TendedState } from '@huerta/core/journal';
import { memo } from 'react';
import {
  Area,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { useWords } from '../../ui/preferences';
import { AROUND, daysAxis, levelAxis, levelUnit } from '../../ui/axes';

/** Days back that are drawn, and ahead at the most; less where it is empty before that. */
const BACK = 45;
const AHEAD = 21;
const EMPTY = 0.002;
const AFTER = 3;

interface LogLevelsProps {
  state: TendedState;
  entries: readonly LogEntry[];
}

/** The level as it likely was, with what was filled and dipped, and as it likely will be if nobody fills. */
export default memo(function LogLevels({ state, entries }: LogLevelsProps) {
  const { units } = useWords();
  const { unit, symbol } = levelUnit(units);
  const { past, forecast } = state;
  const begin = Math.max(past.levels.length - BACK, 0);
  const was = past.levels.slice(begin);
  const dips = new Map(
    entries.flatMap(({ at, did }) =>
      did.kind === 'level' ? [[at.slice(0, 10), did.depth] as const] : [],
    ),
  );
  const behind = was.map((level, i) => {
    const date = dayAfter(past.from, begin + i);
    const filled = (past.filled[begin + i] ?? 0) > 1e-5;
    const dip = dips.get(date);
    return {
      i,
      date,
      level: level / unit,
      filled: filled ? level / unit : undefined,
      dip: dip === undefined ? undefined : dip / unit,
    };
  });
  const empty = forecast.fan.findIndex(({ high }) => high < EMPTY);
  const far = Math.min(empty < 0 ? AHEAD : empty + AFTER, AHEAD);
  const highest = Math.max(...was, ...forecast.fan.slice(0, far).map(({ high }) => high), EMPTY);
  const ahead = forecast.fan.slice(0, far).map(({ low, middle, high }, k) => ({
    i: was.length + k,
    date: dayAfter(past.from, begin + was.length + k),
    likely: middle / unit,
    band: [low / unit, high / unit],
  }));
  const days = [...behind, ...ahead];
  return (
    <Box mt="4" maxW="56rem">
      <Text as="h2" fontSize="lg">
        Water level, {symbol}
      </Text>
      <Box
        role="img"
        aria-label="Water level by day, as worked out from the log, and the days ahead"
        h="11rem"
      >
        <ResponsiveContainer>
          <ComposedChart data={days} margin={AROUND}>
            <XAxis {...daysAxis(days)} type="number" domain={[0, days.length - 1]} />
            <YAxis {...levelAxis(highest / unit)} />
            <Area
              dataKey="band"
              stroke="none"
              fill="var(--hu-colors-water)"
              fillOpacity={0.55}
              isAnimationActive={false}
            />
            <Line
              dataKey="level"
              stroke="var(--hu-colors-water-ink)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="likely"
              stroke="var(--hu-colors-water-ink)"
              strokeWidth={2}
              strokeDasharray="4 3"
              dot={false}
              isAnimationActive={false}
            />
            <Scatter dataKey="filled" fill="var(--hu-colors-clay)" isAnimationActive={false} />
            <Scatter
              dataKey="dip"
              shape="cross"
              fill="var(--hu-colors-ink)"
              isAnimationActive={false}
            />
            <ReferenceLine x={was.length} stroke="var(--hu-colors-ink)" strokeDasharray="3 3" />
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
      <Text fontSize="sm" color="faint">
        As it likely was, with fillings as dots and dips as crosses. After today, as it will be if
        nobody fills it: four cases of five lie in the band.
      </Text>
    </Box>
  );
});

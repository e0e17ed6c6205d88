import { Box, Text } from '@chakra-ui/react';
import {
  Area,
  Bar,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { format, parseISO } from 'date-fns';
import { useWords } from '../../app/preferences';
import type { OutlookAnswer, SeasonAnswer } from '../../workers/season';

interface LevelChartProps {
  season: SeasonAnswer;
  outlook: OutlookAnswer | null;
  /** The day that is looked at. */
  day: number;
  onDay(day: number): void;
}

const INCH = 0.0254;
const shortDay = (date: string): string => format(parseISO(date), 'd MMM');

/** Water level over the season, with the band of many weathers, rain, and the days of filling. */
export function LevelChart({ season, outlook, day, onDay }: LevelChartProps) {
  const { units, write } = useWords();
  const unit = units === 'us' ? INCH : 1e-3;
  const symbol = units === 'us' ? 'in' : 'mm';
  const { days } = season.run;
  const data = days.map((one, i) => {
    const band = outlook?.level[i];
    return {
      i,
      date: one.date,
      level: one.level / unit,
      band: band ? [band.low / unit, band.high / unit] : undefined,
      rain: (season.weather[i]?.rain ?? 0) / unit,
      filled: one.filled > 0 ? one.level / unit : undefined,
    };
  });
  const at = days[day];
  return (
    <Box>
      <Text as="h2" fontSize="lg">
        Water level, {symbol}
      </Text>
      <Box role="img" aria-label="Water level by day; the table below has its numbers" h="15rem">
        <ResponsiveContainer>
          <ComposedChart
            data={data}
            margin={{ top: 8, right: 8, bottom: 0, left: -14 }}
            onClick={({ activeLabel }) => onDay(Number(activeLabel))}
          >
            <XAxis
              dataKey="i"
              tickFormatter={(i: number) => (days[i] ? shortDay(days[i].date) : '')}
              minTickGap={36}
              stroke="var(--hu-colors-ink)"
              tick={{ fontSize: 14 }}
            />
            <YAxis
              stroke="var(--hu-colors-ink)"
              tick={{ fontSize: 14 }}
              tickFormatter={(value: number) => String(Math.round(value * 10) / 10)}
            />
            <Tooltip
              isAnimationActive={false}
              content={({ label }) => {
                const one = days[Number(label)];
                return one ? (
                  <Box
                    bg="sheet"
                    border="1.5px solid"
                    borderColor="ink"
                    px="2"
                    py="1"
                    fontSize="sm"
                  >
                    {shortDay(one.date)}: {write(one.level, 'length')}, {write(one.water, 'volume')}
                    {one.filled > 0 && `, filled ${write(one.filled, 'volume')}`}
                  </Box>
                ) : null;
              }}
            />
            <Bar
              dataKey="rain"
              fill="var(--hu-colors-water-ink)"
              isAnimationActive={false}
              barSize={3}
            />
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
              dataKey="filled"
              stroke="none"
              dot={{ r: 3.5, fill: 'var(--hu-colors-clay)', strokeWidth: 0 }}
              isAnimationActive={false}
            />
            <ReferenceLine x={day} stroke="var(--hu-colors-ink)" strokeDasharray="3 3" />
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
      <Text fontSize="sm" color="faint">
        The line is one season; the band holds eight weathers of ten
        {outlook ? ` (${outlook.seeds} so far)` : ''}. Dots are fillings, bars rain.
        {at && ` The dashed line is ${shortDay(at.date)}.`}
      </Text>
    </Box>
  );
}

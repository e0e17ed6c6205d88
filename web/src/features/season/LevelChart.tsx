import type { SeasonAnswer } from '@huerta/core/simulation/season';
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
import { useWords } from '../../ui/preferences';
import type { OutlookAnswer } from '../../compute/season';
import { AROUND, daysAxis, levelAxis, levelUnit, shortDay } from '../../ui/axes';

interface LevelChartProps {
  season: SeasonAnswer;
  outlook: OutlookAnswer | null;
  /** The day that is looked at. */
  day: number;
  onDay(day: number): void;
}

/** How long before its evening a day's filling is drawn, days. */
const MORNING = 0.7;
/** The day that a place along the foot belongs to. */
const dayAt = (label: unknown): number => Math.max(Math.ceil(Number(label) - 1e-6), 0);

/** Water level over the season, with the band of many weathers, rain, and the days of filling. */
export function LevelChart({ season, outlook, day, onDay }: LevelChartProps) {
  const { units, write } = useWords();
  const { unit, symbol } = levelUnit(units);
  const { days } = season.run;
  const data = days.flatMap((one, i) => {
    const band = outlook?.level[i];
    const evening = {
      i,
      level: one.level / unit,
      band: band ? [band.low / unit, band.high / unit] : undefined,
      rain: (season.weather[i]?.rain ?? 0) / unit,
    };
    if (one.filled + one.poured === 0) return [evening];
    // In the morning it stood higher than in the evening that the day's level is told of.
    const crest = one.crest / unit;
    return [{ i: i - MORNING, level: crest, given: crest }, evening];
  });
  const highest = Math.max(
    ...data.map(({ level, rain = 0 }: { level: number; rain?: number }) => Math.max(level, rain)),
  );
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
            margin={AROUND}
            onClick={({ activeLabel }) => onDay(dayAt(activeLabel))}
          >
            <XAxis {...daysAxis(days)} type="number" domain={[0, days.length - 1]} />
            <YAxis {...levelAxis(highest)} />
            <Tooltip
              isAnimationActive={false}
              content={({ label }) => {
                const one = days[dayAt(label)];
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
                    {one.poured > 0 && `, ${write(one.poured, 'volume')} on top`}
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
              connectNulls
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
              dataKey="given"
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

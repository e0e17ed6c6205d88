import type { LogYear } from '@huerta/core/journal';
import { Bar, BarChart, Legend, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { writeMonth } from './dates';
import { useWords } from './preferences';

/** Litres and gallons, m³. */
const UNITS = { metric: { unit: 1e-3, symbol: 'L' }, us: { unit: 3.785411784e-3, symbol: 'gal' } };
const HEIGHT = 220;
/** The latest year, and the one before. */
const FILLS = ['var(--hu-colors-water-ink)', 'var(--hu-colors-water)'];

/** Water that was given by month, two years side by side. */
export default function LogMonths({ years }: { years: readonly LogYear[] }) {
  const { units } = useWords();
  const { unit, symbol } = UNITS[units];
  const shown = years.slice(0, FILLS.length);
  const first = Number((shown[0]?.from ?? '2026-01').slice(5, 7)) - 1;
  const data = Array.from({ length: 12 }, (_, i) => ({
    month: writeMonth((first + i) % 12),
    ...Object.fromEntries(
      shown.map(({ name, months }) => [name, Math.round(((months[i] ?? 0) / unit) * 10) / 10]),
    ),
  }));
  return (
    <div
      role="img"
      aria-label={`Water given by month in ${shown.map(({ name }) => name).join(' and ')}`}
    >
      <ResponsiveContainer width="100%" height={HEIGHT}>
        <BarChart data={data} margin={{ left: 0, right: 8, top: 8, bottom: 0 }}>
          <XAxis dataKey="month" stroke="var(--hu-colors-ink)" tick={{ fontSize: 14 }} />
          <YAxis
            stroke="var(--hu-colors-ink)"
            tick={{ fontSize: 14 }}
            width={56}
            tickFormatter={(value: number) => `${value} ${symbol}`}
          />
          <Legend
            wrapperStyle={{ fontSize: 14 }}
            formatter={(name) => <span style={{ color: 'var(--hu-colors-ink)' }}>{name}</span>}
          />
          {[...shown].reverse().map(({ name }) => (
            <Bar
              key={name}
              dataKey={name}
              fill={FILLS[shown.findIndex((one) => one.name === name)] as string}
              stroke="var(--hu-colors-ink)"
              isAnimationActive={false}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}

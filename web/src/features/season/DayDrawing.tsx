import { Box, Text } from '@chakra-ui/react';
import { halfAt, type Planter } from '@huerta/core/assembly';
import { section } from '@huerta/core/drawing';
import type { SeasonRun } from '@huerta/core/simulation/season';
import { useMemo } from 'react';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { SectionArt } from '../../drawing/SectionArt';
import { fitView } from '../../drawing/view';
import { moistureColour } from './MoisturePicture';

interface DayDrawingProps {
  planter: Planter;
  run: SeasonRun;
  pores: number;
  day: number;
  onDay(day: number): void;
}

const WIDE = 320;
const TALL = 300;
const MARGIN = { left: 8, right: 8, top: 6, bottom: 2 };
const BANDS = 15;
const WORDS = {
  none: 'Plants have what they ask for.',
  dry: 'Plants go short of water.',
  drowned: 'Roots stand in water.',
};

/** The planter as it stood on one day, water and moisture, to be scrubbed through the season. */
export function DayDrawing({ planter, run, pores, day, onDay }: DayDrawingProps) {
  const { write } = useWords();
  const at = run.days[day];
  const level = Math.min(at?.level ?? 0, planter.heights.base);
  const tip = at?.roots ?? planter.heights.base;
  const drawing = useMemo(() => section(planter, level, tip), [planter, level, tip]);
  const view = useMemo(() => fitView(drawing.bounds, WIDE, TALL, MARGIN), [drawing]);
  const { base, surface } = planter.heights;
  const count = run.heights.length;
  const bands = Array.from({ length: BANDS }, (_, i) => {
    const [z0, z1] = [
      base + ((surface - base) * i) / BANDS,
      base + ((surface - base) * (i + 1)) / BANDS,
    ];
    const cell = Math.min(Math.floor(((i + 0.5) / BANDS) * count), count - 1);
    const share = (run.moisture[day * count + cell] ?? 0) / pores;
    return { z0, z1, colour: moistureColour(share) };
  });
  const places = planter.bed.separate ? planter.bed.places.map(({ x }) => x) : [0];
  if (!at) return null;
  return (
    <Box>
      <svg
        className="is-small"
        width={WIDE}
        height={TALL}
        viewBox={`0 0 ${WIDE} ${TALL}`}
        role="img"
        aria-label={`Section on ${at.date}: water at ${write(at.level, 'length')}`}
        style={{ display: 'block', maxWidth: '100%' }}
      >
        <SectionArt section={drawing} view={view} grain={6} />
        {places.flatMap((x) =>
          bands.map(({ z0, z1, colour }) => {
            const [a, b] = [halfAt(planter, z0 + 1e-6), halfAt(planter, z1 - 1e-6)];
            const points = [
              [x - a, z0],
              [x + a, z0],
              [x + b, z1],
              [x - b, z1],
            ] as const;
            return (
              <path
                key={`${x} ${z0}`}
                d={view.path(points, true)}
                fill={colour}
                fillOpacity={0.55}
                stroke="none"
              />
            );
          }),
        )}
      </svg>
      <label className="scrub not-printed">
        <Text as="span" fontWeight="medium">
          {writeDate(at.date, 'long')}: water at {write(at.level, 'length')},{' '}
          {write(at.water, 'volume')}
        </Text>
        <input
          type="range"
          min={0}
          max={run.days.length - 1}
          value={day}
          aria-label="Day of the season"
          aria-valuetext={`${at.date}, water at ${write(at.level, 'length')}`}
          onChange={(event) => onDay(Number(event.target.value))}
        />
      </label>
      <Text fontSize="sm" color={at.stress === 'none' ? 'faint' : 'harm'}>
        {WORDS[at.stress]} Roots reach {write(surface - at.roots, 'span')} down. They drank{' '}
        {write(at.drunk / 86_400, 'daily')}
        {at.filled > 0 ? `; it was filled with ${write(at.filled, 'volume')}` : ''}
        {at.poured > 0 ? `; ${write(at.poured, 'volume')} came on top` : ''}.
      </Text>
    </Box>
  );
}

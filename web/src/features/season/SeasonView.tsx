import { Box, Button, Text } from '@chakra-ui/react';
import { soilBeds, type Planter } from '@huerta/core/assembly';
import type { SeasonAnswer } from '@huerta/core/simulation/season';
import { q } from '@huerta/core/units';
import { Download } from 'lucide-react';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import type { OutlookAnswer } from '../../compute/season';
import { memo, useDeferredValue } from 'react';
import { Table } from '../../ui/Table';
import { CropWaterTable } from './CropWaterTable';
import { DayDrawing } from './DayDrawing';
import { saveCsv } from '../../ui/saveCsv';
import { usePrinting } from '../../ui/usePrinting';
import { LevelChart } from './LevelChart';
import { MoisturePicture } from './MoisturePicture';
import { seasonSentence } from './words';

interface SeasonViewProps {
  name: string;
  planter: Planter;
  /** ISO date of the planter's first day. */
  planted: string;
  season: SeasonAnswer;
  outlook: OutlookAnswer | null;
  toCome: number;
  day: number;
  onDay(day: number): void;
}

/** The season in a sentence, as curves, as a picture, and as numbers. */
export function SeasonView({
  name,
  planter,
  planted,
  season,
  outlook,
  toCome,
  day,
  onDay,
}: SeasonViewProps) {
  const { write } = useWords();
  const pores = Math.max(...soilBeds(planter).map(({ mix }) => mix.thetaS));
  const last = season.run.days.length - 1;
  const shown = Math.min(day, last);
  // The curve comes first, the long table when there is time.
  const behind = useDeferredValue(season, null);
  return (
    <>
      <Text fontSize="lg" my="3" role="status">
        {seasonSentence(season, outlook, write)}
        {toCome > 0 && ` Calculating ${toCome} more weathers…`}
      </Text>
      <Box className="season-columns">
        <Box minW="0">
          <LevelChart season={season} outlook={outlook} day={shown} onDay={onDay} />
          <MoisturePicture run={season.run} pores={pores} day={shown} />
        </Box>
        <Box className="season-side">
          <DayDrawing planter={planter} run={season.run} pores={pores} day={shown} onDay={onDay} />
        </Box>
      </Box>
      {behind && (
        <CropWaterTable planting={planter.design.planting} {...{ planted }} season={behind} />
      )}
      {behind && <Numbers name={name} season={behind} />}
    </>
  );
}

/** The same in numbers. Set once for each season, however often the band over it grows. */
const Numbers = memo(function Numbers({ name, season }: { name: string; season: SeasonAnswer }) {
  const { write, writeTogether } = useWords();
  const given = writeTogether(
    season.run.days.flatMap(({ filled, poured }) => [q(filled, 'volume'), q(poured, 'volume')]),
  );
  const water = writeTogether(season.run.days.map((one) => q(one.water, 'volume')));
  const drunk = writeTogether(season.run.days.map((one) => q(one.drunk, 'volume')));
  // On paper nothing can be unfolded.
  const printing = usePrinting();
  return (
    <>
      <details className="season-numbers" {...(printing ? { open: true } : {})}>
        <summary>When to fill</summary>
        <Text>
          {season.run.days
            .filter(({ filled, poured }) => filled + poured > 0)
            .map(
              ({ date, filled, poured }) =>
                `${writeDate(date, 'short')} (${[
                  filled > 0 ? given(filled, 'volume') : '',
                  poured > 0 ? `${given(poured, 'volume')} on top` : '',
                ]
                  .filter(Boolean)
                  .join(', ')})`,
            )
            .join(', ') || 'Never in this season.'}
        </Text>
      </details>
      <details className="season-numbers not-printed">
        <summary>The numbers, day by day</summary>
        <Button my="2" onClick={() => keepCsv(name, season)}>
          <Download size={18} aria-hidden /> As CSV
        </Button>
        <Table
          head={[
            'Day',
            'Level',
            'Water',
            'Drunk',
            'Rain',
            'Given',
            'Moisture above, middle, below',
            'Full that day, reads low after',
          ]}
          rows={season.run.days.map((one, i) => [
            one.date,
            one.date,
            write(one.level, 'length'),
            water(one.water, 'volume'),
            drunk(one.drunk, 'volume'),
            one.rain > 0 ? write(one.rain, 'volume') : '',
            one.filled + one.poured > 0 ? given(one.filled + one.poured, 'volume') : '',
            moistureOf(season, i)
              .map((share) => write(share, 'share'))
              .join(', '),
            season.lasts[i] === null ? 'beyond the season' : write(season.lasts[i] ?? 0, 'days'),
          ])}
        />
      </details>
      <Text fontSize="sm" color="faint" mt="2">
        The water adds up: what comes in is drunk, dries up, runs over or is still there.
      </Text>
    </>
  );
});

/** Water content near the surface, in the middle and near the base on a day, m³/m³. */
function moistureOf({ run }: SeasonAnswer, day: number): number[] {
  const count = run.heights.length;
  return [0.9, 0.5, 0.1].map((up) => run.moisture[day * count + Math.floor(up * count)] ?? 0);
}

/** Saves the days as a CSV file, in litres and millimetres. */
function keepCsv(name: string, season: SeasonAnswer): void {
  const { run, weather } = season;
  const rows = run.days.map((one, i) => ({
    date: one.date,
    'level mm': (one.level * 1000).toFixed(1),
    'filled to mm': one.filled > 0 ? (one.crest * 1000).toFixed(1) : '',
    'water L': (one.water * 1000).toFixed(2),
    'asked L': (one.asked * 1000).toFixed(3),
    'drunk L': (one.drunk * 1000).toFixed(3),
    'evaporated L': (one.evaporated * 1000).toFixed(3),
    'filled L': (one.filled * 1000).toFixed(2),
    'on top L': (one.poured * 1000).toFixed(2),
    'overflow L': (one.overflow * 1000).toFixed(3),
    'rain mm': ((weather[i]?.rain ?? 0) * 1000).toFixed(1),
    'et0 mm': ((weather[i]?.et ?? 0) * 86_400_000).toFixed(2),
    'moisture above': (moistureOf(season, i)[0] ?? 0).toFixed(3),
    'moisture middle': (moistureOf(season, i)[1] ?? 0).toFixed(3),
    'moisture below': (moistureOf(season, i)[2] ?? 0).toFixed(3),
    plants: one.stress,
  }));
  saveCsv(`${name} season`, rows);
}

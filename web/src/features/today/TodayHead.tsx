import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { waterLinesOf, type WaterLine } from '@huerta/core/document';
import { plural, q, spelled } from '@huerta/core/units';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Round } from '../../compute/roundStates';
import { useGardenDay } from '../../data/gardenDay';
import { Cans } from '../../drawing/WaterVessels';
import { writeDate } from '../../ui/dates';
import { usePreferences, useWords } from '../../ui/preferences';
import { weatherNames } from '../../ui/weather/weatherNames';
import { verdictOf, type Verdict } from '../../ui/tended';

interface TodayHeadProps {
  planters: readonly PlanterResource[];
  /** Planters of one line are filled at one place. */
  lines: readonly WaterLine[];
  round: Round;
  choice: WeatherChoice;
  working: boolean;
  /** What the weather asks for, and the tank. */
  children: ReactNode;
}

/** Share of a can that goes into the cans besides. */
const OVERFULL = 0.1;

/** What there is to do today, in one sentence and in cans. */
export function TodayHead({ planters, lines, round, choice, working, children }: TodayHeadProps) {
  const { write, writeTogether, say } = useWords();
  const { can } = usePreferences();
  const today = useGardenDay();
  const states = planters.map(({ id }) => round[id] ?? null);
  const water = states.reduce(
    (sum, state) => (state?.wants === 'now' ? sum + state.room.middle : sum),
    0,
  );
  const signs = states.map((state) => state && verdictOf(state, today, write).sign);
  const placeOf = (id: string): string => waterLinesOf(lines, id)[0]?.id ?? id;
  const count = (sign: Verdict['sign']): number =>
    new Set(planters.flatMap(({ id }, i) => (signs[i] === sign ? [placeOf(id)] : []))).size;
  const [fill, dip, look] = [count('fill'), count('dip'), count('look')];
  const cans = Math.max(Math.ceil(water / can - OVERFULL), 1);
  const amount = writeTogether([q(water, 'volume'), q(can, 'volume')]);
  const known = states.some((state) => state !== null);
  const sentence =
    fill > 0
      ? `Carry ${spelled(cans)} ${plural(cans, 'can')} to ${spelled(fill)} ${plural(fill, 'planter')}.`
      : dip > 0
        ? `Dip ${spelled(dip)} ${plural(dip, 'planter')}.`
        : look > 0
          ? `See why ${spelled(look)} ${plural(look, 'planter')} cannot drink.`
          : known && !working
            ? 'Nothing has to be filled today.'
            : '';
  return (
    <Box className="today-head">
      <Box className="today-lead">
        <Text color="faint">
          {writeDate(today, 'weekday')}, {writeDate(today, 'long')}
          <Link to="/settings" className="today-weather">
            <span>Weather of </span>
            {choice.site === 'own-days'
              ? 'your file'
              : say(weatherNames(choice)[choice.site] ?? '')}
          </Link>
        </Text>
        <Box role="status">
          <Text className="today-sentence">{sentence}</Text>
          <Text>
            {water > 0 &&
              `About ${amount(water, 'volume')} in all, in cans of ${amount(can, 'volume')}. `}
            {fill > 0 &&
              dip > 0 &&
              `Dip ${spelled(dip)} more: ${dip === 1 ? 'it' : 'they'} may be low. `}
            {fill + dip > 0 && look > 0 && `See why ${spelled(look)} cannot drink. `}
            {working && 'Working out how they stand…'}
          </Text>
        </Box>
        {water > 0 && <Cans cans={Math.min(water / can, cans)} />}
      </Box>
      {children}
    </Box>
  );
}

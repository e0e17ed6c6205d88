import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { exposedOf, weatherAdvice, type WeatherHazard } from '@huerta/core/journal';
import { capital } from '@huerta/core/units';
import { dayAfter, daysThatCount, forecastUntil } from '@huerta/core/physics/climate';
import { CloudRain, Snowflake, Sun, ThermometerSnowflake } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useMeasuredDays } from '../../data/api/weather';
import { useGardenDay } from '../../data/gardenDay';
import { writeDate } from '../../ui/dates';
import { useWords } from '../../ui/preferences';
import type { Round } from '../../compute/roundStates';

const ICONS: Readonly<Record<WeatherHazard, ReactNode>> = {
  frost: <ThermometerSnowflake size={20} aria-hidden />,
  ice: <Snowflake size={20} aria-hidden />,
  heat: <Sun size={20} aria-hidden />,
  storm: <CloudRain size={20} aria-hidden />,
};

/** From this width on what it asks for is unfolded, pixels. */
const DESK = 768;

/** What the weather of the next days asks for, and how far a forecast reaches. */
export function WeatherNotes({
  planters,
  round,
}: {
  planters: readonly PlanterResource[];
  round: Round;
}) {
  const { tell } = useWords();
  const [wide] = useState(() => window.innerWidth >= DESK);
  const today = useGardenDay();
  const days = daysThatCount(useMeasuredDays() ?? [], today);
  const exposed = planters.flatMap(({ id, design }) => {
    const state = round[id];
    return state ? [exposedOf(id, design, state, today)] : [];
  });
  const advice = weatherAdvice(exposed, days, today);
  const until = forecastUntil(days, today);
  const named = new Map(planters.map(({ id, design }) => [id, design.name]));
  if (advice.length === 0 && until === null) return null;
  const when = (date: string, hazard: WeatherHazard): string => {
    const night = hazard === 'frost' || hazard === 'ice';
    if (date === today) return night ? 'Tonight' : 'Today';
    return date === dayAfter(today, 1) ? 'Tomorrow' : writeDate(date, 'short');
  };
  return (
    <Box as="section" aria-label="The weather">
      <ul className="weather-notes">
        {advice.map(({ hazard, date, forecast, text, planters: those }) => (
          <li key={hazard} data-hazard={hazard}>
            <details open={wide}>
              <summary>
                {ICONS[hazard]}
                <span>
                  <b>{when(date, hazard)}:</b> {tell(text).split(':')[0]}
                </span>
              </summary>
              <Text>
                {capital(tell(text).split(': ')[1] ?? '')}{' '}
                <span className="weather-who">
                  {those.length === exposed.length && those.length > 1
                    ? 'All planters.'
                    : `${those.map((id) => named.get(id)).join(', ')}.`}
                  {!forecast && ' As it was measured last.'}
                </span>
              </Text>
            </details>
          </li>
        ))}
      </ul>
      {until && (
        <Text fontSize="sm" color="faint">
          Days are reckoned with the forecast until {writeDate(until, 'short')}.
        </Text>
      )}
    </Box>
  );
}

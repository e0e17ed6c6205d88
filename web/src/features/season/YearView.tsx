import { Box, Text } from '@chakra-ui/react';
import { moveBar, stretchBar, stripOf, thirstShapes, yearOf } from '@huerta/core/simulation/season';
import type { Patch, PlanterDesign } from '@huerta/core/document';
import type { Site } from '@huerta/core/catalog';
import { useMemo } from 'react';
import { useGardenDemand } from '../../compute/gardenYear';
import { useGardenDay } from '../../data/gardenDay';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { demandDays } from '../../ui/year/demandDays';
import { YearStrip } from '../../ui/year/YearStrip';
import { SowNow } from './SowNow';

interface YearViewProps {
  design: PlanterDesign;
  planted: string;
  site: Site;
  /** Takes a change of the design, or says why not. */
  onChange(patch: Patch): void;
}

/** Points of a leaf's outline. */
const POINTS = 24;
const ONLY = 'this';

/** The year of a planter as a strip of months: what is sown, planted, harvested, and what follows. */
export function YearView({ design, planted, site, onChange }: YearViewProps) {
  const { say, tell } = useWords();
  const today = useGardenDay();
  const year = useMemo(() => yearOf(design, planted, site, today), [design, planted, site, today]);
  const strip = useMemo(() => stripOf(year, planted), [year, planted]);
  const shapes = useMemo(
    () => thirstShapes(design, planted, site, POINTS),
    [design, planted, site],
  );
  const asked = useMemo(() => [{ id: ONLY, design, planted }], [design, planted]);
  const demand = useGardenDemand(asked, site, demandDays(strip))?.[ONLY] ?? null;
  const warnings = year.bars.flatMap(({ says }) => says.map((one) => tell(one)));
  if (year.bars.length === 0) {
    return (
      <>
        <Text my="4">Nothing grows in it yet. Add crops in the soil room of the bench.</Text>
        <SowNow design={design} planted={planted} site={site} onChange={onChange} />
      </>
    );
  }
  return (
    <Box className="year" my="3">
      <Text maxW="44rem">
        {year.frostFree
          ? `Frost is rare from ${writeDate(year.frostFree.from, 'long')} to ${writeDate(year.frostFree.to, 'long')}. Empty the reservoir and open its overflow before it comes.`
          : design.place.rain === 'indoors'
            ? 'It stands indoors, where no frost gets to it.'
            : 'It hardly ever freezes here.'}
      </Text>
      {warnings.length > 0 && (
        <ul className="year-warnings">
          {warnings.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <YearStrip
        {...{ strip, site, shapes, demand }}
        frostFree={year.frostFree}
        bars={year.bars}
        onMove={(of, days) => onChange(moveBar(design, of, days))}
        onStretch={(of, days) => onChange(stretchBar(design, of, days))}
      />
      {year.bars.map(
        ({ of, name, stays }) =>
          stays && (
            <Text key={of} fontSize="sm">
              {say(name)}: {tell(stays)}
            </Text>
          ),
      )}
      <Text fontSize="sm" color="faint">
        Each crop is a leaf, as thick as it drinks; dots are harvest, dotted is the time in a pot.
        Drag a leaf to move it, its right end to keep it longer; or choose one and use the arrow
        keys: a day each, a week with Shift.
      </Text>
      <SowNow design={design} planted={planted} site={site} onChange={onChange} />
    </Box>
  );
}

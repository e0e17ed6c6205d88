import { Box, Text } from '@chakra-ui/react';
import { moveBar, stretchBar, stripOf, yearOf } from '@huerta/core/simulation/season';
import type { Patch, PlanterDesign } from '@huerta/core/document';
import type { Site } from '@huerta/core/catalog';
import { useMemo } from 'react';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { YearStrip } from '../../ui/year/YearStrip';
import { SowNow } from './SowNow';

interface YearViewProps {
  design: PlanterDesign;
  planted: string;
  site: Site;
  /** Takes a change of the design, or says why not. */
  onChange(patch: Patch): void;
}

/** The year of a planter as a strip of months: what is sown, planted, harvested, and what follows. */
export function YearView({ design, planted, site, onChange }: YearViewProps) {
  const { say, tell } = useWords();
  const year = useMemo(() => yearOf(design, planted, site), [design, planted, site]);
  const strip = useMemo(() => stripOf(year, planted), [year, planted]);
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
      <div className="year-scroll">
        <YearStrip
          strip={strip}
          frostFree={year.frostFree}
          bars={year.bars}
          onMove={(of, days) => onChange(moveBar(design, of, days))}
          onStretch={(of, days) => onChange(stretchBar(design, of, days))}
        />
      </div>
      {year.bars.map(
        ({ of, name, stays }) =>
          stays && (
            <Text key={of} fontSize="sm">
              {say(name)}: {tell(stays)}
            </Text>
          ),
      )}
      <Text fontSize="sm" color="faint">
        Drag a bar to move it, its right end to keep it longer; or choose one and use the arrow
        keys: a day each, a week with Shift. Hatched is harvest, dotted the time in a pot.
      </Text>
      <SowNow design={design} planted={planted} site={site} onChange={onChange} />
    </Box>
  );
}

import { Text } from '@chakra-ui/react';
import type { PlantingDesign } from '@huerta/core/document';
import { cropWater, type SeasonAnswer } from '@huerta/core/simulation/season';
import { q } from '@huerta/core/units';
import { useMemo } from 'react';
import { writeDate } from '../../ui/dates';
import { useWords } from '../../ui/preferences';
import { Table } from '../../ui/Table';
import { usePrinting } from '../../ui/usePrinting';

interface CropWaterTableProps {
  planting: PlantingDesign;
  season: SeasonAnswer;
  /** ISO date of the planter's first day. */
  planted: string;
}

/** Which crop drinks most: litres of each on its thirstiest day and in the season. */
export function CropWaterTable({ planting, season, planted }: CropWaterTableProps) {
  const { say, write, writeTogether } = useWords();
  const printing = usePrinting();
  const crops = useMemo(
    () => cropWater(planting, season.run.days, planted).filter(({ volume }) => volume > 0),
    [planting, season, planted],
  );
  const [first] = crops;
  if (!first) return null;
  const all = writeTogether(crops.map(({ volume }) => q(volume, 'volume')));
  const days = writeTogether(crops.map(({ most }) => q(most?.volume ?? 0, 'volume')));
  return (
    <details className="season-numbers" {...(printing ? { open: true } : {})}>
      <summary>What each crop drinks</summary>
      {crops.length > 1 && (
        <Text my="2">
          {say(first.crop)} drinks most: {write(first.share, 'share')} of what all drink.
        </Text>
      )}
      <Table
        head={['Crop', 'Plants', 'At most in a day', 'Each plant', 'In the season']}
        rows={crops.map(({ crop, count, volume, most }) => [
          crop,
          say(crop),
          `${count}`,
          most ? `${days(most.volume, 'volume')} on ${writeDate(most.date, 'short')}` : '',
          most ? write(most.volume / count, 'volume') : '',
          all(volume, 'volume'),
        ])}
      />
    </details>
  );
}

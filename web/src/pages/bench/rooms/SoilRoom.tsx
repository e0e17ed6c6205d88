import {
  CROPS,
  FEED_DOSES,
  FEEDS,
  FIELDS,
  MEDIA,
  MULCHES,
  SEPARATORS,
  cropOf,
  mediumOf,
} from '@huerta/core';
import { useWords } from '../../../app/preferences';
import { ChoiceField, TickField } from '../../../components/ChoiceField';
import { useBench } from '../bench';
import { Group, Measure, Pair, Says } from './parts';

/** Separator, mix, plants and their thirst. */
export function SoilRoom() {
  return (
    <>
      <MixGroup />
      <PlantsGroup />
      <FeedGroup />
    </>
  );
}

function MixGroup() {
  const { design, assessment, change } = useBench();
  const { write } = useWords();
  const { soil } = design;
  const { figures } = assessment;
  const medium = mediumOf(soil.medium);
  return (
    <Group title="Mix">
      <ChoiceField
        label="Between soil and water"
        value={design.separator}
        choices={SEPARATORS}
        onChoose={(value) => change([{ path: ['separator'], value }])}
      />
      <ChoiceField
        label="Mix"
        value={soil.medium}
        choices={MEDIA}
        onChoose={(value) => change([{ path: ['soil', 'medium'], value }])}
        help={`Typical: wets ${write(medium.reach, 'span')} from below, settles by ${write(medium.settles, 'share')}.`}
      />
      <Pair>
        <Measure path={['soil', 'freeboard']} spec={FIELDS.soil.freeboard} value={soil.freeboard} />
        <Measure
          path={['soil', 'settlement']}
          spec={FIELDS.soil.settlement}
          value={soil.settlement}
        />
      </Pair>
      <ChoiceField
        label="Surface"
        value={soil.mulch}
        choices={MULCHES}
        onChoose={(value) => change([{ path: ['soil', 'mulch'], value }])}
      />
      <Measure path={['soil', 'bag']} spec={FIELDS.soil.bag} value={soil.bag} />
      <TickField
        label="Moistened first, watered in layers"
        checked={soil.moistened}
        onTick={(value) => change([{ path: ['soil', 'moistened'], value }])}
      />
      <Says>
        {write(figures.soilVolume, 'volume')} settled; buy {write(figures.looseVolume, 'volume')}{' '}
        loose, which is {figures.bags} {figures.bags === 1 ? 'bag' : 'bags'} of{' '}
        {write(soil.bag, 'volume')}.
      </Says>
    </Group>
  );
}

function PlantsGroup() {
  const { design, assessment, change } = useBench();
  const { write } = useWords();
  const { planting, place } = design;
  const { figures } = assessment;
  return (
    <Group title="Plants and their thirst">
      <ChoiceField
        label="What grows in it"
        value={planting.crop}
        choices={CROPS}
        onChoose={(value) =>
          change([
            { path: ['planting', 'crop'], value },
            { path: ['planting', 'foliage'], value: cropOf(value).foliage },
          ])
        }
        help={`Wants ${write(cropOf(planting.crop).roots, 'span')} of root room.`}
      />
      <Pair>
        <Measure path={['planting', 'count']} spec={FIELDS.planting.count} value={planting.count} />
        <Measure
          path={['planting', 'foliage']}
          spec={FIELDS.planting.foliage}
          value={planting.foliage}
        />
      </Pair>
      <Pair>
        <Measure
          path={['place', 'etMild']}
          spec={FIELDS.place.etMild}
          value={place.etMild}
          label="A mild day takes"
        />
        <Measure
          path={['place', 'etHot']}
          spec={FIELDS.place.etHot}
          value={place.etHot}
          label="A hot day takes"
        />
      </Pair>
      <Says>
        Grown, it drinks {write(figures.mild.total, 'daily')} when mild and{' '}
        {write(figures.hot.total, 'daily')} when hot.
      </Says>
    </Group>
  );
}

function FeedGroup() {
  const { design, change } = useBench();
  const { soil } = design;
  const doses: Partial<Record<string, number>> = FEED_DOSES;
  return (
    <Group title="Feed">
      <ChoiceField
        label="Feed"
        value={soil.feed}
        choices={FEEDS}
        onChoose={(value) =>
          change([
            { path: ['soil', 'feed'], value },
            { path: ['soil', 'feedDose'], value: doses[value] ?? 0 },
          ])
        }
      />
      <Pair>
        {doses[soil.feed] !== undefined && (
          <Measure
            path={['soil', 'feedDose']}
            spec={FIELDS.soil.feedDose}
            value={soil.feedDose}
            label="Granules"
          />
        )}
        <Measure path={['soil', 'limeDose']} spec={FIELDS.soil.limeDose} value={soil.limeDose} />
      </Pair>
    </Group>
  );
}

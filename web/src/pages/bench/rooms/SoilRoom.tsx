import { CROPS, FEED_DOSES, FEEDS, FIELDS, cropOf, plantingPlan, plantingView } from '@huerta/core';
import { useMemo } from 'react';
import { useWords } from '../../../app/preferences';
import { ChoiceField } from '../../../components/ChoiceField';
import { PlanDrawing } from '../../../drawing/PlanDrawing';
import { useBench } from '../bench';
import { LayersGroup } from './LayersGroup';
import { MixGroup } from './MixGroup';
import { Group, Measure, Pair, Says } from './parts';

/** Separator, mix, plants and their thirst. */
export function SoilRoom() {
  return (
    <>
      <LayersGroup />
      <MixGroup />
      <PlantsGroup />
      <FeedGroup />
    </>
  );
}

function PlantsGroup() {
  const { design, planter, assessment, change } = useBench();
  const { write } = useWords();
  const { planting, place } = design;
  const drawing = useMemo(() => plantingView(planter), [planter]);
  const { room } = useMemo(() => plantingPlan(planter), [planter]);
  const crop = cropOf(planting.crop);
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
            { path: ['planting', 'spacing'], value: cropOf(value).spacing },
          ])
        }
        help={`Wants ${write(crop.roots, 'span')} of root room${{ acid: ', acid soil and no lime', lime: '; likes lime', either: '' }[crop.likes]}. Typical.`}
      />
      <Pair>
        <Measure
          path={['planting', 'count']}
          spec={FIELDS.planting.count}
          value={planting.count}
          help={`The surface takes ${room}`}
        />
        <Measure
          path={['planting', 'foliage']}
          spec={FIELDS.planting.foliage}
          value={planting.foliage}
        />
      </Pair>
      <Measure
        path={['planting', 'spacing']}
        spec={FIELDS.planting.spacing}
        value={planting.spacing}
      />
      <PlanDrawing
        drawing={drawing}
        width={262}
        height={180}
        label="Where the plants stand, seen from above, to scale"
      />
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

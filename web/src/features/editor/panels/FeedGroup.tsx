import { FEED_DOSES, FEED_WAYS, FEEDS, LIME_DENSITY } from '@huerta/core/catalog';
import { feedOf } from '@huerta/core/physics/soil';
import { FIELDS, type Patch } from '@huerta/core/document';
import { roughly, portionOf } from '@huerta/core/units';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Choice, Group, Measure, Pair, Says } from './parts';
import { ScoopField } from './ScoopField';

const DOSES: Partial<Record<string, number>> = FEED_DOSES;

/** What feeds the plants, how, and how much, by the spoon, the gram or the litre of soil; and lime. */
export function FeedGroup() {
  const { design, assessment, change } = useEditor();
  const { write, say, units } = useWords();
  const { soil } = design;
  const { soilVolume } = assessment.figures;
  const { density } = FEEDS[soil.feed];
  const given = feedOf(soil, soilVolume);
  return (
    <Group title="Feed and lime">
      <ChoiceField
        label="Feed"
        value={soil.feed}
        choices={FEEDS}
        onChoose={(value) => {
          const patch: Patch = [
            { path: ['soil', 'feed'], value },
            { path: ['soil', 'feedDose'], value: DOSES[value] ?? 0 },
            { path: ['soil', 'feedNitrogen'], value: FEEDS[value].nitrogen },
            { path: ['soil', 'feedLasts'], value: FEEDS[value].lasts },
            { path: ['soil', 'feedHow'], value: USUAL_WAY[value] },
          ];
          change(patch);
        }}
      />
      {soil.feed !== 'none' && soil.feed !== 'in-mix' && (
        <Choice
          path={['soil', 'feedHow']}
          label="How it is given"
          value={soil.feedHow}
          choices={FEED_WAYS}
        />
      )}
      {given && (
        <>
          <ScoopField
            label="For this planter"
            mass={given.mass}
            density={density}
            onCommit={(mass) => change([{ path: ['soil', 'feedDose'], value: mass / soilVolume }])}
          />
          <Pair>
            <Measure
              path={['soil', 'feedDose']}
              spec={FIELDS.soil.feedDose}
              value={soil.feedDose}
              label={say(`For a ${portionOf('soil', units).name} of soil`)}
            />
            <Measure
              path={['soil', 'feedNitrogen']}
              spec={FIELDS.soil.feedNitrogen}
              value={soil.feedNitrogen}
            />
          </Pair>
          <Says>
            Growers usually give {write(roughly(given.least), 'dash')} to{' '}
            {write(roughly(given.most), 'dash')} of it to this much soil in a season. Typical, from
            its nitrogen.
          </Says>
        </>
      )}
      {soil.feed !== 'none' && (
        <Measure
          path={['soil', 'feedLasts']}
          spec={FIELDS.soil.feedLasts}
          value={soil.feedLasts}
          {...(soil.feed === 'in-mix' ? { label: 'The mix feeds for' } : {})}
        />
      )}
      {soil.feed === 'in-mix' && (
        <Says>
          Give nothing more until then. The bag of the mix says how long; Today reminds you.
        </Says>
      )}
      <ScoopField
        label="Dolomitic lime for this planter"
        mass={soil.limeDose * soilVolume}
        density={LIME_DENSITY}
        onCommit={(mass) => change([{ path: ['soil', 'limeDose'], value: mass / soilVolume }])}
      />
    </Group>
  );
}

/** How each is usually given. */
const USUAL_WAY = {
  none: 'strip',
  'in-mix': 'mixed',
  organic: 'strip',
  synthetic: 'strip',
  compost: 'mixed',
  castings: 'top',
  liquid: 'top',
} as const;

import { Button, Text } from '@chakra-ui/react';
import { closeness, firstHarvest, lastPick, lifeOf } from '@huerta/core/physics/crop';
import { cropIn, FIELDS, ownFrom, type Patch, type Planted } from '@huerta/core/document';
import { changeCrop, plantingPlan } from '@huerta/core/assembly';
import { STARTS, SUPPORTS, type Crop } from '@huerta/core/catalog';
import type { Words } from '@huerta/core/units';
import { useMemo } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField, TickField } from '../../../ui/ChoiceField';
import { QuantityField } from '../../../ui/QuantityField';
import { useEditor } from '../editorState';
import { CropChoice } from '../../../ui/CropChoice';
import { OwnCropFields } from './OwnCropFields';
import { Choice, Measure, Pair } from './parts';

/** Plants whose places are shown as numbers; more are moved in the plan. */
const MOST_BY_NUMBER = 12;

const ALL_BEDS = 'all';
const bedKey = (bed: number | ''): string => `bed-${bed}`;

interface PlantedFieldsProps {
  planted: Planted;
  of: number;
  onGone(): void;
}

/** One planting: what, how many, where, when, how it comes in and what holds it. */
export function PlantedFields({ planted, of, onGone }: PlantedFieldsProps) {
  const { design, planter, change } = useEditor();
  const words = useWords();
  const { write, say } = words;
  const path = ['planting', 'crops', of];
  const crop = cropIn(planted);
  const name = (planted.own?.name ?? say(crop.name)).toLowerCase();
  const { room } = useMemo(() => plantingPlan(planter), [planter]);
  const beds = planter.bed.places.length;
  const close = closeOf(planted, words);
  const set = (key: keyof Planted, value: unknown): Patch => [{ path: [...path, key], value }];
  return (
    <>
      <CropChoice
        label="What grows"
        value={planted}
        help={wantsOf(crop, write)}
        onChoose={(id, own) => change(changeCrop(design, of, id, own))}
      />
      <Pair>
        <Measure
          path={[...path, 'count']}
          spec={FIELDS.planting.count}
          value={planted.count}
          help={`${design.planting.crops.length > 1 ? 'There is room for' : 'The surface takes'} ${room[of] ?? 0}`}
        />
        <Measure
          path={[...path, 'spacing']}
          spec={FIELDS.planting.spacing}
          value={planted.spacing}
          help={`${write(crop.openSpacing, 'growth')} in open ground`}
        />
      </Pair>
      {close && (
        <Text fontSize="sm" color="faint">
          {close}
        </Text>
      )}
      <Pair>
        <Measure
          path={[...path, 'foliage']}
          spec={FIELDS.planting.foliage}
          value={planted.foliage}
        />
        <Measure
          path={[...path, 'from']}
          spec={FIELDS.planting.from}
          value={planted.from}
          help="0 is the day on which the planter is first planted."
        />
      </Pair>
      <Stays planted={planted} onStays={(stays) => change(set('stays', stays))} />
      <Choice
        path={[...path, 'start']}
        label="How it comes in"
        value={planted.start}
        choices={STARTS}
        help={planted.start === 'seed' ? sowingOf(crop, write) : undefined}
      />
      <Choice
        path={[...path, 'support']}
        label="What holds it up"
        value={planted.support}
        choices={SUPPORTS}
        help={`Grows to ${write(crop.height, 'growth')}`}
      />
      <Where {...{ planted, path, beds, set }} />
      {planted.own ? (
        <OwnCropFields own={planted.own} path={[...path, 'own']} />
      ) : (
        <Button
          alignSelf="flex-start"
          variant="ghost"
          onClick={() => change(set('own', ownFrom(planted.crop, `My ${name}`)))}
        >
          Make it a crop of my own
        </Button>
      )}
      <Button
        alignSelf="flex-start"
        variant="ghost"
        color="harm"
        onClick={() => {
          const crops = design.planting.crops.filter((_one, i) => i !== of);
          if (!change([{ path: ['planting', 'crops'], value: crops }])) onGone();
        }}
      >
        Take {name} out
      </Button>
    </>
  );
}

interface WhereProps {
  planted: Planted;
  /** Of the planting in the design. */
  path: readonly (string | number)[];
  /** How many stand in the row. */
  beds: number;
  set(key: keyof Planted, value: unknown): Patch;
}

/** In which bed it grows, and where each plant stands that was moved by hand. */
function Where({ planted, path, beds, set }: WhereProps) {
  const { change } = useEditor();
  return (
    <>
      {beds > 1 && (
        <ChoiceField
          label="In which of the row"
          value={planted.bed === null ? ALL_BEDS : bedKey(planted.bed)}
          choices={{
            // The keys are words: keys that are numbers would come first.
            [ALL_BEDS]: { name: 'Spread over all' },
            ...Object.fromEntries(
              Array.from({ length: beds }, (_, i) => [bedKey(i), { name: `Number ${i + 1}` }]),
            ),
          }}
          onChoose={(value) =>
            change(
              value === ALL_BEDS
                ? [...set('bed', null), ...set('count', Math.max(planted.count, beds))]
                : set('bed', Number(value.slice(bedKey('').length))),
            )
          }
        />
      )}
      {planted.places?.slice(0, MOST_BY_NUMBER).map((spot, i) => (
        <Pair key={i}>
          <Measure
            path={[...path, 'places', i, 'x']}
            spec={FIELDS.at.x}
            value={spot.x}
            label={`Number ${i + 1} to the right`}
          />
          <Measure
            path={[...path, 'places', i, 'y']}
            spec={FIELDS.at.y}
            value={spot.y}
            label="To the back"
          />
        </Pair>
      ))}
      {planted.places && (
        <Button alignSelf="flex-start" variant="ghost" onClick={() => change(set('places', null))}>
          Let Huerta choose their places
        </Button>
      )}
    </>
  );
}

type Write = Words['write'];

/** What a crop wants, in a line. */
function wantsOf({ roots, likes, feet, kcFrom }: Crop, write: Write): string {
  const soil = { acid: ', acid soil and no lime', lime: '; likes lime', either: '' }[likes];
  const water = { wet: '; wet feet are fine', dry: '; rather dry', even: '' }[feet];
  const source = kcFrom === 'FAO-56' ? 'Thirst after FAO-56.' : 'Typical.';
  return `Wants ${write(roots, 'span')} of root room${soil}${water}. ${source}`;
}

/** What standing closer than in the open costs in water, once it is worth a word. */
function closeOf(planted: Planted, { number }: Words): string {
  const more = closeness(planted);
  return planted.count > 1 && more >= COSTLY
    ? `So close, a surface drinks up to ${number(more, 1)} times what it would at the distance of open ground.`
    : '';
}
const COSTLY = 1.3;

function sowingOf({ sowing }: Crop, write: Write): string {
  if (sowing === null) return 'This one is not sown: buy plants, or take cuttings.';
  return sowing === 0
    ? 'On top, not covered: the seed wants light. Water from the top until it is up.'
    : `${write(sowing, 'length')} deep. Water from the top until it is up.`;
}

interface StaysProps {
  planted: Planted;
  onStays(days: number | null): void;
}

/** Until when it stands there. */
function Stays({ planted, onStays }: StaysProps) {
  const usual = lastPick(planted);
  const first = firstHarvest(planted);
  return (
    <>
      <TickField
        label="Cleared before the end"
        checked={planted.stays !== null}
        onTick={(ends) => onStays(ends ? usual : null)}
      />
      {planted.stays !== null && (
        <QuantityField
          spec={FIELDS.planting.stays}
          value={planted.stays}
          help={`It takes about ${usual} days to the ${lifeOf(planted) ? 'end of its first harvest' : 'last harvest'}.`}
          onCommit={(days) => {
            onStays(days);
            return null;
          }}
        />
      )}
      {planted.count > 0 && (
        <Text fontSize="sm" color="faint">
          First harvest about {first} days after it comes in.
        </Text>
      )}
      {planted.stays !== null && (
        <Text fontSize="sm" color="faint">
          The ground is bare after it, until something follows.
        </Text>
      )}
    </>
  );
}

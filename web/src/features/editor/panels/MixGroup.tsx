import { Box, Button } from '@chakra-ui/react';
import { plural, portionOf } from '@huerta/core/units';
import { drainable, mixOf, recipeOf, shrinkageOf } from '@huerta/core/physics/soil';
import { FIELDS, MAX_INGREDIENTS, type RecipeDesign } from '@huerta/core/document';
import {
  FILLS,
  INGREDIENT_IDS,
  ingredientWord,
  MIXES,
  MULCHES,
  RECIPES,
  type IngredientId,
  type MixId,
} from '@huerta/core/catalog';
import { mixPrice, NEW_BOOK } from '@huerta/core/fabrication';
import { X } from 'lucide-react';
import { usePriceBook } from '../../../data/api/prices';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { capital } from '../parts/supportFields';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';

/** Ingredients by a name that fits beside its parts. */
const WORDS = Object.fromEntries(
  INGREDIENT_IDS.map((id) => [id, { name: capital(ingredientWord(id)) }]),
) as Record<IngredientId, { name: string }>;

/** Only the first row shows its labels; the others keep theirs for those who listen. */
const UNLABELLED = {
  '& label': {
    position: 'absolute',
    width: '1px',
    height: '1px',
    overflow: 'hidden',
    clipPath: 'inset(50%)',
  },
} as const;

const OWN = { own: { name: 'By parts of your own' } };

/** What separates it from the water, and what it is. */
export function MixGroup() {
  const { design, assessment, change } = useEditor();
  const { write } = useWords();
  const { soil } = design;
  const { figures } = assessment;
  const mix = mixOf(soil);
  return (
    <Group title="Mix">
      <ChoiceField<MixId | 'own'>
        label="Mix"
        value={soil.recipe ? 'own' : soil.medium}
        choices={{ ...MIXES, ...OWN }}
        onChoose={(id) =>
          change(
            id === 'own'
              ? [{ path: ['soil', 'recipe'], value: firstRecipe(soil.medium) }]
              : [
                  { path: ['soil', 'recipe'], value: null },
                  { path: ['soil', 'medium'], value: id },
                ],
          )
        }
        help={`Typical: wets ${write(mix.reach, 'span')} from below, settles by ${write(mix.settles, 'share')}.`}
      />
      {soil.recipe && <RecipeFields recipe={soil.recipe} />}
      <Pair>
        <Measure path={['soil', 'freeboard']} spec={FIELDS.soil.freeboard} value={soil.freeboard} />
        <Measure
          path={['soil', 'settlement']}
          spec={FIELDS.soil.settlement}
          value={soil.settlement}
        />
      </Pair>
      <UpperMix />
      <Choice label="Surface" value={soil.mulch} choices={MULCHES} path={['soil', 'mulch']} />
      <Measure path={['soil', 'bag']} spec={FIELDS.soil.bag} value={soil.bag} />
      <Tick
        label="Moistened first, watered in layers"
        checked={soil.moistened}
        path={['soil', 'moistened']}
      />
      <Says>
        {write(figures.soilVolume, 'loose')} settled; buy {write(figures.looseVolume, 'loose')}{' '}
        loose, which is {figures.bags} {plural(figures.bags, 'bag')} of {write(soil.bag, 'loose')}.
        {figures.aggregates.map(
          ({ medium: stone, volume, mass }) =>
            ` ${write(volume, 'loose')} of ${FILLS[stone].name.toLowerCase()}, about ${write(mass, 'mass')}.`,
        )}
      </Says>
    </Group>
  );
}

const NO_UPPER = { none: { name: 'The same to the top' } };
/** How deep another mix usually lies on top, metres. */
const USUAL_UPPER = 0.1;

/** Another mix on top, such as a finer one to sow into. */
function UpperMix() {
  const { design, change } = useEditor();
  const { upper } = design.soil;
  return (
    <>
      <ChoiceField<MixId | 'none'>
        label="On top"
        value={upper?.medium ?? 'none'}
        choices={{ ...NO_UPPER, ...MIXES }}
        onChoose={(id) =>
          change([
            {
              path: ['soil', 'upper'],
              value: id === 'none' ? null : { medium: id, depth: upper?.depth ?? USUAL_UPPER },
            },
          ])
        }
        help="Another mix on top of it, such as a finer one to sow into."
      />
      {upper && (
        <Measure path={['soil', 'upper', 'depth']} spec={FIELDS.soil.upper} value={upper.depth} />
      )}
    </>
  );
}

/** The usual recipe of a mix, to be changed. */
const firstRecipe = (medium: MixId): RecipeDesign => ({
  parts: [...(RECIPES[medium] ?? RECIPES['coir-perlite'] ?? [])],
  measured: null,
});

/** The parts of a mix of one's own, and what they make together. */
function RecipeFields({ recipe }: { recipe: RecipeDesign }) {
  const { change } = useEditor();
  const { parts, measured } = recipe;
  const set = (next: RecipeDesign['parts']) =>
    change([{ path: ['soil', 'recipe', 'parts'], value: next }]);
  const unused = INGREDIENT_IDS.find((id) => !parts.some(({ what }) => what === id));
  return (
    <Box role="group" aria-label="Parts of the mix" display="flex" flexDirection="column" gap="2">
      {parts.map(({ what, parts: count }, i) => (
        <Box
          key={i}
          display="grid"
          gridTemplateColumns="3rem 1fr 2rem"
          gap="2"
          alignItems="start"
          css={i > 0 ? UNLABELLED : {}}
        >
          <Measure
            path={['soil', 'recipe', 'parts', i, 'parts']}
            spec={FIELDS.recipe.parts}
            value={count}
          />
          <Choice
            label={i > 0 ? `Ingredient ${i + 1}` : 'Ingredient'}
            value={what}
            choices={WORDS}
            path={['soil', 'recipe', 'parts', i, 'what']}
          />
          <Button
            variant="ghost"
            px="0"
            alignSelf={i > 0 ? 'start' : 'end'}
            aria-label={`Leave out ${WORDS[what].name.toLowerCase()}`}
            disabled={parts.length === 1}
            onClick={() => set(parts.filter((_, k) => k !== i))}
          >
            <X size={18} aria-hidden />
          </Button>
        </Box>
      ))}
      {unused && parts.length < MAX_INGREDIENTS && (
        <Button alignSelf="flex-start" onClick={() => set([...parts, { what: unused, parts: 1 }])}>
          Another ingredient
        </Button>
      )}
      <MixSays />
      {measured ? (
        <>
          <Pair>
            <Measure
              path={['soil', 'recipe', 'measured', 'shrinks']}
              spec={FIELDS.recipe.shrinks}
              value={measured.shrinks}
            />
            <Measure
              path={['soil', 'recipe', 'measured', 'reach']}
              spec={FIELDS.recipe.reach}
              value={measured.reach}
            />
          </Pair>
          <Button
            variant="ghost"
            alignSelf="flex-start"
            onClick={() => change([{ path: ['soil', 'recipe', 'measured'], value: null }])}
          >
            Use what the parts let expect
          </Button>
        </>
      ) : (
        <Measured parts={parts} />
      )}
    </Box>
  );
}

function Measured({ parts }: Pick<RecipeDesign, 'parts'>) {
  const { design, change } = useEditor();
  return (
    <Button
      alignSelf="flex-start"
      onClick={() =>
        change([
          {
            path: ['soil', 'recipe', 'measured'],
            value: { shrinks: shrinkageOf(parts), reach: mixOf(design.soil).reach },
          },
        ])
      }
    >
      Enter what you measured
    </Button>
  );
}

/** Drained overnight: what roots find as air is what it no longer holds at this suction, metres. */
const DRAINED = 0.1;

/** What the mix holds, weighs and costs. */
function MixSays() {
  const { design } = useEditor();
  const { write, say, units, money } = useWords();
  const prices = usePriceBook();
  const { soil } = design;
  const mix = mixOf(soil);
  const made = recipeOf(soil);
  const book = prices.data?.book ?? NEW_BOOK;
  const price = mixPrice(soil, book, units);
  const air = drainable(mix, DRAINED);
  const { volume, name } = portionOf('soil', units);
  const weighs = write(mix.dryDensity * volume, units === 'us' ? 'mass' : 'dash');
  // Ten litres, or a cubic foot.
  const ten = units === 'us' ? volume : 10 * volume;
  return (
    <Says>
      {say(`Of each ${name}`)} {write(mix.thetaS, 'share')} is pores; drained overnight they hold{' '}
      {write((mix.thetaS - air) * volume, 'volume')} of water and {write(air * volume, 'volume')} of
      air. Dry, it weighs {say(`${weighs} a ${name}`)}.
      {made &&
        made.parts.length > 1 &&
        ` ${write(ten, 'loose')} of parts make ${write((1 - made.shrinks) * ten, 'loose')} of mix.`}
      {say(` About ${money(price * volume, book.currency)} a ${name}.`)}
    </Says>
  );
}

import type { Symptom } from '../journal/trouble/symptoms';
import type { Cause } from '../journal/trouble/causes';
import type { TroubleAnswer, TroubleCheck } from '../journal/trouble/checks';

/**
 * Forty made-up troubles: what is seen, what a person would find where it is looked for, and what it truly is. What is
 * not named for a check is found as it usually is.
 */

export interface TroubleCase {
  tells: string;
  seen: readonly Symptom[];
  finds: Partial<{ [C in TroubleCheck]: TroubleAnswer<C> }>;
  truly: Cause;
}

const one = (
  tells: string,
  seen: readonly Symptom[],
  finds: TroubleCase['finds'],
  truly: Cause,
): TroubleCase => ({ tells, seen, finds, truly });

export const TROUBLE_CASES: readonly TroubleCase[] = [
  one(
    'a cucumber that hangs at two and stands at eight',
    ['limp-noon'],
    { stick: 'half', top: 'same' },
    'heat',
  ),
  one(
    'a courgette in a heat wave over a full reservoir',
    ['limp-noon'],
    { stick: 'full', finger: 'moist' },
    'heat',
  ),
  one(
    'back from a long weekend',
    ['limp-dawn'],
    { stick: 'low', finger: 'dry', base: 'dry', top: 'better' },
    'empty',
  ),
  one(
    'forgotten for a week in July',
    ['limp-dawn', 'limp-noon'],
    { stick: 'low', finger: 'dry', base: 'dry', top: 'better' },
    'empty',
  ),
  one(
    'dust over a full reservoir, the wick sound',
    ['dry-top', 'limp-dawn'],
    {
      stick: 'full',
      finger: 'dry',
      base: 'dry',
      wick: 'sound',
      top: 'better',
      pour: 'once',
      lift: 'white',
    },
    'column',
  ),
  one(
    'never watered from the top after planting',
    ['stays', 'dry-top', 'limp-noon'],
    { stick: 'full', finger: 'dry', base: 'dry', wick: 'dry', top: 'better' },
    'column',
  ),
  one(
    'an old shirt in its third summer',
    ['stays', 'dry-top'],
    { stick: 'full', finger: 'dry', base: 'dry', wick: 'rotten', top: 'better' },
    'wick',
  ),
  one(
    'a slimy wick over which the soil is dry',
    ['slimy', 'limp-dawn'],
    { stick: 'full', finger: 'dry', base: 'dry', wick: 'rotten', top: 'better' },
    'wick',
  ),
  one(
    'two tomatoes on one thin rope',
    ['limp-noon', 'dry-top'],
    { stick: 'half', finger: 'dry', base: 'moist', wick: 'sound', top: 'better', lift: 'white' },
    'weak',
  ),
  one(
    'sour soil after a wet month, roots brown',
    ['sour', 'yellow'],
    { stick: 'full', finger: 'wet', base: 'sour', lift: 'brown', leaves: 'all', top: 'same' },
    'drowned',
  ),
  one(
    'wet soil and wilting: watered though the stick said full',
    ['wet-top', 'limp-dawn', 'sour'],
    { stick: 'full', finger: 'wet', base: 'sour', lift: 'brown', top: 'same', pour: 'once' },
    'drowned',
  ),
  one(
    'mix has run into the outlet',
    ['wet-top', 'never-runs'],
    { stick: 'full', finger: 'wet', base: 'wet', pour: 'never', outlet: 'shut' },
    'blocked',
  ),
  one(
    'water stands on the soil and nothing runs',
    ['wet-top'],
    { stick: 'full', finger: 'wet', base: 'wet', pour: 'never', outlet: 'shut', top: 'same' },
    'blocked',
  ),
  one('a drip under the tote', ['fast'], { under: 'yes', stick: 'low' }, 'leak'),
  one(
    'a hair crack, and the stick is dry each evening',
    ['fast', 'split'],
    { under: 'yes', stick: 'low', pour: 'never' },
    'leak',
  ),
  one(
    'the overflow never runs however much is poured',
    ['never-runs', 'fast'],
    { under: 'yes', stick: 'low', pour: 'never', outlet: 'clear' },
    'leak',
  ),
  one(
    'a tomato two metres tall in August',
    ['fast'],
    { under: 'no', stick: 'low', lift: 'white', finger: 'moist', pour: 'takes' },
    'thirsty',
  ),
  one(
    'peppers that hang with fruit and empty it in three days',
    ['fast', 'limp-noon'],
    { under: 'no', stick: 'low', finger: 'dry', lift: 'white', pour: 'takes' },
    'thirsty',
  ),
  one(
    'pale lower leaves in the tenth week',
    ['yellow'],
    { leaves: 'old', lift: 'white' },
    'hungry',
  ),
  one(
    'pale and small, never fed',
    ['yellow', 'slow'],
    { leaves: 'old', lift: 'white', nights: 'mild' },
    'hungry',
  ),
  one('a blueberry in limed mix', ['yellow'], { leaves: 'young', lift: 'white' }, 'lime'),
  one('white rime on the soil under a roof', ['crust'], {}, 'salts'),
  one('a crust, and brown edges of old leaves', ['crust', 'yellow'], { leaves: 'old' }, 'salts'),
  one(
    'black ends on the first tomatoes',
    ['end-rot'],
    { stick: 'half', leaves: 'none' },
    'calcium',
  ),
  one(
    'black ends after a dry week',
    ['end-rot', 'limp-noon'],
    { stick: 'half', finger: 'moist', leaves: 'none' },
    'calcium',
  ),
  one('lettuce that shot up in June', ['bolts', 'bitter'], { nights: 'hot' }, 'bolting'),
  one('green scum in a clear bottle', ['algae'], { light: 'yes' }, 'light'),
  one('wrigglers in an open tray', ['larvae'], { closed: 'no' }, 'open'),
  one(
    'carrots just up, dust dry',
    ['seedlings', 'dry-top'],
    { finger: 'dry', base: 'moist', lift: 'few', wick: 'sound', stick: 'full', top: 'better' },
    'shallow',
  ),
  one('white roots hang out of the tube', ['roots'], { lift: 'white' }, 'reach'),
  one(
    'water comes back up the tube',
    ['runs-once', 'fast'],
    { pour: 'back', stick: 'low', under: 'no' },
    'airlock',
  ),
  one('little flies rise when one waters', ['gnats'], { pests: 'flies', finger: 'moist' }, 'gnats'),
  one('sticky pepper leaves with ants on them', ['suckers'], { pests: 'suckers' }, 'aphids'),
  one('holes in the cabbage', ['holes'], { pests: 'eaten' }, 'chewers'),
  one('white dust on the courgette', ['powder'], { marks: 'powder' }, 'mildew'),
  one(
    'brown rings on tomato leaves, lower ones yellow',
    ['spots', 'yellow'],
    { marks: 'rings', leaves: 'old' },
    'leafSpot',
  ),
  one(
    'one squash wilts overnight among three',
    ['one-limp'],
    { which: 'one', stem: 'hurt', top: 'same' },
    'stemRot',
  ),
  one(
    'the far corner of a long box is dry',
    ['one-limp', 'dry-top'],
    { which: 'side', stem: 'sound', top: 'better', finger: 'dry' },
    'corner',
  ),
  one(
    'flowers fall in a week of hot nights',
    ['no-fruit'],
    { nights: 'hot', bees: 'yes' },
    'setHeat',
  ),
  one('tomatoes behind a porch screen', ['no-fruit'], { bees: 'no', nights: 'mild' }, 'noBees'),
  one(
    'a jungle of leaves without fruit',
    ['no-fruit'],
    { bees: 'yes', nights: 'mild', sun: 'much', leaves: 'none' },
    'lush',
  ),
  one(
    'beans that sit still in a cold May',
    ['slow'],
    { nights: 'cold', lift: 'few', sun: 'much' },
    'cold',
  ),
  one(
    'peppers behind the house',
    ['slow'],
    { sun: 'little', nights: 'mild', lift: 'white', leaves: 'none' },
    'dark',
  ),
  one(
    'a dry crust and a happy chard',
    ['dry-top'],
    { finger: 'moist', base: 'moist', stick: 'half', wick: 'sound', lift: 'white' },
    'dryCrust',
  ),
  one('white threads on the straw', ['film'], {}, 'film'),
  one(
    'slime on a felt wick, soil moist',
    ['slimy'],
    { wick: 'sound', finger: 'moist', base: 'moist' },
    'wickFilm',
  ),
  one(
    'level still for a week in April',
    ['stays'],
    { stick: 'full', finger: 'moist', base: 'moist', lift: 'few', wick: 'sound', top: 'same' },
    'still',
  ),
  one(
    'overflow runs at the first splash, full two days ago',
    ['runs-once'],
    { stick: 'full', pour: 'once', finger: 'moist' },
    'stillFull',
  ),
  one(
    'overflow never ran, half a can a week',
    ['never-runs'],
    { stick: 'half', pour: 'takes', under: 'no', outlet: 'clear', finger: 'moist' },
    'notFull',
  ),
  one('blown over by the July storm', ['tips'], { stands: 'rocks' }, 'unstable'),
  one('a bulging pail in January', ['ice'], { nights: 'cold' }, 'frozen'),
];

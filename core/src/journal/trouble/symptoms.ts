/** What people see when something is wrong, or seems to be, by where they see it. */

export const SYMPTOM_PLACES = {
  plants: { name: 'On the plants' },
  fruit: { name: 'Flowers and fruit' },
  surface: { name: 'On the surface' },
  water: { name: 'In the water' },
  vessel: { name: 'On the planter' },
} as const;
type SymptomPlace = keyof typeof SYMPTOM_PLACES;

interface SymptomRow {
  name: string;
  place: SymptomPlace;
  /** Words by which it is known in a note of the log. */
  words: RegExp;
}
const row = (place: SymptomPlace, name: string, words: RegExp): SymptomRow => ({
  name,
  place,
  words,
});

export const SYMPTOMS = {
  'limp-noon': row(
    'plants',
    'Limp at noon, well again in the evening',
    /\b(?:limp|wilt\w*|droop\w*|hang\w*)\b.*\b(?:noon|midday|heat|hot)\b/,
  ),
  'limp-dawn': row('plants', 'Limp in the morning as well', /\b(?:limp|wilt\w*|droop\w*)\b/),
  'one-limp': row(
    'plants',
    'One plant wilts, the others do not',
    /\b(?:one|single) (?:plant|tomato|pepper|\w+) (?:limp|wilt\w*|droop\w*)\b/,
  ),
  yellow: row('plants', 'Leaves turn yellow', /\byellow\w*\b/),
  slow: row(
    'plants',
    'It hardly grows',
    /\b(?:slow|stunted|(?:hardly|not|doesn.t|won.t) grow\w*|small for)\b/,
  ),
  suckers: row(
    'plants',
    'Small insects on the leaves, or sticky leaves',
    /\b(?:aphid\w*|greenfly|blackfly|whitefl\w*|sticky|scale|thrips|spider mites?|mites)\b/,
  ),
  holes: row(
    'plants',
    'Holes, gnawed edges or slime',
    /\b(?:holes? in|eaten|gnawed|chewed|slugs?|snails?|caterpillars?|beetles?)\b/,
  ),
  powder: row('plants', 'White powder on the leaves', /\b(?:mildew|white powder|powdery)\b/),
  spots: row('plants', 'Brown or black spots on the leaves', /\b(?:blight|spots?|spotted|rust)\b/),
  seedlings: row('plants', 'Seedlings dry out', /\bseedlings?\b.*\b(?:dry|dried|dead|die|died)\b/),
  bolts: row('plants', 'It shoots up and flowers too soon', /\bbolt\w*\b/),
  bitter: row('fruit', 'Bitter leaves or fruit', /\bbitter\b/),
  'end-rot': row(
    'fruit',
    'Fruit with a dark, sunken end',
    /\b(?:blossom[ -]?end|end rot|(?:dark|black|sunken) (?:end|bottom)s?)\b/,
  ),
  'no-fruit': row(
    'fruit',
    'Flowers fall, hardly any fruit',
    /\b(?:no fruit|(?:flowers?|blossoms?) (?:fall|drop)\w*|(?:poor|bad) (?:set|fruit set))\b/,
  ),
  'dry-top': row(
    'surface',
    'The surface is dry, and there is water below',
    /\b(?:dry (?:top|surface)|(?:top|surface) (?:is |was )?dry)\b/,
  ),
  'wet-top': row(
    'surface',
    'The surface stays wet',
    /\b(?:soggy|wet (?:top|surface)|(?:top|surface) (?:is |stays )?wet|waterlogged)\b/,
  ),
  gnats: row(
    'surface',
    'Small dark flies over the soil',
    /\b(?:gnats?|small (?:black |dark )?flies|fruit flies)\b/,
  ),
  film: row(
    'surface',
    'A white film or threads on straw or mulch',
    /\b(?:white (?:film|threads|mould|mold|fluff)|fung\w+|mushrooms?)\b/,
  ),
  crust: row('surface', 'A white crust', /\b(?:crust\w*|salt\w*)\b/),
  sour: row('water', 'It smells sour', /\b(?:sour|smell\w*|stink\w*|rotten egg\w*)\b/),
  stays: row(
    'water',
    'The level does not fall',
    /\b(?:level (?:stays|does ?n.t fall|does not fall)|no water (?:is )?(?:used|drunk))\b/,
  ),
  fast: row(
    'water',
    'The level falls too fast',
    /\b(?:falls? (?:too )?fast|empty again|gone (?:again|in a day)|los(?:es|ing) water)\b/,
  ),
  algae: row('water', 'Green water or green slime', /\b(?:algae|green (?:water|slime))\b/),
  larvae: row('water', 'Larvae in the water', /\b(?:larvae|mosquito\w*|wrigglers?)\b/),
  roots: row('water', 'Roots in the water', /\broots? in the (?:water|tube|overflow|reservoir)\b/),
  slimy: row('water', 'The wick is slimy', /\b(?:slimy|wick (?:is |was )?(?:rotten|slime))\b/),
  'never-runs': row(
    'vessel',
    'The overflow never runs',
    /\boverflow (?:never|does ?n.t|didn.t|won.t) (?:ran|runs?)\b/,
  ),
  'runs-once': row(
    'vessel',
    'The overflow runs as soon as one pours',
    /\boverflow (?:runs|ran) (?:at once|right away|immediately)\b/,
  ),
  ice: row('vessel', 'Ice in it, or the wall bulges', /\b(?:ice|iced|frozen|bulg\w*)\b/),
  split: row('vessel', 'The wall is split', /\b(?:split|crack\w*)\b/),
  tips: row('vessel', 'It leans or has tipped', /\b(?:tipp\w+|lean\w*|fell over|blown over)\b/),
} as const satisfies Record<string, SymptomRow>;
export type Symptom = keyof typeof SYMPTOMS;
export const SYMPTOM_IDS = Object.keys(SYMPTOMS) as Symptom[];

/** Symptoms that hardly anything else looks like. */
const UNMISTAKABLE: ReadonlySet<Symptom> = new Set<Symptom>([
  'suckers',
  'holes',
  'powder',
  'bolts',
  'end-rot',
  'gnats',
  'film',
  'crust',
  'algae',
  'larvae',
  'roots',
  'ice',
  'split',
  'tips',
]);

/** Chance of a symptom where its cause is not known to bring it. */
export const seldom = (symptom: Symptom): number => (UNMISTAKABLE.has(symptom) ? 0.004 : 0.02);

/** Symptoms that a note of the log names, those that are told most closely first; none where it names nothing known. */
export function symptomsIn(text: string): Symptom[] {
  const words = text.toLowerCase().replace(/’/g, "'");
  const named = SYMPTOM_IDS.filter((id) => SYMPTOMS[id].words.test(words));
  // 'Wilts at noon' and 'one plant wilts' say it more closely than 'wilts'.
  const closer = named.includes('limp-noon') || named.includes('one-limp');
  return named.filter((id) => id !== 'limp-dawn' || !closer);
}

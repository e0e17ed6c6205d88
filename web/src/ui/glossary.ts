/** What the words of planters that water themselves mean, as one would say it over the fence. */
export const GLOSSARY: Readonly<Record<string, string>> = {
  'air gap': 'Air between the water and what the soil stands on. Roots breathe there.',
  base: 'What the soil stands on: a platform, stone, crates, or the floor of an upper vessel.',
  bore: 'The width of the way through a fitting, which is what lets the water out.',
  'crop coefficient':
    'How thirsty a plant is beside a lawn that is kept short: 1 drinks as much, 1.15 a little more.',
  'dip stick': 'A stick down the fill tube. It comes up wet as far as the water stands.',
  duty: 'How much of a hot day’s thirst the wicks can bring up.',
  'fill tube': 'The pipe from the top to the floor that you pour water into.',
  freeboard: 'What the soil is kept below the rim, so that water from above does not run over.',
  'hard rain': 'The heaviest rain that the overflow is meant to carry off.',
  lip: 'The lowest edge of the overflow. Water cannot stand higher.',
  'mild day': 'A day in spring or autumn: it drinks about half as much as a hot one.',
  mulch: 'A layer on top, such as straw or bark, that keeps the sun off the soil.',
  overflow: 'The opening that lets out what is too much, so that roots do not drown.',
  platform: 'A stiff sheet that bears the soil, with water and air under it.',
  reservoir: 'The room for water under the soil.',
  rim: 'The upper edge of a vessel.',
  'root room': 'How deep the soil is for the roots.',
  separator: 'Cloth, mesh or straw that keeps the soil out of the water and lets the water up.',
  settling: 'New mix sinks when it is watered, so more goes in than the room it fills later.',
  shoulder: 'Where a bottle gets narrow below its neck.',
  'split ring': 'A ring cut from a pail or pipe that the platform stands on.',
  'stranded water':
    'Water that stays below because no wick reaches it or brings it up fast enough.',
  'strip test':
    'Hang a strip of your cloth in water and measure how high it is wet after an hour and after a day.',
  'supply barrel': 'A barrel beside the planter that fills it through a float valve.',
  'until it reads low':
    'How long the water lasts, from full to the mark on the dip stick at which one fills; with grown plants.',
  'until plants go short':
    'How long one may be away: the soil’s own water is used up by then, too, and plants drink less than they want.',
  thirst: 'What plants and soil lose in a day.',
  'usable water': 'What the wicks bring up before a hot day’s thirst is more than half unmet.',
  valve: 'A float valve: it lets water in until the level is where you set it.',
  vessel: 'What the planter is made from: a pail, a tote, a barrel, a trough, a box.',
  'wet height': 'How far up your cloth is wet.',
  wick: 'Cloth, rope, or a cup or column of soil that carries water up.',
};

const TERMS = Object.keys(GLOSSARY).sort((a, b) => b.length - a.length);
/** Words in labels that stand for a term. */
const STANDS_FOR: Readonly<Record<string, string>> = {
  'allowed for settling': 'settling',
  'reads low': 'until it reads low',
  'go short': 'until plants go short',
  'water to use': 'usable water',
};

/** The term that a label is about, where it is a word that not everybody has heard. */
export function termIn(label: string): string | null {
  const said = label.toLowerCase();
  const other = Object.keys(STANDS_FOR).find((words) => said.includes(words));
  return STANDS_FOR[other ?? ''] ?? TERMS.find((term) => ODD.has(term) && has(said, term)) ?? null;
}

const has = (said: string, term: string): boolean =>
  new RegExp(`\\b${term.replace(/ /g, '\\s')}\\b`).test(said);

/** Terms that are asked about; the others are in everybody's mouth and stand in the list alone. */
const ODD: ReadonlySet<string> = new Set([
  'air gap',
  'bore',
  'crop coefficient',
  'dip stick',
  'freeboard',
  'hard rain',
  'lip',
  'root room',
  'separator',
  'settling',
  'shoulder',
  'split ring',
  'strip test',
  'supply barrel',
  'usable water',
  'valve',
  'wet height',
]);

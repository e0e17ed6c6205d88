import type { UnitSystem } from './kinds';

/** British or American words and spelling. */
export type WordStyle = 'british' | 'american';
export const WORD_STYLES: Readonly<Record<WordStyle, { name: string }>> = {
  british: { name: 'British' },
  american: { name: 'American' },
};

/** What is said in Huerta's own texts, and what an American gardener says. Longer ones first where one holds another. */
const AMERICAN: Readonly<Record<string, string>> = {
  'spring onions': 'scallions',
  'spring onion': 'scallion',
  'broad beans': 'fava beans',
  'broad bean': 'fava bean',
  'soya beans': 'soybeans',
  'soya bean': 'soybean',
  'pak choi': 'bok choy',
  'cape gooseberry': 'ground cherry',
  aubergines: 'eggplants',
  aubergine: 'eggplant',
  courgettes: 'zucchini',
  courgette: 'zucchini',
  rocket: 'arugula',
  coriander: 'cilantro',
  beetroot: 'beet',
  chillies: 'chilies',
  chilli: 'chili',
  gherkins: 'pickling cucumbers',
  gherkin: 'pickling cucumber',
  secateurs: 'pruning shears',
  bungs: 'plugs',
  bung: 'plug',
  millimetres: 'millimeters',
  millimetre: 'millimeter',
  centimetres: 'centimeters',
  centimetre: 'centimeter',
  millilitres: 'milliliters',
  millilitre: 'milliliter',
  metres: 'meters',
  metre: 'meter',
  litres: 'liters',
  litre: 'liter',
  centred: 'centered',
  centres: 'centers',
  centre: 'center',
  neighbours: 'neighbors',
  neighbour: 'neighbor',
  colours: 'colors',
  coloured: 'colored',
  colour: 'color',
  mouldy: 'moldy',
  mould: 'mold',
  fibres: 'fibers',
  fibre: 'fiber',
  grey: 'gray',
  galvanised: 'galvanized',
  aluminium: 'aluminum',
  labelled: 'labeled',
  levelled: 'leveled',
  towards: 'toward',
};

const KNOWN = new RegExp(
  `\\b(${Object.keys(AMERICAN)
    .sort((a, b) => b.length - a.length)
    .join('|')})\\b`,
  'gi',
);

/** The style of those who measure so, where nobody chose another. */
export const usualWords = (units: UnitSystem): WordStyle =>
  units === 'us' ? 'american' : 'british';

/** A text of Huerta's own in the words of the style; never for what a person wrote. */
export function inWords(text: string, style: WordStyle): string {
  if (style === 'british') return text;
  return text.replace(KNOWN, (found) => {
    const word = AMERICAN[found.toLowerCase()] ?? found;
    return found.charAt(0) === found.charAt(0).toLowerCase()
      ? word
      : word.charAt(0).toUpperCase() + word.slice(1);
  });
}

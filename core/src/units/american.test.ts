import fc from 'fast-check';
import { CROP_IDS, cropOf } from '../catalog';
import { inWords, say, tell, usualWords, WORD_STYLES } from '.';

test.each([
  ['Aubergine', 'Eggplant'],
  ['courgettes and rocket', 'zucchini and arugula'],
  ['Broad bean, then Pak choi', 'Fava bean, then Bok choy'],
  ['Sow coriander again', 'Sow cilantro again'],
  ['Mouldy? For each litre, from the centre', 'Moldy? For each liter, from the center'],
  // Only whole words.
  ['rocketing, metrestick, centrepiece', 'rocketing, metrestick, centrepiece'],
])('%s is %s to an American', (british, american) => {
  expect(inWords(british, 'american')).toBe(american);
  expect(inWords(british, 'british')).toBe(british);
});

test('those who measure in inches read American words, and may choose others', () => {
  const message = say`Move aubergine out of the shade.`;
  expect(tell(message, 'us')).toBe('Move eggplant out of the shade.');
  expect(tell(message, 'metric')).toBe('Move aubergine out of the shade.');
  expect(tell(message, 'us', 'british')).toBe('Move aubergine out of the shade.');
  expect(Object.keys(WORD_STYLES)).toContain(usualWords('metric'));
});

test('no two crops are called the same in either words, and a second reading changes nothing', () => {
  for (const style of ['british', 'american'] as const) {
    const names = CROP_IDS.map((id) => inWords(cropOf(id).name, style).toLowerCase());
    expect(new Set(names).size).toBe(names.length);
    fc.assert(
      fc.property(fc.constantFrom(...names), (name) => {
        expect(inWords(name, style)).toBe(name);
      }),
    );
  }
});

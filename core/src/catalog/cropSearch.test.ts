import { CROP_IDS, cropOf, cropsFor, datesOf } from '.';

test.each([
  ['romaine', 'cos-lettuce'],
  ['Rutabagas', 'swede'],
  ['mache', 'lambs-lettuce'],
  ['chili', 'chilli'],
  ['chiles', 'chilli'],
  ['zucchinis', 'courgette'],
  ['eggplants', 'aubergine'],
  ['arugula', 'rocket'],
  ['cilantro', 'coriander'],
  ['scallions', 'spring-onion'],
  ['potatoes', 'potato'],
  ['Cherry Tomatoes', 'cherry-tomato'],
  ['raspberries', 'raspberry'],
  ['beets', 'beetroot'],
  ['swiss chard', 'chard'],
  ['radishes', 'radish'],
  ['pole beans', 'climbing-bean'],
  ['fava beans', 'broad-bean'],
  ['napa', 'chinese-cabbage'],
  ['basil', 'basil'],
])('%s is found', (typed, id) => expect(cropsFor(typed)[0]).toBe(id));

test('every crop is the first that its own name and each of its other names finds', () => {
  for (const id of CROP_IDS) {
    const { name: own } = cropOf(id);
    for (const name of [own, own.endsWith('s') ? own : `${own}s`])
      expect([name, cropsFor(name)[0]]).toEqual([name, id]);
    for (const name of datesOf(id).names)
      if (name !== 'citrus') expect(cropsFor(name)).toContain(id);
  }
});

test('nothing typed is all, nonsense is nothing', () => {
  expect(cropsFor(' ')).toHaveLength(CROP_IDS.length);
  expect(cropsFor('xylophone')).toEqual([]);
});

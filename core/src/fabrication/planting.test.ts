import { evaluate } from '../assessment';
import { applyPatch, STARTING_POINTS, usualPlanted, type Patch, type Planted } from '../document';
import { tell, type UnitSystem } from '../units';
import { buildSheet } from '.';

/** The planting step as somebody with a trowel reads it. */
function sheetOf(id: string, crops: Planted[], patch: Patch = [], units: UnitSystem = 'metric') {
  const start = STARTING_POINTS.find((point) => point.id === id)!.design;
  const design = applyPatch(start, [{ path: ['planting', 'crops'], value: crops }, ...patch]);
  const { planter, assessment } = evaluate(design);
  const sheet = buildSheet(planter, assessment.figures, units);
  const step = (name: string) => sheet.steps.find((one) => one.id === name)!;
  const says = (name: string) =>
    step(name).doing.map((one) => tell(one, units).replaceAll('\u00a0', ' '));
  const part = (name: string) => {
    const found = sheet.parts.find((one) => one.id === name);
    return found ? tell(found.amount, units).replaceAll('\u00a0', ' ') : null;
  };
  return { plant: says('plant'), fill: says('fill'), part, step };
}
const FEED: Patch = [
  { path: ['soil', 'feed'], value: 'organic' },
  { path: ['soil', 'feedDose'], value: 5 },
  { path: ['soil', 'feedNitrogen'], value: 0.05 },
  { path: ['soil', 'limeDose'], value: 3 },
];
const at = (says: string[], words: RegExp) => says.findIndex((one) => words.test(one));

test('lime, stake, plant, trench: in that order', () => {
  const { plant, part, step } = sheetOf(
    'cloth-pail',
    [usualPlanted('tomato', 1, { support: 'stake' })],
    FEED,
  );
  const order = [/^Sprinkle the lime/, /^Push a stake/, /^Set the tomato where/, /^Draw a trench/];
  const found = order.map((words) => at(plant, words));
  expect(found).toEqual([...found].sort((a, b) => a - b));
  expect(found[0]).toBe(0);
  // A tomato of 1.7 m on a stake that stops short of the platform.
  expect(plant[1]).toMatch(/in 21 cm deep/);
  expect(part('support')).toBe('1 of 1.91 m');
  expect(step('plant').cautions.map(({ id }) => id)).toContain('topple');
});

test('what is sown says how deep, how many, and what wants light is not covered', () => {
  const { plant, part } = sheetOf('trough-pipes', [
    usualPlanted('climbing-bean', 6, { start: 'seed' }),
    usualPlanted('chamomile', 3, { start: 'seed' }),
    usualPlanted('garden-cress', 4, { start: 'seed', from: 40 }),
  ]);
  expect(plant[0]).toBe(
    'Sow climbing bean at 6 places, 20 cm apart, as the plan shows: two or three seeds in each, 40 mm deep. Keep the strongest.',
  );
  expect(plant[1]).toMatch(
    /^Sow chamomile at 3 places.*on top, not covered, because the seed wants light/,
  );
  expect(plant.at(-1)).toBe('After 40 days, sow garden cress at 4 places.');
  expect(part('plants')).toBe('Seed for 6 plants');
});

test('mesh carries two rows, posts are counted and as long as they must be', () => {
  const held = { support: 'mesh' } as const;
  const { plant, part } = sheetOf('trough-pipes', [usualPlanted('climbing-bean', 6, held)]);
  expect(plant[1]).toMatch(
    /^(Behind the row|Between the two rows|Between every two rows), set a post at each end/,
  );
  expect(part('posts')).toMatch(/^\d of 2\.\d+ m$/);
  expect(Number(part('posts')![0]) % 2).toBe(0);
});

test('beside a row of pails posts stand in the ground, the wire runs from end to end', () => {
  const { plant, part } = sheetOf('gutter-pails', [usualPlanted('tomato', 3, { support: 'wire' })]);
  expect(plant[0]).toBe('Set 3 plants of tomato where the plan shows.');
  expect(plant[1]).toMatch(/into the ground beside the pails/);
  expect(part('support')).toBe('2 of 1.9 m');
});

test('a crop with a pail of its own finds it free, though others are spread over the row', () => {
  const { plant } = sheetOf('gutter-pails', [
    usualPlanted('tomato', 4),
    usualPlanted('basil', 1, { bed: 0 }),
  ]);
  expect(plant).toEqual([
    'Set 4 plants of tomato where the plan shows.',
    'Set the basil where the plan shows.',
  ]);
});

test('what finds no room is said, and is not on the list to buy', () => {
  const { plant, part } = sheetOf('bottle', [usualPlanted('basil', 1), usualPlanted('pumpkin', 1)]);
  const none = plant.filter((one) => /^There is no room for/.test(one));
  expect(none).toHaveLength(1);
  expect([part('plants'), part('plants-1')].filter((one) => one === null)).toHaveLength(1);
  expect(plant.join(' ')).not.toMatch(/\b0 p/);
});

test('feed by how it is given, and nothing said twice', () => {
  const given = (how: string, id = 'tote-pipes') => {
    const { plant, fill } = sheetOf(
      id,
      [usualPlanted('pepper', 2)],
      [...FEED, { path: ['soil', 'feedHow'], value: how }],
    );
    return [...fill, ...plant].filter((one) => /granules/.test(one));
  };
  expect(given('mixed')).toEqual([expect.stringMatching(/^Mix the organic granules through it/)]);
  expect(given('bottom')).toEqual([
    expect.stringMatching(/^Lay the organic granules on the lowest/),
  ]);
  expect(given('strip')).toEqual([expect.stringMatching(/^Draw a trench a finger deep/)]);
  expect(given('top')).toEqual([expect.stringMatching(/^Strew the organic granules on top/)]);
  expect(given('worms', 'nested-totes')).toEqual([expect.stringMatching(/into the worm tube/)]);
  // Without one it goes on top, as the finding proposes.
  expect(given('worms')).toEqual([expect.stringMatching(/^Strew the organic granules on top/)]);
});

test('amounts are said as they are weighed out: kilograms for much, grams and spoons for little', () => {
  const bed = sheetOf('tank-crates', [usualPlanted('tomato', 4)], FEED);
  expect(bed.part('feed')).toMatch(/^\d\.\d kg \(\d+00 mL\)$/);
  const pail = sheetOf('cloth-pail', [usualPlanted('tomato', 1)], FEED, 'us');
  expect(pail.part('lime')).toBe('1.6 oz (2 1/2 tbsp)');
});

test('a planter that is carried with its first part is levelled again; what is too heavy for that is not carried', () => {
  const light: Patch = [{ path: ['place', 'liftLimit'], value: 25 }];
  const carried = /^If it does not stand in its place yet/;
  expect(
    at(sheetOf('tote-pipes', [usualPlanted('pepper', 2)], light).fill, carried),
  ).toBeGreaterThanOrEqual(0);
  expect(at(sheetOf('tank-crates', [usualPlanted('pepper', 2)]).fill, carried)).toBe(-1);
  expect(at(sheetOf('gutter-pails', [usualPlanted('pepper', 2)]).fill, carried)).toBe(-1);
});

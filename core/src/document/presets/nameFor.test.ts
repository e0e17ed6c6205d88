import { nameFor, STARTING_POINTS } from '..';

test('what begins from a card is called by its crop and its vessel, and never as another planter', () => {
  const names: string[] = [];
  for (const point of STARTING_POINTS) {
    const name = nameFor(point, names);
    expect(names).not.toContain(name);
    expect(name).toMatch(/^[A-Z][a-z ]+( \d+)?$/);
    if (point.id !== 'blank') expect(name).toContain(point.noun);
    names.push(name);
  }
  const salad = STARTING_POINTS.find(({ id }) => id === 'nested-totes')!;
  expect(nameFor(salad, [])).toBe('Salad tote');
  expect(nameFor(salad, ['Salad tote', 'Salad tote 2'])).toBe('Salad tote 3');
  const squash = STARTING_POINTS.find(({ id }) => id === 'coil-barrel')!;
  expect(nameFor(squash, [], (name) => name.replace('Courgette', 'Zucchini'))).toBe(
    'Zucchini half barrel',
  );
});

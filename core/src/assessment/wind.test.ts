import { applyPatch, STARTING_POINTS, usualPlanted, type Patch } from '../document';
import { evaluate } from '.';

const start = (id: string) => STARTING_POINTS.find((point) => point.id === id)!.design;
const windOf = (id: string, patch: Patch) => evaluate(applyPatch(start(id), patch)).assessment;
const grow = (support: string, wind = 'breezy', crop: 'tomato' | 'basil' = 'tomato'): Patch => [
  { path: ['planting', 'crops'], value: [usualPlanted(crop, 1, { support: support as 'cage' })] },
  { path: ['place', 'wind'], value: wind },
];

test('a pail with a caged tomato, worked out by hand', () => {
  // A straight pail 300 mm across inside, 2 mm wall, 400 mm deep; leaves an ellipse of 0.6 by 1.7 m.
  const { figures } = windOf('cloth-pail', [
    ...grow('cage'),
    { path: ['vessel', 'topDiameter'], value: 0.3 },
    { path: ['vessel', 'bottomDiameter'], value: 0.3 },
    { path: ['vessel', 'depth'], value: 0.4 },
    { path: ['vessel', 'wall'], value: 0.002 },
    { path: ['soil', 'freeboard'], value: 0.03 },
    { path: ['soil', 'mulch'], value: 'none' },
  ]);
  const leaves = (Math.PI / 4) * 0.6 * 1.7;
  const moment = 0.6 * (0.5 * leaves * (0.37 + 0.55 * 1.7) + 0.8 * 0.3 * 0.4 * 0.2);
  const holds = figures.weight.full * 9.80665 * 0.152;
  expect(figures.wind!.full).toBeCloseTo(Math.sqrt(holds / moment), 6);
  const without = holds - figures.standing * 998 * 9.80665 * 0.152;
  expect(figures.wind!.empty).toBeCloseTo(Math.sqrt(without / moment), 6);
});

test('a trough that is turned for its pipes shows the wind its long side all the same', () => {
  const design = start('trough-pipes');
  const of = (parts: typeof design.reservoir.parts) => {
    const reservoir = { ...design.reservoir, parts };
    const { figures } = evaluate({ ...design, reservoir }).assessment;
    return { sail: figures.wind!.sail, holds: figures.wind!.full ** 2 / figures.weight.full };
  };
  const [turned, not] = [of(design.reservoir.parts), of([])];
  expect(turned.sail).toBeCloseTo(not.sail, 9);
  expect(turned.holds).toBeCloseTo(not.holds, 9);
});

test('less water, more wind in the leaves and a firmer hold in the pot tip it sooner', () => {
  const held = (support: string) => windOf('tote-pipes', grow(support)).figures.wind!;
  const { full, half, empty } = held('cage');
  expect(full).toBeGreaterThan(half);
  expect(half).toBeGreaterThan(empty);
  expect(held('none').full).toBeGreaterThan(full);
  expect(held('string').full).toBeGreaterThan(held('none').full);
  expect(held('tied').full).toBeGreaterThan(held('string').full);
  expect(windOf('tote-pipes', grow('none', 'breezy', 'basil')).figures.wind!.full).toBeGreaterThan(
    30,
  );
});

test('indoors and in a framed bed nothing tips', () => {
  const indoors: Patch = [{ path: ['place', 'rain'], value: 'indoors' }];
  expect(windOf('cloth-pail', [...grow('cage'), ...indoors]).figures.wind).toBeNull();
  expect(windOf('film-bed', grow('cage')).figures.wind).toBeNull();
});

test('a tall tomato in a small pail tips, and every remedy that is offered keeps it standing', () => {
  for (const wind of ['breezy', 'windy']) {
    const design = applyPatch(start('cloth-pail'), grow('cage', wind));
    const found = evaluate(design).assessment.findings.find(({ id }) => id === 'tips')!;
    expect(found.severity).toBe('fault');
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const { patch } of found.remedies) {
      const after = evaluate(applyPatch(design, patch)).assessment.findings;
      expect(after.some(({ id }) => id === 'tips')).toBe(false);
    }
  }
});

test('what does not stand by itself is held up, and once it is, nothing is said of it', () => {
  const said = (support: string) =>
    windOf('tote-pipes', grow(support)).findings.some(({ id }) => id === 'support-0');
  expect(said('none')).toBe(true);
  expect(said('stake')).toBe(false);
  expect(
    windOf('tote-pipes', grow('none', 'calm', 'basil')).findings.some(
      ({ id }) => id === 'support-0',
    ),
  ).toBe(false);
});

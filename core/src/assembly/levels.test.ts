import { applyPatch, baseChanges, STARTING_POINTS, type Patch } from '../document';
import { levelsOf, moveLevel, assemble } from '.';

const design = STARTING_POINTS[0]!.design;
const ids = (of = design) => levelsOf(assemble(of)).map(({ id, label }) => `${id}: ${label}`);
const level = (id: string, of = design) => levelsOf(assemble(of)).find((one) => one.id === id)!;
const moved = (id: Parameters<typeof moveLevel>[1], to: number, of = design) =>
  applyPatch(of, moveLevel(assemble(of), id, to));

const markOf = ({ overflow }: typeof design) =>
  overflow && overflow.kind !== 'rim' ? overflow.centre : NaN;

test('the lines of a pail, from the floor up', () => {
  expect(ids()).toEqual(['overflow: Overflow lip', 'platform: Platform', 'surface: Soil surface']);
  expect(ids({ ...design, overflow: null })).toHaveLength(2);
  const bottles = applyPatch(design, baseChanges(design, 'bottles')[0]!);
  expect(ids(bottles)).toContain('platform: Bottles’ tops');
});

test('moving the lip moves the mark half a hole above it', () => {
  expect(level('overflow').height).toBeCloseTo(0.08, 12);
  expect(markOf(moved('overflow', 0.07))).toBeCloseTo(0.076, 12);
});

test('each moves its own measure and nothing else', () => {
  const higher = moved('platform', 0.12);
  expect(higher).toEqual(applyPatch(design, [{ path: ['reservoir', 'top'], value: 0.12 }]));
  expect(moved('surface', 0.32).soil.freeboard).toBeCloseTo(0.048, 12);
});

test.each<[Parameters<typeof moveLevel>[1], number, Patch[number]['path'], number]>([
  ['overflow', -1, ['overflow', 'centre'], 0.006],
  ['overflow', 9, ['overflow', 'centre'], 0.362],
  ['platform', -1, ['reservoir', 'top'], 0.005],
  ['platform', 9, ['reservoir', 'top'], 0.32],
  ['surface', 9, ['soil', 'freeboard'], 0],
  ['surface', -1, ['soil', 'freeboard'], 0.245],
])('%s pulled to %d stops at its end', (id, to, path, value) => {
  const found = path.reduce<unknown>(
    (at, key) => (at as Record<string, unknown>)[key],
    moved(id, to),
  );
  expect(found).toBeCloseTo(value, 9);
});

test('a platform stays above the foot of a wick that hangs high', () => {
  const hung = applyPatch(design, [{ path: ['wicks', 0, 'foot'], value: 0.05 }]);
  expect(level('platform', hung).min).toBeCloseTo(0.049, 9);
});

test('a line that is not there is not moved', () => {
  expect(moveLevel(assemble({ ...design, overflow: null }), 'overflow', 0.05)).toEqual([]);
});

test('a bag’s tray has no base to move, and a rim no mark', () => {
  const bags = STARTING_POINTS.find(({ id }) => id === 'bag-tray')!.design;
  expect(ids(bags)).toEqual(['surface: Soil surface']);
});

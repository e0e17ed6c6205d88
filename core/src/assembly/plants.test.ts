import fc from 'fast-check';
import { together } from '../physics/crop';
import { applyPatch, STARTING_POINTS, usualPlanted, type Planted } from '../document';
import { anyDesign } from '../testing/designs';
import { anyPlanted } from '../testing/plantings';
import { holds } from '../geometry/vessels';
import { assemble, discsOf, moveTo, plantingPlan, plantPlacesOf, type Planter } from '.';

const start = (id: string) => STARTING_POINTS.find((point) => point.id === id)!.design;
const grow = (id: string, ...crops: Planted[]) =>
  assemble(applyPatch(start(id), [{ path: ['planting', 'crops'], value: crops }]));

/** Stems stand clear of walls, of tubes, and of all that stands there at the same time. */
function keepsClear(planter: Planter): void {
  const { crops } = planter.design.planting;
  const { places } = plantingPlan(planter);
  const surface = planter.bed.inside.outlineAt(planter.heights.surface - planter.bed.floor);
  const tubes = planter.partGroups
    .filter(({ kind }) => kind === 'tube' || kind === 'inspection' || kind === 'worm')
    .flatMap(discsOf);
  for (const [i, one] of places.entries()) {
    if (!one.stands) continue;
    const bed = planter.bed.places[one.bed]!;
    expect(holds(surface, one.x - bed.x, one.y - bed.y)).toBe(true);
    for (const other of places.slice(i + 1)) {
      if (!other.stands || !together(crops[one.of]!, crops[other.of]!)) continue;
      if (other.bed !== one.bed) continue;
      expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(
        one.r + other.r - 1e-6,
      );
    }
    // The only plant of a surface that is smaller than itself stands in the middle all the same.
    if (places.length > 1 || one.byHand) {
      for (const tube of tubes)
        expect(Math.hypot(one.x - tube.x, one.y - tube.y)).toBeGreaterThanOrEqual(tube.r);
    }
  }
}

test('places never overlap stems, tubes or walls, whatever is planted where', () => {
  fc.assert(
    fc.property(anyDesign, fc.array(anyPlanted, { maxLength: 5 }), (design, crops) => {
      keepsClear(assemble(applyPatch(design, [{ path: ['planting', 'crops'], value: crops }])));
    }),
    { numRuns: 60 },
  );
});

test('three herbs share a pot, the tall one at the back', () => {
  const planter = grow(
    'cup-pail',
    usualPlanted('thyme', 1, { spacing: 0.12 }),
    usualPlanted('herb-fennel', 1, { spacing: 0.12 }),
    usualPlanted('parsley', 1, { spacing: 0.12 }),
  );
  const { places, stand } = plantingPlan(planter);
  expect(stand).toEqual([1, 1, 1]);
  keepsClear(planter);
  const y = (of: number) => places.find((place) => place.of === of)!.y;
  expect(y(1)).toBeGreaterThan(y(0));
});

test('what follows stands where what went before stood', () => {
  const planter = grow(
    'cloth-pail',
    usualPlanted('lettuce', 1, { stays: 50 }),
    usualPlanted('pepper', 1, { from: 50 }),
  );
  const { places, stand } = plantingPlan(planter);
  expect(stand).toEqual([1, 1]);
  expect(Math.hypot(places[0]!.x - places[1]!.x, places[0]!.y - places[1]!.y)).toBeLessThan(0.05);
});

test('each pail of a row may hold its own', () => {
  const gutter = start('gutter-pails');
  const beds = assemble(gutter).bed.places.length;
  const ids = ['tomato', 'pepper', 'basil', 'chard', 'chilli'] as const;
  const planter = grow(
    'gutter-pails',
    ...ids.map((id, i) => usualPlanted(id, 1, { bed: i % beds })),
  );
  const { places, stand } = plantingPlan(planter);
  expect(stand).toEqual([1, 1, 1, 1, 1].map((_one, i) => (i < beds ? 1 : stand[i])));
  places.forEach(({ of, bed }) => expect(bed).toBe(of % beds));
});

test('a plant that is moved stays where it is put, its fellows where they were', () => {
  const planter = grow('trough-pipes', usualPlanted('pepper', 3));
  const [first, second] = plantPlacesOf(planter);
  const patch = moveTo(planter, first!.id, { x: first!.x + 0.01, y: 0.02 });
  const moved = plantPlacesOf(assemble(applyPatch(planter.design, patch)));
  expect(moved[0]).toMatchObject({ byHand: true, y: 0.02 });
  expect(moved[1]!.x).toBeCloseTo(second!.x, 3);
});

test('eight crops in a bed are set out once and remembered', () => {
  const crops = (
    ['tomato', 'pepper', 'basil', 'chard', 'kale', 'lettuce', 'carrot', 'thyme'] as const
  ).map((id) => usualPlanted(id, 3));
  const planter = grow('film-bed', ...crops);
  expect(plantingPlan(planter)).toBe(plantingPlan(planter));
  keepsClear(planter);
});

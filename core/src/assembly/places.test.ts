import fc from 'fast-check';
import { evaluate } from '../assessment';
import { applyPatch, planterDesignSchema, STARTING_POINTS, type PlanterDesign } from '../document';
import { tell } from '../units';
import { anyDesign } from '../testing/designs';
import { assemble, keepPlaces, leavePlaces, moveBy, moveTo, placesOf } from '.';

const designOf = (id: string): PlanterDesign =>
  STARTING_POINTS.find((one) => one.id === id)!.design;

test('what is moved stands where it was put, and its fellows stay', () => {
  const planter = assemble(designOf('tank-crates'));
  const columns = placesOf(planter).filter(({ name }) => name === 'column');
  expect(columns).toHaveLength(4);
  const [first] = columns;
  const to = { x: first!.x + 0.05, y: first!.y };
  const moved = assemble(applyPatch(planter.design, moveTo(planter, first!.id, to)));
  const now = placesOf(moved).filter(({ name }) => name === 'column');
  expect(now[0]).toMatchObject({ byHand: true, stands: true, y: to.y });
  expect(now[0]!.x).toBeCloseTo(to.x, 4);
  now.slice(1).forEach((place, i) => {
    expect(Math.hypot(place.x - columns[i + 1]!.x, place.y - columns[i + 1]!.y)).toBeLessThan(1e-9);
  });
  // Left to Huerta again, it is as it was.
  const back = applyPatch(moved.design, leavePlaces(moved, now[0]!.id));
  expect(placesOf(assemble(back))).toEqual(placesOf(planter));
});

test('a tube under a sheet keeps its bridge; put over the edge it stands elsewhere, and that is said', () => {
  const planter = assemble(designOf('cloth-pail'));
  const tube = placesOf(planter).find(({ name }) => name === 'fill tube')!;
  const over = { x: planter.floor.a - tube.a, y: 0 };
  const design = applyPatch(planter.design, moveTo(planter, tube.id, over));
  const { planter: moved, assessment } = evaluate(design);
  expect(placesOf(moved).find(({ id }) => id === tube.id)).toMatchObject({ stands: false });
  const finding = assessment.findings.find(({ id }) => id === 'places-tube-0')!;
  expect(tell(finding.text, 'metric')).toMatch(
    /^Move the fill tube: it does not fit where you put it/,
  );
  const mended = applyPatch(design, finding.remedies[0]!.patch);
  expect(placesOf(assemble(mended))).toEqual(placesOf(planter));
});

test('a cup that is put onto another is left out and counted nowhere', () => {
  const planter = assemble(designOf('tote-pipes'));
  const cups = placesOf(planter).filter(({ name }) => name === 'cup');
  expect(cups).toHaveLength(2);
  const design = applyPatch(planter.design, moveTo(planter, cups[0]!.id, cups[1]!));
  const { assessment, planter: moved } = evaluate(design);
  expect(moved.of('cup')[0]!.parts).toHaveLength(1);
  expect(assessment.findings.map(({ id }) => id)).toContain('places-cup-0');
  expect(assessment.findings.map(({ id }) => id)).not.toContain('wicks-crowded-0');
});

test('things kept where they stand stand there to the last one, however tight they are', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const planter = assemble(design);
      for (const group of planter.partGroups) {
        const kept = assemble(applyPatch(design, keepPlaces(planter, group)));
        const now = kept.partGroups.find(({ id }) => id === group.id)!;
        expect([group.id, now.parts.length]).toEqual([group.id, group.parts.length]);
      }
    }),
    { numRuns: 40, endOnFailure: true },
  );
});

test('the overflow goes round the wall by as much as it is told, and a whole round is none', () => {
  const planter = assemble(designOf('cloth-pail'));
  const back = assemble(applyPatch(planter.design, moveTo(planter, 'overflow', { x: 0, y: 1 })));
  const place = placesOf(back).find(({ id }) => id === 'overflow')!;
  expect([place.x, place.y > 0.05]).toEqual([expect.closeTo(0, 4), true]);
  let now = planter;
  const radius = Math.hypot(place.x, place.y);
  for (let i = 0; i < 8; i += 1) {
    now = assemble(applyPatch(now.design, moveBy(now, 'overflow', (radius * Math.PI) / 4, 0)));
  }
  const round = placesOf(now).find(({ id }) => id === 'overflow')!;
  const start = placesOf(planter).find(({ id }) => id === 'overflow')!;
  expect(Math.hypot(round.x - start.x, round.y - start.y)).toBeLessThan(0.002);
});

test('anything of any design can be moved anywhere, and the document stays whole', () => {
  const far = fc.double({ min: -1.5, max: 1.5, noNaN: true });
  fc.assert(
    fc.property(anyDesign, fc.nat(), far, far, (design, n, x, y) => {
      const planter = assemble(design);
      const places = placesOf(planter);
      expect(new Set(places.map(({ id }) => id)).size).toBe(places.length);
      const place = places[n % Math.max(places.length, 1)];
      if (!place) return;
      const moved = applyPatch(design, moveTo(planter, place.id, { x, y }));
      expect(planterDesignSchema.safeParse(moved).success).toBe(true);
      const after = evaluate(moved);
      const now = placesOf(after.planter).find(({ id }) => id === place.id)!;
      if (!place.onWall) {
        expect([now.x, now.y]).toEqual([expect.closeTo(x, 3), expect.closeTo(y, 3)]);
        if (!now.stands) {
          const group = place.id.replace(/-\d+$/, '');
          expect(after.assessment.findings.map(({ id }) => id)).toContain(`places-${group}`);
        }
      }
    }),
    { numRuns: 150 },
  );
});

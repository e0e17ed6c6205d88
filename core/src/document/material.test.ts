import { assemble } from '../assembly';
import { evaluate } from '../assessment';
import { applyPatch, changeMaterial, STARTING_POINTS } from '.';

const bed = STARTING_POINTS.find(({ id }) => id === 'film-bed')!.design;

test('a bed of metal has a metal wall and weighs like one', () => {
  const metal = applyPatch(bed, changeMaterial(bed.vessel, 'metal'));
  expect(metal.vessel).toMatchObject({ material: 'metal', wall: 0.0009 });
  const [vessel] = assemble(metal).of('vessel');
  // Sheet of 0.9 mm: 7 kg a square metre of wall.
  const walls = 2 * (0.8 + 1.2) * 0.5;
  expect(vessel!.mass).toBeGreaterThan(6 * walls);
  expect(vessel!.mass).toBeLessThan(9 * walls);
  expect(evaluate(metal).assessment.figures.weight.full).toBeLessThan(
    evaluate(bed).assessment.figures.weight.full + 5,
  );
  // And back to boards.
  const wood = applyPatch(metal, changeMaterial(metal.vessel, 'wood'));
  expect(wood.vessel).toEqual(bed.vessel);
});

test('a wall that was measured stays where the other material is made as thick', () => {
  const pail = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design;
  expect(changeMaterial({ ...pail.vessel, wall: 0.0013 }, 'pe')).toEqual([
    { path: ['vessel', 'material'], value: 'pe' },
  ]);
});

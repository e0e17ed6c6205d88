import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { buildSheet } from '../fabrication';
import { evaluate, faultsOf } from '../assessment';
import { assemble, goesThrough } from '.';

/** One hollow support in the middle stands round what goes down through it. */

const pail = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design;
const support = (what: string, diameter: number, count = 1): Patch => [
  {
    path: ['reservoir', 'parts'],
    value: [{ kind: 'standing', what, count, diameter, wall: 0.0006, vents: 'both' }],
  },
];

test.each(['tub', 'bottle', 'jug', 'pipe', 'pot'])('a %s has the cloth through it', (what) => {
  const planter = assemble(applyPatch(pail, support(what, 0.14)));
  const [group] = planter.of('standing');
  expect(group!.parts).toMatchObject([{ x: 0, y: 0, foot: { form: 'ring' } }]);
  expect(goesThrough(group!, planter.partGroups).map(({ kind }) => kind)).toEqual(['cloth']);
  expect([...faultsOf(planter.design)]).toEqual([]);
  // Water is inside as outside: it takes its wall alone, under a tenth of a litre.
  const bare = assemble(applyPatch(pail, [{ path: ['reservoir', 'parts'], value: [] }]));
  const lost = bare.storage.volumeBelow(0.08) - planter.storage.volumeBelow(0.08);
  expect(lost).toBeGreaterThan(0);
  expect(lost).toBeLessThan(1e-4);
});

test('several stand beside the cloth, and what is too narrow for it, too', () => {
  for (const patch of [support('tub', 0.07, 4), support('tub', 0.03)]) {
    const [group] = assemble(applyPatch(pail, patch)).of('standing');
    expect(group!.parts.length).toBeGreaterThan(0);
    expect(group!.parts.every(({ foot }) => foot.form === 'disc')).toBe(true);
  }
});

test('a closed end is drilled as wide as the platform over it', () => {
  const { planter, assessment } = evaluate(applyPatch(pail, support('tub', 0.14)));
  const { holes } = buildSheet(planter, assessment.figures, 'metric');
  const bitOf = (id: string) => holes.find((hole) => hole.id === id)?.bit;
  expect(bitOf('standing-0-passage-0')).toBe(bitOf('cloth-0-deck'));
});

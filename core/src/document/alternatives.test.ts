import fc from 'fast-check';
import { contradictions, assemble } from '../assembly';
import { applyPatch, invertOf, overflowAs, STARTING_POINTS, usualBed } from '.';

const point = fc.constantFrom(...STARTING_POINTS.map(({ design }) => design));

test('an overflow made another way keeps its lip', () => {
  fc.assert(
    fc.property(point, fc.constantFrom('hole', 'fitting', 'rows'), (design, kind) => {
      const lip = invertOf(design);
      if (lip === null || design.overflow?.kind === 'rim') return;
      const changed = applyPatch(design, [{ path: ['overflow'], value: overflowAs(kind, design) }]);
      // One that stands high in the wall is brought down to where a hole can be made.
      expect(invertOf(changed)).toBeLessThanOrEqual(lip + 1e-9);
      expect(contradictions(changed).filter(({ path }) => path[0] === 'overflow')).toEqual([]);
    }),
  );
});

test('usual beds stand in or on a tote without a contradiction of their own', () => {
  const tote = STARTING_POINTS.find(({ id }) => id === 'tote-pipes')!.design;
  for (const kind of ['own', 'nested', 'bag'] as const) {
    const bed = usualBed(kind, tote);
    expect(bed?.kind ?? 'own').toBe(kind);
    const changed = applyPatch(tote, [{ path: ['bed'], value: bed }]);
    if (contradictions(changed).length === 0) expect(assemble(changed).bed.places.length).toBe(1);
  }
});

import fc from 'fast-check';
import { CROP_IDS } from '../catalog';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { assemble, changeCrop, contradictions, plantingPlan } from '.';

const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
const points = STARTING_POINTS.filter(({ design }) => design.planting.crops.length > 0);

test('another crop takes the share of the surface that was planted, in its usual way', () => {
  const barrel = designOf('coil-barrel');
  const room = plantingPlan(assemble(barrel)).room[0]!;
  const full = applyPatch(barrel, [{ path: ['planting', 'crops', 0, 'count'], value: room }]);
  const salad = applyPatch(full, changeCrop(full, 0, 'lettuce'));
  const { room: takes, stand } = plantingPlan(assemble(salad));
  expect(salad.planting.crops[0]!.count).toBe(takes[0]);
  expect(stand[0]).toBe(takes[0]);
  // And back: so many tomatoes as before, with a stake each.
  const back = applyPatch(salad, changeCrop(salad, 0, 'tomato')).planting.crops[0]!;
  expect(back).toMatchObject({ start: 'bought', support: 'stake' });
  expect(applyPatch(full, changeCrop(full, 0, 'radish')).planting.crops[0]!.start).toBe('seed');
  expect(applyPatch(full, changeCrop(full, 0, 'pea')).planting.crops[0]!.support).toBe('mesh');
});

test('whatever is chosen, what is proposed can be and finds its places', () => {
  fc.assert(
    fc.property(fc.constantFrom(...points), fc.constantFrom(...CROP_IDS), ({ design }, crop) => {
      const changed = applyPatch(design, changeCrop(design, 0, crop));
      expect(contradictions(changed)).toEqual([]);
      const { stand } = plantingPlan(assemble(changed));
      const { count } = changed.planting.crops[0]!;
      // One is offered where there is room for none: that is told beside it.
      expect(count === 1 || stand[0] === count).toBe(true);
    }),
    { numRuns: 150 },
  );
});

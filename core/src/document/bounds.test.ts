import fc from 'fast-check';
import { changedDesign } from '../testing/changed';
import { isWithinBounds } from './bounds';
import { applyPatch } from './patch';
import { STARTING_POINTS } from './presets';
import { planterDesignSchema, type PlanterDesign } from './schema';

const says = (design: PlanterDesign) => planterDesignSchema.safeParse(design).success;

test('says of any design what the schema says, asked once or twice', () => {
  const wrong = fc.constantFrom(
    { path: ['reservoir', 'top'], value: 99 },
    { path: ['place', 'etHot'], value: -1 },
    { path: ['soil', 'medium'], value: 'gravel' },
    { path: ['variant'], value: 'x'.repeat(2000) },
    { path: ['more'], value: 1 },
    { path: ['fillTube'], value: undefined },
    { path: ['layers'], value: null },
  );
  fc.assert(
    fc.property(changedDesign, fc.option(wrong), (design, change) => {
      const asked = change ? applyPatch(design, [change]) : design;
      expect([isWithinBounds(asked), isWithinBounds(asked)]).toEqual([says(asked), says(asked)]);
    }),
  );
});

test('all starting points are', () => {
  for (const { design } of STARTING_POINTS) expect(isWithinBounds(design)).toBe(true);
});

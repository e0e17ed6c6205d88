import fc from 'fast-check';
import type { PlanterResource } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import { vesselSize } from '../../drawing/vesselSize';
import { ledgesOf, rowsOf } from './ledges';

const planters = (which: readonly number[]): PlanterResource[] =>
  which.map((at, i) => ({
    id: `planter-${i}`,
    revision: 1,
    design: STARTING_POINTS[at]!.design,
    updatedAt: '2026-07-15T08:00:00Z',
  })) as unknown as PlanterResource[];

const some = fc.array(fc.integer({ min: 0, max: STARTING_POINTS.length - 1 }), {
  minLength: 1,
  maxLength: 30,
});

test('every planter stands once, in the order of the walk, on a ledge that has room for it', () => {
  fc.assert(
    fc.property(some, fc.integer({ min: 640, max: 2000 }), (which, width) => {
      const all = planters(which);
      const ledges = ledgesOf(all, width);
      expect(ledges.flatMap(({ places }) => places.map(({ planter }) => planter.id))).toEqual(
        all.map(({ id }) => id),
      );
      for (const { scale, height, places } of ledges) {
        const used = places.reduce((sum, place) => sum + place.width, 0);
        expect(places.length === 1 || used <= width).toBe(true);
        for (const { planter, wide } of places) {
          const size = vesselSize(planter.design);
          // At one scale, and none cut off.
          expect(wide).toBeGreaterThanOrEqual(size.wide * scale - 1);
          expect(height).toBeGreaterThanOrEqual(size.high * scale - 1);
        }
      }
    }),
  );
});

test('on a phone who wants something has a row, and the order of the walk is kept', () => {
  fc.assert(
    fc.property(some, fc.func(fc.boolean()), (which, wants) => {
      const all = planters(which);
      const rows = rowsOf(all, ({ id }) => wants(id));
      expect(rows.flatMap(({ places }) => places.map(({ planter }) => planter.id))).toEqual(
        all.map(({ id }) => id),
      );
      for (const { form, places } of rows) {
        expect(places.length).toBeLessThanOrEqual(form === 'row' ? 1 : 2);
        for (const { planter } of places) expect(wants(planter.id)).toBe(form === 'row');
      }
    }),
  );
});

import { assemble, plantingPlan } from '../../assembly';
import { SITES } from '../../catalog';
import { applyPatch, STARTING_POINTS, usualPlanted, type Planted } from '../../document';
import { dayAfter } from '../../physics/climate';
import { sowNow } from './sowNow';
import { frostFreeIn, yearOf } from './year';

const site = SITES.vallesol;
const PLANTED = '2026-05-01';
const bed = (crops: Planted[], id = 'film-bed') =>
  assemble(
    applyPatch(STARTING_POINTS.find((one) => one.id === id)!.design, [
      { path: ['planting', 'crops'], value: crops },
    ]),
  );
const names = (crops: Planted[], today: string, id?: string) =>
  sowNow(bed(crops, id), PLANTED, today, site).map(({ crop }) => crop);

test('what is offered has room, deep enough soil, and neither frost nor too short a season, for all starting points', () => {
  // Each in early summer or in autumn, in turn.
  for (const [n, { id, design }] of STARTING_POINTS.entries()) {
    const planter = assemble(design);
    for (const after of [n % 2 === 0 ? 30 : 150]) {
      const today = dayAfter(PLANTED, after);
      const offers = sowNow(planter, PLANTED, today, site);
      // Every fourth of them, as the rest is found in the same way.
      for (const one of offers.filter((_, i) => i % 4 === 0)) {
        const next = applyPatch(design, one.patch);
        const at = next.planting.crops.length - 1;
        // What grows there stays as it was; what is over is cleared.
        next.planting.crops
          .slice(0, at)
          .forEach((now, i) =>
            expect({ ...now, stays: null }).toEqual({ ...design.planting.crops[i], stays: null }),
          );
        const plan = plantingPlan({ ...planter, design: next });
        expect([id, one.crop, plan.stand[at]]).toEqual([id, one.crop, one.count]);
        expect(yearOf(next, PLANTED, site).bars[at]!.says).toEqual([]);
        expect(one.on >= today && one.harvest > one.on).toBe(true);
      }
    }
  }
});

test('in May tomatoes go out, in autumn they do not, and what bears frost still does', () => {
  expect(names([], '2026-06-01')).toContain('tomato');
  const { to } = frostFreeIn(site, PLANTED)!;
  const autumn = names([], dayAfter(to, -30));
  expect(autumn).not.toContain('tomato');
  expect(autumn.length).toBeGreaterThan(0);
});

test('where all is taken nothing is offered; what follows is offered for the day on which it is cleared', () => {
  const full = usualPlanted('tomato', 1, { stays: 50 });
  expect(names([full], dayAfter(PLANTED, 10), 'cloth-pail')).toEqual([]);
  const soon = sowNow(bed([full], 'cloth-pail'), PLANTED, dayAfter(PLANTED, 35), site);
  expect(soon.length).toBeGreaterThan(3);
  for (const one of soon) {
    expect(one.after).toBe('tomato');
    expect(one.on).toBe(dayAfter(PLANTED, 50));
  }
  expect(names([], '2026-06-01', 'bottle')).not.toContain('tomato');
});

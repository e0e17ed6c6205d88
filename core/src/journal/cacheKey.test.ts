import fc from 'fast-check';
import { FIRST_WEATHER } from '../physics/climate';
import { applyPatch, STARTING_POINTS } from '../document';
import { logEntry } from '../testing/entries';
import { cacheKeyOf, planterStateKey } from '.';

const entries = [1, 2, 3].map((n) =>
  logEntry(n, `2026-07-0${n}`, { kind: 'filled', where: 'tube', volume: 0.004, ran: true }),
);
const asked = {
  design: STARTING_POINTS[0]!.design,
  planted: '2026-05-01' as string | null,
  entries,
  choice: FIRST_WEATHER,
  measured: [],
  today: '2026-07-15',
};

test('the order in which entries came is of no matter, nor a way through JSON', () => {
  const mark = planterStateKey(asked);
  expect(planterStateKey({ ...asked, entries: entries.toReversed() })).toBe(mark);
  expect(planterStateKey(JSON.parse(JSON.stringify(asked)) as typeof asked)).toBe(mark);
});

test.each([
  ['an entry', { entries: entries.slice(1) }],
  ['the day', { today: '2026-07-16' }],
  ['the planting', { planted: null }],
  [
    'the design',
    { design: applyPatch(asked.design, [{ path: ['soil', 'freeboard'], value: 0.03 }]) },
  ],
  ['a measured day', { measured: [{ date: '2026-07-14', tMin: 14, tMax: 31, rain: 0 }] }],
  ['the weather', { choice: { ...FIRST_WEATHER, site: 'sierra' as never } }],
])('another mark where %s differs', (_, change) => {
  expect(planterStateKey({ ...asked, ...change })).not.toBe(planterStateKey(asked));
});

test('texts that differ have marks that differ', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (one, other) => {
      expect(cacheKeyOf(one) === cacheKeyOf(other)).toBe(one === other);
    }),
  );
});

import fc from 'fast-check';
import { tell } from '../units';
import { ACTIVITY_IDS, type EntryBody } from './entry';
import { readLine } from './line';
import { describeEntry } from './words';

/** What the log says of itself is read as what it was: so a table that is taken out can be brought in. */

const TODAY = '2026-07-15';
const millimetres = (most: number) => fc.integer({ min: 0, max: most }).map((mm) => mm / 1000);
const named = fc.constantFrom('lettuces', 'peppers', 'chard');

const did: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.record({
    kind: fc.constant('filled' as const),
    where: fc.constantFrom('tube' as const, 'top' as const),
    volume: fc.option(fc.integer({ min: 1, max: 99 }).map((tenths) => tenths / 10_000)),
    ran: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('level' as const), depth: millimetres(300) }),
  fc.record({
    kind: fc.constant('finger' as const),
    depth: fc.integer({ min: 1, max: 30 }).map((cm) => cm / 100),
    feels: fc.constantFrom('dry' as const, 'moist' as const, 'wet' as const),
  }),
  fc.record({ kind: fc.constant('rain' as const), depth: millimetres(80) }),
  fc.record({
    kind: fc.constant('fed' as const),
    what: fc.constantFrom('granules', 'compost tea', ''),
    mass: fc.option(fc.integer({ min: 1, max: 400 }).map((g) => g / 1000)),
  }),
  fc.record({
    kind: fc.constant('harvested' as const),
    what: named,
    mass: fc.constant(null),
    count: fc.option(fc.integer({ min: 1, max: 40 })),
  }),
  fc.record({
    kind: fc.constant('did' as const),
    what: fc.constantFrom(...ACTIVITY_IDS.filter((one) => one !== 'note')),
  }),
);

test('an entry as it is told is read as the same entry', () => {
  fc.assert(
    fc.property(did, (one) => {
      const words = tell(describeEntry(one), 'metric');
      const reading = readLine(words, { today: TODAY, system: 'metric' });
      expect({ words, reading }).toMatchObject({ words, reading: { ok: true } });
      if (!reading.ok) return;
      expect(reading.line.deeds.length).toBe(1);
      const { did: read } = reading.line.deeds[0]!;
      for (const [key, value] of Object.entries(one)) {
        const back = (read as Record<string, unknown>)[key];
        if (typeof value === 'number') expect(back).toBeCloseTo(value, 6);
        else expect({ words, key, back }).toEqual({ words, key, back: value });
      }
    }),
    { numRuns: 400 },
  );
});

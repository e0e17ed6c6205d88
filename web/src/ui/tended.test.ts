import type { UnexplainedReading } from '@huerta/core/journal';
import { wordsIn } from '@huerta/core/units';
import { sayUnexplained } from './tended';

const reading = (read: number, expected: number): UnexplainedReading => ({
  kind: 'stays',
  entry: {
    ...{ id: '00000000-0000-4000-8000-000000000001', planter: '', at: '2026-07-12T06:00:00.000Z' },
    ...{ by: '', text: '', typed: '', instead: null, gone: false },
    did: { kind: 'filled', where: 'tube', volume: read, ran: true },
  },
  read,
  expected,
});

test('what it took and what was expected are told in one unit, so that they can be compared', () => {
  const [{ words } = { words: '' }] = sayUnexplained(
    [reading(0.00061, 0.0031)],
    wordsIn('us').tell,
  );
  expect(words).toMatch(/it took 2\s1\/2\scups where 13\scups was expected\./);
});

test('of several readings of a kind the latest is told, with how often it was so before', () => {
  const said = sayUnexplained(
    [reading(0.001, 0.003), reading(0.002, 0.004)],
    wordsIn('metric').tell,
  );
  expect(said).toHaveLength(1);
  expect(said[0]?.words).toMatch(/it took 2\sL where 4\sL was expected, and once before\./);
});

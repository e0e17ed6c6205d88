import fc from 'fast-check';
import { evaluate } from '../assessment';
import { applyPatch, STARTING_POINTS } from '../document';
import {
  asBuilt,
  buildSheet,
  deviations,
  heldUpAt,
  merged,
  buildTimeText,
  timeLeft,
  progressEntrySchema,
  progressOf,
  type ProgressEntry,
} from '.';

const design = STARTING_POINTS[0]!.design;
const { planter, assessment } = evaluate(design);
const { steps } = buildSheet(planter, assessment.figures, 'metric');
const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString();
const entry = (key: string, value: ProgressEntry['value'], minute = 0): ProgressEntry => ({
  key,
  value,
  at: at(minute),
});

const anyEntry = fc.record({
  key: fc.constantFrom('done/test', 'done/fill', 'note/test'),
  value: fc.oneof(fc.boolean(), fc.string({ maxLength: 3 }), fc.constant(null)),
  at: fc.integer({ min: 0, max: 4 }).map(at),
});
const lists = fc.array(anyEntry, { maxLength: 8 });

test('two devices come to the same, whoever is heard first, and hearing twice is no harm', () => {
  fc.assert(
    fc.property(lists, lists, lists, (a, b, c) => {
      expect(merged(a, b)).toEqual(merged(b, a));
      expect(merged(merged(a, b), c)).toEqual(merged(a, merged(b, c)));
      expect(merged(a, a)).toEqual(merged(a));
    }),
  );
});

test('the later of two entries for a key holds', () => {
  const early = entry('done/test', true, 1);
  const late = entry('done/test', false, 2);
  expect(merged([late], [early])).toEqual([late]);
});

test('only marks that there are, with values that fit', () => {
  const ok = (key: string, value: unknown) =>
    progressEntrySchema.safeParse({ key, value, at: at(0) }).success;
  expect(ok('done/test', true)).toBe(true);
  expect(ok('check/test/leak', 'bad')).toBe(true);
  expect(ok('measure/overflow/centre', 0.09)).toBe(true);
  expect(ok('measure/overflow/centre', null)).toBe(true);
  expect(ok('check/test/leak', 'maybe')).toBe(false);
  expect(ok('done/test', 1)).toBe(false);
  expect(ok('../etc', true)).toBe(false);
});

test('a leak holds the build up until it is put right', () => {
  const bad = progressOf([entry('done/inspect', true), entry('check/test/leak', 'bad', 1)]);
  expect(heldUpAt(steps, bad)?.id).toBe('test');
  const [all, left] = [timeLeft(steps, progressOf([])), timeLeft(steps, bad)];
  expect(left.first).toBe(all.first - steps[0]!.minutes);
  expect(buildTimeText(all)).toMatch(
    /^\d.* for practised hands, .* the first time, and 15 min of waiting$/,
  );
  expect(left.practised).toBe(all.practised - steps[0]!.practised);
  const good = progressOf(
    merged([entry('check/test/leak', 'bad', 1)], [entry('check/test/leak', 'good', 9)]),
  );
  expect(heldUpAt(steps, good)).toBeNull();
});

test('what was built otherwise comes back as a patch with its own figures', () => {
  const progress = progressOf([
    entry('measure/overflow/centre', 0.092),
    entry('measure/overflow/diameter', 0.012),
    entry('measure/test/tilt', 0.006),
    entry('measure/test/poured', 0.06),
  ]);
  expect(deviations(steps, progress).map(({ measure }) => measure.id)).toEqual([
    'centre',
    'poured',
    'tilt',
  ]);
  const patch = asBuilt(steps, progress);
  expect(patch.map(({ path }) => path.join('.'))).toEqual(['overflow.centre', 'place.slopeAcross']);
  const built = evaluate(applyPatch(design, patch));
  expect(built.assessment.figures.gross).toBeGreaterThan(assessment.figures.gross);
  // 6 mm over the width of the water.
  expect(built.planter.design.place.slopeAcross).toBeCloseTo(
    0.006 / (2 * planter.vessel.halfAt(0.08)),
    9,
  );
  expect(asBuilt(steps, progressOf([entry('measure/overflow/centre', 0.086)]))).toEqual([]);
});

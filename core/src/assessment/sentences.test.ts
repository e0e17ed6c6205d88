import fc from 'fast-check';
import { STARTING_POINTS } from '../document';
import { tell } from '../units';
import { assemble } from '../assembly';
import { anyDesign } from '../testing/designs';
import { assess, cautionsFor, type BenchPanel } from '.';

test('every sentence about any design is whole, in both systems', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      for (const { text, remedies } of assess(assemble(design)).findings) {
        for (const message of [text, ...remedies.map((remedy) => remedy.label)]) {
          for (const units of ['metric', 'us'] as const) {
            const sentence = tell(message, units);
            expect(sentence).not.toMatch(/undefined|NaN|null|–\s|\[object|!/);
            expect(sentence.trim()).toBe(sentence);
          }
          // Pipes keep their names. Otherwise metric words hold no inches and the other way round.
          const plain = (units: 'metric' | 'us') =>
            tell(message, units).replace(/[\d/ .]+(mm|in) pipe/g, '');
          expect(plain('metric')).not.toMatch(/\d\s(in(?! the)|gal|lb)\b/);
          expect(plain('us')).not.toMatch(/\d\s(mm|cm|L|kg|kPa)\b/);
        }
        expect(tell(text, 'metric')).toMatch(/[.]$/);
        // What to do and why, in a glance: two lines of the bench’s right side, three where numbers are long.
        for (const units of ['metric', 'us'] as const) {
          expect(tell(text, units).length).toBeLessThanOrEqual(125);
        }
      }
    }),
    { numRuns: 25 },
  );
});

test('a finding’s name stands once in a list', () => {
  fc.assert(
    fc.property(anyDesign, (design) => {
      const ids = assess(assemble(design)).findings.map((finding) => finding.id);
      expect(new Set(ids).size).toBe(ids.length);
    }),
    { numRuns: 25 },
  );
});

describe('cautions stand where their hazard is', () => {
  const design = STARTING_POINTS[0]!.design;
  const of = (room: BenchPanel, changed = design) =>
    cautionsFor(room, changed).map((caution) => caution.id);

  test.each<[BenchPanel, string[]]>([
    ['vessel', ['contents', 'weight']],
    ['water', ['cutting', 'drinking']],
    ['tube', ['cutting', 'mosquitoes']],
    ['soil', ['dust']],
  ])('%s', (room, ids) => expect(of(room)).toEqual(ids));

  test('cups are cut, cloth is not; children are thought of where they come', () => {
    expect(of('wick')).toEqual([]);
    expect(of('wick', STARTING_POINTS[1]!.design)).toEqual(['cutting']);
    const near = { ...design, place: { ...design.place, children: true } };
    expect(of('water', near)).toContain('children');
    const indoors = { ...design, place: { ...design.place, rain: 'indoors' as const } };
    expect(of('tube', indoors)).toEqual(['cutting']);
  });
});

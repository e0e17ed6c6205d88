import fc from 'fast-check';
import {
  applyPatch,
  baseChanges,
  differences,
  SECTIONS,
  STARTING_POINTS,
  withParts,
  type BaseId,
  type DesignPart,
} from '.';
import { tell } from '../units';
import { anyDesign } from '../testing/designs';

const design = STARTING_POINTS[0]!.design;
const words = (patch: Parameters<typeof applyPatch>[1]) =>
  differences(design, applyPatch(design, patch)).flatMap(({ section, says }) =>
    says.map((one) => `${section} | ${tell(one, 'metric').replace(/\u00a0/g, ' ')}`),
  );

test('what differs is said in the words of the bench', () => {
  expect(words([{ path: ['soil', 'freeboard'], value: 0.04 }])).toEqual([
    'soil | Freeboard: 25 mm, then 40 mm',
  ]);
  expect(words([{ path: ['planting', 'crops', 0, 'crop'], value: 'basil' }])).toEqual([
    'planting | What grows: Sweet pepper, then Basil',
  ]);
  expect(words([{ path: ['fillTube'], value: null }])).toEqual([
    'fillTube | Fill tube: taken away',
  ]);
  expect(words([{ path: ['name'], value: 'Other' }])).toEqual([
    `name | ${design.name}, then Other`,
  ]);
  expect(words([])).toEqual([]);
});

test('a support’s numbers are told as its own fields are called', () => {
  const based = (base: BaseId) => applyPatch(design, baseChanges(design, base)[0]!);
  const after = (base: BaseId, key: string, value: number | string) => {
    const before = based(base);
    const other = applyPatch(before, [{ path: ['reservoir', 'parts', 0, key], value }]);
    return differences(before, other).flatMap(({ says }) =>
      says.map((one) => tell(one, 'metric').replace(/\u00a0/g, ' ')),
    );
  };
  expect(after('sticks', 'spacing', 0.05)).toEqual(['From stick to stick: 40 mm, then 50 mm']);
  expect(after('sticks', 'diameter', 0.01)).toEqual(['Stick, across: 12 mm, then 10 mm']);
  expect(after('lying', 'length', 0.2)).toEqual(['Length on the floor: 0 mm, then 200 mm']);
  expect(after('arch', 'width', 0.1)[0]).toMatch(/^Width of the panel: /);
  expect(after('tubs', 'what', 'pot')).toEqual(['Made of: Tubs, then Small pots']);
});

test('no two designs differ in silence, and parts of the other make the other', () => {
  const all = Object.keys(SECTIONS) as DesignPart[];
  fc.assert(
    fc.property(anyDesign, anyDesign, fc.subarray(all), (one, other, some) => {
      const found = differences(one, other);
      const same = all.filter((part) => !found.some(({ section }) => section === part));
      for (const part of same) expect(one[part]).toEqual(other[part]);
      for (const { says } of found) {
        expect(says.length).toBeGreaterThan(0);
        for (const message of says) {
          for (const units of ['metric', 'us'] as const) {
            expect(tell(message, units)).not.toMatch(/undefined|NaN|\[object/);
          }
        }
      }
      expect(withParts(one, other, all)).toEqual(other);
      const mixed = withParts(one, other, some);
      for (const part of all) {
        expect(mixed[part]).toEqual((some.includes(part) ? other : one)[part]);
      }
    }),
    { numRuns: 60 },
  );
});

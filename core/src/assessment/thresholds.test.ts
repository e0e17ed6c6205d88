import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { assemble } from '../assembly';
import { assess } from '.';
import { moveLip } from './patches';

/** Where a check begins and ends to speak, just on either side of its limit. */

const found = (id: string, patch: Patch, from = 'cloth-pail') => {
  const design = applyPatch(STARTING_POINTS.find((point) => point.id === from)!.design, patch);
  return assess(assemble(design)).findings.find((finding) => finding.id === id)?.severity ?? null;
};
const one = (path: (string | number)[], value: unknown): Patch => [{ path, value }];
/** The platform’s underside is at 100 mm and the hole is 12 mm. */
const lipAt = (mm: number) => one(['overflow', 'centre'], mm / 1000 + 0.006);

test.each<[string, number, string | null]>([
  ['overflow-above', 103, 'fault'],
  // Nobody marks and drills to a millimetre or two.
  ['overflow-above', 101.5, null],
  ['air-gap-small', 101.5, 'watch'],
  ['air-gap-small', 100, 'watch'],
  ['air-gap-small', 91, 'watch'],
  ['air-gap-small', 90, null],
  ['air-gap-wide', 56, null],
  ['air-gap-wide', 54, 'watch'],
])('%s with the lip at %d mm: %s', (id, mm, severity) =>
  expect(found(id, lipAt(mm))).toBe(severity),
);

test.each<[string, Patch, string | null]>([
  ['tube-hole-small', one(['fillTube', 'hole'], 0.0324), 'fault'],
  ['tube-hole-small', one(['fillTube', 'hole'], 0.0326), null],
  ['tube-hole-large', one(['fillTube', 'hole'], 0.0399), null],
  ['tube-hole-large', one(['fillTube', 'hole'], 0.0401), 'watch'],
  ['tube-short', one(['fillTube', 'length'], 0.388), null],
  ['tube-short', one(['fillTube', 'length'], 0.387), 'watch'],
  ['wick-foot-0', one(['wicks', 0, 'foot'], 0.005), null],
  ['wick-foot-0', one(['wicks', 0, 'foot'], 0.006), 'watch'],
  ['freeboard', one(['soil', 'freeboard'], 0.01), null],
  ['freeboard', one(['soil', 'freeboard'], 0.009), 'watch'],
  ['settlement', one(['soil', 'settlement'], 0.1), null],
  ['settlement', one(['soil', 'settlement'], 0.08), 'watch'],
  ['platform-sags', one(['reservoir', 'thickness'], 0.0026), null],
  ['platform-sags', one(['reservoir', 'thickness'], 0.0025), 'watch'],
  ['no-drains', one(['reservoir', 'drains'], { count: 0, diameter: 0.006 }), null],
  ['level-loss', one(['place', 'slopeAcross'], 0.011), null],
  ['level-loss', one(['place', 'slopeAcross'], 0.012), 'watch'],
  ['level-wet', one(['place', 'slopeAcross'], 0.076), null],
  ['level-wet', one(['place', 'slopeAcross'], 0.078), 'fault'],
  ['separator-none', one(['layers'], []), 'watch'],
  ['separator-none', one(['layers'], [{ what: 'mesh', thickness: 0.001, up: true }]), null],
])('%s with %j: %s', (id, patch, severity) => expect(found(id, patch)).toBe(severity));

test('feeding: an organic dose of a synthetic feed burns, the same of an organic one does not', () => {
  const feed = (kind: string, dose: number): Patch => [
    ...one(['soil', 'feed'], kind),
    ...one(['soil', 'feedDose'], dose),
  ];
  expect(found('feed-dose', feed('synthetic', 5))).toBe('fault');
  expect(found('feed-dose', feed('synthetic', 2))).toBeNull();
  expect(found('feed-dose', feed('organic', 5))).toBeNull();
  // What is far from the usual is told as a difference; the usual is not remarked on.
  expect(found('feed-unusual', feed('organic', 13))).toBe('note');
  expect(found('feed-unusual', feed('organic', 1))).toBe('note');
  expect(found('feed-unusual', feed('organic', 5))).toBeNull();
  expect(found('feed-liquid', feed('liquid', 0))).toBeNull();
  expect(found('feed-liquid', [...feed('liquid', 0), ...one(['soil', 'feedHow'], 'tube')])).toBe(
    'watch',
  );
});

test('lime is for those who like it', () => {
  const lime = (crop: string): Patch => [
    ...one(['planting', 'crops', 0, 'crop'], crop),
    ...one(['soil', 'limeDose'], 3),
  ];
  expect(found('lime-acid', lime('blueberry'))).toBe('fault');
  expect(found('lime-acid', lime('pepper'))).toBeNull();
});

test('an overflow matters most where rain falls in', () => {
  const without = (rain: string): Patch => [
    ...one(['overflow'], null),
    ...one(['place', 'rain'], rain),
  ];
  expect(found('overflow-missing', without('open'))).toBe('fault');
  expect(found('overflow-missing', without('covered'))).toBe('watch');
  expect(found('overflow-missing', without('indoors'))).toBe('watch');
  const small: Patch = [
    ...without('indoors'),
    ...one(['vessel', 'topDiameter'], 0.2),
    ...one(['vessel', 'bottomDiameter'], 0.19),
    ...one(['vessel', 'depth'], 0.25),
  ];
  expect(found('overflow-missing', small)).toBe('note');
});

test('bottles need no separator and no other wick, and an open tube is no matter indoors', () => {
  expect(found('separator-none', [], 'bottle-pail')).toBeNull();
  expect(found('wick-missing', [], 'bottle-pail')).toBeNull();
  const open = one(['fillTube', 'cap'], 'open');
  expect(found('tube-open', open)).toBe('watch');
  expect(found('tube-open', [...open, ...one(['place', 'rain'], 'indoors')])).toBeNull();
});

test.each<[number, string | null]>([
  // Flexible pipe of 80 mm lies there, in a mix that goes down to the floor.
  [110, null],
  [111, 'watch'],
  [180, 'watch'],
  [181, 'fault'],
])('mix over the pipes with the lip at %d mm: %s', (mm, severity) => {
  const coil = STARTING_POINTS.find(({ id }) => id === 'coil-barrel')!.design;
  const deep = [...one(['reservoir', 'top'], 0.25), ...moveLip(coil, mm / 1000 - 1e-6)];
  expect(found('mix-soaked', deep, 'coil-barrel')).toBe(severity);
});

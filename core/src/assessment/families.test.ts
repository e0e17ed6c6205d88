import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { tell } from '../units';
import { evaluate } from '.';

/** Families worked out by hand, where what is asked is not asked of a pail. */

const DAY = 86_400;
const of = (id: string, patch: Patch = []) =>
  evaluate(applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch));
const litres = (cubicMetres: number) => cubicMetres * 1000;
const one = (path: (string | number)[], value: unknown): Patch => [{ path, value }];
const said = (id: string, patch: Patch, finding: string) => {
  const found = of(id, patch).assessment.findings.find((one_) => one_.id === finding);
  return found ? tell(found.text, 'metric').replaceAll('\u00a0', ' ') : null;
};

test('a gutter lasts as long as its barrel and its channel together', () => {
  const { figures } = of('gutter-pails').assessment;
  // 200 L wait in the barrel; the channel holds what stands to the valve.
  expect(litres(figures.gross - figures.standing)).toBeCloseTo(200, 9);
  const days = 0.2 / figures.hot.total / DAY;
  expect(figures.lastsHot.days).toBeGreaterThan(days);
  expect(figures.lastsHot.days).toBeLessThan(days * 1.1);
  const without = of('gutter-pails', one(['reservoir', 'supply'], null)).assessment.figures;
  expect(without.lastsHot.days).toBeLessThan(figures.lastsHot.days - days * 0.8);
});

test('a barrel is no use to wicks that fall behind from a full channel', () => {
  const thin: Patch = one(
    ['wicks'],
    [
      {
        kind: 'cloth',
        material: 'synthetic-rope',
        legs: 1,
        width: 0.004,
        thickness: 0.004,
        foot: 0,
        spread: 0.02,
        strip: null,
      },
    ],
  );
  const { figures } = of('gutter-pails', thin).assessment;
  expect(figures.duty).toBeLessThan(1);
  // What comes up until the pails have dried out, and no more.
  expect(figures.usable).toBeLessThan(0.1 * figures.gross);
  expect(figures.lastsHot.days).toBeLessThan(4);
});

test('five pails hold five times one, and stand on one channel', () => {
  const five = of('gutter-pails').assessment.figures;
  const one_ = of('gutter-pails', [...one(['bed', 'count'], 1), ...one(['wicks', 0, 'count'], 1)])
    .assessment.figures;
  expect(five.soilVolume).toBeCloseTo(5 * one_.soilVolume, 9);
  expect(five.standing).toBeLessThan(one_.standing);
});

test('a box on legs loads each leg with a quarter', () => {
  const { weight } = of('box-legs').assessment.figures;
  expect(weight.perLeg).toBeCloseTo(weight.full / 4, 12);
  expect(of('film-bed').assessment.figures.weight.perLeg).toBeNull();
});

test('a box whose floor falls is deeper at its low end, and asks for no shim: the fall is meant', () => {
  // The overflow is at the high end: 8 mm to the metre over 1.2 m is 9.6 mm.
  const { tilt, standing } = of('box-legs', one(['vessel', 'fall'], 0.008)).assessment.figures;
  expect(tilt.shimAcross).toBe(0);
  expect(tilt.wettest).toBeCloseTo(0.06 + 0.0096, 12);
  expect(tilt.holds).toBeGreaterThan(standing);
  const towards = of('box-legs', [
    ...one(['vessel', 'fall'], 0.008),
    ...one(['place', 'falls'], 'towards'),
  ]).assessment.figures.tilt;
  expect(towards.wettest).toBeCloseTo(0.06, 12);
  expect(towards.holds).toBeLessThan(standing);
});

test('both slopes are said with their shims', () => {
  const patch = [...one(['place', 'slopeAcross'], 0.02), ...one(['place', 'slopeAlong'], 0.01)];
  const { findings } = of('tank-crates', patch).assessment;
  const level = findings.find(({ id }) => id.startsWith('level-'))!;
  const plain = (words: Parameters<typeof tell>[0]) =>
    tell(words, 'metric').replaceAll('\u00a0', ' ');
  expect(plain(level.text)).toBe('Level it: the water stands 95 mm to 128 mm deep.');
  expect(plain(level.remedies[0]!.label)).toMatch(
    /^Level it with 23 mm under the side away from the overflow and 9.6 mm under the front/,
  );
});

test('nested totes: the water stands between and below, the soil in the upper one', () => {
  const { planter, assessment } = of('nested-totes');
  expect(planter.heights.rim).toBeCloseTo(0.115 + 0.0022 + 0.31, 9);
  expect(assessment.figures.growingDepth).toBeCloseTo(0.31 - 0.025, 9);
  // Over the lower rim there is no hole to mark, only a height.
  const high = of('nested-totes', [
    ...one(['overflow'], { kind: 'rim' }),
    ...one(['reservoir', 'top'], 0.32),
  ]);
  expect(high.planter.heights.invert).toBeCloseTo(0.31, 12);
  expect(high.assessment.figures.airGap).toBeCloseTo(0.01, 12);
});

test('an elbow turned up lifts the lip above its mark', () => {
  const { planter } = of('stone-pot');
  // Centre 64 mm, bore 16 mm, turned up by 8 mm: 64 − 8 + 8.
  expect(planter.heights.invert).toBeCloseTo(0.064, 12);
});

test('stone brought level with the overflow is contact, not a fault; pots want their air', () => {
  const level = (id: string, lip: number) =>
    of(id, [
      ...one(['overflow'], {
        kind: 'hole',
        centre: lip + 0.006,
        diameter: 0.012,
        count: 1,
        screened: true,
      }),
    ]).assessment.findings.map((finding) => finding.id);
  expect(level('stone-pot', 0.08)).not.toContain('air-gap-small');
  expect(level('stone-pot', 0.09)).toContain('overflow-above');
  expect(level('cloth-pail', 0.098)).toContain('air-gap-small');
});

test('a windowsill bottle may go without an overflow, outdoors it may not', () => {
  const severity = (patch: Patch) =>
    of('bottle', patch).assessment.findings.find((one_) => one_.id === 'overflow-missing')
      ?.severity;
  expect(severity([])).toBe('note');
  expect(severity(one(['place', 'rain'], 'open'))).toBe('fault');
});

test('a tray of open water is a danger where children come', () => {
  const find = (patch: Patch) =>
    of('bag-tray', patch).assessment.findings.find((one_) => one_.id === 'open-tray');
  expect(find([])?.severity).toBe('watch');
  expect(find(one(['place', 'children'], true))?.severity).toBe('danger');
  expect(find(one(['place', 'rain'], 'indoors'))).toBeUndefined();
});

test('stone is weighed by its bulk density', () => {
  const { figures } = of('rock-bed').assessment;
  const rock = figures.aggregates.find(({ medium }) => medium === 'rounded-rock')!;
  const sand = figures.aggregates.find(({ medium }) => medium === 'coarse-sand')!;
  // 2.4 by 1.2 m: 160 mm of rock and 40 mm of sand, less columns and tube.
  expect(rock.volume).toBeGreaterThan(0.9 * 2.4 * 1.2 * 0.16 * 0.9);
  expect(sand.volume).toBeLessThan(2.4 * 1.2 * 0.04);
  expect(figures.weight.dry).toBeGreaterThan(rock.volume * 1580 + sand.volume * 1600);
});

test('a covered surface takes in no rain, and so never drowns', () => {
  const open = of('trough-pipes').assessment.figures;
  const covered = of('trough-pipes', one(['place', 'rain'], 'covered')).assessment.figures;
  expect(open.rainIn).toBeGreaterThan(0);
  expect(covered.rainIn).toBe(0);
  expect(covered.stormClimb).toBe(0);
});

test('wood chip says that it rots, thin film that it is thin', () => {
  const chip = one(['reservoir', 'fill', 0, 'medium'], 'wood-chip');
  expect(said('film-bed', chip, 'fill-rots')).toContain('rots');
  expect(said('film-bed', [], 'liner-thin')).toContain('Lay the film double');
});

import { INCH_BITS, METRIC_BITS } from '../catalog';
import { applyPatch, STARTING_POINTS } from '../design';
import { resolve } from '../planter';
import { tell } from '../quantity';
import { holesOf, piecesOf, planCuts } from '.';

const planterOf = (id: string) => resolve(STARTING_POINTS.find((point) => point.id === id)!.design);
const plain = (text: string) => text.replaceAll('\u00a0', ' ');

describe('holes', () => {
  test('every one of every family has a drill of the chosen set, and says where and why', () => {
    for (const { design } of STARTING_POINTS) {
      for (const units of ['metric', 'us'] as const) {
        const bits = units === 'us' ? INCH_BITS : METRIC_BITS;
        for (const hole of holesOf(resolve(design), units)) {
          expect(hole.count).toBeGreaterThan(0);
          expect(hole.bit).toBeGreaterThanOrEqual(hole.diameter - 1e-6);
          if (hole.diameter <= bits[bits.length - 1]!) expect(bits).toContain(hole.bit);
          expect(tell(hole.where, units) && tell(hole.why, units)).not.toMatch(/undefined|NaN/);
        }
      }
    }
  });

  test('an overflow that is drilled with a bit of another size keeps its lip', () => {
    const pail = planterOf('cloth-pail');
    const [metric] = holesOf(pail, 'metric');
    const [inch] = holesOf(pail, 'us');
    expect(plain(tell(metric!.where, 'metric'))).toContain('middle 86 mm above');
    // 12 mm becomes half an inch: the mark is 0.35 mm higher for the same lip of 80 mm.
    expect(inch!.bit).toBeCloseTo(0.0127, 12);
    expect(inch!.where.find((part) => typeof part === 'object')).toMatchObject({
      value: expect.closeTo(0.08635, 9),
    });
    expect(plain(tell(inch!.why, 'metric'))).toContain('lip comes to 80 mm');
  });

  test('a split ring needs none, closed supports get none, and rows are counted', () => {
    const ids = (id: string) => holesOf(planterOf(id), 'metric').map((hole) => hole.id);
    expect(ids('cloth-pail')).toEqual(['overflow', 'tube', 'wick-0', 'drain']);
    expect(ids('trough-pipes')).toEqual(['overflow', 'joint']);
    expect(holesOf(planterOf('air-barrel'), 'metric')[0]).toMatchObject({ count: 40 });
    const shut = applyPatch(STARTING_POINTS[1]!.design, [
      { path: ['reservoir', 'parts', 0, 'vents'], value: 'sealed' },
    ]);
    expect(holesOf(resolve(shut), 'metric').map(({ id }) => id)).not.toContain('vents-0');
  });
});

describe('pieces', () => {
  test('a tube is as long as the design says, supports as high as the base', () => {
    const cuts = piecesOf(planterOf('tote-pipes'));
    const all = cuts.flatMap(({ pieces }) => pieces);
    expect(all.find(({ label }) => label === 'Fill tube')!.length).toBeCloseTo(0.44, 9);
    expect(all.find(({ label }) => label === 'Support')).toMatchObject({
      length: 0.09,
      count: 14,
    });
  });

  test('every length of every family comes out of stock that is sold', () => {
    for (const { id, design } of STARTING_POINTS) {
      for (const { pieces } of piecesOf(resolve(design))) {
        const plan = planCuts(pieces, { length: 3, kerf: 0.003 });
        const wanted = pieces.reduce((sum, { count }) => sum + count, 0);
        const cut = plan.bars.reduce((sum, bar) => sum + bar.pieces.length, 0);
        expect([id, plan.tooLong]).toEqual([id, []]);
        expect([id, cut]).toEqual([id, wanted]);
      }
    }
  });

  test('a box takes two long boards that cover the ends of two short ones', () => {
    const boards = piecesOf(planterOf('box-legs')).find(({ id }) => id === 'boards')!;
    expect(boards.pieces).toEqual([
      { label: 'Long side', length: 1.25, count: 2 },
      { label: 'Short side', length: 0.5, count: 2 },
    ]);
  });
});

import fc from 'fast-check';
import {
  applyPatch,
  planterDesignSchema,
  STARTING_POINTS,
  type Patch,
  type PlanterDesign,
} from '../document';
import { tell } from '../units';
import { anyDesign } from '../testing/designs';
import { assess, evaluate, rank, type DaysOfWater } from '.';
import { figuresOf } from './figures';
import { assemble } from '../assembly';

const start = (id: string): PlanterDesign =>
  STARTING_POINTS.find((point) => point.id === id)!.design;
const findingsOf = (design: PlanterDesign) => assess(assemble(design)).findings;
const change = (path: (string | number)[], value: unknown): Patch => [{ path, value }];

describe('figures', () => {
  test('usable and stranded water make up the gross, and nothing is negative', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const f = figuresOf(assemble(design));
        expect(f.usable + f.stranded).toBeCloseTo(f.gross, 12);
        expect(f.beyondReach).toBeLessThanOrEqual(f.stranded + 1e-12);
        for (const value of [f.gross, f.usable, f.soilVolume, f.lastsHot.days, f.weight.empty]) {
          expect(value).toBeGreaterThanOrEqual(0);
        }
        expect(f.weight.full).toBeGreaterThan(f.weight.dry);
      }),
    );
  });

  test('with a strong wick the reservoir lasts usable water over demand', () => {
    const { figures } = evaluate(start('cloth-pail')).assessment;
    const days = figures.usable / figures.hot.total / 86_400;
    expect(figures.lastsHot.days).toBeCloseTo(days, 9);
  });

  test('a sub-strength wick keeps water in the pail and plants short', () => {
    const thin = applyPatch(start('cloth-pail'), [
      { path: ['wicks', 0, 'legs'], value: 1 },
      { path: ['wicks', 0, 'width'], value: 0.006 },
    ]);
    const { figures } = evaluate(thin).assessment;
    expect(figures.duty).toBeLessThan(1);
    // What comes up until plants go short.
    expect(figures.usable).toBeLessThan(0.2 * figures.gross);
    const whole = ({ days, reserve }: DaysOfWater): number => days + reserve;
    const sound = evaluate(start('cloth-pail')).assessment.figures;
    expect(whole(figures.lastsHot)).toBeLessThan(whole(sound.lastsHot));
  });

  test('starting points are sound: nothing worse than something to watch', () => {
    for (const { id, design } of STARTING_POINTS.filter((point) => point.id !== 'blank')) {
      const worst = findingsOf(design).map((f) => `${id}: ${f.severity} ${f.id}`);
      expect(worst.filter((line) => /danger|fault/.test(line))).toEqual([]);
    }
  });
});

describe('findings', () => {
  test.each<[string, string, Patch]>([
    ['overflow-above', 'cloth-pail', change(['overflow', 'centre'], 0.13)],
    ['air-gap-small', 'cloth-pail', change(['overflow', 'centre'], 0.101)],
    ['air-gap-wide', 'cloth-pail', change(['overflow', 'centre'], 0.05)],
    ['overflow-missing', 'cloth-pail', change(['overflow'], null)],
    ['overflow-unscreened', 'cloth-pail', change(['overflow', 'screened'], false)],
    [
      'overflow-storm',
      'cloth-pail',
      [...change(['overflow', 'diameter'], 0.003), ...change(['place', 'storm'], 6e-5)],
    ],
    ['wick-missing', 'cloth-pail', change(['wicks'], [])],
    ['wick-foot-0', 'cloth-pail', change(['wicks', 0, 'foot'], 0.03)],
    ['wick-reach-0', 'cloth-pail', change(['reservoir', 'top'], 0.2)],
    ['wick-weak', 'cloth-pail', change(['wicks', 0, 'width'], 0.002)],
    ['supports-airlock-0', 'cup-pail', change(['reservoir', 'parts', 0, 'vents'], 'foot')],
    ['supports-sealed-0', 'bottle-pail', change(['reservoir', 'parts', 0, 'vents'], 'sealed')],
    ['supports-crowded-0', 'bottle-pail', change(['reservoir', 'parts', 0, 'count'], 40)],
    ['platform-sags', 'cloth-pail', change(['reservoir', 'thickness'], 0.001)],
    [
      'no-drains',
      'cloth-pail',
      [...change(['reservoir', 'drains'], { count: 0, diameter: 0.006 }), ...change(['wicks'], [])],
    ],
    [
      'roots-short',
      'cloth-pail',
      [...change(['planting', 'crops', 0, 'crop'], 'tomato'), ...change(['place', 'daysAway'], 1)],
    ],
    ['days-short', 'cup-pail', change(['place', 'daysAway'], 5)],
    ['tube-missing', 'cloth-pail', change(['fillTube'], null)],
    ['tube-hole-small', 'cloth-pail', change(['fillTube', 'hole'], 0.03)],
    ['tube-hole-large', 'cloth-pail', change(['fillTube', 'hole'], 0.06)],
    ['tube-short', 'cloth-pail', change(['fillTube', 'length'], 0.36)],
    ['tube-foot', 'cloth-pail', change(['fillTube', 'foot'], 'square')],
    ['tube-open', 'cloth-pail', change(['fillTube', 'cap'], 'open')],
    ['mix-poor', 'cloth-pail', change(['soil', 'medium'], 'ground-soil')],
    [
      'mix-poor',
      'cloth-pail',
      change(['soil', 'recipe'], {
        parts: [
          { what: 'hulls', parts: 3 },
          { what: 'coir', parts: 1 },
        ],
        measured: null,
      }),
    ],
    ['dry-fill', 'cloth-pail', change(['soil', 'moistened'], false)],
    ['settlement', 'cloth-pail', change(['soil', 'settlement'], 0)],
    ['freeboard', 'cloth-pail', change(['soil', 'freeboard'], 0)],
    ['separator-film', 'cloth-pail', change(['layers', 0, 'what'], 'film')],
    ['separator-none', 'cloth-pail', change(['layers'], [])],
    ['mulch-none', 'cloth-pail', change(['soil', 'mulch'], 'none')],
    ['drain-hole', 'cloth-pail', change(['vessel', 'drainHole'], 'open')],
    ['dark-wall', 'cloth-pail', change(['vessel', 'colour'], 'dark')],
    ['clear-wall', 'cloth-pail', change(['vessel', 'colour'], 'clear')],
    ['level-wet', 'cloth-pail', change(['place', 'slopeAcross'], 0.1)],
    ['level-loss', 'cloth-pail', change(['place', 'slopeAcross'], 0.03)],
    ['cracked', 'tote-pipes', change(['vessel', 'cracked'], 'open')],
    ['soft-wall', 'tote-pipes', change(['vessel', 'rigid'], false)],
    ['liner-none', 'film-bed', change(['vessel', 'liner'], 'none')],
    ['liner-thin', 'film-bed', []],
    ['liner-sharp', 'film-bed', change(['reservoir', 'fill', 0, 'medium'], 'crushed-stone')],
    ['level-wet', 'box-legs', change(['vessel', 'fall'], 0.03)],
    ['roots-first', 'rock-bed', change(['wicks'], [])],
    ['wicks-crowded-0', 'tote-pipes', change(['wicks', 0, 'count'], 20)],
    ['fabric-sags', 'pot-tub', change(['reservoir', 'parts', 0, 'count'], 1)],
    ['plants-crowded', 'cloth-pail', change(['planting', 'crops', 0, 'count'], 6)],
    ['pipe-open-0', 'nested-totes', change(['pipes', 0, 'capped'], false)],
    ['supports-crowded-0', 'trough-pipes', change(['reservoir', 'parts', 0, 'count'], 5)],
    ['openings-low', 'panel-barrel', change(['soil', 'freeboard'], 0.1)],
    ['supports-sealed-0', 'panel-barrel', change(['reservoir', 'parts', 0, 'vents'], 'sealed')],
  ])('%s is found, and its first remedy mends it', (id, from, patch) => {
    const design = applyPatch(start(from), patch);
    const finding = findingsOf(design).find((f) => f.id === id);
    expect(finding).toBeDefined();
    const [remedy] = finding!.remedies;
    expect(remedy && tell(remedy.label, 'metric')).toBeTruthy();
    const mended = findingsOf(applyPatch(design, remedy!.patch));
    expect(mended.map((f) => f.id)).not.toContain(id);
  });

  test.each<[string, Patch]>([
    ['contents-harmful', change(['vessel', 'formerContents'], 'harmful')],
    ['contents-unknown', change(['vessel', 'formerContents'], 'unknown')],
    ['plastic-code', change(['vessel', 'material'], 'unknown')],
    ['plastic-code', change(['vessel', 'material'], 'treated-wood')],
    ['floor-load', change(['place', 'floorLimit'], 1000)],
    ['lift', change(['place', 'liftLimit'], 10)],
    ['frost', change(['place', 'frost'], true)],
    ['thin-wall', change(['vessel', 'wall'], 0.0005)],
    ['carry', [...change(['vessel', 'material'], 'metal'), ...change(['vessel', 'wall'], 0.012)]],
  ])('%s is said plainly, and no change of the design pretends to mend it', (id, patch) => {
    const finding = findingsOf(applyPatch(start('cloth-pail'), patch)).find((f) => f.id === id);
    expect(finding).toMatchObject({ remedies: [] });
  });

  test('a base of rock says that it holds less than it looks', () => {
    expect(findingsOf(start('rock-bed')).map((f) => f.id)).toContain('full-of-stone');
  });

  test.each(['valve-mains', 'open-tray'])('%s is said of every build that has it', (id) => {
    const from = id === 'valve-mains' ? 'gutter-pails' : 'bag-tray';
    expect(findingsOf(start(from)).map((f) => f.id)).toContain(id);
    expect(findingsOf(start('cloth-pail')).map((f) => f.id)).not.toContain(id);
  });

  test('an open tube is a danger where children come', () => {
    const design = applyPatch(start('cloth-pail'), [
      { path: ['fillTube', 'cap'], value: 'open' },
      { path: ['place', 'children'], value: true },
    ]);
    expect(findingsOf(design)[0]).toMatchObject({ id: 'tube-open', severity: 'danger' });
  });

  test('a weak wick is told by what a hot day takes and what comes up of it', () => {
    const design = applyPatch(start('cloth-pail'), change(['wicks', 0, 'width'], 0.002));
    const { figures, findings } = evaluate(design).assessment;
    const text = tell(findings.find(({ id }) => id === 'wick-weak')!.text, 'metric');
    const litres = [...text.matchAll(/([\d.]+)\u00a0L/g)].map(([, number]) => Number(number));
    const day = 86_400_000;
    expect(litres).toHaveLength(2);
    expect(Math.abs(litres[0]! - figures.hot.total * day)).toBeLessThan(0.006);
    expect(Math.abs(litres[1]! - figures.delivery * day)).toBeLessThan(0.006);
    expect(litres[1]).toBeGreaterThan(0);
  });

  // Of the mix alone: coir mix gets wet 320 mm high, whatever sand or stone lies under it.
  test.each([
    ['box-legs', 0.03, false],
    ['box-legs', -0.09, true],
    ['cut-barrel', 0, true],
    ['cloth-pail', 0, false],
  ])('%s with its soil %s m lower says whether seedlings stay dry: %s', (id, lower, says) => {
    const design = start(id);
    const { freeboard } = design.soil;
    const deeper = applyPatch(design, [
      { path: ['soil', 'freeboard'], value: Math.max(freeboard + lower, 0) },
      ...change(['vessel', 'depth'], assemble(design).vessel.depth - Math.min(lower, 0)),
    ]);
    const { heights } = assemble(deeper);
    expect(heights.surface - heights.base > 0.32).toBe(says);
    expect(findingsOf(deeper).some((found) => found.id === 'soil-deep')).toBe(says);
  });

  test('the sentence carries the numbers, in either system', () => {
    const design = applyPatch(start('cloth-pail'), change(['overflow', 'centre'], 0.115));
    const { text, remedies } = findingsOf(design).find((f) => f.id === 'overflow-above')!;
    expect(tell(text, 'metric').replaceAll('\u00a0', ' ')).toContain('lip: 9 mm above');
    expect(tell(text, 'us').replaceAll('\u00a0', ' ')).toContain('lip: 3/8 in above');
    expect(tell(remedies[0]!.label, 'metric').replaceAll('\u00a0', ' ')).toBe(
      'Move the mark to 86 mm, lip 80 mm: leaves 3.7 L of 5.3 L to use',
    );
  });

  test('worst first', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const ranks = findingsOf(design).map((f) => rank(f.severity));
        expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
      }),
      { numRuns: 30 },
    );
  });

  test('every remedy of any design removes its finding and brings nothing as bad', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const before = findingsOf(design);
        for (const finding of before) {
          for (const { patch } of finding.remedies) {
            const mended = applyPatch(design, patch);
            expect(planterDesignSchema.safeParse(mended).error?.issues).toBeUndefined();
            const after = findingsOf(mended);
            expect(after.map((f) => f.id)).not.toContain(finding.id);
            const fresh = after.filter((f) => !before.some((old) => old.id === f.id));
            for (const f of fresh) {
              expect(rank(f.severity)).toBeGreaterThan(rank(finding.severity));
            }
          }
        }
      }),
      { numRuns: 50 },
    );
  });
});

import { INCH_BITS, METRIC_BITS } from '../catalog';
import { evaluate } from '../assess';
import { applyPatch, STARTING_POINTS, type Patch } from '../design';
import { resolve } from '../planter';
import { tell, type UnitSystem } from '../quantity';
import { holds } from '../vessel';
import {
  buildSheet,
  holesOf,
  packsIn,
  NEW_BOOK,
  piecesOf,
  planCuts,
  STEP_IDS,
  type StepId,
} from '.';

const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
const planterOf = (id: string) => resolve(designOf(id));
const sheetOf = (id: string, units: UnitSystem = 'metric', patch: Patch = []) => {
  const { planter, assessment } = evaluate(designOf(id, patch));
  return { planter, ...buildSheet(planter, assessment.figures, units) };
};
const plain = (text: string) => text.replaceAll('\u00a0', ' ');
const IDS = STARTING_POINTS.map(({ id }) => id);

describe.each(IDS)('the sheet of %s is whole', (id) => {
  const sheet = sheetOf(id);
  const steps = new Map(sheet.steps.map((step) => [step.id, step]));
  const at = (step: StepId) => sheet.steps.findIndex((one) => one.id === step);

  test('every part, hole, cut and flat piece has one step', () => {
    const once = (own: readonly string[], named: readonly string[]) =>
      expect([...named].sort()).toEqual([...own].sort());
    once(
      sheet.parts.map((part) => part.id),
      sheet.steps.flatMap(({ parts }) => parts),
    );
    once(
      sheet.holes.map((hole) => hole.id),
      sheet.steps.flatMap(({ holes }) => holes),
    );
    once(
      sheet.cuts.flatMap(({ pieces }) => pieces.map(({ label }) => label)),
      sheet.steps.flatMap(({ cuts }) => cuts),
    );
    once(
      sheet.sheets.map((piece) => piece.id),
      sheet.steps.flatMap(({ sheets }) => sheets),
    );
    expect(new Set(sheet.parts.map((part) => part.id)).size).toBe(sheet.parts.length);
  });

  test('every hole has a tool and a bit of its set that lets it through', () => {
    for (const units of ['metric', 'us'] as const) {
      const bits = units === 'us' ? INCH_BITS : METRIC_BITS;
      for (const hole of sheetOf(id, units).holes) {
        expect(hole.count).toBeGreaterThan(0);
        expect(hole.tool).not.toBe('');
        expect(hole.bit).toBeGreaterThanOrEqual(hole.diameter - 1e-6);
        if (hole.diameter <= bits[bits.length - 1]!) expect(bits).toContain(hole.bit);
        expect(tell(hole.where, units) && tell(hole.why, units)).not.toMatch(/undefined|NaN/);
        if (hole.spots.length > 0) expect(hole.spots).toHaveLength(hole.count);
        if (hole.marks.length > 0) expect(hole.marks).toHaveLength(hole.count);
      }
    }
  });

  test('holes in the deck lie within it and keep a bridge between them', () => {
    const circles = (sheet.deck?.holes ?? []).flatMap(({ bit, spots }) =>
      spots.map(({ x, y }) => ({ x, y, r: bit / 2 })),
    );
    circles.forEach((one, i) => {
      expect(holds(sheet.deck!.outline, one.x, one.y)).toBe(true);
      circles.slice(i + 1).forEach((other) => {
        const bridge = Math.hypot(one.x - other.x, one.y - other.y) - one.r - other.r;
        expect(bridge).toBeGreaterThan(0.0005);
      });
    });
  });

  test('every length comes out of stock that is sold', () => {
    for (const { good, pieces } of sheet.cuts) {
      const longest = Math.max(...packsIn(NEW_BOOK, good).packs.map(({ size }) => size));
      const plan = planCuts(pieces, { length: longest, kerf: 0.003 });
      expect([good.id, plan.tooLong.map(({ label }) => label)]).toEqual([good.id, []]);
      const wanted = pieces.reduce((sum, { count }) => sum + count, 0);
      expect(plan.bars.reduce((sum, bar) => sum + bar.pieces.length, 0)).toBe(wanted);
    }
  });

  test('steps come in the order of the work', () => {
    const known = sheet.steps.every((step) => STEP_IDS.includes(step.id));
    expect(known).toBe(true);
    for (const [first, then] of [
      ['inspect', 'measure'],
      ['box', 'measure'],
      ['measure', 'overflow'],
      ['overflow', 'supports'],
      ['supports', 'platform'],
      ['platform', 'wick'],
      ['wick', 'tube'],
      ['tube', 'test'],
      ['test', 'base'],
      ['test', 'fill'],
      ['base', 'separator'],
      ['base', 'fill'],
      ['separator', 'fill'],
      ['fill', 'plant'],
      ['plant', 'water'],
      ['water', 'close'],
    ] as const) {
      if (at(first) >= 0 && at(then) >= 0)
        expect([first, then, at(first) < at(then)]).toEqual([first, then, true]);
    }
    for (const step of ['inspect', 'measure', 'test', 'fill', 'water', 'close'] as const) {
      expect([step, at(step) >= 0]).toEqual([step, true]);
    }
    expect(steps.get('test')!.checks.map((check) => check.id)).toEqual(['pour', 'level', 'leak']);
  });

  test('no caution is missing where its hazard stands', () => {
    const { design } = sheet.planter;
    const warns = (step: StepId, caution: string) =>
      steps.get(step)?.cautions.some((one) => one.id === caution) ?? false;
    for (const step of sheet.steps) {
      const sharp = step.tools.some((tool) => /saw|knife|drill|bit|scissors/i.test(tool));
      const cuts = step.holes.length + step.cuts.length + step.sheets.length > 0;
      if (cuts || (sharp && step.id !== 'wick'))
        expect([step.id, warns(step.id, 'cutting')]).toEqual([step.id, true]);
    }
    expect(warns('inspect', 'weight')).toBe(true);
    expect(warns('test', 'weight') && warns('test', 'drinking')).toBe(true);
    expect(warns('fill', 'dust')).toBe(true);
    if (design.vessel.formerContents !== 'new') expect(warns('inspect', 'contents')).toBe(true);
    if (design.vessel.material === 'metal') expect(warns('inspect', 'edges')).toBe(true);
    if (design.vessel.kind === 'frame') expect(warns('box', 'timber')).toBe(true);
    if (design.reservoir.supply) expect(warns('tube', 'mains')).toBe(true);
    if (sheet.parts.some((part) => part.id.startsWith('fill-')))
      expect(warns('base', 'stone')).toBe(true);
    if (design.place.rain !== 'indoors') expect(warns('close', 'mosquitoes')).toBe(true);
  });

  test('every sentence is whole in both systems', () => {
    for (const units of ['metric', 'us'] as const) {
      const { steps: written, parts, sheets, cuts, feeding } = sheetOf(id, units);
      const messages = [
        ...written.flatMap(({ doing, checks }) => [
          ...doing,
          ...checks.flatMap(({ must, mend }) => [must, mend]),
        ]),
        ...parts.flatMap(({ amount, good }) => (good ? [amount, good.name] : [amount])),
        ...sheets.map(({ from }) => from),
        ...cuts.flatMap(({ pieces }) => pieces.flatMap(({ note }) => (note ? [note] : []))),
        ...feeding.says,
      ];
      for (const message of messages) {
        const text = tell(message, units);
        expect(text).not.toMatch(
          /undefined|NaN|null|∞|\[object|^$| {2}|\b1 (patches|plants|holes)\b/,
        );
        if (units === 'us') expect(plain(text)).not.toMatch(/\d (mm(?! pipe)|cm|L|kg)\b/);
      }
    }
  });
});

test('children near it: the leak test and the finished planter are covered', () => {
  const { steps } = sheetOf('gutter-pails', 'metric', [
    { path: ['place', 'children'], value: true },
  ]);
  const cautions = (id: StepId) =>
    steps.find((step) => step.id === id)!.cautions.map((caution) => caution.id);
  expect(cautions('test')).toContain('children');
  expect(cautions('close')).toContain('covered');
});

test('an overflow that is drilled with a bit of another size keeps its lip', () => {
  const pail = planterOf('cloth-pail');
  const [metric] = holesOf(pail, 'metric');
  const [inch] = holesOf(pail, 'us');
  expect(plain(tell(metric!.where, 'metric'))).toContain('middle 86 mm above');
  // 12 mm becomes half an inch: the mark is 0.35 mm higher for the same lip of 80 mm.
  expect(inch!.bit).toBeCloseTo(0.0127, 12);
  expect(inch!.marks[0]!.height).toBeCloseTo(0.08635, 9);
  expect(inch!.lip).toBeCloseTo(0.08, 9);
  expect(plain(tell(inch!.why, 'metric'))).toContain('lip comes to 80 mm');
});

test('a split ring needs no holes, closed supports get none, and rows are counted', () => {
  const ids = (id: string) => holesOf(planterOf(id), 'metric').map((hole) => hole.id);
  expect(ids('cloth-pail')).toEqual(['overflow', 'tube', 'wick-0', 'drain']);
  expect(ids('trough-pipes')).toEqual(['overflow', 'joint']);
  expect(holesOf(planterOf('air-barrel'), 'metric')[0]).toMatchObject({ count: 40 });
  const shut = designOf('cup-pail', [
    { path: ['reservoir', 'parts', 0, 'vents'], value: 'sealed' },
  ]);
  expect(holesOf(resolve(shut), 'metric').map(({ id }) => id)).not.toContain('vents-0');
});

test('a tube is as long as the design says, its bevel as deep as it is wide', () => {
  const all = piecesOf(planterOf('tote-pipes')).flatMap(({ pieces }) => pieces);
  const tube = all.find(({ label }) => label === 'Fill tube')!;
  expect(tube.length).toBeCloseTo(0.44, 9);
  expect(plain(tell(tube.note!, 'metric'))).toContain(
    '440 mm on its long side, 400 mm on its short side',
  );
  expect(all.find(({ label }) => label === 'Support')).toMatchObject({ length: 0.09, count: 14 });
});

test('a box takes two long boards that cover the ends of two short ones, and a liner with laps', () => {
  const { cuts, sheets } = sheetOf('box-legs');
  const boards = cuts.find(({ good }) => good.id === 'board:25x350')!;
  expect(boards.pieces.map(({ label, length, count }) => [label, length, count])).toEqual([
    ['Long side', 1.25, 2],
    ['Short side', 0.5, 2],
  ]);
  // Floor, two walls of 350 mm and 150 mm of lap on each side: 1200 + 1000 by 500 + 1000.
  expect(sheets.find(({ id }) => id === 'liner')).toMatchObject({
    length: expect.closeTo(2.2, 9),
    width: expect.closeTo(1.5, 9),
  });
});

test('mix: settling and shrinking make the ingredients more than what stands in the pail', () => {
  const { parts } = sheetOf('cloth-pail');
  const mix = parts.find(({ id }) => id === 'mix')!;
  const before = mix.ingredients!.reduce((sum, { volume }) => sum + volume, 0);
  // One fifth of it is open: 0.05 + 0.1 · 4 · 0.2 · 0.8 is lost on mixing.
  expect(before).toBeCloseTo(mix.quantity / (1 - 0.114), 9);
  const [coir, perlite] = mix.ingredients!;
  expect(coir!.volume / perlite!.volume).toBeCloseTo(3, 9);
});

test('lime is for those that like it, never for strawberries; feed goes by its own rate', () => {
  const limed = (id: string) =>
    sheetOf(id, 'metric', [
      { path: ['soil', 'limeDose'], value: 3 },
      { path: ['soil', 'feed'], value: 'synthetic' },
      { path: ['soil', 'feedDose'], value: 2 },
    ]);
  const berries = limed('stone-pot');
  expect(berries.parts.map(({ id }) => id)).not.toContain('lime');
  expect(berries.feeding.says.map((text) => tell(text, 'metric')).join()).toMatch(
    /No lime: strawberry wants acid soil, so the lime in this design is left out/,
  );
  const peppers = limed('cloth-pail');
  const volume = evaluate(designOf('cloth-pail')).assessment.figures.soilVolume;
  expect(peppers.parts.find(({ id }) => id === 'lime')!.quantity).toBeCloseTo(3 * volume, 9);
  expect(peppers.parts.find(({ id }) => id === 'feed')!.quantity).toBeCloseTo(2 * volume, 9);
});

import { INCH_BITS, METRIC_BITS } from '../catalog';
import { STARTING_POINTS } from '../document';
import { platformOpenings } from '../assembly';
import { tell } from '../units';
import { plain, sheetOf } from '../testing/sheets';
import { holds } from '../geometry/vessels';
import { packsIn, NEW_BOOK, planCuts, type StepId } from '.';

const IDS = STARTING_POINTS.map(({ id }) => id);

describe.each(IDS)('the sheet of %s is whole', (id) => {
  const sheet = sheetOf(id);
  const steps = new Map(sheet.steps.map((step) => [step.id, step]));
  // Large ones are tested with stone and crates in them, and the water stays.
  const late = ['film-bed', 'rock-bed', 'tank-crates'].includes(id);
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

  test('every hole is made by a bit of its set, by its maker’s, or with a knife to a line', () => {
    for (const units of ['metric', 'us'] as const) {
      const bits = units === 'us' ? INCH_BITS : METRIC_BITS;
      for (const hole of sheetOf(id, units).holes) {
        expect(hole.count).toBeGreaterThan(0);
        const freehand = /knife|borrow/i.test(hole.tool);
        if (!freehand)
          expect([hole.id, bits.some((bit) => Math.abs(bit - hole.bit) < 3e-4)]).toEqual([
            hole.id,
            true,
          ]);
        else expect(hole.bit).toBeCloseTo(hole.diameter, 6);
        expect(tell(hole.where, units) && tell(hole.why, units)).not.toMatch(/undefined|NaN/);
        if (hole.spots.length > 0) expect(hole.spots).toHaveLength(hole.count);
        if (hole.marks.length > 0) expect(hole.marks).toHaveLength(hole.count);
      }
    }
  });

  test('what goes through a hole in the deck fits it, and what hangs in it cannot fall through', () => {
    for (const units of ['metric', 'us'] as const) {
      const { planter, platform } = sheetOf(id, units);
      const openings = platformOpenings(planter);
      for (const { group, bit } of platform?.holes ?? []) {
        if (!group) continue;
        const [opening] = openings.filter((one) => one.group.id === group.id);
        expect([group.id, bit >= opening!.least - 1e-6]).toEqual([group.id, true]);
        if (group.kind === 'cup') expect(bit).toBeLessThan(group.spec.rim);
        if (group.kind === 'cloth') expect(bit).toBeLessThanOrEqual(0.041);
      }
    }
  });

  test('holes in the deck lie within it and keep a bridge between them', () => {
    const circles = (sheet.platform?.holes ?? []).flatMap(({ bit, spots }) =>
      spots.map(({ x, y }) => ({ x, y, r: bit / 2 })),
    );
    circles.forEach((one, i) => {
      expect(holds(sheet.platform!.outline, one.x, one.y)).toBe(true);
      circles.slice(i + 1).forEach((other) => {
        const bridge = Math.hypot(one.x - other.x, one.y - other.y) - one.r - other.r;
        expect(bridge).toBeGreaterThan(0.0079);
      });
    });
  });

  test('every length comes out of stock that is sold', () => {
    for (const { good, pieces } of sheet.cuts) {
      const longest = Math.max(...packsIn(NEW_BOOK, good, 'metric').packs.map(({ size }) => size));
      const plan = planCuts(pieces, { length: longest, kerf: 0.003 });
      expect([good.id, plan.tooLong.map(({ label }) => label)]).toEqual([good.id, []]);
      const wanted = pieces.reduce((sum, { count }) => sum + count, 0);
      expect(plan.bars.reduce((sum, bar) => sum + bar.pieces.length, 0)).toBe(wanted);
    }
  });

  test('steps come in an order that can be built', () => {
    for (const [first, then] of sheet.needs) {
      if (at(first) >= 0 && at(then) >= 0 && first !== then)
        expect([first, then, at(first) < at(then)]).toEqual([first, then, true]);
    }
    for (const step of ['inspect', 'measure', 'test', 'fill', 'water', 'close'] as const) {
      expect([step, at(step) >= 0]).toEqual([step, true]);
    }
    expect(at('inspect')).toBe(0);
    const checks = steps.get('test')!.checks.map((check) => check.id);
    expect(checks).toEqual(late ? ['pour', 'leak'] : ['pour', 'level', 'leak']);
  });

  test('nothing is used before it is made, and the test sees the water', () => {
    const before = (first: StepId, then: StepId) =>
      at(first) < 0 || at(then) < 0 || at(first) < at(then);
    for (const [first, then] of [
      ['saw', 'overflow'],
      ['saw', 'measure'],
      ['seal', 'test'],
      ['overflow', 'line'],
      ['line', 'pierce'],
      ['pierce', 'test'],
      ['supports', 'test'],
      late ? (['base', 'test'] as const) : (['test', 'base'] as const),
      ['supports', 'lay'],
      ['overflow', 'lay'],
      ['lay', 'test'],
      ['test', 'set'],
      ['test', 'layers'],
      ['wick', 'base'],
      ['wick', 'set'],
      ['platform', 'set'],
      ['set', 'tube'],
      ['base', 'layers'],
      ['layers', 'fill'],
      ['tube', 'fill'],
      ['fill', 'plant'],
    ] as const)
      expect([first, then, before(first, then)]).toEqual([first, then, true]);
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
      expect(sheet.steps.some(({ id: step }) => warns(step, 'stone'))).toBe(true);
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

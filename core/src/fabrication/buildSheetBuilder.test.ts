import fc from 'fast-check';
import { INCH_BITS, METRIC_BITS } from '../catalog';
import { STARTING_POINTS } from '../document';
import { evaluate } from '../assessment';
import { say, tell } from '../units';
import { BuildSheetBuilder, nearestBit } from './buildSheetBuilder';
import { STEP_IDS, type StepId } from './step';

const { planter, assessment } = evaluate(STARTING_POINTS[0]!.design);
const builder = (units: 'metric' | 'us' = 'metric') =>
  new BuildSheetBuilder(planter, assessment.figures, units, null);
const TITLES = Object.fromEntries(STEP_IDS.map((id) => [id, id])) as Record<StepId, string>;

describe('the order of the work', () => {
  test('is the usual one where nothing must come before anything', () => {
    const one = builder();
    for (const id of [...STEP_IDS].reverse()) one.say(id, say`Do it.`);
    expect(one.order).toEqual(STEP_IDS);
  });

  test('keeps what must come first, and the usual order in all else', () => {
    const one = builder();
    for (const id of ['supports', 'overflow', 'platform', 'test', 'fill'] as const)
      one.say(id, say`Do it.`);
    one.after('test', 'platform');
    expect(one.order).toEqual(['supports', 'overflow', 'test', 'platform', 'fill']);
  });

  test('of a step that does not come nothing waits', () => {
    const one = builder();
    one.say('fill', say`Do it.`);
    one.after('line', 'fill');
    expect(one.order).toEqual(['fill']);
    expect(one.has('line')).toBe(false);
    one.begin('line');
    expect(one.order).toEqual(['line', 'fill']);
  });

  test('whatever is asked of it: each step once, none before what it needs', () => {
    const steps = fc.uniqueArray(fc.constantFrom(...STEP_IDS), { minLength: 2 });
    fc.assert(
      fc.property(steps, fc.infiniteStream(fc.nat()), (some, choices) => {
        const one = builder();
        for (const id of some) one.say(id, say`Do it.`);
        // Needs that go one way in some order of these steps: any but those that bite their tail.
        const pick = choices[Symbol.iterator]();
        const edges = some.slice(1).map((then, i) => {
          const first = some[(pick.next().value as number) % (i + 1)] as StepId;
          return [first, then] as const;
        });
        for (const [first, then] of edges) one.after(first, then);
        const { order } = one;
        expect([...order].sort()).toEqual([...some].sort());
        for (const [first, then] of edges)
          expect(order.indexOf(first)).toBeLessThan(order.indexOf(then));
      }),
    );
  });
});

describe('holes', () => {
  const hole = {
    id: 'h',
    step: 'overflow',
    part: 'Wall',
    where: say`there`,
    why: say`so`,
  } as const;

  test('are drilled with the bit of the set that is nearest, by the tool that takes it', () => {
    const drilled = (
      diameter: number,
      units: 'metric' | 'us',
      material: 'wood' | 'clay' | 'metal' | null,
    ) => {
      const made = builder(units).hole({ ...hole, count: 1, diameter }, material)!;
      return [(made.bit * 1000).toFixed(1), made.tool];
    };
    expect(drilled(0.0062, 'metric', null)).toEqual(['6.0', 'Twist drill']);
    expect(drilled(0.0062, 'us', null)).toEqual(['6.3', 'Twist drill']);
    expect(drilled(0.025, 'metric', null)).toEqual(['25.0', 'Step drill']);
    expect(drilled(0.025, 'metric', 'wood')).toEqual(['25.0', 'Spade bit']);
    expect(drilled(0.008, 'metric', 'metal')).toEqual(['8.0', 'Metal drill']);
    expect(drilled(0.008, 'metric', 'clay')).toEqual(['8.0', 'Masonry drill, wet']);
    expect(drilled(0.04, 'metric', 'clay')[1]).toBe('Diamond hole saw, wet');
  });

  test('wider than any bit are cut to a line, and 1 3/8 in and 35 mm are one saw', () => {
    const one = builder();
    const [widest = 0] = [...METRIC_BITS].sort((a, b) => b - a);
    const cut = one.hole({ ...hole, count: 1, diameter: widest + 0.02, bit: widest + 0.02 })!;
    expect(cut.tool).toBe('Knife or jigsaw, to a line');
    expect(one.hole({ ...hole, count: 1, diameter: 0.035, bit: 0.034925 })!.tool).toBe('Hole saw');
    expect(one.hole({ ...hole, count: 0, diameter: 0.02 })).toBeNull();
  });

  test('the nearest bit is no farther than any other', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.2, noNaN: true }), (width) => {
        for (const bits of [METRIC_BITS, INCH_BITS]) {
          const chosen = nearestBit(width, bits);
          expect(bits).toContain(chosen);
          for (const bit of bits)
            expect(Math.abs(chosen - width)).toBeLessThanOrEqual(Math.abs(bit - width) + 1e-9);
        }
      }),
    );
  });
});

describe('what a step takes', () => {
  test('pieces of one length and name are one line, and their length is counted whole', () => {
    const one = builder();
    const good = { id: 'pipe:50', name: say`Pipe` } as never;
    expect(one.cut('supports', 'legs', good, 'Leg', 0.1, 3)).toBeCloseTo(0.3, 12);
    one.cut('supports', 'legs', good, 'Leg', 0.1, 2);
    one.cut('supports', 'legs', good, 'Leg', 0.2);
    expect(one.cut('supports', 'legs', good, 'None', 0, 4)).toBe(0);
    expect(one.cuts).toHaveLength(1);
    expect(one.cuts[0]!.pieces.map(({ length, count }) => [length, count])).toEqual([
      [0.1, 5],
      [0.2, 1],
    ]);
    expect(one.lengthOf('legs')).toBeCloseTo(0.7, 12);
  });

  test('cutting is cautioned, fumes where plastic is drilled, each tool and check once', () => {
    const one = builder();
    one.say('supports', say`Stand them.`, 3);
    one.tools('supports', 'Tape', 'Saw', 'Tape');
    const check = { id: 'level', must: say`Level.`, mend: say`Shim.` };
    one.check('supports', check);
    one.check('supports', check);
    one.hole({
      id: 'v',
      step: 'supports',
      part: 'Tub',
      count: 8,
      diameter: 0.008,
      where: say`there`,
      why: say`so`,
    });
    const [step] = one.steps(TITLES, true);
    expect(step!.cautions.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['cutting', 'fumes']),
    );
    expect(step!.tools).toEqual(['Tape', 'Saw', 'Twist drill']);
    expect(step!.checks).toHaveLength(1);
    expect(step!.holes).toEqual(['v']);
    // Three minutes said, and eight holes of less than half a minute: six, of which practised hands take two.
    expect([step!.minutes, step!.practised, step!.waits]).toEqual([5, 2, 0]);
    expect(one.steps(TITLES, false)[0]!.cautions.map(({ id }) => id)).not.toContain('fumes');
  });

  test('a sentence that is said first stands first, and what is quick takes five minutes', () => {
    const one = builder();
    one.say('wick', say`Then that.`);
    one.sayFirst('wick', say`First this.`, 1);
    const [step] = one.steps(TITLES, false);
    expect(step!.doing.map((words) => tell(words, 'metric'))).toEqual([
      'First this.',
      'Then that.',
    ]);
    expect(step!.minutes).toBe(5);
    expect(step!.cautions).toEqual([]);
  });
});

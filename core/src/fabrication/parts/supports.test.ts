import { evaluate } from '../../assessment';
import {
  applyPatch,
  BASES,
  inInches,
  STARTING_POINTS,
  type BaseId,
  type SupportDesign,
} from '../../document';
import { plan, section } from '../../drawing';
import { changeBase, contradictions, type PartGroup } from '../../assembly';
import { tell, type UnitSystem } from '../../units';
import { buildSheet, type BuildSheet } from '..';

/**
 * What stands in the base is what is drawn, bought, cut, drilled and told: for each usual base in vessels
 * that people put it into, in both systems.
 */

const VESSELS = ['cloth-pail', 'tote-pipes', 'cut-barrel', 'box-legs', 'film-bed'];
const bases = (Object.keys(BASES) as BaseId[]).filter(
  (base) => base !== 'stone' && base !== 'open',
);

interface Built {
  id: string;
  part: SupportDesign;
  group: PartGroup;
  sheet: BuildSheet;
  units: UnitSystem;
  drawn: { plan: string[]; section: string[] };
}

function built(base: BaseId, units: UnitSystem): Built[] {
  return VESSELS.flatMap((id): Built[] => {
    const start = STARTING_POINTS.find((one) => one.id === id)!.design;
    const from = units === 'us' ? inInches(start) : start;
    const design = applyPatch(from, changeBase(from, base));
    const [part] = design.reservoir.parts;
    if (!part || contradictions(design).length > 0) return [];
    const { planter, assessment } = evaluate(design);
    const group = planter.partGroups.find(({ kind, index }) => kind === part.kind && index === 0);
    if (!group || group.parts.length === 0) return [];
    const sheet = buildSheet(planter, assessment.figures, units);
    const ids = (shapes: readonly { id: string }[]) => shapes.map((shape) => shape.id);
    const drawn = { plan: ids(plan(planter).shapes), section: ids(section(planter).shapes) };
    return [{ id, part, group, sheet, units, drawn }];
  });
}

const told = ({ sheet, units }: Built): string =>
  sheet.steps
    .filter(({ id }) => id === 'supports' || id === 'lay' || id === 'saw' || id === 'platform')
    .flatMap(({ doing }) => doing.map((words) => tell(words, units)))
    .join(' ')
    .replace(/\u00a0/g, ' ');

const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

describe.each(['metric', 'us'] as const)('%s', (units) => {
  describe.each(bases)('%s', (base) => {
    const all = built(base, units);

    test('is on the bill by the number that stands', () => {
      for (const { id, part, group, sheet } of all) {
        const line = sheet.parts.find((one) => one.id === group.id);
        expect([id, line?.id]).toEqual([id, group.id]);
        if (part.kind === 'crates') expect(line!.quantity).toBe(group.parts.length);
        if (part.kind === 'standing' && part.what !== 'pipe')
          expect([id, line!.quantity]).toEqual([id, group.parts.length]);
      }
    });

    test('pieces sawn from a length are as many and as long as stand, and add up to what is bought', () => {
      for (const { id, part, group, sheet } of all) {
        const pieces = sheet.cuts
          .flatMap((one) => one.pieces)
          .filter((one) => one.part === group.id);
        if (part.kind === 'standing' && part.what === 'pipe') {
          expect([id, pieces.map(({ count }) => count)]).toEqual([id, [group.parts.length]]);
          expect(pieces[0]!.length).toBeCloseTo(group.height, 9);
        }
        const long = pieces.reduce((sum, { length, count }) => sum + length * count, 0);
        const line = sheet.parts.find((one) => one.id === group.id)!;
        if (pieces.length > 0) expect([id, line.quantity]).toEqual([id, expect.closeTo(long, 9)]);
      }
    });

    test('holes are as many in each as they say, and none in what needs none', () => {
      for (const { id, part, group, sheet } of all) {
        const holes = sheet.holes.filter((one) => one.id === `${group.id}-vents`);
        const open = part.kind === 'crates' && part.what !== 'former';
        if (open || part.kind === 'sticks' || part.kind === 'lying')
          expect([id, holes]).toEqual([id, []]);
        if (part.kind === 'crates' && !open) expect(holes).toHaveLength(1);
        for (const { count, part: label } of holes) {
          expect(count % group.parts.length).toBe(0);
          const each = /, (\d+) in each$/.exec(label)?.[1];
          if (each) expect(count).toBe(Number(each) * group.parts.length);
        }
      }
    });

    test('the step says how many, and what is cut is as high as it stands', () => {
      for (const one of all) {
        const { part, group } = one;
        const words = told(one);
        const n = group.parts.length;
        if (
          n > 1 &&
          (part.kind === 'standing' || part.kind === 'crates' || part.kind === 'lying')
        ) {
          const said = new RegExp(`\\b(${n}|${NUMBERS[n] ?? n})\\b`);
          expect([one.id, said.test(words)]).toEqual([one.id, true]);
        }
        expect(words).not.toMatch(/undefined|NaN|\[object|\b0 (mm|in)\b/);
        expect(words.length).toBeGreaterThan(20);
      }
    });

    test('is drawn in section and plan', () => {
      for (const { id, group, drawn } of all) {
        const inPlan = drawn.plan.filter((shape) => shape.startsWith(`plan-${group.id}-`));
        const inSection = drawn.section.filter((shape) => shape.startsWith(group.id));
        expect([id, inPlan.length > 0]).toEqual([id, true]);
        expect([id, inSection.length > 0]).toEqual([id, true]);
        if (group.kind === 'standing' || group.kind === 'crates')
          expect(inPlan.length).toBeGreaterThanOrEqual(group.parts.length);
      }
    });
  });
});

test('every usual base stands in one of these vessels at least', () => {
  expect(bases.filter((base) => built(base, 'metric').length === 0)).toEqual([]);
});

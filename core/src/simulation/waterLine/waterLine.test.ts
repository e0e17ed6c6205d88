import fc from 'fast-check';
import { figuresOf } from '../../assessment';
import { assemble } from '../../assembly';
import { HOSE_IDS, HOSES } from '../../catalog';
import { STARTING_POINTS, type PlanterDesign, type WaterLine } from '../../document';
import { flowUnder } from '../../physics/pipes';
import {
  assessLine,
  joinedPlanters,
  lineFindings,
  lineShares,
  suppliedBy,
  type DesignsById,
  type LineAssessment,
} from '.';

const DAY = 86_400;
const idOf = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const starting = (id: string): PlanterDesign =>
  STARTING_POINTS.find((one) => one.id === id)?.design as PlanterDesign;
const BUILDS = STARTING_POINTS.filter(({ id }) => id !== 'blank').map(({ design }) => design);

/** Planters in a row whose lips are level, the valve 2 cm under them, with a barrel that stands high. */
function rowOf(
  of: readonly PlanterDesign[],
  change: Partial<WaterLine> = {},
): { line: WaterLine; designs: DesignsById } {
  const designs = Object.fromEntries(of.map((design, i) => [idOf(i), design]));
  const line: WaterLine = {
    id: idOf(99),
    name: 'The row by the wall',
    supply: { kind: 'barrel', volume: 0.12, diameter: 0.5, outlet: 1.5 },
    level: 0.6,
    layout: 'row',
    hose: 'mm-19',
    members: of.map((_, i) => ({ planter: idOf(i), floor: 0, run: 1, port: 0.03, over: false })),
    ...change,
  };
  const joined = joinedPlanters({ ...line, level: 3 }, designs);
  const highest = Math.max(...joined.map(({ lip, least }) => lip + least));
  const members = line.members.map((one, i) => ({ ...one, floor: highest - joined[i]!.lip }));
  return { line: { ...line, level: highest - 0.02, members, ...change }, designs };
}

const faults = (all: LineAssessment, designs: DesignsById, others: WaterLine[] = []) =>
  lineFindings(all, designs, others).filter(({ severity }) => severity === 'fault');

test('equal planters on a barrel last as long as all their water and the barrel at their thirst', () => {
  const tote = starting('tote-pipes');
  const { line, designs } = rowOf([tote, tote, tote]);
  const all = assessLine(line, designs);
  expect(faults(all, designs)).toEqual([]);
  const usable = all.planters.reduce((sum, one) => sum + one.usable, 0);
  expect(all.days.hot.low).toBeCloseTo((0.12 + usable) / all.takes.hot / DAY, 1);
  expect(all.days.hot.barrel).toBeCloseTo(0.12 / all.takes.hot / DAY, 6);
  expect(all.days.mild.low).toBeGreaterThan(all.days.hot.low);
});

test('of two alike the one that drinks more lasts longer joined than alone, and the other one shorter', () => {
  const tote = starting('tote-pipes');
  const { crops } = tote.planting;
  const calm = { ...tote, planting: { ...tote.planting, crops: [{ ...crops[0]!, count: 1 }] } };
  const { line, designs } = rowOf([tote, calm], { supply: { kind: 'none' } });
  const all = assessLine(line, designs);
  const [thirsty, other] = all.planters.map(
    ({ joined }) => joined.kept?.figures.lastsHot.days ?? 0,
  );
  expect(all.days.hot.low).toBeGreaterThan(thirsty! + 0.2);
  expect(all.days.hot.low).toBeLessThan(other! - 0.2);
});

const anyLine = fc
  .record({
    of: fc.array(fc.constantFrom(...BUILDS), { minLength: 2, maxLength: 4 }),
    barrel: fc.double({ min: 0.01, max: 1, noNaN: true }),
    layout: fc.constantFrom('row' as const, 'star' as const),
    hose: fc.constantFrom(...HOSE_IDS),
  })
  .map(({ of, barrel, layout, hose }) =>
    rowOf(of, {
      layout,
      hose,
      supply: { kind: 'barrel', volume: barrel, diameter: 0.5, outlet: 2.5 },
    }),
  );

test('what each planter says of its days is what the line says, on its bench as in its season', () => {
  fc.assert(
    fc.property(anyLine, ({ line, designs }) => {
      const all = assessLine(line, designs);
      const shares = lineShares({ line, designs });
      for (const { joined } of all.planters) {
        const { kept, takes, member } = joined;
        if (!kept || takes.hot <= 0 || kept.figures.lastsHot.days === 0) continue;
        const design = designs[member.planter] as PlanterDesign;
        const figures = figuresOf(assemble(design, shares[member.planter]));
        const { days } = figures.lastsHot;
        const season = assemble(suppliedBy(design, member.planter, { line, designs }));
        expect(days).toBeCloseTo(figuresOf(season).lastsHot.days, 3);
        expect(figures.standing).toBeCloseTo(kept.figures.standing, 9);
        if (!Number.isFinite(days)) continue;
        // Whoever has more of its own than its part of the whole keeps it.
        expect(days).toBeGreaterThan(0.97 * all.days.hot.low - 0.05);
        const own = kept.figures.lastsHot.days;
        if (own < all.days.hot.low) expect(days).toBeLessThan(1.03 * all.days.hot.low + 0.05);
      }
    }),
    { numRuns: 40 },
  );
});

test('two through a hose, minute by minute, come down as if they had one level', () => {
  const { line, designs } = rowOf([starting('tote-pipes'), starting('coil-barrel')], {
    supply: { kind: 'none' },
    hose: 'mm-13',
  });
  const all = assessLine(line, designs);
  const [a, b] = all.planters.map(({ joined }) => joined);
  if (!a?.kept || !b?.kept) throw new Error('Both are joined.');
  const hose = { length: b.member.run, bore: HOSES[line.hose].bore };
  const two = [a, b].map((one) => ({
    one,
    storage: one.planter.storage,
    water: one.planter.storage.volumeBelow(one.level),
    mark: one.kept?.figures.usableLevel ?? 0,
  }));
  const levelOf = ({ one, storage, water }: (typeof two)[number]): number =>
    one.member.floor + storage.heightFor(Math.max(water, 0));
  const STEP = 120;
  let seconds = 0;
  for (; seconds < 60 * DAY; seconds += STEP) {
    const [x, y] = [levelOf(two[0]!), levelOf(two[1]!)];
    if (two.some((each) => levelOf(each) - each.one.member.floor <= each.mark)) break;
    const open = two.every(({ one }) => Math.max(x, y) - one.member.floor > one.member.port);
    const head = Math.min(Math.abs(x - y), 0.02);
    const runs = open ? Math.min(flowUnder(head, hose) * STEP, 2e-5) * Math.sign(x - y) : 0;
    two[0]!.water -= a.takes.hot * STEP + runs;
    two[1]!.water -= b.takes.hot * STEP - runs;
  }
  expect(all.days.hot.low / (seconds / DAY)).toBeGreaterThan(0.95);
  expect(all.days.hot.low / (seconds / DAY)).toBeLessThan(1.05);
  expect(all.follows).toBeLessThan(DAY / 2);
});

describe('findings', () => {
  const tote = starting('tote-pipes');

  test.each([
    ['over-lip', (line: WaterLine) => ({ ...line, level: line.level + 0.1 })],
    ['dry', (line: WaterLine) => ({ ...line, level: line.members[1]!.floor + 0.02 })],
    [
      'too-low',
      (line: WaterLine) => ({
        ...line,
        members: line.members.map((one, i) => (i === 1 ? { ...one, floor: 0 } : one)),
      }),
    ],
    [
      'port-low',
      (line: WaterLine) => ({
        ...line,
        members: line.members.map((one, i) => (i === 2 ? { ...one, port: 0.01 } : one)),
      }),
    ],
    [
      'barrel-low',
      (line: WaterLine) => ({
        ...line,
        supply: { kind: 'barrel' as const, volume: 0.1, diameter: 0.5, outlet: line.level + 0.05 },
      }),
    ],
    [
      'air-lock',
      (line: WaterLine) => ({
        ...line,
        members: line.members.map((one) => ({ ...one, over: true })),
      }),
    ],
  ])('%s is found and has a remedy that ends it', (id, change) => {
    const { line, designs } = rowOf([tote, starting('box-legs'), tote]);
    expect(faults(assessLine(line, designs), designs)).toEqual([]);
    const found = lineFindings(assessLine(change(line), designs), designs);
    const of = found.filter((one) => one.id === id);
    expect(of.length).toBeGreaterThan(0);
    for (const { planter, remedies } of of) {
      expect(remedies.length).toBeGreaterThan(0);
      for (const remedy of remedies) {
        const after = lineFindings(assessLine(remedy.line, designs), designs);
        expect(after.filter((one) => one.id === id && one.planter === planter)).toEqual([]);
      }
    }
  });

  test('without a barrel, lips that are not level: one remedy levels them all', () => {
    const { line, designs } = rowOf([tote, starting('cloth-pail')], { supply: { kind: 'none' } });
    const flat = { ...line, members: line.members.map((one) => ({ ...one, floor: 0.003 })) };
    const [uneven] = lineFindings(assessLine(flat, designs), designs).filter(
      ({ id }) => id === 'uneven',
    );
    const mended = assessLine(uneven!.remedies[0]!.line, designs);
    expect(mended.holds).toBeGreaterThan(assessLine(flat, designs).holds);
  });

  test('a planter of two lines, and one with a barrel of its own', () => {
    const gutter = STARTING_POINTS.find(({ design }) => design.reservoir.supply)!.design;
    const { line, designs } = rowOf([tote, gutter, tote]);
    const ids = lineFindings(assessLine(line, designs), designs, [line]).map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['joined-twice', 'own-barrel']));
  });

  test('any line of starting points with level lips and a high barrel is left in peace, but for what a wick cannot do', () => {
    fc.assert(
      fc.property(anyLine, ({ line, designs }) => {
        const ids = faults(assessLine(line, designs), designs).map(({ id }) => id);
        expect(ids.filter((id) => id !== 'unused' && id !== 'dry')).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });
});

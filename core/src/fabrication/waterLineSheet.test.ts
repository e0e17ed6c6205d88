import fc from 'fast-check';
import { STARTING_POINTS, type WaterLine } from '../document';
import { assessLine, usualLine } from '../simulation/waterLine';
import { tell } from '../units';
import { waterLineSheet } from './waterLineSheet';

const BUILDS = STARTING_POINTS.filter(({ id }) => id !== 'blank').map(({ design }) => design);
const idOf = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const joined = fc
  .record({
    of: fc.array(fc.constantFrom(...BUILDS), { minLength: 2, maxLength: 4 }),
    units: fc.constantFrom('metric' as const, 'us' as const),
    kind: fc.constantFrom('barrel', 'mains', 'none'),
    layout: fc.constantFrom('row' as const, 'star' as const),
  })
  .map(({ of, units, kind, layout }) => {
    const planters = of.map((design, i) => ({ id: idOf(i), design }));
    const first = usualLine({ id: idOf(99), name: 'A row' }, planters, units);
    const supply = kind === 'barrel' ? first.supply : ({ kind } as WaterLine['supply']);
    const designs = Object.fromEntries(planters.map(({ id, design }) => [id, design]));
    return { line: { ...first, supply, layout }, designs, units };
  });

test('parts fit together, whatever is joined: a fitting for each end, a tap for each planter, a clip for each end of hose', () => {
  fc.assert(
    fc.property(joined, ({ line, designs }) => {
      const { parts } = waterLineSheet(assessLine(line, designs));
      const many = (id: string): number => parts.find((one) => one.id === id)?.quantity ?? 0;
      const n = line.members.length;
      const barrel = line.supply.kind === 'barrel';
      const fed = line.supply.kind !== 'none';
      // A tree of hose: planters, and the valve’s box where there is one, are its ends, tees its forks.
      const ends = n + (fed ? 1 : 0);
      expect([many('fitting'), many('tap'), many('tee')]).toEqual([ends, n, ends - 2]);
      // Pieces between the nodes of the tree, one more for each tap in them, have two ends each.
      const pieces = ends + (ends - 2) - 1 + n;
      expect(many('clip')).toBe(2 * pieces + (barrel ? 2 : fed ? 1 : 0));
      expect(many('valve')).toBe(line.supply.kind === 'none' ? 0 : 1);
      expect(many('barrel')).toBe(barrel ? 1 : 0);
      const laid = !fed && line.layout === 'row' ? line.members.slice(1) : line.members;
      const runs = laid.reduce((sum, { run }) => sum + run, 0);
      expect(many('hose')).toBeGreaterThanOrEqual(runs);
      expect(many('hose')).toBeLessThan(runs + 3);
    }),
    { numRuns: 40 },
  );
});

test('steps name every planter with its heights, say a barrel’s load, and warn of the mains and of open water', () => {
  fc.assert(
    fc.property(joined, ({ line, designs, units }) => {
      const { steps } = waterLineSheet(assessLine(line, designs));
      const text = steps.flatMap(({ doing }) => doing.map((one) => tell(one, units))).join('\n');
      for (const { name } of Object.values(designs)) expect(text).toContain(name);
      expect(text).not.toMatch(/NaN|Infinity|undefined|-\d/);
      const warned = steps.flatMap(({ cautions }) => cautions.map(({ id }) => id));
      expect(warned).toEqual(expect.arrayContaining(['weight', 'cutting']));
      if (line.supply.kind === 'mains')
        expect(warned).toEqual(expect.arrayContaining(['mains', 'covered']));
      if (line.supply.kind === 'barrel')
        expect(warned).toEqual(expect.arrayContaining(['covered', 'mosquitoes', 'drinking']));
    }),
    { numRuns: 40 },
  );
});

import { contradictions } from '@huerta/core/assembly';
import { evaluate } from '@huerta/core/assessment';
import { planterDesignSchema } from '@huerta/core/document';
import { DEMO_GARDEN, demoGarden } from './garden';

const findings = (index: number) =>
  evaluate(DEMO_GARDEN[index]!).assessment.findings.map((f) => `${f.severity} ${f.id}`);
const bad = (lines: string[]) => lines.filter((line) => /^(danger|fault)/.test(line));

test('every demo planter can exist and be kept', () => {
  for (const design of DEMO_GARDEN) {
    expect(contradictions(design)).toEqual([]);
    expect(planterDesignSchema.safeParse(design).success).toBe(true);
  }
});

test('in inches it is the same garden: as sound and as faulty, with nearly the same water', () => {
  demoGarden('us').forEach((design, i) => {
    expect(contradictions(design)).toEqual([]);
    expect(planterDesignSchema.safeParse(design).success).toBe(true);
    const { findings: found, figures } = evaluate(design).assessment;
    const worse = found.filter(({ severity }) => severity !== 'note');
    const before = evaluate(DEMO_GARDEN[i]!).assessment;
    const metric = before.findings.filter(({ severity }) => severity !== 'note');
    expect(worse.map(({ id }) => id)).toEqual(metric.map(({ id }) => id));
    expect(Math.abs(figures.usable / before.figures.usable - 1)).toBeLessThan(0.08);
  });
});

test('a sound one for each wick, one overflow too high, one wick too weak for August', () => {
  expect([0, 1, 2].map((i) => bad(findings(i)))).toEqual([[], [], []]);
  expect(findings(3)).toContain('fault overflow-above');
  expect(findings(4)).toContain('fault wick-weak');
  expect(findings(5)).toContain('fault supports-airlock-0');
});

test('twelve and more over the families, and two that are one planter in two variants', () => {
  expect(DEMO_GARDEN.length).toBeGreaterThanOrEqual(12);
  const kinds = new Set(DEMO_GARDEN.map((design) => design.vessel.kind));
  expect([...kinds].sort()).toEqual(['box', 'frame', 'round', 'stadium']);
  const variants = DEMO_GARDEN.filter(({ name }) => name === 'Barrel at the stairs');
  expect(new Set(variants.map(({ variant }) => variant)).size).toBe(2);
  const pot = DEMO_GARDEN.findIndex(({ name }) => name.includes('glazed pot'));
  expect(findings(pot)).toContain('fault drain-hole');
});

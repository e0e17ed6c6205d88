import fc from 'fast-check';
import { applyPatch, planterDesignSchema, STARTING_POINTS, type PlanterDesign } from '../document';
import { assemble, contradictions, levelsOf, moveLevel } from '../assembly';
import { tell } from '../units';
import { evaluate, faultsOf } from '.';

/** Every fault that is reached by moving one line has a remedy that ends it and brings no other. */

/** The design with one of its lines at a share of its way; null where its measures cannot be. */
function withLine(design: PlanterDesign, line: number, share: number): PlanterDesign | null {
  const planter = assemble(design);
  const levels = levelsOf(planter);
  const level = levels[line % levels.length]!;
  const moved = applyPatch(
    design,
    moveLevel(planter, level.id, level.min + (level.max - level.min) * share),
  );
  return contradictions(moved).length === 0 && planterDesignSchema.safeParse(moved).success
    ? moved
    : null;
}

function expectMended(design: PlanterDesign): void {
  const { assessment } = evaluate(design);
  const before = faultsOf(design);
  for (const finding of assessment.findings) {
    if (finding.severity !== 'fault' && finding.severity !== 'danger') continue;
    const text = tell(finding.text, 'metric');
    expect([text, finding.remedies.length > 0]).toEqual([text, true]);
    for (const { patch } of finding.remedies) {
      const after = faultsOf(applyPatch(design, patch));
      expect([...after].filter((id) => id === finding.id || !before.has(id))).toEqual([]);
    }
    // No two ways to the same design.
    const patches = finding.remedies.map(({ patch }) => JSON.stringify(patch));
    expect(new Set(patches).size).toBe(patches.length);
  }
}

test.each(STARTING_POINTS.map(({ id, design }) => [id, design] as const))(
  'every fault that one line of %s leads to can be ended',
  (_id, design) => {
    for (let line = 0; line < levelsOf(assemble(design)).length; line += 1)
      for (const share of [0, 0.25, 0.6, 1]) {
        const moved = withLine(design, line, share);
        if (moved) expectMended(moved);
      }
  },
);

test('and wherever else on its way the line is let go', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...STARTING_POINTS),
      fc.nat(2),
      fc.double({ min: 0, max: 1, noNaN: true }),
      ({ design }, line, share) => {
        const moved = withLine(design, line, share);
        if (moved) expectMended(moved);
      },
    ),
    { numRuns: 60, endOnFailure: true },
  );
});

test('where several faults come from one line, one height that mends all is offered for each', () => {
  const { design } = STARTING_POINTS.find(({ id }) => id === 'nested-totes')!;
  const { findings } = evaluate(withLine(design, 1, 0)!).assessment;
  const faults = findings.filter(({ severity }) => severity === 'fault');
  expect(faults.length).toBe(3);
  for (const { remedies } of faults)
    expect(remedies.map(({ label }) => tell(label, 'metric').replace(/\u00a0/g, ' '))).toContain(
      'Raise the upper vessel’s floor to 115 mm, lip with it',
    );
});

test('a vessel too small for what grows in it is told which usual ones are large enough', () => {
  const pail = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design;
  const small = applyPatch(pail, [
    {
      path: ['vessel'],
      value: { ...pail.vessel, topDiameter: 0.258, bottomDiameter: 0.222, depth: 0.24 },
    },
    { path: ['fillTube', 'length'], value: 0.3 },
  ]);
  const { assessment } = evaluate(small);
  const short = assessment.findings.find(({ id }) => id === 'roots-short')!;
  const offered = short.remedies.filter(({ patch }) =>
    patch.some(({ path }) => path.join() === 'vessel'),
  );
  expect(offered.map(({ label }) => tell(label, 'metric').replace(/\u00a0/g, ' '))).toEqual([
    'Take a vessel of 22 L, 368 mm deep',
    'Take a vessel of 29 L, 380 mm deep',
  ]);
  for (const { patch } of offered)
    expect([...faultsOf(applyPatch(small, patch))]).not.toContain('roots-short');
});

import {
  applyPatch,
  BASES,
  SECTIONS,
  STARTING_POINTS,
  type BaseId,
  type DesignPart,
  type PlanterDesign,
} from '../document';
import { changeBase, contradictions } from '../assembly';
import { tell } from '../units';
import { faultsOf, settled } from '.';

/** Changes with what they take beside them, as the chooser of bases makes them. */

const KEPT: readonly DesignPart[] = ['planting', 'soil', 'vessel', 'place'];
const bases = Object.keys(BASES) as BaseId[];
const start = (id: string): PlanterDesign => STARTING_POINTS.find((one) => one.id === id)!.design;

/** The sections in which two designs differ. */
const changed = (one: PlanterDesign, other: PlanterDesign): DesignPart[] =>
  (Object.keys(SECTIONS) as DesignPart[]).filter(
    (section) => JSON.stringify(one[section]) !== JSON.stringify(other[section]),
  );

test.each(bases)('a base of %s leaves what grows, mix, vessel and place as they were', (base) => {
  // Each base in every third starting point, each time in others: all take half a minute.
  const some = STARTING_POINTS.filter((_, i) => (i + bases.indexOf(base)) % 3 === 0);
  for (const { id, design } of some) {
    const patch = changeBase(design, base);
    const whole = settled(design, patch, KEPT);
    // What its measures forbid is refused with a sentence, and nothing is settled.
    const cannot = contradictions(applyPatch(design, patch)).length > 0;
    expect([id, whole === null]).toEqual([id, cannot]);
    if (!whole) continue;
    const after = applyPatch(design, whole.patch);
    expect(after).toEqual(whole.after.design);
    expect([id, changed(design, after).filter((section) => KEPT.includes(section))]).toEqual([
      id,
      [],
    ]);
    // It says what it brings all the same, or it brings nothing.
    const before = faultsOf(design);
    const brought = [...faultsOf(after)].filter((fault) => !before.has(fault));
    expect([id, whole.brings === null]).toEqual([id, brought.length === 0]);
    for (const mend of whole.mends) expect(tell(mend, 'metric')).not.toMatch(/^Plant |mulch/);
  }
});

test('what is mended with it is told in the order in which it is done', () => {
  const design = start('stick-pail');
  const { mends, patch, brings } = settled(design, changeBase(design, 'coil'), KEPT)!;
  const told = mends.map((one) => tell(one, 'metric').replace(/\u00a0/g, ' '));
  expect(told).toEqual(['Raise the top of the base to 126 mm, lip with it', 'Lay it straight']);
  expect(brings).toBeNull();
  expect(changed(design, applyPatch(design, patch))).toContain('overflow');
});

test('where only what must stay could be changed, the fault is told instead', () => {
  const design = start('pot-tub');
  const free = settled(design, changeBase(design, 'stone'))!;
  expect(free.mends.map((one) => tell(one, 'metric')).join()).toMatch(/Plant 2 instead of 3/);
  const kept = settled(design, changeBase(design, 'stone'), KEPT)!;
  expect(kept.after.design.planting).toEqual(design.planting);
  expect(tell(kept.brings!, 'metric')).toMatch(/^Store more water/);
});

test('a change that brings nothing is settled as it is', () => {
  const design = start('cloth-pail');
  const patch = [{ path: ['soil', 'freeboard'], value: 0.03 }];
  expect(settled(design, patch)).toMatchObject({ patch, mends: [], brings: null });
});

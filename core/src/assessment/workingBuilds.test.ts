import { applyPatch, STARTING_POINTS, type Patch, type PlanterDesign } from '../document';
import { assemble, contradictions } from '../assembly';
import { faultsOf } from '.';

/** What grows well in somebody's hands is no fault, however else one would build it. */

const set = (path: Patch[number]['path'], value: unknown): Patch => [{ path, value }];
const mixOfParts = (...parts: [string, number][]): Patch =>
  set(['soil', 'recipe'], {
    parts: parts.map(([what, count]) => ({ what, parts: count })),
    measured: null,
  });

/** The lip level with the top of the supports, under fabric; null where something rigid lies there. */
function lipAtTheTop(design: PlanterDesign): Patch | null {
  const { overflow, reservoir, bed } = design;
  const { invert, ceiling } = assemble(design).heights;
  if (!overflow || overflow.kind === 'rim' || invert === null) return null;
  if (reservoir.cover === 'platform' || bed) return null;
  return set(['overflow', 'centre'], overflow.centre - invert + ceiling);
}

const VARIANTS: Readonly<Record<string, (design: PlanterDesign) => Patch | null>> = {
  'soil from the ground': () => [
    ...set(['soil', 'medium'], 'ground-soil'),
    ...set(['soil', 'recipe'], null),
  ],
  'garden loam with sand': () => mixOfParts(['loam', 2], ['sand', 1]),
  'plain compost': () => [...set(['soil', 'medium'], 'compost'), ...set(['soil', 'recipe'], null)],
  'compost and loam': () => mixOfParts(['compost', 2], ['loam', 1]),
  'no tube': () => set(['fillTube'], null),
  'one support': ({ reservoir }) =>
    reservoir.parts.length > 0 && 'count' in reservoir.parts[0]!
      ? set(['reservoir', 'parts', 0, 'count'], 1)
      : null,
  'no wick but stone or mix': ({ reservoir }) =>
    reservoir.fill.length > 0 ? set(['wicks'], []) : null,
  'overflow at the top of the supports': lipAtTheTop,
};

describe.each(Object.entries(VARIANTS))('%s', (_name, variant) => {
  test('is no fault of any starting point', () => {
    const told: string[] = [];
    let tried = 0;
    for (const { id, design } of STARTING_POINTS) {
      const patch = id === 'blank' ? null : variant(design);
      if (!patch) continue;
      const changed = applyPatch(design, patch);
      if (contradictions(changed).length > 0) continue;
      tried += 1;
      for (const fault of faultsOf(changed)) told.push(`${id}: ${fault}`);
    }
    expect(told).toEqual([]);
    expect(tried).toBeGreaterThan(3);
  });
});

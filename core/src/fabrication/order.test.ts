import fc from 'fast-check';
import { evaluate } from '../assessment';
import { STARTING_POINTS } from '../document';
import { tell, type UnitSystem } from '../units';
import { anyDesign } from '../testing/designs';
import { plain } from '../testing/sheets';
import { buildSheet, type BuildSheet, type StepId } from '.';
import type { Planter, PartKind } from '../assembly';

/** What hands need before what, and words that name nothing this planter has not: over all starting points and any design. */

interface Built {
  name: string;
  planter: Planter;
  sheet: BuildSheet;
  units: UnitSystem;
}

function built(design: Parameters<typeof evaluate>[0], units: UnitSystem): Built {
  const { planter, assessment } = evaluate(design);
  return {
    name: design.name,
    planter,
    units,
    sheet: buildSheet(planter, assessment.figures, units),
  };
}

/** Runs a check over all starting points in both systems, and over random designs. */
function forAll(check: (one: Built) => void): void {
  for (const units of ['metric', 'us'] as const)
    for (const { design } of STARTING_POINTS) check(built(design, units));
  fc.assert(
    fc.property(anyDesign, fc.constantFrom<UnitSystem[]>('metric', 'us'), (design, units) =>
      check(built(design, units)),
    ),
    { numRuns: 150 },
  );
}

const at = ({ sheet }: Built, id: StepId): number => sheet.steps.findIndex((one) => one.id === id);
const goesBefore = (one: Built, first: StepId, then: StepId): void => {
  const [a, b] = [at(one, first), at(one, then)];
  if (a >= 0 && b >= 0)
    expect([one.name, first, then, a < b]).toEqual([one.name, first, then, true]);
};
const there = ({ planter }: Built, ...kinds: PartKind[]): boolean =>
  planter.partGroups.some(({ kind, parts }) => kinds.includes(kind) && parts.length > 0);
const stands = ({ planter }: Built, name: string): boolean =>
  planter.of('standing').some(({ spec }) => spec.what === name);
const wordsOf = ({ sheet, units }: Built, id?: StepId): string[] =>
  sheet.steps
    .filter((step) => id === undefined || step.id === id)
    .flatMap(({ doing, checks }) => [...doing, ...checks.flatMap(({ must, mend }) => [must, mend])])
    .map((words) => plain(tell(words, units)));

test('the wall is drilled before anything is laid on the floor, and both before water comes in', () => {
  forAll((one) => {
    for (const first of ['saw', 'measure', 'overflow', 'line', 'pierce'] as const)
      goesBefore(one, first, 'lay');
    for (const then of ['tube', 'test', 'wick', 'base', 'layers'] as const)
      goesBefore(one, 'lay', then);
    goesBefore(one, 'supports', 'test');
  });
});

test('a sheet is set in before cups are hung in it, and after cloth was pulled through it', () => {
  forAll((one) => {
    const { deck } = { deck: one.sheet.platform };
    if (!deck) return;
    const step = at(one, 'set') >= 0 ? 'set' : 'stand';
    if (there(one, 'cup')) {
      expect(wordsOf(one, 'wick').join(' ')).not.toMatch(/\bhang (it|them) in\b/i);
      expect(wordsOf(one, step).join(' ')).toMatch(/Hang the .*in (its hole|their holes)/);
    }
    if (there(one, 'cloth')) goesBefore(one, 'wick', step);
    if (there(one, 'tube') && !there(one, 'supply')) goesBefore(one, step, 'tube');
  });
});

test('columns are packed down through a sheet that is in, or stand where no sheet comes over them', () => {
  forAll((one) => {
    if (!there(one, 'column') || !one.sheet.platform) return;
    const step = at(one, 'set') >= 0 ? 'set' : 'stand';
    expect(wordsOf(one, 'wick').join(' ')).not.toMatch(/columns? of wet/);
    expect(wordsOf(one, step).join(' ')).toMatch(/columns? of wet/);
  });
});

test('nothing is built into water that somebody has to bail out first', () => {
  forAll((one) => {
    const { design } = one.planter;
    const words = wordsOf(one, 'test').join(' ');
    const after = (id: StepId) => at(one, id) > at(one, 'test');
    const dry = design.reservoir.fill.length > 0 && after('base');
    if (dry || design.bed?.kind === 'bag') expect(words).toMatch(/Bail or siphon/);
    if (/The water stays in it/.test(words))
      for (const id of ['wick', 'base'] as const)
        expect([one.name, id, after(id)]).toEqual([one.name, id, false]);
    // Nobody bails out more than a bath.
    if (
      /Bail or siphon/.test(words) &&
      !design.reservoir.fill.some(({ medium }) => medium === 'mix') &&
      !one.planter.bed.separate
    )
      expect(one.sheet.test.whole).toBeLessThan(0.2);
  });
});

/** Words, and whether a planter has what they name. */
const NAMED: readonly (readonly [words: RegExp, has: (one: Built) => boolean])[] = [
  [/\btubs?\b/, (one) => stands(one, 'tub') || at(one, 'dig') >= 0],
  [/(?<!\d )\bcups?\b/, (one) => there(one, 'cup') || stands(one, 'cup')],
  [/\bnet pots?\b/, (one) => there(one, 'cup')],
  [/\bcolumns?\b/, (one) => there(one, 'column')],
  [/\bthe cloth\b/, (one) => there(one, 'cloth', 'arch') || there(one, 'rows')],
  [
    /\bwicks?\b/,
    (one) =>
      one.planter.wicks.length > 0 ||
      one.planter.design.bed?.kind === 'neck' ||
      one.planter.design.reservoir.fill.some(({ medium }) => medium === 'mix'),
  ],
  [/\bplatform\b/, (one) => one.sheet.platform !== null],
  [/\bliner\b/, (one) => there(one, 'liner')],
  [/\bring\b/, (one) => there(one, 'ring')],
  [/\bcrates?\b/, (one) => there(one, 'crates')],
  [/\bpanel\b/, (one) => there(one, 'arch')],
  [/\bsticks\b/, (one) => there(one, 'sticks')],
  [/\b(fill )?tube\b/, (one) => there(one, 'tube', 'inspection', 'worm')],
  [/\boverflow\b/, (one) => there(one, 'hole', 'fitting', 'rows')],
  [/\bsupports?\b/, (one) => there(one, 'standing', 'ring', 'crates', 'lying', 'arch', 'sticks')],
  [/\bgrommet\b/, (one) => there(one, 'fitting')],
  [/\bvalve\b/, (one) => there(one, 'supply')],
  [/\bsock\b/, (one) => one.planter.of('lying').some(({ spec }) => spec.sock)],
];

test('sentences name only what this planter has', () => {
  forAll((one) => {
    for (const words of wordsOf(one))
      for (const [name, has] of NAMED)
        if (name.test(words)) expect([one.name, words, has(one)]).toEqual([one.name, words, true]);
  });
});

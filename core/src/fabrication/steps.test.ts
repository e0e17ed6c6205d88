import { evaluate } from '../assessment';
import { applyPatch, STARTING_POINTS, type Patch } from '../document';
import { tell } from '../units';
import { designOf, plain, sheetOf } from '../testing/sheets';
import { buildSheet, type StepId } from '.';

/** What a builder would stumble over, drill in hand: openings, order and words of single sheets. */

test('children near it: the leak test and the finished planter are covered', () => {
  const { steps } = sheetOf('gutter-pails', 'metric', [
    { path: ['place', 'children'], value: true },
  ]);
  const cautions = (id: StepId) =>
    steps.find((step) => step.id === id)!.cautions.map((caution) => caution.id);
  expect(cautions('test')).toContain('children');
  expect(cautions('close')).toContain('covered');
});

test('an overflow that is drilled with a bit of another size keeps its lip', () => {
  const metric = sheetOf('cloth-pail').holes.find(({ id }) => id === 'overflow')!;
  const inch = sheetOf('cloth-pail', 'us').holes.find(({ id }) => id === 'overflow')!;
  expect(plain(tell(metric.where, 'metric'))).toContain('middle 86 mm above');
  // 12 mm becomes half an inch: the mark is 0.35 mm higher for the same lip of 80 mm.
  expect(inch.bit).toBeCloseTo(0.0127, 12);
  expect(inch.marks[0]!.height).toBeCloseTo(0.08635, 9);
  expect(inch.lip).toBeCloseTo(0.08, 9);
  expect(plain(tell(inch.why, 'metric'))).toContain('lip comes to 80 mm');
  // Whoever builds it so has built it as planned.
  const step = sheetOf('cloth-pail', 'us').steps.find(({ id }) => id === 'overflow')!;
  expect(step.measures.map(({ planned }) => planned)).toEqual([inch.marks[0]!.height, inch.bit]);
});

test('a split ring needs no holes, closed supports get none, and rows are counted', () => {
  const ids = (id: string, patch: Patch = []) =>
    sheetOf(id, 'metric', patch).holes.map((hole) => hole.id);
  expect(ids('cloth-pail')).toEqual(['overflow', 'tube-0-deck', 'cloth-0-deck', 'drain']);
  expect(ids('trough-pipes')).toEqual(['overflow', 'tube-0-joint']);
  expect(sheetOf('air-barrel').holes[0]).toMatchObject({ count: 40 });
  const shut = ids('cup-pail', [{ path: ['reservoir', 'parts', 0, 'vents'], value: 'sealed' }]);
  expect(shut).not.toContain('standing-0-vents');
});

test('a shirt goes bunched through one hole of 25 to 40 mm', () => {
  const hole = sheetOf('cloth-pail').holes.find(({ id }) => id === 'cloth-0-deck')!;
  expect(hole.count).toBe(1);
  expect(hole.bit).toBeGreaterThanOrEqual(0.025);
  expect(hole.bit).toBeLessThanOrEqual(0.04);
});

test('a grommet’s hole is its maker’s, and never rounded', () => {
  const { holes } = sheetOf('tank-crates', 'metric', [
    { path: ['overflow', 'diameter'], value: 0.026 },
    { path: ['overflow', 'bore'], value: 0.018 },
  ]);
  const [overflow] = holes.filter(({ lip }) => lip !== null);
  expect(overflow).toMatchObject({ bit: 0.026, diameter: 0.026 });
  expect(overflow!.tool).toMatch(/Borrow/);
});

test('a box is drilled before it is lined, and its liner pierced from inside afterwards', () => {
  const { steps } = sheetOf('box-legs');
  const at = (id: StepId) => steps.findIndex((step) => step.id === id);
  expect([at('box'), at('overflow'), at('line'), at('pierce')]).toEqual(
    [at('box'), at('overflow'), at('line'), at('pierce')].sort((a, b) => a - b),
  );
  expect(plain(tell(steps[at('pierce')]!.doing[0]!, 'metric'))).toMatch(
    /From inside, cut the liner .* smaller|small cross/,
  );
});

test('cloth lies on open crates before sand does', () => {
  const { steps } = sheetOf('tank-crates');
  const { doing } = steps.find(({ id }) => id === 'layers')!;
  const words = doing.map((one) => tell(one, 'metric'));
  expect(words.findIndex((text) => /fabric/.test(text))).toBeLessThan(
    words.findIndex((text) => /sand/.test(text)),
  );
});

test('a barrel is sawn before it is measured or drilled; a loop is cut pieces and elbows', () => {
  const barrel = sheetOf('cut-barrel').steps.map(({ id }) => id);
  expect(barrel.indexOf('saw')).toBeLessThan(barrel.indexOf('measure'));
  expect(barrel.indexOf('saw')).toBeLessThan(barrel.indexOf('overflow'));
  const { parts, cuts } = sheetOf('box-legs');
  expect(parts.find(({ id }) => id === 'lying-0-elbows')).toMatchObject({ quantity: 4 });
  const loop = cuts.flatMap(({ pieces }) => pieces).filter(({ part }) => part === 'lying-0');
  expect(loop.reduce((sum, { count }) => sum + count, 0)).toBe(4);
});

test('behind a float valve it is the valve’s level that is tested and filled to', () => {
  const { steps } = sheetOf('gutter-pails');
  const words = (id: StepId) =>
    plain(
      steps
        .find((step) => step.id === id)!
        .doing.map((one) => tell(one, 'metric'))
        .join(' '),
    );
  expect(words('test')).toMatch(/must stop at 60 mm/);
  expect(words('water')).toMatch(/valve shuts at 60 mm/);
  expect(words('water')).not.toMatch(/overflow runs/);
});

test('an old hole that is to be patched has its part, its step and its time to cure', () => {
  const { steps, parts } = sheetOf('stone-pot');
  expect(parts.map(({ id }) => id)).toContain('patch');
  const seal = steps.find(({ id }) => id === 'seal')!;
  expect(tell(seal.doing[0]!, 'metric')).toMatch(/cure for 24 hours/);
});

test('a tube is as long as the design says, its bevel as deep as it is wide', () => {
  const all = sheetOf('tote-pipes').cuts.flatMap(({ pieces }) => pieces);
  const tube = all.find(({ label }) => label === 'Fill tube')!;
  expect(tube.length).toBeCloseTo(0.44, 9);
  expect(plain(tell(tube.note!, 'metric'))).toContain(
    '440 mm on its long side, 400 mm on its short side',
  );
  expect(all.find(({ label }) => label === 'Support')).toMatchObject({ length: 0.09, count: 14 });
  // Where it ends in a tee, its foot is cut square.
  const tee = sheetOf('box-legs').cuts.flatMap(({ pieces }) => pieces);
  expect(tee.find(({ label }) => label === 'Fill tube')!.note).toBeNull();
});

test('a box is built of courses as boards are sold, lapped in turn at the corners, and a liner with laps', () => {
  const { cuts, sheets, steps } = sheetOf('box-legs');
  // 350 mm: two of 195 mm are the narrowest that make it; the floor's boards are others.
  const boards = cuts.find(({ good }) => good.id === 'board:25x195')!;
  expect(boards.pieces.map(({ label, length, count }) => [label, length, count])).toEqual([
    ['Long side', 1.25, 2],
    ['Short side', 0.5, 2],
    ['Long side', 1.2, 2],
    ['Short side', 0.55, 2],
  ]);
  const said = steps.find(({ id }) => id === 'box')!.doing.map((one) => plain(tell(one, 'metric')));
  expect(said.join(' ')).toMatch(/screw a leg to the outside of each corner/);
  expect(said.join(' ')).toMatch(/other 1 course on it, ends lapped the other way/);
  // Floor, two walls of 350 mm and 150 mm of lap on each side: 1200 + 1000 by 500 + 1000.
  expect(sheets.find(({ id }) => id === 'liner')).toMatchObject({
    length: expect.closeTo(2.2, 9),
    width: expect.closeTo(1.5, 9),
  });
});

test('mix: settling and shrinking make the ingredients more than what stands in the pail', () => {
  const { parts } = sheetOf('cloth-pail');
  const mix = parts.find(({ id }) => id === 'mix')!;
  const before = mix.ingredients!.reduce((sum, { volume }) => sum + volume, 0);
  // A third of it is open, perlite and hulls: 0.05 + 0.1 · 4 · 1/3 · 2/3 is lost on mixing.
  expect(before).toBeCloseTo(mix.quantity / (1 - 0.05 - 0.8 / 9), 9);
  const [coir, perlite] = mix.ingredients!;
  expect(coir!.volume / perlite!.volume).toBeCloseTo(3, 9);
});

test('a hose against a small overflow is said where one fills, and only there', () => {
  const water = (id: string, patch: Patch = []) => {
    const design = applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
    const { planter, assessment } = evaluate(design);
    expect(assessment.findings.map((finding) => finding.id)).not.toContain('overflow-hose');
    const { steps } = buildSheet(planter, assessment.figures, 'metric');
    return steps
      .find((step) => step.id === 'water')!
      .doing.map((words) => tell(words, 'metric'))
      .join(' ');
  };
  expect(water('tote-pipes')).toMatch(/turn a hose down and stop when it runs/);
  expect(water('tote-pipes', [{ path: ['place', 'hose'], value: 1e-5 }])).not.toMatch(/a hose/);
});

test('lime is for those that like it, never for strawberries; feed goes by its own rate', () => {
  const limed = (id: string) =>
    sheetOf(id, 'metric', [
      { path: ['soil', 'limeDose'], value: 3 },
      { path: ['soil', 'feed'], value: 'synthetic' },
      { path: ['soil', 'feedDose'], value: 2 },
    ]);
  const berries = limed('stone-pot');
  expect(berries.parts.map(({ id }) => id)).not.toContain('lime');
  expect(berries.feeding.says.map((text) => tell(text, 'metric')).join()).toMatch(
    /No lime: strawberry wants acid soil, so the lime in this design is left out/,
  );
  const peppers = limed('cloth-pail');
  const volume = evaluate(designOf('cloth-pail')).assessment.figures.soilVolume;
  expect(peppers.parts.find(({ id }) => id === 'lime')!.quantity).toBeCloseTo(3 * volume, 9);
  expect(peppers.parts.find(({ id }) => id === 'feed')!.quantity).toBeCloseTo(2 * volume, 9);
});

test('the panel of a standing barrel comes out of its openings: both above soil and mulch, and of one size', () => {
  const { steps, sheets, parts } = sheetOf('panel-barrel');
  const [openings, panel] = steps
    .find(({ id }) => id === 'saw')!
    .doing.map((one) => plain(tell(one, 'metric')));
  // Rim 860 mm, 300 of freeboard, 50 of mulch: from 610 up to 20 below the rim.
  expect(openings).toMatch(/lower edge 610 mm above the inside floor, .* and 230 mm tall/);
  expect(panel).toMatch(/what comes out of an opening: 571 mm round by 230 mm up/);
  expect(sheets.find(({ id }) => id === 'arch-0-panel')!.length).toBeCloseTo(0.23, 9);
  expect(plain(tell(parts.find(({ id }) => id === 'arch-0')!.amount, 'metric'))).toMatch(
    /230 mm long/,
  );
});

test('every pail of a row is drilled in its own middle', () => {
  const hole = sheetOf('gutter-pails').holes.find(({ id }) => id === 'cup-0-deck')!;
  expect(plain(tell(hole.where, 'metric'))).toBe('in its middle');
});

test('mulch that does not come up to the rim does not say so', () => {
  const last = (id: string) =>
    sheetOf(id)
      .steps.find((step) => step.id === 'close')!
      .doing.map((one) => tell(one, 'metric'))
      .find((text) => text.startsWith('Mulch'));
  expect(last('panel-barrel')).not.toMatch(/rim/);
  expect(last('cloth-pail')).toMatch(/up to the rim/);
});

test('a metric pipe’s hole is made by the inch saw that is as wide; one between two saws is cut to a line', () => {
  const toolOf = (value: number) =>
    sheetOf('cloth-pail', 'us', [{ path: ['fillTube', 'hole'], value }]).holes.find(
      ({ id }) => id === 'tube-0-deck',
    )?.tool;
  // 1 3/8 in is 34.9 mm; 36.5 mm lies between 1 3/8 and 1 1/2 in.
  expect(toolOf(0.035)).toBe('Hole saw');
  expect(toolOf(0.0365)).toBe('Knife or jigsaw, to a line');
});

describe('where a builder would stumble', () => {
  const says = (id: string, step: StepId, patch: Patch = []) =>
    sheetOf(id, 'metric', patch)
      .steps.find((one) => one.id === step)!
      .doing.map((text) => plain(tell(text, 'metric')))
      .join(' ');

  test('half a barrel on its side is wedged before it is levelled, a standing one is not', () => {
    expect(says('lying-barrel', 'test')).toMatch(/wedged on both long sides.*, and level it/);
    expect(says('cut-barrel', 'test')).not.toMatch(/wedged/);
  });

  test('straw over the base leaves its wick open, and shuts nothing off elsewhere', () => {
    expect(says('stick-pail', 'layers')).toMatch(/Leave it open over each cup/);
    const marker = says('tank-crates', 'layers');
    expect(marker).toMatch(/straw or moss over that/);
    expect(marker).not.toMatch(/Leave it open/);
  });

  test('each pail of a row gets a fabric of its own; sand that lifts is not told to meet mix', () => {
    expect(says('gutter-pails', 'layers')).toMatch(/over the floor of each pail/);
    expect(says('cup-pail', 'layers')).toMatch(/over each cup, so that mix meets mix/);
    expect(says('tank-crates', 'layers')).toMatch(/over each cup and column, so that the wick/);
  });

  test('the barrel that feeds a channel comes with its tap and its hose', () => {
    const { parts } = sheetOf('gutter-pails');
    expect(parts.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['supply', 'valve', 'barrel-tap', 'hose']),
    );
    expect(says('gutter-pails', 'tube')).toMatch(/tap in.*Join it to the tap by hose/);
  });

  test('what is in the water at the test has the name that its own step gives it', () => {
    expect(says('box-legs', 'test')).toMatch(/with the turn of pipe and the tube in it/);
    expect(says('cup-pail', 'test')).toMatch(/with the tubs in it and nothing else/);
    expect(says('bag-tray', 'test')).toMatch(/Bail or siphon the water out/);
  });

  test('what is drilled is named', () => {
    expect(says('cup-pail', 'supports')).toMatch(/Drill each tub/);
    expect(says('bottle-pail', 'supports')).toMatch(/Drill each bottle/);
  });
});

test('the overflow’s mark is found from outside, too: down the slant from the rim', () => {
  const { steps, planter } = sheetOf('cloth-pail');
  const words = steps
    .find(({ id }) => id === 'overflow')!
    .doing.map((one) => plain(tell(one, 'metric')));
  const { vessel } = planter;
  const [hole] = planter.of('hole');
  const z = (hole!.parts[0]!.from + hole!.parts[0]!.to) / 2;
  const slant = Math.hypot(vessel.depth - z, vessel.halfAt(vessel.depth) - vessel.halfAt(z));
  expect(words.join(' ')).toContain(
    `From outside, its middle is ${Math.round(slant * 1000)} mm down the wall`,
  );
});

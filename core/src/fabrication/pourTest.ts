import { shimsOf } from '../assessment';
import { isOwnEnd } from '../document';
import {
  BEARERS,
  isSolid,
  nameOf,
  storageWith,
  type PartGroup,
  type PartKind,
  type Planter,
} from '../assembly';
import { listed, q, say, type Message } from '../units';
import { LAID } from './parts/bearing';
import { standsOver } from '../geometry/vessels';
import type { BuildSheetBuilder } from './buildSheetBuilder';
import { measure, type StepId } from './step';

/** The test with water: when it comes, what is in it by then, what is poured and where that must stand. */

/** Share of the standing water that the pour test pours, and the steps that litres are said in. */
const POURED = 0.6;
const LITRE_STEPS = [0.1, 0.25, 0.5, 1, 2, 5, 10, 25, 50, 100].map((litres) => litres / 1000);
/** Fewest such steps, so that the rounding stays small. */
const LEAST_STEPS = 3;
/** How near the poured level must come, metres. */
const NEAR = 0.005;

/** What stands in the reservoir when it is tested: all that comes before the test in the order of the work. */
function inTest(builder: BuildSheetBuilder): (group: PartGroup) => boolean {
  const order = builder.order;
  const test = order.indexOf('test');
  const before = (step: StepId) => order.includes(step) && order.indexOf(step) < test;
  const STANDS_AT: Partial<Record<PartKind, StepId>> = {
    ...Object.fromEntries(
      BEARERS.map((kind) => [kind, LAID.includes(kind) ? ('lay' as const) : ('supports' as const)]),
    ),
    tube: 'tube',
    inspection: 'tube',
    cup: 'wick',
    cloth: 'wick',
    column: 'wick',
  };
  return (group) => {
    // The vessel's own cut end is slid in after the test.
    const part = builder.planter.design.reservoir.parts[group.index];
    const ownEnd = part !== undefined && part.kind === group.kind && isOwnEnd(part);
    const step = ownEnd ? 'set' : STANDS_AT[group.kind];
    return step !== undefined && before(step);
  };
}

/** What the pour test pours, where that must stand, and what it all takes. m³ and metres. */
export interface TestPour {
  volume: number;
  level: number;
  whole: number;
}

export function testPourOf(builder: BuildSheetBuilder): TestPour {
  const { planter } = builder;
  const storage = storageWith(planter, inTest(builder), testsLate(planter));
  const whole = storage.volumeBelow(planter.heights.brim);
  const aim = Math.max(whole * POURED, 1e-6);
  const step = [...LITRE_STEPS].reverse().find((one) => aim / one >= LEAST_STEPS) ?? aim;
  const volume = Math.max(Math.floor(aim / step), 1) * step;
  return { volume, level: storage.heightFor(volume), whole };
}

/** More than this is not poured in to be bailed out again over a rim, m³. */
const TOO_MUCH = 0.1;

/**
 * Whether it is tested when what belongs into the water is in it, so that the water can stay: a large one, in which no
 * soil is packed around what stands there and no sheet is set in.
 */
function testsLate(planter: Planter): boolean {
  const { design, vessel, heights, bed } = planter;
  const soil = design.reservoir.fill.some(({ medium }) => medium === 'mix');
  return (
    !soil &&
    !bed.separate &&
    design.reservoir.cover !== 'platform' &&
    vessel.volumeBelow(heights.brim) > TOO_MUCH
  );
}

/** The order of the test is settled before its words, which say what is in it by then. */
export function testNeeds(builder: BuildSheetBuilder): void {
  for (const first of ['supports', 'lay', 'overflow', 'pierce', 'line', 'seal'] as const)
    builder.after(first, 'test');
  const filled = ['wick', 'base'] as const;
  if (testsLate(builder.planter)) for (const first of filled) builder.after(first, 'test');
  else for (const then of filled) builder.after('test', then);
  for (const then of ['set', 'stand', 'layers', 'fill'] as const) builder.after('test', then);
  builder.begin('test');
}

/** What becomes of the water when all is well. */
function afterwards(builder: BuildSheetBuilder): Message {
  const { design, wicks, bed } = builder.planter;
  if (testsLate(builder.planter)) return say`The water stays in it.`;
  const dry = design.reservoir.fill.length > 0 || design.bed?.kind === 'bag';
  const stands = !builder.deck && !bed.separate && wicks.length > 0;
  return dry || stands
    ? say`Bail or siphon the water out, and keep it for the first watering.`
    : say`The water may stay in it.`;
}

// eslint-disable-next-line max-lines-per-function -- one step: what is poured, and what is looked for as it rises.
export function test(builder: BuildSheetBuilder): void {
  const { planter, figures } = builder;
  const { design, heights, vessel } = planter;
  const { volume, level, whole } = testPourOf(builder);
  const spills = heights.invert !== null && design.overflow?.kind !== 'rim';
  const shims = shimsOf(figures.tilt, design.place.falls, spills);
  const long = 2 * vessel.outlineAt(Math.min(heights.brim, vessel.depth)).a;
  const { supply } = design.reservoir;
  const runs = spills && !supply;
  const { a, b } = standsOver(planter.vessel);
  const wedged = planter.vessel.flat
    ? say``
    : say`, wedged on both long sides, ${q(2 * Math.min(a, b), 'length')} from wedge to wedge so that it cannot roll`;
  const stands = inTest(builder);
  const names = [
    ...new Set(
      planter.partGroups.filter((group) => stands(group) && group.parts.length > 0).map(inItOf),
    ),
  ].filter(Boolean);
  const shut = planter.partGroups
    .filter((group) => stands(group) && group.parts.length > 0 && holdsAir(group))
    .map((group) => `a ${nameOf(group, 1)}`)[0];
  const within = testsLate(planter)
    ? say``
    : names.length > 0
      ? say`, with ${listed(names)} in it and nothing else`
      : say`, still empty`;
  builder.say(
    'test',
    design.vessel.kind === 'frame'
      ? say`Lay a level over its rim both ways${shims ? say`: ${shims}` : say`: it must stand level`}.`
      : say`Put it where it will stay${wedged}, and level it${shims ? say`: ${shims}` : ''}.`,
    10,
  );
  builder.say(
    'test',
    say`Pour in ${q(volume, 'volume')}${within}: the water must stand at ${q(level, 'length')} above the floor.`,
    5,
  );
  builder.say(
    'test',
    supply
      ? say`Open the valve: the water must stop at ${q(supply.level, 'length')}, with ${q(whole, 'volume')} in the channel. Wait a quarter of an hour.`
      : runs
        ? say`Pour on until it runs from the overflow, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`
        : say`Pour on to ${q(heights.brim, 'length')}, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`,
    5,
  );
  builder.wait('test', 15);
  if (spills && supply && heights.invert > supply.level)
    builder.say(
      'test',
      say`Pour on by hand: it must run from the overflow with the water at ${q(heights.invert, 'length')}.`,
      5,
    );
  builder.say('test', afterwards(builder), 5);
  builder.tools('test', 'Spirit level', 'Measuring jug', 'Tape', 'Shims');
  builder.warn(
    'test',
    'weight',
    ...(design.place.children ? (['children'] as const) : []),
    'drinking',
  );
  builder.check('test', {
    id: 'pour',
    must: say`${q(volume, 'volume')} raised the water to ${q(level, 'length')}, give or take ${q(NEAR, 'length')}.`,
    mend: say`Lower: the vessel is wider than measured, or it leaks. Higher: it is narrower${shut ? `, or ${shut} is shut and full of air` : ''}. Measure again, or calibrate it by pouring on the bench.`,
  });
  // Under stone and crates nobody sees it, and nobody shims it any more.
  if (!testsLate(planter))
    builder.check('test', {
      id: 'level',
      must: say`The water stands equally high in every corner.`,
      mend: say`Shim the low side, and look again.`,
    });
  builder.check('test', {
    id: 'leak',
    must: runs
      ? say`It runs from the overflow and nowhere else; the level has not fallen.`
      : say`It leaks nowhere; the level has not fallen.`,
    mend: say`${testsLate(planter) ? 'Siphon the water out, lay the place bare and dry it,' : 'Empty it, dry the place,'} patch or seal it from the inside, let it cure, and test it again before any soil goes in.`,
  });
  builder.measure(
    'test',
    measure('poured', { label: 'Water stood at', kind: 'length', min: 0.001, max: 1.5 }, level),
  );
  builder.measure(
    'test',
    measure(
      'tilt',
      { label: 'Difference between the ends', kind: 'length', min: 0, max: 1 },
      design.place.slopeAcross * long,
      ['place', 'slopeAcross'],
      1 / long,
    ),
  );
}

/** What holds air where it is not drilled. */
const holdsAir = (group: PartGroup): boolean =>
  group.kind === 'arch' ||
  (group.kind === 'standing' && !isSolid(group.spec.what)) ||
  (group.kind === 'crates' && group.spec.what === 'former');

/** What stands in the water by then, by the name that its own step gives it. */
const inItOf = (group: PartGroup): string =>
  group.kind === 'tube' || group.kind === 'inspection'
    ? 'the tube'
    : BEARERS.includes(group.kind)
      ? `the ${nameOf(group)}`
      : '';

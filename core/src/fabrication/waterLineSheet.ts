import { caution, type Caution, type CautionId } from '../assessment';
import { supplyMass, supplyPressure } from '../assembly';
import { HOSES } from '../catalog';
import type { WaterLine } from '../document';
import { spanOf, type LineAssessment, type LinePlanter } from '../simulation/waterLine';
import { q, say, type Message } from '../units';
import { hoseFittingGood, SMALL_GOODS, type Good } from './goods';

/** What joining planters takes, and the work in its order. */

export interface LinePart {
  id: string;
  what: Message;
  amount: Message;
  good: Good;
  /** In the good’s unit. */
  quantity: number;
}

export interface LineStep {
  id: string;
  title: string;
  doing: readonly Message[];
  cautions: readonly Caution[];
}

export interface WaterLineSheet {
  parts: LinePart[];
  steps: LineStep[];
}

/** Hose between a barrel’s outlet and the valve’s box, besides the height, metres. */
const TO_VALVE = 1;

const nameOf = ({ joined }: LinePlanter): string => joined.planter.design.name;
const count = (n: number): Message => say`${String(n)}`;

/** The hose from the barrel down to the valve’s box, metres; 0 without a barrel. */
const barrelHose = ({ supply, level }: WaterLine): number =>
  supply.kind === 'barrel' ? Math.max(supply.outlet - level, 0) + TO_VALVE : 0;

/** The pieces that a line’s hose is joined with, and how much of it there is. */
function hoseOf({ line, planters }: LineAssessment) {
  const { supply } = line;
  const n = planters.length;
  const fed = supply.kind !== 'none';
  const runs = planters.map(({ joined }) => joined.member.run);
  // Without a valve the hose of a row begins at its first planter.
  const laid = !fed && line.layout === 'row' ? runs.slice(1) : runs;
  // Each planter but the last is branched off; without a valve the first is an end, too.
  const tees = Math.max(fed ? n - 1 : n - 2, 0);
  const fittings = fed ? n + 1 : n;
  const feed = supply.kind === 'barrel' ? 2 : fed ? 1 : 0;
  return {
    length: laid.reduce((sum, one) => sum + one, 0) + barrelHose(line),
    tees,
    fittings,
    taps: n,
    // An end of hose on each tail, on three sides of a tee and on two of a tap; and the feed’s.
    clips: fittings + 3 * tees + 2 * n + feed,
  };
}

function partsOf(all: LineAssessment): LinePart[] {
  const { supply, hose } = all.line;
  const { bore } = HOSES[hose];
  const { length, tees, fittings, taps, clips } = hoseOf(all);
  const piece = (id: string, what: Message, many: number, good: Good): LinePart => ({
    ...{ id, what, good },
    amount: count(many),
    quantity: many,
  });
  const wide = q(bore, 'length');
  return [
    {
      id: 'hose',
      what: say`Hose, ${wide} inside`,
      amount: say`${q(length, 'stock')}`,
      good: SMALL_GOODS.hose,
      quantity: length,
    },
    piece(
      'fitting',
      say`Wall fitting with seal and hose tail, ${wide}`,
      fittings,
      hoseFittingGood('wall', bore),
    ),
    piece('tap', say`Tap in the hose, ${wide}`, taps, hoseFittingGood('tap', bore)),
    ...(tees > 0
      ? [piece('tee', say`Tee for the hose, ${wide}`, tees, hoseFittingGood('tee', bore))]
      : []),
    piece('clip', say`Hose clip`, clips, SMALL_GOODS.hoseClip),
    ...(supply.kind === 'none'
      ? []
      : [
          piece('valve', say`Float valve with its hose tail`, 1, SMALL_GOODS.valve),
          piece('valve-box', say`Box with a lid for the valve`, 1, SMALL_GOODS.valveBox),
          piece('filter', say`Strainer before the valve`, 1, SMALL_GOODS.strainer),
        ]),
    ...(supply.kind === 'barrel'
      ? [
          piece('barrel', say`Barrel of ${q(supply.volume, 'volume')}`, 1, SMALL_GOODS.supply),
          piece('barrel-tap', say`Barrel tap with its seal`, 1, SMALL_GOODS.barrelTap),
        ]
      : []),
  ];
}

const step = (
  id: string,
  title: string,
  doing: readonly Message[],
  ...cautions: CautionId[]
): LineStep => ({ id, title, doing, cautions: cautions.map(caution) });

/** Thinner than this it lies on tiles, thicker on slabs; what is thinner still nobody lays. Metres. */
const SLAB = 0.03;
const THIN = 0.003;

/** What one planter stands on. */
function standsOn(one: LinePlanter): Message {
  const { member, least } = one.joined;
  const packing = member.floor - least;
  const there = say`${q(member.floor, 'length')} above the ground`;
  return packing < THIN
    ? say`${nameOf(one)}: straight on the ground, its inside floor ${there}.`
    : say`${nameOf(one)}: on ${packing < SLAB ? 'tiles' : 'slabs'} ${q(packing, 'length')} thick, its inside floor ${there}.`;
}

function standing({ line, level, planters }: LineAssessment): LineStep {
  const what = line.supply.kind === 'none' ? 'The lowest lip' : 'The water';
  return step(
    'stand',
    'Stand them at their heights',
    [
      ...planters.map(standsOn),
      say`Measure with a clear hose filled with water: in both its ends the water stands at one height. ${what} will be ${q(level, 'length')} above the ground.`,
    ],
    'weight',
  );
}

function holes({ line, planters }: LineAssessment): LineStep {
  return step(
    'holes',
    'Fit the hose tails',
    [
      say`Before any mix goes in: the seal sits inside, and the inside must be in reach.`,
      ...planters.map(
        (one) =>
          say`${nameOf(one)}: drill for the fitting, the middle of the hole ${q(one.joined.member.port, 'length')} above the inside floor.`,
      ),
      say`The hole is as wide as the fitting’s maker says, not a size up. Seal inside, nut outside, hand-tight and a quarter turn.`,
      say`Where soil, stone or cloth would lie over the hole inside, put a patch of mesh before it.`,
      ...(line.supply.kind === 'none'
        ? []
        : [say`The valve’s box: one fitting near its floor, for the hose to the planters.`]),
      ...(line.supply.kind === 'barrel' ? [say`Fit the tap low in the barrel’s side.`] : []),
    ],
    'cutting',
  );
}

function hoses({ line, planters }: LineAssessment): LineStep {
  const from = line.supply.kind === 'none' ? say`where all meet` : say`the valve’s box`;
  const row = line.layout === 'row';
  return step('hoses', 'Lay the hose', [
    ...planters.map((one, i) => {
      const length = q(one.joined.member.run, 'span');
      if (!row || i === 0)
        return i === 0 && line.supply.kind === 'none'
          ? row
            ? say`It begins at ${nameOf(one)}.`
            : say`${length} from ${nameOf(one)} to where all meet.`
          : say`${length} from ${from} to ${nameOf(one)}.`;
      return say`${length} on to ${nameOf(one)}.`;
    }),
    say`A tap before each planter, a clip on each joint. It lies on the ground and falls or rises nowhere over an edge: air gathers at a high place and stops the water.`,
  ]);
}

function supplying(all: LineAssessment): LineStep[] {
  const { line, level } = all;
  const { supply } = line;
  if (supply.kind === 'none') return [];
  const valve = say`Hang the float valve in its box so that it shuts when the water is ${q(level, 'length')} above the ground. The feed’s hose goes to it by the strainer; lid on the box.`;
  if (supply.kind === 'mains')
    return [step('valve', 'Set the valve', [valve], 'mains', 'mosquitoes', 'covered')];
  const pressure = supplyPressure(supply);
  return [
    step(
      'barrel',
      'Stand the barrel',
      [
        say`On a stand that carries ${q(supplyMass(supply.volume), 'mass')}, ${q(pressure, 'pressure')} under it, so that its outlet is ${q(supply.outlet, 'length')} above the ground.`,
        say`Close it with its lid, and every opening with mesh.`,
      ],
      ...(['weight', 'topple', 'covered', 'mosquitoes', 'drinking'] as const),
    ),
    step('valve', 'Set the valve', [valve]),
  ];
}

function trying(all: LineAssessment): LineStep {
  const { line, planters, follows } = all;
  return step('try', 'Let the water in, and measure', [
    line.supply.kind === 'none'
      ? say`Fill at one planter, slowly, until water runs out of an overflow.`
      : say`Open the tap. Lift each hose end under water and let its air out before it goes on its tail.`,
    say`Wait ${spanOf(Math.max(follows * 2, 1800))}. Then the water stands above each inside floor:`,
    ...planters.map(
      (one) => say`${nameOf(one)}: ${q(one.joined.level, 'length')}, ${q(one.holds, 'volume')}.`,
    ),
    say`Where it stands lower, air is in that hose or its tap is closed. Where it stands higher, that planter is lower than it was measured.`,
    say`Look at all joints after a day.`,
  ]);
}

/** The hole that a planter's own sheet does not know: for the hose of its line. Null for one that is not in it. */
export function hoseHole({ name, members }: WaterLine, planter: string): Message | null {
  const member = members.find((one) => one.planter === planter);
  if (!member) return null;
  return say`It is joined as ‘${name}’: before any mix goes in, drill for the hose’s fitting, too, the middle of the hole ${q(member.port, 'length')} above the inside floor.`;
}

/**
 * Parts and steps of a line.
 *
 * @param all of a line with at least one planter
 */
export function waterLineSheet(all: LineAssessment): WaterLineSheet {
  return {
    parts: partsOf(all),
    steps: [standing(all), holes(all), hoses(all), ...supplying(all), trying(all)],
  };
}

import { bitFor, INCH_BITS, METRIC_BITS, PIPES, STANDING, type MATERIALS } from '../catalog';
import { lipBelowMark } from '../design';
import type { Planter } from '../planter';
import { q, say, type Message, type UnitSystem } from '../quantity';
import { deckOf, PLAY, type Deck, type Spot } from './deck';
import { roundTheWall, upTheWall } from './wall';

/** What is drilled; each is drilled at one step of the work. */
export type Drilled = 'wall' | 'support' | 'deck' | 'wick' | 'pipe';

/** A mark on the outside of a wall. Metres. */
export interface WallMark {
  /** Round the wall from the middle of all marks. */
  along: number;
  /** Above the inside floor, and up the slant of the wall from there. */
  height: number;
  up: number;
}

/** Holes of one kind, as they are marked and drilled. */
export interface Hole {
  id: string;
  on: Drilled;
  /** Which part is drilled, in words. */
  part: string;
  count: number;
  /** What the design asks for, and the drill or hole saw of the chosen set that makes it. Metres. */
  diameter: number;
  bit: number;
  /** What to drill it with. */
  tool: string;
  /** Where the middle is marked, from where it is measured. */
  where: Message;
  why: Message;
  /** Lip that an overflow's hole yields, metres above the inside floor; null for other holes. */
  lip: number | null;
  /** Places on the deck, where it has some. */
  spots: readonly Spot[];
  /** Places on the wall, where it has some. */
  marks: readonly WallMark[];
}

/** Holes of a perforated pipe or a support, and of a packed cup, are about this wide. Metres. */
const VENT = 0.008;
const PORE = 0.006;
/** Holes all round a packed cup or a worm tube. */
const PORES_A_CUP = 16;
const WORM_HOLES = 24;
/** One hole for so much of a tube's perforated run, metres. */
const RUN_PITCH = 0.03;
/** From one overflow hole to the next, metres: a hand's width. */
const HAND = 0.1;
const VENTS_A_SUPPORT = 4;
const VENTS_A_PANEL = 8;

/** Widest hole of a twist drill and of a step drill, metres. */
const TWIST = 0.013;
const STEP = 0.032;

type MaterialId = keyof typeof MATERIALS;

function toolFor(bit: number, bits: readonly number[], material: MaterialId | null): string {
  if (material === 'clay') return bit <= TWIST ? 'Masonry drill, wet' : 'Diamond hole saw, wet';
  if (bit <= TWIST) return material === 'metal' ? 'Metal drill' : 'Twist drill';
  if (bit <= STEP) return material === 'wood' ? 'Spade bit' : 'Step drill';
  return bits.some((one) => Math.abs(one - bit) < 1e-9) ? 'Hole saw' : 'Knife or jigsaw, to a line';
}

/** Every hole of a planter, in the order of the work, for a set of metric or inch drills. */
export function holesOf(planter: Planter, set: UnitSystem, deck = deckOf(planter, set)): Hole[] {
  const { design, layout } = planter;
  const bits = set === 'us' ? INCH_BITS : METRIC_BITS;
  const list: Hole[] = [];
  const add = (
    id: string,
    on: Drilled,
    part: string,
    count: number,
    diameter: number,
    where: Message,
    why: Message,
    material: MaterialId | null = null,
  ) => {
    if (count <= 0) return;
    const bit = bitFor(diameter, bits);
    const tool = toolFor(bit, bits, material);
    const none = { lip: null, spots: [], marks: [] };
    list.push({ id, on, part, count, diameter, bit, tool, where, why, ...none });
  };
  const wall = overflowHoles(planter, bits);
  if (wall) list.push(wall);

  layout.parts.forEach((part) => {
    const what = part.design;
    if (!('vents' in what) || what.vents !== 'both' || part.placed === 0) return;
    if (what.kind === 'standing' && what.what === 'brick') return;
    if (what.kind === 'ring' && !what.cutEnd) return;
    const each = what.kind === 'standing' ? VENTS_A_SUPPORT : VENTS_A_PANEL;
    const name =
      what.kind === 'standing'
        ? `${STANDING[what.what].name}, ${VENTS_A_SUPPORT} in each`
        : what.kind === 'arch'
          ? 'Panel'
          : 'Cut end';
    const clay = what.kind === 'standing' && what.what === 'pot' ? 'clay' : null;
    add(
      `vents-${part.index}`,
      'support',
      name,
      part.placed * each,
      VENT,
      say`half of them close to the foot, half close under the top at ${q(part.height, 'length')}`,
      say`lets water in and air out`,
      clay,
    );
  });

  if (deck) list.push(...holesInDeck(planter, deck, bits));

  design.wicks.forEach((wick, i) => {
    if (wick.kind !== 'cup') return;
    add(
      `pores-${i}`,
      'wick',
      `${wick.count === 1 ? 'Cup' : 'Cups'}, ${PORES_A_CUP} in each`,
      wick.count * PORES_A_CUP,
      PORE,
      say`all round, from the foot up to the height of the water; none in a net pot`,
      say`lets the water to the packed mix`,
    );
  });
  if (design.bed?.kind === 'neck' && design.wicks.length > 0) {
    const cloth = design.wicks.find((wick) => wick.kind === 'cloth');
    add(
      'cap',
      'wick',
      'Bottle’s cap',
      1,
      cloth ? Math.max(Math.sqrt(cloth.legs) * cloth.thickness * 1.2, VENT) : VENT,
      say`in its middle`,
      say`the wick goes down through it`,
    );
  }
  const { fillTube } = design;
  const lying = layout.parts.find((part) => part.runs.length > 0);
  if (lying && fillTube) {
    add(
      'joint',
      'pipe',
      'Lying pipe',
      1,
      PIPES[fillTube.pipe].outside + PLAY,
      say`in its crown, ${q(layout.tube?.x ?? 0, 'length')} from the middle of the vessel`,
      say`the fill tube goes in here`,
    );
  }
  if (fillTube && fillTube.run > 0) {
    add(
      'run',
      'pipe',
      'Run of the tube on the floor',
      Math.max(Math.round(fillTube.run / RUN_PITCH), LEAST_RUN),
      PORE,
      say`on its underside, ${q(RUN_PITCH, 'length')} apart`,
      say`lets the water out along it`,
    );
  }
  design.pipes.forEach((pipe, i) => {
    if (pipe.use !== 'worm') return;
    add(
      `worm-${i}`,
      'pipe',
      'Worm tube',
      WORM_HOLES,
      VENT,
      say`all round its lower two thirds; none wider, or soil falls in`,
      say`the worms come and go`,
    );
  });
  return list;
}

const LEAST_RUN = 4;

/** The overflow's holes, with the mark moved so that a bit of another size keeps the lip. */
function overflowHoles({ design, vessel }: Planter, bits: readonly number[]): Hole | null {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return null;
  const bit = bitFor(overflow.diameter, bits);
  const asked = overflow.centre - lipBelowMark(overflow);
  const mark = overflow.kind === 'fitting' ? overflow.centre : asked + bit / 2;
  const rows = overflow.kind === 'rows' ? overflow.rows : 1;
  const around = roundTheWall(vessel, mark);
  const gap = Math.min(HAND, around / overflow.count);
  const marks = Array.from({ length: rows }, (_, row) => {
    const height = mark + row * (overflow.kind === 'rows' ? overflow.pitch : 0);
    const up = upTheWall(design, vessel, height);
    const pitch = overflow.kind === 'rows' ? roundTheWall(vessel, height) / overflow.count : gap;
    const shift = row % 2 === 0 ? 0 : 0.5;
    return Array.from({ length: overflow.count }, (_hole, i) => ({
      along: (i + shift - (overflow.count - 1) / 2) * pitch,
      height,
      up,
    }));
  }).flat();
  const above =
    overflow.kind === 'rows' && rows > 1
      ? say`, and ${q(rows - 1, 'count')} rows above it, ${q(overflow.pitch, 'length')} apart and staggered`
      : say``;
  const beside =
    overflow.kind === 'rows'
      ? say`; ${q(around / overflow.count, 'length')} from one to the next round the wall`
      : overflow.count > 1
        ? say`; ${q(gap, 'length')} from one to the next`
        : say``;
  const slant = upTheWall(design, vessel, mark) - mark;
  const along = slant > 5e-4 ? say` (${q(mark + slant, 'length')} along the slanting wall)` : say``;
  return {
    id: 'overflow',
    on: 'wall',
    part: 'Wall',
    count: overflow.count * rows,
    diameter: overflow.diameter,
    bit,
    tool: toolFor(bit, bits, design.vessel.material),
    where: say`middle ${q(mark, 'length')} above the inside floor${along}${above}${beside}`,
    why: say`overflow: its lip comes to ${q(asked, 'length')}`,
    lip: asked,
    spots: [],
    marks,
  };
}

function holesInDeck({ design, layout }: Planter, deck: Deck, bits: readonly number[]): Hole[] {
  const material = deck.kind === 'upper' ? design.vessel.material : null;
  return deck.holes.map(({ id, diameter, bit, spots }): Hole => {
    const { where, why } = placed(id);
    return {
      id,
      on: 'deck',
      part: deck.name,
      count: spots.length,
      diameter,
      bit,
      tool: toolFor(bit, bits, material),
      where,
      why,
      lip: null,
      spots,
      marks: [],
    };
  });

  function placed(id: string): { where: Message; why: Message } {
    if (id === 'tube' && design.fillTube) {
      const pipe = PIPES[design.fillTube.pipe];
      return {
        where: say`${q(layout.tube?.x ?? 0, 'length')} from its middle`,
        why: say`for the ${pipe.name}, ${q(pipe.outside, 'length')} outside`,
      };
    }
    if (id.startsWith('pipe-')) {
      return { where: say`as the template shows`, why: say`the inspection pipe goes through` };
    }
    if (id === 'drain') {
      return {
        where: say`all over, in rows set off by half`,
        why: say`lets rain and top watering through`,
      };
    }
    const wick = design.wicks[Number(id.slice('wick-'.length))];
    if (wick?.kind === 'cloth') {
      return {
        where: say`in the middle, side by side`,
        why: say`two legs of cloth go through each`,
      };
    }
    return {
      where: say`as the template shows`,
      why: wick?.kind === 'cup' ? say`a cup hangs in each` : say`a column goes through each`,
    };
  }
}

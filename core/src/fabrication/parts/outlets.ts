import { FITTINGS } from '../../catalog';
import {
  baseStyle,
  boreOf,
  FIELDS,
  isOwnEnd,
  lipHeight,
  type OverflowDesign,
} from '../../document';

import { HAND, nameOf, SHEET_BEARERS } from '../../assembly';
import { plural, q, say, type Message } from '../../units';
import { fittingGood, layerGood, SMALL_GOODS } from '../goods';
import {
  areaNeeded,
  nearestBit,
  type Hole,
  type BuildSheetBuilder,
  type WallMark,
  type PartBuilder,
} from '../buildSheetBuilder';
import { LAID } from './bearing';
import { measure } from '../step';
import { roundTheWall, upTheWall } from '../wall';

/** Overflows: marked, drilled, fitted, screened; and the barrel that keeps a level. */

/** Up a slanting wall a mark is given along it too where a tape shows the difference, metres. */
const SLANT_SEEN = 1.6e-3;
/** Lining behind air holes: beyond the lowest row, and over its own end. Metres. */
const LINING_LAP = 0.1;
/** A lip may stand this far from its plan before it is said, metres. */
const CLOSE = 0.002;
/** A liner's hole is so much narrower than what comes through it, so that it grips. */
const GRIPS = 0.7;

type Opening = Exclude<OverflowDesign, { kind: 'rim' }>;

/** Where the marks go, for holes of a width that keeps the lip where it was asked for. */
function marksOf(
  builder: BuildSheetBuilder,
  spec: Opening,
  mark: number,
): { marks: WallMark[]; gap: number; around: number } {
  const { vessel, design } = builder.planter;
  const around = roundTheWall(vessel, mark);
  const gap = Math.min(HAND, around / spec.count);
  const rows = spec.kind === 'rows' ? spec.rows : 1;
  const marks = Array.from({ length: rows }, (_, row) => {
    const height = mark + row * (spec.kind === 'rows' ? spec.pitch : 0);
    const up = upTheWall(design, vessel, height);
    const pitch = spec.kind === 'rows' ? roundTheWall(vessel, height) / spec.count : gap;
    const shift = row % 2 === 0 ? 0 : 0.5;
    return Array.from({ length: spec.count }, (_hole, i) => ({
      along: (i + shift - (spec.count - 1) / 2) * pitch,
      height,
      up,
    }));
  }).flat();
  return { marks, gap, around };
}

/** The sides of the drawing, clockwise from above. */
const SIDES = [
  'on the left of the drawing',
  'at the back of the drawing',
  'on the right of the drawing',
  'at the front of the drawing',
];
/** Turned by less than this, in radians, it is on that side. */
const ON_SIDE = 0.04;

/** Where round the wall it is marked, by its side in the drawing or by how far round from that. */
function sideOf(bearing: number, around: number): Message {
  const turn = (bearing / (2 * Math.PI) + 1) % 1;
  const side = Math.round(turn * 4);
  if (Math.abs(turn * 4 - side) * (Math.PI / 2) < ON_SIDE) return say`${SIDES[side % 4] ?? ''}`;
  const before = Math.floor(turn * 4);
  return say`${q((turn - before / 4) * around, 'length')} round the wall, clockwise from above, from the middle ${SIDES[before] ?? ''}`;
}

/** The hole in the wall. A fitting's is what its builder says; a plain one is a bit of the set. */
function drill(builder: BuildSheetBuilder, spec: Opening): Hole | null {
  const { vessel, design } = builder.planter;
  const fixed = spec.kind === 'fitting';
  const bit = fixed ? spec.diameter : nearestBit(spec.diameter, builder.bits);
  const inSet = builder.bits.some((one) => Math.abs(one - bit) < 3e-4);
  const asked = lipHeight(spec);
  const mark = fixed ? spec.centre : asked + bit / 2;
  const { marks, gap, around } = marksOf(builder, spec, mark);
  const rows = spec.kind === 'rows' ? spec.rows : 1;
  const above =
    spec.kind === 'rows' && rows > 1
      ? say`, and ${q(rows - 1, 'count')} ${plural(rows - 1, 'row')} above it, ${q(spec.pitch, 'length')} apart and staggered`
      : say``;
  const beside =
    spec.kind === 'rows'
      ? say`, ${q(around / spec.count, 'length')} from one to the next round the wall`
      : spec.count > 1
        ? say`, ${q(gap, 'length')} apart`
        : say``;
  const slant = upTheWall(design, vessel, mark) - mark;
  const along =
    slant > SLANT_SEEN ? say` (${q(mark + slant, 'length')} along the slanting wall)` : say``;
  return builder.hole(
    {
      id: 'overflow',
      step: 'overflow',
      part: design.vessel.kind === 'frame' ? 'Board' : 'Wall',
      count: spec.count * rows,
      diameter: spec.diameter,
      bit,
      ...(fixed && !inSet && bit > 0.004
        ? { tool: 'Borrow this bit: a fitting’s hole is its maker’s' }
        : {}),
      where: say`${plural(spec.count, 'middle')} ${q(mark, 'length')} above the inside floor${along}${above}${beside}`,
      why: say`overflow: its lip comes to ${q(asked, 'length')}`,
      lip: asked,
      marks,
    },
    design.vessel.material,
  );
}

/** How far down the outside of the wall a height above the inside floor is found, from the rim. Metres. */
const fromRim = ({ planter: { design, vessel } }: BuildSheetBuilder, height: number): number =>
  upTheWall(design, vessel, vessel.depth) - upTheWall(design, vessel, height);

/** Marks and drills it, with what is checked before. */
function open(builder: BuildSheetBuilder, spec: Opening): Hole | null {
  const { design, heights, partGroups } = builder.planter;
  const hole = drill(builder, spec);
  if (!hole || hole.lip === null) return null;
  builder.tools('overflow', 'Marker', 'Tape', 'Deburring knife');
  const side = sideOf(
    spec.bearing,
    roundTheWall(builder.planter.vessel, hole.marks[0]?.height ?? 0),
  );
  builder.say(
    'overflow',
    say`Mark the ${hole.where}, ${spec.kind === 'rows' ? 'beginning ' : ''}${side}, or stick the template to the outside.`,
    10,
  );
  const height = hole.marks[0]?.height ?? 0;
  const down = fromRim(builder, height);
  builder.say(
    'overflow',
    say`From outside, ${spec.kind === 'rows' ? 'the lowest row is' : spec.count > 1 ? 'their middles are' : 'its middle is'} ${q(down, 'length')} down the wall from the rim.`,
    0,
  );
  builder.say(
    'overflow',
    say`Drill ${hole.count === 1 ? 'one hole' : say`${q(hole.count, 'count')} holes`} of ${q(hole.bit, 'length')}${hole.tool.startsWith('Borrow') ? ', its fitting’s own size and no more' : say` with a ${hole.tool.toLowerCase()}`}, deburr both sides and collect the chips: the lip comes to ${q(hole.lip, 'length')}.`,
    5,
  );
  const gap = heights.ceiling - hole.lip;
  const bearing = partGroups.find(
    ({ kind, index, parts }) =>
      SHEET_BEARERS.includes(kind) &&
      !LAID.includes(kind) &&
      !design.reservoir.parts.some(
        (part, i) => i === index && part.kind === kind && isOwnEnd(part),
      ) &&
      parts.some(({ foot }) => foot.form !== 'none'),
  );
  const against = gap > CLOSE && baseStyle(design) === 'gap' && bearing;
  if (against) builder.after('supports', 'overflow');
  const one = against && bearing.parts.length === 1;
  const stands = against ? nameOf(bearing) : '';
  builder.check('overflow', {
    id: 'recheck',
    must: against
      ? say`Before drilling: hold ${one ? `the ${stands}` : `one of the ${stands}`} against the mark. The lip is ${q(gap, 'length')} under its top.`
      : say`Before drilling: measure again. The lip comes to ${q(hole.lip, 'length')} above the inside floor.`,
    mend: say`Move the mark${against ? `, not the ${stands}` : ''}. A hole drilled too high is patched and drilled anew beside it.`,
  });
  const [mark] = hole.marks;
  builder.measure(
    'overflow',
    measure('centre', FIELDS.overflow.centre, mark?.height ?? spec.centre, ['overflow', 'centre']),
  );
  builder.measure(
    'overflow',
    measure('diameter', FIELDS.overflow.diameter, hole.bit, ['overflow', 'diameter']),
  );
  for (const then of ['test', 'line', 'pierce', 'set', 'stand'] as const)
    builder.after('overflow', then);
  return hole;
}

function screened(builder: BuildSheetBuilder, spec: Opening, step: 'overflow' | 'pierce'): void {
  if (!spec.screened) return;
  builder.part(step, {
    id: 'screen',
    what: 'Insect screen',
    amount: say`${q(spec.count, 'count')} ${plural(spec.count, 'patch', 'patches')}`,
    use: 'Over the overflow, inside',
    good: SMALL_GOODS.screen,
    quantity: spec.count,
  });
  builder.say(
    step,
    say`Fix insect mesh over ${spec.count === 1 ? 'it' : 'each'} on the inside.`,
    5,
  );
}

export const hole: PartBuilder<'hole'> = ({ spec }, builder) => {
  if (!open(builder, spec)) return;
  if (builder.planter.of('liner').length > 0) pierceLiner(builder, spec.diameter);
  screened(builder, spec, 'overflow');
};

/** A liner is pierced from inside, smaller than what comes through, so that it grips; then sealed. */
function pierceLiner(builder: BuildSheetBuilder, through: number): void {
  builder.tools('pierce', 'Knife', 'Sealant');
  builder.warn('pierce', 'cutting');
  builder.say(
    'pierce',
    say`From inside, cut the liner where the hole is with a small cross of ${q(through * GRIPS, 'length')}, so that it grips what comes through it. Seal both faces and leave it to cure as the label says before any water.`,
    20,
  );
  builder.part('pierce', {
    id: 'sealant',
    what: 'Sealant',
    amount: say`1 tube`,
    use: 'Round what goes through the liner',
    good: SMALL_GOODS.sealant,
    quantity: 1,
  });
  builder.after('line', 'pierce');
  builder.after('pierce', 'test');
  builder.after('pierce', 'supports');
}

export const fitting: PartBuilder<'fitting'> = ({ spec }, builder) => {
  const lined = builder.planter.of('liner').length > 0;
  const name =
    spec.style === 'liner' && !lined ? 'Pipe through the wall' : FITTINGS[spec.style].name;
  const step = lined ? 'pierce' : 'overflow';
  builder.part(step, {
    id: 'overflow',
    what: name,
    amount: say`${q(spec.count, 'count')} of ${q(boreOf(spec), 'length')} bore`,
    use: 'Overflow',
    good: fittingGood(spec.style, spec.bore),
    quantity: spec.count,
  });
  if (!open(builder, spec)) return;
  if (lined) pierceLiner(builder, spec.diameter);
  const up: Message =
    spec.rise > 0 ? say`, its mouth ${q(spec.rise, 'length')} above the mark` : say``;
  builder.say(step, say`Fit the ${name.toLowerCase()} tight${up}.`, 5);
  screened(builder, spec, step);
};

export const rows: PartBuilder<'rows'> = ({ spec }, builder) => {
  open(builder, spec);
  const { vessel, heights, design } = builder.planter;
  const low = spec.centre - spec.diameter / 2;
  const piece = {
    id: 'lining',
    part: 'lining',
    what: 'Lining behind the air holes',
    count: 1,
    length: vessel.perimeterAt(heights.surface) + LINING_LAP,
    width: heights.surface - low + LINING_LAP,
    outline: null,
    from: say`shade cloth in one piece round the inside, its ends lapped`,
  };
  // What is filled in to above the lowest holes would run out of them.
  const filled = design.reservoir.fill.length > 0;
  const step = filled && low < heights.base ? 'base' : 'layers';
  builder.sheet(step, piece);
  builder.part(step, {
    id: 'lining',
    what: 'Lining of shade cloth',
    amount: say`${q(piece.length, 'span')} by ${q(piece.width, 'span')}`,
    use: 'Keeps the soil behind the air holes',
    good: layerGood('mesh'),
    quantity: areaNeeded(piece),
  });
  builder.tools(step, 'Scissors', 'Wire');
  builder.sayFirst(
    step,
    say`Line the wall with shade cloth behind the air holes and wire it up at the rim before anything is filled in.`,
    15,
  );
  builder.after('base', 'layers');
  builder.after('layers', 'fill');
};

export const rim: PartBuilder<'rim'> = () => undefined;

/** Hose from a barrel that stands beside the planter, metres. */
const SUPPLY_HOSE = 2;

export const supply: PartBuilder<'supply'> = ({ spec }, builder) => {
  builder.part('tube', {
    id: 'supply',
    what: 'Supply barrel',
    amount: say`${q(spec.volume, 'volume')}, ${q(spec.diameter, 'length')} across`,
    use: 'Stands beside it, higher than its rim',
    good: SMALL_GOODS.supply,
    quantity: 1,
  });
  builder.part('tube', {
    id: 'valve',
    what: 'Float valve',
    amount: say`set to ${q(spec.level, 'length')}`,
    use: 'Keeps the level',
    good: SMALL_GOODS.valve,
    quantity: 1,
  });
  builder.part('tube', {
    id: 'barrel-tap',
    what: 'Barrel tap',
    amount: say`1, low in the barrel’s side`,
    use: 'Lets the water out of the barrel',
    good: SMALL_GOODS.barrelTap,
    quantity: 1,
  });
  builder.part('tube', {
    id: 'hose',
    what: 'Hose',
    amount: say`${q(SUPPLY_HOSE, 'span')}, with two clips`,
    use: 'From the barrel to the valve',
    good: SMALL_GOODS.hose,
    quantity: SUPPLY_HOSE,
  });
  builder.tools('tube', 'Tape', 'Screwdriver', 'Drill');
  builder.say(
    'tube',
    say`Stand the barrel of ${q(spec.volume, 'volume')} beside it on a firm block, its floor above the planter’s rim. Drill it for the tap as the tap’s maker says, a hand above its floor, and seal the tap in.`,
    25,
  );
  const { overflow } = builder.planter.design;
  const spills = overflow !== null && overflow.kind !== 'rim';
  builder.say(
    'tube',
    say`Hang the float valve from the rim, or put it through a hole of its own size above ${spills ? 'the overflow’s lip' : 'that level'}. Join it to the tap by hose, and set its float so that the water stands at ${q(spec.level, 'length')}. Cover the barrel.`,
    20,
  );
  builder.warn('tube', 'cutting', 'mains', 'electricity');
  builder.after('tube', 'test');
  builder.after('overflow', 'tube');
};

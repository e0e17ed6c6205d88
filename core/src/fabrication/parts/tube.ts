import { FEET, PIPES } from '../../catalog';
import { FIELDS, type ExtraPipe } from '../../document';
import { PIPE_PROUD, runsOf, type PartGroup, type Planter } from '../../assembly';
import { q, say, type Message } from '../../units';
import { grown, holdsCircle } from '../../geometry/vessels';
import { fittingSize, pipeGood, plainPipe, SMALL_GOODS } from '../goods';
import { type BuildSheetBuilder, type PartBuilder } from '../buildSheetBuilder';
import { measure } from '../step';

/** Tubes and pipes that stand: their lengths, joints, holes and how they are fixed. */

/** Holes of a tube's perforated run: how wide, and one for so much of it. Metres. */
const PORE = 0.006;
const RUN_PITCH = 0.03;
const LEAST_RUN = 4;
/** Holes of a worm tube. */
const VENT = 0.008;
const WORM_HOLES = 24;
/** A notch in a tube's foot is about this high, metres. */
const NOTCH = 0.015;
/** Cable ties that hold a sock, and a tube to a wall. */
const TIES = 2;

/** When a tube goes in: with a sheet over the water after that is set, else before the test. */
const comesAfter = (builder: BuildSheetBuilder): void => {
  builder.after('supports', 'tube');
  builder.after('set', 'tube');
  builder.after('stand', 'tube');
  builder.after('tube', 'base');
  builder.after('tube', 'layers');
  builder.after('tube', 'fill');
  if (!builder.deck && !builder.planter.design.bed) builder.after('tube', 'test');
};

/** A tube no farther from the wall than this can be clipped to it, metres. */
const CLIPS = 0.06;

/** Whether a tube stands so near the wall, at the soil's surface, that a clip holds it there. */
function nearWall(
  { bed, heights }: Planter,
  { x, y }: { x: number; y: number },
  r: number,
): boolean {
  const at = bed.places[0] ?? { x: 0, y: 0 };
  const room = grown(bed.inside.outlineAt(Math.max(heights.surface - bed.floor, 0)), -CLIPS);
  return Math.min(room.a, room.b) <= r || !holdsCircle(room, x - at.x, y - at.y, r);
}

/** Where a thing stands, from the middle of the floor. */
function fromMiddle({ x, y }: { x: number; y: number }): Message {
  const near = 5e-4;
  const across = say`${q(Math.abs(x), 'length')} to the ${x < 0 ? 'left' : 'right'}`;
  const deep = say`${q(Math.abs(y), 'length')} to the ${y < 0 ? 'front' : 'back'}`;
  if (Math.abs(x) < near && Math.abs(y) < near) return say`in the middle`;
  if (Math.abs(y) < near) return say`${q(Math.abs(x), 'length')} from the middle`;
  return Math.abs(x) < near ? say`${deep} of the middle` : say`${across} and ${deep} of the middle`;
}

// eslint-disable-next-line max-lines-per-function -- what a tube brings to a sheet reads in the order of the work.
export const tube: PartBuilder<'tube'> = (group, builder) => {
  const { spec, id, parts } = group;
  const { planter } = builder;
  const { outside, name } = PIPES[spec.pipe];
  const good = pipeGood(spec.pipe);
  const pipe = planter.of('lying').find((one) => one.parts.length > 0) ?? null;
  const ends = spec.run === 0 && (!pipe || spec.joint === 'cross');
  builder.cut('tube', id, good, 'Fill tube', spec.length, 1, ends ? footNote(group) : null);
  const run = runsOf(group)[0];
  if (run) builder.cut('tube', id, good, 'Run on the floor', spec.run);
  builder.part('tube', {
    id,
    what: 'Fill tube',
    amount: say`${name}, ${q(spec.length + (run ? spec.run : 0), 'length')}`,
    use: pipe ? 'From above the rim to the pipe on the floor' : 'From above the rim to the floor',
    good,
    quantity: builder.lengthOf(id),
  });
  comesAfter(builder);
  builder.tools('tube', 'Saw', 'Tape', 'Screwdriver');
  const side = parts[0];
  const atWall = side !== undefined && nearWall(builder.planter, side, outside / 2);
  const foot = ends ? say`, its foot ${FEET[spec.foot].name.toLowerCase()}` : say``;
  builder.say(
    'tube',
    say`Cut the ${name} (${q(outside, 'length')} outside) to ${q(spec.length, 'length')}${foot}.`,
    5,
  );
  if (run) {
    fitting(builder, id, 'Elbow at its foot', name);
    builder.hole({
      id: `${id}-run`,
      step: 'tube',
      part: 'Run of the tube on the floor',
      count: Math.max(Math.round(spec.run / RUN_PITCH), LEAST_RUN),
      diameter: PORE,
      where: say`on its underside, ${q(RUN_PITCH, 'length')} apart`,
      why: say`lets the water out along it`,
    });
    builder.say(
      'tube',
      say`Cut a run of ${q(spec.run, 'length')} too, drill it on its underside, join it to the tube by an elbow, and lay it on the floor.`,
      5,
    );
  } else if (pipe) {
    joint(builder, group, pipe, outside, name);
  } else if (side) {
    builder.say(
      'tube',
      say`Push it down to the floor${atWall ? ' at the wall' : ''}, ${fromMiddle(side)}.`,
    );
  }
  if (atWall) {
    builder.say(
      'tube',
      say`Clip it to the wall close under the rim, so that no child pulls it out.`,
      5,
    );
    builder.part('tube', {
      id: `${id}-clip`,
      what: 'Clip',
      amount: say`1`,
      use: 'Holds the tube to the wall',
      good: SMALL_GOODS.clip,
      quantity: 1,
    });
  } else {
    builder.say(
      'tube',
      say`Tie it to a lath across the rim, fixed at both ends, so that no child pulls it out.`,
      5,
    );
    builder.part('tube', {
      id: `${id}-lath`,
      what: 'Lath',
      amount: say`1, as long as the planter is wide`,
      use: 'Across the rim, holds the tube',
    });
  }
  if (spec.cap !== 'open') {
    const cap = spec.cap === 'cap';
    builder.part('close', {
      id: `${id}-cap`,
      what: cap ? 'Cap' : 'Sponge',
      amount: cap ? say`1 ${fittingSize(PIPES[spec.pipe].outside)}` : say`1`,
      use: 'Closes the fill tube',
      good: cap ? SMALL_GOODS.cap : SMALL_GOODS.sponge,
      quantity: 1,
    });
    builder.say('close', cap ? say`Cap the fill tube.` : say`Push a sponge into the fill tube.`);
  }
  if (planter.design.place.rain !== 'indoors') builder.warn('tube', 'mosquitoes');
  builder.check('tube', {
    id: 'firm',
    must: say`It stands over the rim, does not come out when pulled, and water poured in runs away at once.`,
    mend: ends
      ? say`Turn the foot or cut it to a bevel: a square foot seals against the floor.`
      : say`Look at the joint and at the holes: ${pipe?.spec.sock && !run ? 'soil or a fold of the sock' : 'something'} shuts them.`,
  });
  builder.measure(
    'tube',
    measure('length', FIELDS.tube.length, spec.length, ['fillTube', 'length']),
  );
};

/** How a tube is joined to a pipe that lies on the floor. */
function joint(
  builder: BuildSheetBuilder,
  group: PartGroup<'tube'>,
  pipe: PartGroup<'lying'>,
  outside: number,
  name: string,
): void {
  const { spec, id, parts } = group;
  const x = parts[0]?.x ?? 0;
  const where =
    Math.abs(x) < 5e-4
      ? say`in its middle`
      : say`${q(Math.abs(x), 'length')} ${x >= 0 ? 'right' : 'left'} of the vessel’s middle`;
  switch (spec.joint) {
    case 'elbow':
      fitting(builder, id, 'Elbow at its foot', name);
      builder.say(
        'tube',
        say`Join it to the end of the pipe by the elbow, and stand it at the wall.`,
        5,
      );
      return;
    case 'tee':
      fitting(builder, id, 'Tee at its foot', name);
      builder.say(
        'tube',
        say`Saw the pipe through ${where}, put the tee between, and stand the tube in it.`,
        10,
      );
      return;
    case 'slit':
      builder.part('tube', {
        id: `${id}-ties`,
        what: 'Cable ties',
        amount: say`${q(TIES, 'count')}`,
        use: 'Hold pipe and sock to the tube',
        good: SMALL_GOODS.ties,
        quantity: TIES,
      });
      builder.say(
        'tube',
        pipe.spec.sock
          ? say`Slit the end of the pipe by a hand, bend it up and put it round the tube’s foot; pull the sock up over both and tie it.`
          : say`Slit the end of the pipe by a hand, bend it up, put it round the tube’s foot and tie it.`,
        8,
      );
      return;
    case 'cross':
      builder.hole({
        id: `${id}-joint`,
        step: 'tube',
        part: 'Lying pipe',
        count: 1,
        diameter: outside,
        bit: outside,
        tool: 'Knife',
        where: say`an X in its crown, ${where}`,
        why: say`the tube’s foot goes through to the floor`,
      });
      builder.say(
        'tube',
        say`Cut an X as wide as the tube in the crown of the pipe, ${where}, and push the foot through to the floor; the flaps hold it.`,
        5,
      );
  }
}

function fitting(builder: BuildSheetBuilder, id: string, what: string, name: string): void {
  builder.part('tube', {
    id: `${id}-fitting`,
    what,
    amount: say`1, for ${name}`,
    use: 'Joins the tube to what lies on the floor',
    good: what.startsWith('Tee') ? SMALL_GOODS.tee : SMALL_GOODS.elbow,
    quantity: 1,
  });
}

function footNote({ spec }: PartGroup<'tube'>): Message {
  const { outside } = PIPES[spec.pipe];
  switch (spec.foot) {
    case 'bevel':
      return say`foot cut at 45°: ${q(spec.length, 'length')} on its long side, ${q(spec.length - outside, 'length')} on its short side`;
    case 'notch':
      return say`two notches in its foot, ${q(NOTCH, 'length')} high`;
    case 'square':
      return say`cut square: ${FEET.bevel.name.toLowerCase()} or notched it cannot seal against the floor`;
  }
}

export const inspection: PartBuilder<'inspection'> = (group, builder) => {
  const { id, spec, parts } = group;
  const [piece] = parts;
  if (!piece) return;
  upright(
    builder,
    id,
    'Inspection pipe',
    spec.diameter,
    piece.to - piece.from,
    'To look at the water',
  );
  capped(builder, id, spec, 'inspection pipe');
  comesAfter(builder);
  builder.say(
    'tube',
    say`Stand the inspection pipe on the ${piece.from > 0.001 ? 'pipe that lies on the floor' : 'floor'}${builder.planter.design.vessel.kind === 'frame' ? ' at the low corner' : ' at the wall'}, ${q(PIPE_PROUD, 'length')} above the rim.`,
    5,
  );
};

export const worm: PartBuilder<'worm'> = (group, builder) => {
  const { id, spec, parts } = group;
  const [piece] = parts;
  if (!piece) return;
  upright(
    builder,
    id,
    'Worm tube',
    spec.diameter,
    piece.to - piece.from,
    spec.fills ? 'Takes scraps, and the water' : 'Takes scraps',
  );
  capped(builder, id, spec, 'worm tube');
  builder.hole({
    id: `${id}-holes`,
    step: 'fill',
    part: 'Worm tube',
    count: WORM_HOLES,
    diameter: VENT,
    where: say`all round its lower two thirds; none wider, or soil falls in`,
    why: say`the worms come and go`,
  });
  builder.say(
    'fill',
    say`Stand the worm tube on the base before the mix goes in${spec.fills ? `${builder.deck ? ', over a hole of the floor that bears the soil' : ''}: water is poured in by it too` : ''}. Cover its scraps with a handful of chips, or flies come.`,
    5,
  );
};

function upright(
  builder: BuildSheetBuilder,
  id: string,
  what: string,
  diameter: number,
  length: number,
  use: string,
): void {
  const step = what === 'Worm tube' ? 'fill' : 'tube';
  const good = plainPipe(diameter);
  builder.cut(step, id, good, what, length);
  builder.part(step, {
    id,
    what,
    amount: say`${q(diameter, 'length')} across, ${q(length, 'length')}`,
    use,
    good,
    quantity: builder.lengthOf(id),
  });
}

function capped(builder: BuildSheetBuilder, id: string, spec: ExtraPipe, name: string): void {
  if (!spec.capped) return;
  builder.part('close', {
    id: `${id}-cap`,
    what: 'Cap',
    amount: say`1 ${fittingSize(spec.diameter)}`,
    use: `Closes the ${name}`,
    good: SMALL_GOODS.cap,
    quantity: 1,
  });
  builder.say('close', say`Cap the ${name}.`);
}

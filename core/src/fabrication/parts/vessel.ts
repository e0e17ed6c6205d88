import { likePeople } from '../../assessment';
import { FORMER_CONTENTS, MATERIALS } from '../../catalog';
import { FIELDS, sideOpenings, type FieldSpec, type PlanterDesign } from '../../document';
import { plural, q, say } from '../../units';
import { linerGood, SMALL_GOODS, vesselGood } from '../goods';
import { type BuildSheetBuilder, type PartBuilder } from '../buildSheetBuilder';
import { measure, type Measure } from '../step';
import { wholeVessel } from '../wholeVessel';
import { box } from './box';

/** The vessel: looked at, sawn, mended, built, lined and measured. */

/** Liner folded over the frame on each side, metres. */
const LINER_LAP = 0.15;
/** A back or strips this wide are left where faces are cut out of a standing barrel, metres. */
const STRIP = 0.08;

export const vessel: PartBuilder<'vessel'> = ({ spec }, builder) => {
  inspect(builder, spec);
  if (spec.kind === 'frame') {
    if (spec.stands) dig(builder);
    else box(builder, spec);
  } else {
    const { vessel: shape } = builder.planter;
    const holds = say`${q(shape.volumeBelow(shape.depth), 'volume')} to the rim`;
    const whole = wholeVessel(spec, builder.set);
    const used = spec.formerContents !== 'new';
    const good = vesselGood(spec.material, shape.volumeBelow(shape.depth), used, whole);
    builder.part('inspect', {
      id: 'vessel',
      what: 'Vessel',
      amount: whole ? say`${whole.name}; ${holds}` : holds,
      use: 'Holds it all',
      good,
      quantity: 1,
    });
    saw(builder, spec);
    bungs(builder, spec);
  }
  take(builder, spec);
};

type Vessel = PlanterDesign['vessel'];

/** From this on a planter is not carried when it is full, and its place is looked at for what it bears, kg. */
const HEAVY = 10;

/** Plastics carry a code that says what they are. */
const CODED: ReadonlySet<Vessel['material']> = new Set(['pe', 'pp', 'pet', 'other', 'unknown']);

function inspect(builder: BuildSheetBuilder, spec: Vessel): void {
  const { figures, planter } = builder;
  const { place } = planter.design;
  const frame = spec.kind === 'frame';
  if (!frame) {
    builder.say(
      'inspect',
      say`${MATERIALS[spec.material].name}; held before: ${FORMER_CONTENTS[spec.formerContents].name.toLowerCase()}. ${CODED.has(spec.material) ? 'Look for its code, for cracks and old holes.' : 'Look for cracks and old holes.'} Wash it out.`,
      10,
    );
    builder.tools('inspect', 'Brush and water');
  } else builder.tools('inspect', 'Spirit level');
  const where = place.name ? `‘${place.name}’` : 'its place';
  const { weight } = figures;
  builder.say(
    'inspect',
    weight.full < HEAVY
      ? say`Look at ${where}: full it weighs ${q(weight.full, 'mass')}.`
      : say`Look at ${where}: full it weighs ${q(weight.full, 'mass')}, which is ${q(weight.pressure, 'pressure')} on its footprint${likePeople(weight.pressure)}${weight.perLeg === null ? '' : say`, ${q(weight.perLeg, 'mass')} on each leg`}. It is not moved again once it is full.`,
    5,
  );
  if (weight.supply) {
    builder.say(
      'inspect',
      say`The supply barrel beside it weighs ${q(weight.supply.full, 'mass')} full, ${q(weight.supply.pressure, 'pressure')} on its own foot.`,
    );
  }
  if (spec.formerContents !== 'new') builder.warn('inspect', 'contents');
  if (spec.material === 'metal') builder.warn('inspect', 'edges');
  if (spec.material === 'treated-wood') builder.warn('inspect', 'timber');
  builder.warn('inspect', 'weight');
  builder.check('inspect', {
    id: 'sound',
    must: frame
      ? say`The ground is firm and level, and bears that weight by your own or the owner’s knowledge.`
      : say`Nothing is cracked, nothing unknown was in it, and it stands firm.`,
    mend: frame
      ? say`Make it level, or take another place. Huerta gives the load, never permission.`
      : say`Patch it from the inside, or take another vessel. Nobody can wash an unknown poison out.`,
  });
  for (const step of ['saw', 'seal', 'dig', 'box', 'measure'] as const)
    builder.after('inspect', step);
}

/** What is sawn on the vessel itself comes before anything is measured, marked or drilled on it. */
function saw(builder: BuildSheetBuilder, spec: Vessel): void {
  const { vessel: shape, design } = builder.planter;
  if (spec.sawing === 'none') return;
  const soft = spec.sawing === 'neck';
  builder.tools(
    'saw',
    ...(soft ? ['Knife', 'Scissors'] : ['Jigsaw']),
    'Marker',
    'Tape',
    'Sandpaper',
  );
  builder.warn('saw', 'cutting', ...(soft ? [] : (['fumes'] as const)));
  const depth = shape.depth;
  const end = builder.deck?.kind === 'cut-end';
  switch (spec.sawing) {
    case 'across':
      builder.say(
        'saw',
        say`Mark all round at ${q(depth, 'length')} above the inside floor, standing on a level ground, and saw it through there. Smooth the edge.`,
        25,
      );
      if (end)
        builder.say(
          'saw',
          say`The other end is the platform: saw ${q(design.reservoir.top, 'length')} off it, its flat end becomes the top.`,
          15,
        );
      break;
    case 'lengthwise':
      builder.say(
        'saw',
        say`Lay it down, wedge it, mark a level line along both sides and over both ends ${q(depth, 'length')} above its lowest line, and saw along it. Smooth the edge.`,
        30,
      );
      break;
    case 'windows':
      builder.say(
        'saw',
        say`Mark the openings on its sides: their lower edge ${q(sideOpenings(design).sill, 'length')} above the inside floor, where the soil ends, and ${q(sideOpenings(design).height, 'length')} tall. Leave a back or strips of ${q(STRIP, 'length')} between them, so that it stays stiff. Saw them out and smooth the edges.`,
        30,
      );
      break;
    case 'neck':
      builder.say(
        'saw',
        say`Mark all round at ${q(depth, 'length')} above the floor, cut the upper part off with scissors or a knife, and smooth both edges. Keep the upper part and its cap.`,
        8,
      );
      break;
  }
  builder.after('saw', 'seal');
  builder.after('saw', 'measure');
  builder.after('saw', 'overflow');
}

/** Factory openings that come to lie under water. */
function bungs(builder: BuildSheetBuilder, spec: Vessel): void {
  if (spec.bungs <= 0) return;
  builder.tools('seal', 'Bung wrench or pliers');
  builder.part('seal', {
    id: 'sealant',
    what: 'Sealant',
    amount: say`for ${q(spec.bungs, 'count')} ${plural(spec.bungs, 'bung')}`,
    use: 'Round the threads',
    good: SMALL_GOODS.sealant,
    quantity: 1,
  });
  builder.say(
    'seal',
    spec.bungs === 1
      ? say`Open the bung, rinse the vessel through it, and screw it in again with sealant round its thread. Let that cure as its label says.`
      : say`Open the ${q(spec.bungs, 'count')} bungs, rinse the vessel through them, and screw them in again with sealant round their threads. Let that cure as its label says.`,
    15,
  );
  builder.after('seal', 'measure');
  builder.after('seal', 'test');
}

/** A bed that stands already is dug out first. */
function dig(builder: BuildSheetBuilder): void {
  builder.tools('dig', 'Shovel', 'Tubs for the soil');
  builder.part('inspect', {
    id: 'vessel',
    what: 'Box',
    amount: say`the one that stands there`,
    use: 'Holds it all',
  });
  builder.say(
    'dig',
    say`Dig the bed out down to firm ground, and keep the soil in tubs beside it. Pull nails and roots, and level the floor.`,
    90,
  );
  builder.warn('dig', 'lifting');
  builder.after('dig', 'measure');
  builder.after('dig', 'overflow');
  builder.after('dig', 'line');
}

/** What is measured of a vessel, by its shape. */
const MEASURED = [
  'topDiameter',
  'bottomDiameter',
  'diameter',
  'topLength',
  'topWidth',
  'bottomLength',
  'bottomWidth',
  'length',
  'width',
  'depth',
] as const;

function measuresOf(spec: Vessel): Measure[] {
  const values = new Map<string, unknown>(Object.entries(spec));
  return MEASURED.flatMap((key) => {
    const value = values.get(key);
    const field: FieldSpec = FIELDS.vessel[key];
    return typeof value === 'number' ? [measure(key, field, value, ['vessel', key])] : [];
  });
}

function take(builder: BuildSheetBuilder, spec: Vessel): void {
  builder.tools('measure', 'Tape');
  builder.say(
    'measure',
    say`Measure inside, across top and floor, and straight up from the floor to the rim. Write down what you find where it differs: everything below follows from it.`,
    10,
  );
  measuresOf(spec).forEach((one) => builder.measure('measure', one));
  for (const step of ['supports', 'overflow', 'platform', 'line'] as const)
    builder.after('measure', step);
}

export const liner: PartBuilder<'liner'> = ({ spec }, builder) => {
  const { length, width, depth, fall } = spec;
  const up = 2 * (depth + length * fall + LINER_LAP);
  const piece = {
    id: 'liner',
    part: 'liner',
    what: 'Liner',
    count: 1,
    length: length + up,
    width: width + up,
    outline: null,
    from: say`one piece: floor, both walls and ${q(LINER_LAP, 'length')} of lap each way; folded in the corners, never cut`,
  };
  builder.sheet('line', piece);
  builder.part('line', {
    id: 'liner',
    what: 'Liner',
    amount: say`one piece, ${q(piece.length, 'span')} by ${q(piece.width, 'span')}`,
    use: 'Keeps the water in the box',
    good: linerGood(spec.liner === 'film' ? 'film' : 'pond', piece.length, piece.width),
    quantity: 1,
  });
  builder.tools('line', 'Stapler', 'Scissors');
  builder.say(
    'line',
    say`${spec.stands ? 'Clear sharp things away' : 'Sand off splinters'}, lay an old blanket, then the liner: loose in the corners, ${q(LINER_LAP, 'length')} over every edge. Staple it only above the water.`,
    30,
  );
  builder.check('line', {
    id: 'loose',
    must: say`The liner lies in the corners without stretch.`,
    mend: say`Lay it again: a stretched liner tears at its folds.`,
  });
  builder.after('overflow', 'line');
  for (const step of ['pierce', 'supports', 'test', 'base', 'wick'] as const)
    builder.after('line', step);
};

/** A patch cures before water comes to it, hours. */
const CURES = 24;

export const patch: PartBuilder<'patch'> = ({ spec, parts }, builder) => {
  builder.part('seal', {
    id: 'patch',
    what: 'Patch and sealant',
    amount: say`${q(parts.length, 'count')} ${plural(parts.length, 'patch', 'patches')}`,
    use: 'Closes the old hole or crack from inside',
    good: SMALL_GOODS.patch,
    quantity: parts.length,
  });
  builder.tools('seal', 'Sandpaper', 'Scissors');
  builder.warn('seal', 'cutting');
  const what =
    spec.drainHole === 'mended' && spec.cracked === 'mended'
      ? 'the old hole and the crack'
      : spec.drainHole === 'mended'
        ? 'the old hole'
        : 'the crack';
  builder.say(
    'seal',
    say`Roughen the inside around ${what}, dry it, and set a piece of sheet over it in a bed of sealant, two fingers wider all round. Leave it to cure for ${q(CURES, 'count')} hours, or as its label says.`,
    20,
  );
  builder.wait('seal', CURES * 60);
  builder.after('seal', 'measure');
  builder.after('seal', 'test');
};

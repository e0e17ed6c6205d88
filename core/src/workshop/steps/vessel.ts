import { FORMER_CONTENTS, MATERIALS } from '../../catalog';
import { FIELDS, type FieldSpec } from '../../design';
import { q, say, type Message } from '../../quantity';
import { LINER_LAP } from '../sheets';
import { measure, type Measure, type Write } from './step';

/** Steps that make the vessel ready. */

export const inspect: Write = ({ planter, figures }) => {
  const { design } = planter;
  const { vessel, place } = design;
  const doing: Message[] = [];
  const box = vessel.kind === 'frame';
  if (!box) {
    doing.push(
      say`${MATERIALS[vessel.material].name}; held before: ${FORMER_CONTENTS[vessel.formerContents].name.toLowerCase()}. Look for its code, for cracks and old holes. Wash it out.`,
    );
  }
  if (vessel.drainHole) doing.push(say`Patch the old drain hole from the inside, and let it set.`);
  if (vessel.cracked) doing.push(say`Mend the crack from the inside, and let it set.`);
  const where = place.name ? `‘${place.name}’` : 'its place';
  doing.push(
    say`Look at ${where}: full it weighs ${q(figures.weight.full, 'mass')}, which is ${q(figures.weight.pressure, 'pressure')} on its footprint${figures.weight.perLeg === null ? '' : say`, ${q(figures.weight.perLeg, 'mass')} on each leg`}. It is not moved again once it is full.`,
  );
  return {
    id: 'inspect',
    title: box ? 'Look at the place' : 'Inspect the vessel and its place',
    doing,
    tools: box ? ['Spirit level'] : ['Brush and water'],
    minutes: 15,
    cautions: [
      ...(vessel.formerContents === 'new' ? [] : (['contents'] as const)),
      ...(vessel.material === 'metal' ? (['edges'] as const) : []),
      ...(vessel.material === 'treated-wood' ? (['timber'] as const) : []),
      'weight',
    ],
    checks: [
      {
        id: 'sound',
        must: box
          ? say`The ground is firm and level, and bears that weight by your own or the owner’s knowledge.`
          : say`Nothing is cracked, nothing unknown was in it, and it stands firm.`,
        mend: box
          ? say`Make it level, or take another place. Huerta gives the load, never permission.`
          : say`Patch it from the inside, or take another vessel. Nobody can wash an unknown poison out.`,
      },
    ],
  };
};

export const box: Write = ({ planter }) => {
  const { vessel } = planter.design;
  if (vessel.kind !== 'frame') return null;
  const { length, width, depth, legs, liner, fall } = vessel;
  const doing: Message[] = [
    say`Screw the boards to a box of ${q(length, 'length')} by ${q(width, 'length')} inside, ${q(depth, 'length')} deep; both diagonals the same.`,
  ];
  if (legs > 0) {
    doing.push(
      say`Screw the legs to the corners so that the floor comes ${q(legs, 'length')} above the ground, and the floor boards across.`,
    );
  }
  if (fall > 0) doing.push(say`Let the floor fall ${q(fall, 'slope')} to the low corner.`);
  if (liner !== 'none') {
    doing.push(
      say`Sand off splinters, lay an old blanket, then the liner: loose in the corners, ${q(LINER_LAP, 'length')} over every edge. Staple it only above the water.`,
    );
  }
  return {
    id: 'box',
    title: 'Build the box and line it',
    doing,
    tools: ['Saw', 'Screwdriver', 'Square', 'Stapler'],
    minutes: 60,
    cautions: ['cutting', 'timber'],
    checks: [
      {
        id: 'square',
        must: say`Both diagonals are ${q(Math.hypot(length, width), 'length')}, and the liner lies without stretch.`,
        mend: say`Push the long diagonal in before the last screws. Lay the liner again: a stretched liner tears at its folds.`,
      },
    ],
  };
};

export const take: Write = ({ planter }) => {
  const { vessel } = planter.design;
  const measures = measuresOf(vessel);
  return {
    id: 'measure',
    title: 'Measure it',
    doing: [
      say`Measure inside, across top and floor, and straight up from the floor to the rim. Write down what you find where it differs: everything below follows from it.`,
    ],
    tools: ['Tape'],
    minutes: 10,
    measures,
  };
};

/** What is measured of a vessel, by its shape. */
function measuresOf(vessel: { kind: string }): Measure[] {
  const values = vessel as unknown as Record<string, unknown>;
  return MEASURED.filter((key) => typeof values[key] === 'number').map((key) =>
    measure(key, FIELDS.vessel[key] as FieldSpec, values[key] as number, ['vessel', key]),
  );
}

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

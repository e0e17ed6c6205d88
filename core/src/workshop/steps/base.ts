import { CLOTHS, FEET, FITTINGS, PIPES, SEPARATORS } from '../../catalog';
import { baseStyle, FIELDS } from '../../design';
import { q, say, type Message } from '../../quantity';
import { partName } from '../../assess';
import { FABRIC_LAP } from '../sheets';
import { measure, type Write } from './step';

/** Steps that build what keeps soil and water apart, and joins them again. */

/** A lip may stand this far from its plan before it is said, metres. */
const CLOSE = 0.002;

export const overflow: Write = ({ planter, holes }) => {
  const { design, heights } = planter;
  const { overflow: planned } = design;
  const hole = holes.find(({ id }) => id === 'overflow');
  if (!planned || planned.kind === 'rim' || !hole || hole.lip === null) return null;
  const doing: Message[] = [
    say`Mark ${hole.where}, or stick the template to the outside.`,
    say`Drill ${q(hole.count, 'count')} of ${q(hole.bit, 'length')} with a ${hole.tool.toLowerCase()}, and deburr both sides: the lip comes to ${q(hole.lip, 'length')}.`,
  ];
  if (planned.kind === 'fitting') {
    const up =
      planned.rise > 0 ? say`, its mouth ${q(planned.rise, 'length')} above the mark` : say``;
    doing.push(say`Fit the ${FITTINGS[planned.style].name.toLowerCase()} tight${up}.`);
  }
  if (planned.screened && planned.kind !== 'rows')
    doing.push(say`Fix insect mesh over it on the inside.`);
  const gap = heights.ceiling - hole.lip;
  return {
    id: 'overflow',
    title: planned.kind === 'rows' ? 'Drill the rows of holes' : 'Mark and drill the overflow',
    doing,
    tools: [hole.tool, 'Marker', 'Tape', 'Deburring knife'],
    minutes: 15,
    checks: [
      {
        id: 'recheck',
        must:
          gap > CLOSE && baseStyle(design) === 'gap' && planter.layout.parts.length > 0
            ? say`Before drilling: hold the supports against the mark. The lip is ${q(gap, 'length')} under their top.`
            : say`Before drilling: measure again. The lip comes to ${q(hole.lip, 'length')} above the inside floor.`,
        mend: say`Move the mark, not the supports. A hole drilled too high is patched and drilled anew beside it.`,
      },
    ],
    measures: [
      measure('centre', FIELDS.overflow.centre, planned.centre, ['overflow', 'centre']),
      measure('diameter', FIELDS.overflow.diameter, planned.diameter, ['overflow', 'diameter']),
    ],
  };
};

export const supports: Write = ({ planter }) => {
  const { design, layout } = planter;
  const built = layout.parts.filter(({ placed }) => placed > 0);
  if (built.length === 0) return null;
  const doing = built.flatMap((part): Message[] => {
    const d = part.design;
    const name = partName(part);
    switch (d.kind) {
      case 'ring':
        return d.cutEnd
          ? [
              say`Saw the vessel through ${q(part.height, 'length')} from its end and drill the cut end.`,
            ]
          : [
              say`Saw the ring to ${q(part.height, 'length')} and split it along one side, so that it breathes.`,
            ];
      case 'standing': {
        const open =
          d.what === 'brick'
            ? say``
            : d.vents === 'both'
              ? say`, drilled at top and bottom so that they fill and do not float`
              : say``;
        return [
          say`Stand ${q(part.placed, 'count')} ${name} of ${q(part.height, 'length')} on the floor, as the plan shows${open}.`,
        ];
      }
      case 'lying':
        return [
          say`Lay ${q(part.runs.length, 'count')} ${part.runs.length === 1 ? (d.lay === 'runs' ? 'pipe' : 'turn of pipe') : name} of ${q(d.diameter, 'length')}${d.sock ? ' in their sock' : ''}, holes downward, their ends closed with mesh.`,
        ];
      case 'crates':
        return [
          say`Set in ${q(part.placed, 'count')} ${name} of ${q(d.length, 'length')} by ${q(d.width, 'length')}, cut to ${q(part.height, 'length')} high, side by side.`,
        ];
      case 'arch':
        return [
          say`Cut a panel ${q(d.width, 'length')} wide from the vessel’s side, drill it, and lay it in on both its edges.`,
        ];
      case 'sticks':
        return [
          say`Lay sticks of ${q(d.diameter, 'length')} crosswise, ${q(d.spacing, 'length')} apart, up to ${q(part.height, 'length')}.`,
        ];
    }
  });
  const { top } = design.reservoir;
  const sawn = built.some(({ design: d }) => d.kind !== 'standing' || d.what !== 'brick');
  return {
    id: 'supports',
    title: 'Make what keeps the water’s room open',
    doing,
    tools: ['Saw', 'Tape', 'Marker'],
    cautions: sawn ? ['cutting'] : [],
    minutes: 10 + 3 * built.reduce((sum, { placed }) => sum + Math.min(placed, 20), 0),
    checks: [
      {
        id: 'height',
        must: say`Everything that bears comes to the same height, and nothing rocks.`,
        mend: say`Trim the tall ones. One support that is short carries nothing.`,
      },
    ],
    measures: [measure('top', FIELDS.reservoir.top, top, ['reservoir', 'top'])],
  };
};

export const platform: Write = ({ planter, deck }) => {
  const { design, bed } = planter;
  if (!deck && !design.bed) return null;
  const size = deck
    ? say`${q(2 * deck.outline.a, 'length')}${design.vessel.kind === 'round' ? ' across' : say` by ${q(2 * deck.outline.b, 'length')}`}`
    : say``;
  const drill = say`Drill the holes for tube, wicks and drainage by the template.`;
  const fits = {
    id: 'fits',
    must: say`It goes down to its place, lies still, and leaves no gap that soil falls through.`,
    mend: say`Trim the edge where it catches; lay fabric over a gap wider than a finger.`,
  };
  const common = { id: 'platform' as const, minutes: 15, tools: ['Knife or jigsaw', 'Marker'] };
  switch (design.bed?.kind) {
    case 'nested':
      return {
        ...common,
        title: 'Drill the upper vessel and set it in',
        doing: [
          drill,
          say`Set it on the supports; its floor comes to ${q(bed.floor, 'length')} above the lower one’s.`,
        ],
        checks: [fits],
      };
    case 'row':
      return {
        ...common,
        title: 'Drill the floors of the pails',
        doing: [
          say`Drill each of the ${q(design.bed.count, 'count')} pails by the template, for its cup and to drain.`,
          say`Stand them in a row on the channel: floors ${q(bed.floor, 'length')} above the channel’s.`,
        ],
        checks: [fits],
      };
    case 'neck':
      return {
        ...common,
        title: 'Cut the bottle and turn its upper part over',
        cautions: ['cutting'],
        doing: [
          say`Cut all round at ${q(planter.vessel.depth, 'length')} above the floor, and smooth the edge with sandpaper.`,
          say`Turn the upper part over and set it in, the neck ${q(bed.floor, 'length')} above the floor.`,
        ],
      };
    case 'bag':
      return {
        ...common,
        title: 'Stand the bags in the tray',
        doing: [
          say`Stand ${q(design.bed.count, 'count')} bags in the tray so that each can be lifted out.`,
        ],
        minutes: 5,
        tools: [],
      };
    case undefined:
      return {
        ...common,
        title: deck?.kind === 'cut-end' ? 'Slide the cut end in' : 'Make the platform',
        doing: [
          deck?.kind === 'cut-end'
            ? say`Slit the cut end up one side so that it slides into the rest, upside down, ${size} at its top.`
            : say`Cut it to ${size}: the inside size at its height, with play to drop in.`,
          drill,
        ],
        checks: [fits],
      };
  }
};

export const wick: Write = ({ planter }) => {
  const { design } = planter;
  if (design.wicks.length === 0) return null;
  const doing = design.wicks.map((one): Message => {
    switch (one.kind) {
      case 'cloth':
        return say`Soak ${q(one.legs, 'count')} legs of ${CLOTHS[one.material].name.toLowerCase()}; ${one.foot > 0 ? say`their feet ${q(one.foot, 'length')} above the floor` : 'their feet on the floor'}, and spread ${q(one.spread, 'length')} of each on top.`;
      case 'cup':
        return say`Pack ${one.count === 1 ? 'the cup' : say`${q(one.count, 'count')} cups`} with wet mix, tight, and set ${one.count === 1 ? 'it' : 'them'} in; ${one.foot > 0 ? say`foot ${q(one.foot, 'length')} above the floor` : 'foot on the floor'}.`;
      case 'column':
        return say`Make ${q(one.count, 'count')} columns of ${one.medium === 'mix' ? 'wet mix' : 'wet sand or stone'}, ${q(one.diameter, 'length')} across, from the floor up to the soil; a tube that is drawn out afterwards keeps them in shape.`;
    }
  });
  return {
    id: 'wick',
    title: design.wicks.length === 1 ? 'Fit the wick' : 'Fit the wicks',
    doing,
    tools: ['Scissors', 'Pail of water'],
    minutes: 15,
    cautions: design.wicks.some(({ kind }) => kind !== 'cloth') ? ['dust'] : [],
    checks: [
      {
        id: 'wet',
        must: say`Every wick is wet through and its foot is where it should be.`,
        mend: say`Soak it again: packed or laid dry it never begins to draw.`,
      },
    ],
  };
};

export const tube: Write = ({ planter, parts }) => {
  const { design, layout } = planter;
  const { fillTube, reservoir } = design;
  if (!fillTube && layout.pipes.length === 0 && !reservoir.supply) return null;
  const doing: Message[] = [];
  if (fillTube) {
    const pipe = PIPES[fillTube.pipe];
    const joins = parts.some(({ id }) => id === 'elbow');
    doing.push(
      say`Cut the ${pipe.name} (${q(pipe.outside, 'length')} outside) to ${q(fillTube.length, 'length')}, foot ${FEET[fillTube.foot].name.toLowerCase()}.`,
      joins
        ? say`Join it to what lies on the floor, and stand it at the wall.`
        : say`Push it through to the floor at the wall.`,
      say`Fix it to the wall with the clip, so that it cannot be pulled out.`,
    );
  }
  design.pipes.forEach((pipe) =>
    doing.push(
      pipe.use === 'worm'
        ? say`Stand the worm tube on the base; cover its scraps, or flies come.`
        : say`Stand the inspection pipe on the floor at the low corner.`,
    ),
  );
  if (reservoir.supply) {
    doing.push(
      say`Fit the float valve so that the water stands at ${q(reservoir.supply.level, 'length')}, the barrel of ${q(reservoir.supply.volume, 'volume')} above it.`,
    );
  }
  return {
    id: 'tube',
    title: fillTube ? 'Fit the fill tube' : 'Fit pipes and supply',
    doing,
    tools: [...(fillTube || layout.pipes.length > 0 ? ['Saw'] : []), 'Tape', 'Screwdriver'],
    minutes: 15,
    cautions: [
      ...(reservoir.supply ? (['mains', 'electricity'] as const) : []),
      ...(design.place.rain === 'indoors' ? [] : (['mosquitoes'] as const)),
    ],
    checks: fillTube
      ? [
          {
            id: 'firm',
            must: say`It stands over the rim, does not come out when pulled, and water poured in runs away at once.`,
            mend: say`Turn the foot or cut it to a bevel: a square foot seals against the floor.`,
          },
        ]
      : [],
    measures: fillTube
      ? [measure('length', FIELDS.tube.length, fillTube.length, ['fillTube', 'length'])]
      : [],
  };
};

export const separator: Write = ({ planter, sheets }) => {
  const { design } = planter;
  const lining = sheets.some(({ id }) => id === 'lining');
  const straw = design.separator === 'straw';
  if (design.separator === 'none' && !lining) return null;
  const doing: Message[] = [];
  if (lining) doing.push(say`Line the wall with shade cloth behind the air holes.`);
  if (straw) {
    doing.push(say`Lay straw or moss over the base, a hand thick before it is pressed down.`);
  } else if (design.separator !== 'none') {
    doing.push(
      say`Lay the ${SEPARATORS[design.separator].name.toLowerCase()} over the base, ${q(FABRIC_LAP, 'length')} up the wall all round; crosses cut for tube and wicks, the wicks spread on top.`,
    );
  }
  return {
    id: 'separator',
    title: 'Lay the separator',
    doing,
    tools: straw && !lining ? ['Gloves'] : ['Scissors'],
    minutes: 10,
  };
};

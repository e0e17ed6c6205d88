import { PIPES, PIPE_IDS } from '../../catalog';
import { holeForPipe, usualFor, usualTubeLength, type FillTubeDesign } from '../../document';
import { MOST_OF_PIPE } from '../../assembly';
import { q, say, type Message } from '../../units';
import type { RuleInput, Draft, Remedy, Rule } from '../finding';
import { set } from '../patches';

/** A hole needs this much more than the pipe, and beyond the second soil falls through. Metres. */
const CLEARANCE = 0.0005;
const LOOSE = 0.008;
/** The tube stands at least this far above the rim, metres. */
const LEAST_PROUD = 0.02;

/** Height over the floor that a tube of its own foot must reach. */
const toRim = (planter: RuleInput['planter']): number =>
  planter.heights.rim - (footOf(planter) ?? 0);

/** Height of the tube's foot, or null without a tube. */
const footOf = (planter: RuleInput['planter']): number | null =>
  planter.of('tube')[0]?.parts[0]?.from ?? null;

const lyingOf = (planter: RuleInput['planter']) =>
  planter.of('lying').find(({ parts }) => parts.length > 0);

export const tubeMissing: Rule = ({ design, planter }) => {
  const tube = usualFor(design).tube(planter.heights.rim);
  // A tray is filled from its edge, a channel by its valve, a small bottle by lifting its top out.
  const otherwise =
    design.bed?.kind === 'bag' ||
    design.bed?.kind === 'neck' ||
    design.reservoir.supply !== null ||
    design.pipes.some(({ use, fills }) => use === 'worm' && fills);
  return design.fillTube || otherwise
    ? []
    : [
        {
          id: 'tube-missing',
          severity: 'note',
          panel: 'tube',
          text: say`Add a fill tube: without one nothing can be dipped, and water washes soil down.`,
          propose: () => [
            {
              label: say`Add a ${PIPES[tube.pipe].name} with a bevelled foot`,
              patch: [set(['fillTube'], tube)],
            },
          ],
        },
      ];
};

export const tubeHole: Rule = ({ design: { fillTube, reservoir, bed } }) => {
  if (!fillTube || (reservoir.cover !== 'platform' && bed?.kind !== 'nested')) return [];
  const { outside } = PIPES[fillTube.pipe];
  const right = holeForPipe(fillTube.pipe);
  const propose = () => [
    { label: say`Drill ${q(right, 'length')}`, patch: [set(['fillTube', 'hole'], right)] },
  ];
  if (fillTube.hole < outside + CLEARANCE) {
    return [
      {
        id: 'tube-hole-small',
        severity: 'fault',
        panel: 'tube',
        text: say`Make the tube’s hole wider: it is ${q(fillTube.hole, 'length')}, and its pipe is ${q(outside, 'length')} outside.`,
        propose,
      },
    ];
  }
  if (fillTube.hole > outside + LOOSE) {
    return [
      {
        id: 'tube-hole-large',
        severity: 'watch',
        panel: 'tube',
        text: say`Make the tube’s hole smaller: it is ${q(fillTube.hole - outside, 'length')} wider than the pipe, and soil falls past it.`,
        propose,
      },
    ];
  }
  return [];
};

export const tubeLength: Rule = ({ design: { fillTube }, planter }) => {
  const rim = toRim(planter);
  if (!fillTube || fillTube.length >= rim + LEAST_PROUD - 1e-9) return [];
  const right = usualTubeLength(rim);
  const short = rim + LEAST_PROUD - fillTube.length;
  return [
    {
      id: 'tube-short',
      severity: 'watch',
      panel: 'tube',
      text: say`Cut the tube ${q(right, 'length')} long: ${q(short, 'length')} shorter it ends below the rim, and soil falls in.`,
      propose: () => [
        {
          label: say`Cut it ${q(right, 'length')} long`,
          patch: [set(['fillTube', 'length'], right)],
        },
      ],
    },
  ];
};

/** A pipe that finds no free place on the floor. */
export const pipesFit: Rule = ({ planter }) =>
  [...planter.of('inspection'), ...planter.of('worm')]
    .filter(({ parts }) => parts.length === 0)
    .map(({ spec, index }) => ({
      id: `pipe-crowded-${index}`,
      severity: 'fault' as const,
      panel: 'tube' as const,
      text: say`The pipe of ${q(spec.diameter, 'length')} finds no free place on the floor and is left out.`,
      propose: () =>
        [0.05, 0.032].map((diameter) => ({
          label: say`Use a pipe of ${q(diameter, 'length')}`,
          patch: [set(['pipes', index, 'diameter'], diameter)],
        })),
    }));

export const openPipes: Rule = ({ design: { pipes, place } }) =>
  pipes.flatMap((pipe, i) =>
    pipe.capped || place.rain === 'indoors'
      ? []
      : [
          {
            id: `pipe-open-${i}`,
            severity: 'watch' as const,
            panel: 'tube' as const,
            text:
              pipe.use === 'worm'
                ? say`Cover the worm tube: open, it draws flies to the scraps.`
                : say`Cap the inspection pipe: mosquitoes get at the water by it.`,
            propose: () => [
              { label: say`Put a cap on it`, patch: [set(['pipes', i, 'capped'], true)] },
            ],
          },
        ],
  );

/** Pipes whose widths differ by less than this are joined by a plain fitting, metres. */
const ONE_SIZE = 0.004;

/** How a tube meets a pipe on the floor: by a fitting of one size, or by a cut the pipe can spare. */
export const tubeJoint: Rule = ({ design, planter }) => {
  const { fillTube } = design;
  const pipe = lyingOf(planter);
  if (!fillTube || !pipe) return [];
  const { outside, name } = PIPES[fillTube.pipe];
  const { diameter, stiff } = pipe.spec;
  const joinBy = (joint: TubeJoint): Remedy => ({
    label: JOIN_BY[joint],
    patch: [set(['fillTube', 'joint'], joint)],
  });
  const thinner = PIPE_IDS.filter(
    (id) =>
      PIPES[id].family === PIPES[fillTube.pipe].family &&
      PIPES[id].outside <= diameter * MOST_OF_PIPE,
  ).reverse();
  const thinnerPipe = thinner.slice(0, 1).map((id): Remedy => ({
    label: say`Use a ${PIPES[id].name}`,
    patch: [set(['fillTube', 'pipe'], id), set(['fillTube', 'hole'], holeForPipe(id))],
  }));
  const wrong = (id: string, text: Message, remedies: Remedy[]): Draft[] => [
    { id, severity: 'fault', panel: 'tube', text, propose: () => remedies },
  ];
  if (fillTube.joint === 'cross' && outside > diameter * MOST_OF_PIPE + 1e-4) {
    return wrong(
      'tube-joint-wide',
      say`Join it another way: an X of ${q(outside, 'length')} takes more than half of a pipe ${q(diameter, 'length')} wide.`,
      [...(stiff ? [joinBy('elbow')] : [joinBy('slit')]), ...thinnerPipe],
    );
  }
  if (fillTube.joint === 'slit' && (stiff || outside > diameter + ONE_SIZE)) {
    return wrong(
      'tube-joint-slit',
      stiff
        ? say`Join them with a fitting or an X in the crown: no slit in a rigid pipe closes round a tube.`
        : say`Join them another way: the ${name} is wider than the pipe of ${q(diameter, 'length')} that is tied round it.`,
      [joinBy('elbow'), joinBy('tee'), joinBy('cross'), ...thinnerPipe],
    );
  }
  if (
    (fillTube.joint === 'elbow' || fillTube.joint === 'tee') &&
    Math.abs(outside - diameter) > ONE_SIZE
  ) {
    return wrong(
      'tube-joint-size',
      say`Join them another way: ${fillTube.joint === 'elbow' ? 'an elbow' : 'a tee'} is for pipes of one size, and these are ${q(outside, 'length')} and ${q(diameter, 'length')}.`,
      [...(stiff ? [] : [joinBy('slit')]), joinBy('cross'), ...thinnerPipe],
    );
  }
  return [];
};

type TubeJoint = FillTubeDesign['joint'];
const JOIN_BY: Readonly<Record<TubeJoint, Message>> = {
  elbow: say`Join it by an elbow at the pipe’s end`,
  tee: say`Join it by a tee`,
  slit: say`Slit the pipe’s end and tie the sock round the tube`,
  cross: say`Cut an X in the crown and push the tube in`,
};

export const tubeEnds: Rule = ({ design: { fillTube, place }, planter }) => {
  if (!fillTube) return [];
  const drafts: Draft[] = [];
  const foot = footOf(planter) ?? 0;
  const onFloor = fillTube.run === 0 && (foot === 0 || footCut(fillTube, planter));
  if (fillTube.foot === 'square' && onFloor) {
    drafts.push({
      id: 'tube-foot',
      severity: 'watch',
      panel: 'tube',
      text: say`Bevel or notch the tube’s foot: cut square it can seal itself against the floor.`,
      propose: () => [{ label: say`Bevel the foot`, patch: [set(['fillTube', 'foot'], 'bevel')] }],
    });
  }
  if (fillTube.cap === 'open' && place.rain !== 'indoors') {
    drafts.push({
      id: 'tube-open',
      severity: place.children ? 'danger' : 'watch',
      panel: 'tube',
      text: place.children
        ? say`Close the tube: it is open to the water, and small children or animals come near.`
        : say`Close the tube between fills: mosquitoes breed in an open reservoir.`,
      propose: () => [
        { label: say`Close it with a cap`, patch: [set(['fillTube', 'cap'], 'cap')] },
      ],
    });
  }
  return drafts;
};

/** Whether a tube that meets a pipe ends on a floor, and so needs a foot that lets water out. */
const footCut = ({ joint }: FillTubeDesign, planter: RuleInput['planter']): boolean =>
  lyingOf(planter) === undefined || joint === 'cross';

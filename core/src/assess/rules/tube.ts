import { PIPES } from '../../catalog';
import { holeForPipe, usualTube, usualTubeLength } from '../../design';
import { q, say } from '../../quantity';
import type { Bench, Draft, Rule } from '../finding';
import { set } from '../moves';

/** A hole needs this much more than the pipe, and beyond the second soil falls through. Metres. */
const CLEARANCE = 0.0005;
const LOOSE = 0.008;
/** The tube stands at least this far above the rim, metres. */
const LEAST_PROUD = 0.02;

/** Height over the floor that a tube of its own foot must reach. */
const toRim = ({ layout, heights }: Bench['planter']): number =>
  heights.rim - (layout.tube?.foot ?? 0);

export const tubeMissing: Rule = ({ design, planter }) => {
  const lying = planter.layout.parts.reduce((foot, p) => (p.runs.length > 0 ? p.height : foot), 0);
  const tube = usualTube(planter.heights.rim - lying);
  // A tray is filled from its edge, a channel by its valve, a small bottle by lifting its top out.
  const otherwise =
    design.bed?.kind === 'bag' || design.bed?.kind === 'neck' || design.reservoir.supply !== null;
  return design.fillTube || otherwise
    ? []
    : [
        {
          id: 'tube-missing',
          severity: 'note',
          room: 'tube',
          text: say`Without a fill tube all water goes through the soil: it washes fines down into the reservoir and there is no way to dip the level.`,
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
  const { outside, name } = PIPES[fillTube.pipe];
  const right = holeForPipe(fillTube.pipe);
  const propose = () => [
    { label: say`Drill ${q(right, 'length')}`, patch: [set(['fillTube', 'hole'], right)] },
  ];
  if (fillTube.hole < outside + CLEARANCE) {
    return [
      {
        id: 'tube-hole-small',
        severity: 'fault',
        room: 'tube',
        text: say`The ${name} is really ${q(outside, 'length')} across outside and does not go through a ${q(fillTube.hole, 'length')} hole.`,
        propose,
      },
    ];
  }
  if (fillTube.hole > outside + LOOSE) {
    return [
      {
        id: 'tube-hole-large',
        severity: 'watch',
        room: 'tube',
        text: say`The hole of ${q(fillTube.hole, 'length')} is ${q(fillTube.hole - outside, 'length')} wider than the pipe: soil falls past it into the water.`,
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
      room: 'tube',
      text: say`The tube is ${q(short, 'length')} too short to stand proud of the rim: soil and mulch fall into it. Foot to rim and a hand’s width is ${q(right, 'length')}.`,
      propose: () => [
        {
          label: say`Cut it ${q(right, 'length')} long`,
          patch: [set(['fillTube', 'length'], right)],
        },
      ],
    },
  ];
};

export const openPipes: Rule = ({ design: { pipes, place } }) =>
  pipes.flatMap((pipe, i) =>
    pipe.capped || place.rain === 'indoors'
      ? []
      : [
          {
            id: `pipe-open-${i}`,
            severity: 'watch' as const,
            room: 'tube' as const,
            text:
              pipe.use === 'worm'
                ? say`An open worm tube draws flies to the scraps. Cover it.`
                : say`The inspection pipe is open: mosquitoes get at the water by it. Cap it.`,
            propose: () => [
              { label: say`Put a cap on it`, patch: [set(['pipes', i, 'capped'], true)] },
            ],
          },
        ],
  );

export const tubeEnds: Rule = ({ design: { fillTube, place }, planter: { layout } }) => {
  if (!fillTube) return [];
  const drafts: Draft[] = [];
  if (fillTube.foot === 'square' && (layout.tube?.foot ?? 0) === 0) {
    drafts.push({
      id: 'tube-foot',
      severity: 'watch',
      room: 'tube',
      text: say`A tube cut square can seal itself against the floor, and water will not go down. Bevel or notch its foot.`,
      propose: () => [{ label: say`Bevel the foot`, patch: [set(['fillTube', 'foot'], 'bevel')] }],
    });
  }
  if (fillTube.cap === 'open' && place.rain !== 'indoors') {
    drafts.push({
      id: 'tube-open',
      severity: place.children ? 'danger' : 'watch',
      room: 'tube',
      text: place.children
        ? say`The tube is open to the water, and small children or animals come near: close it. It breeds mosquitoes too.`
        : say`The tube is open: mosquitoes breed in the reservoir. Close it between fills.`,
      propose: () => [
        { label: say`Close it with a cap`, patch: [set(['fillTube', 'cap'], 'cap')] },
      ],
    });
  }
  return drafts;
};

import { aggregateOf } from '../../catalog';
import { sideOpenings } from '../../document';
import { q, say } from '../../units';
import type { Draft, Rule } from '../finding';
import { shimsOf } from '../level';
import { set } from '../patches';

export const formerContents: Rule = ({ design: { vessel } }) => {
  if (vessel.formerContents === 'harmful') {
    return [
      {
        id: 'contents-harmful',
        severity: 'danger',
        panel: 'vessel',
        text: say`Choose another vessel: it held something harmful, which the wall gives back to soil and roots.`,
      },
    ];
  }
  if (vessel.formerContents === 'unknown') {
    return [
      {
        id: 'contents-unknown',
        severity: 'danger',
        panel: 'vessel',
        text: say`Use only a vessel that is new or held food: nobody knows what this one held.`,
      },
    ];
  }
  return [];
};

export const material: Rule = ({ design: { vessel } }) => {
  const says = {
    unknown: say`Look for 1, 2, 4 or 5 in the triangle on its base: of other plastic nobody knows what it gives to food.`,
    other: say`Plastics coded 3, 6 and 7 are not the ones to grow food in. Look for 1, 2, 4 or 5.`,
    'treated-wood': say`Keep a whole liner between, or use untreated boards: this timber gives its poison to food.`,
  };
  if (!(vessel.material in says)) return [];
  const text = says[vessel.material as keyof typeof says];
  return [{ id: 'plastic-code', severity: 'watch', panel: 'vessel', text }];
};

export const crack: Rule = ({ design: { vessel }, figures }) =>
  vessel.cracked === 'open'
    ? [
        {
          id: 'cracked',
          severity: 'fault',
          panel: 'vessel',
          text: say`Mend the crack and leak-test it for a day, or choose another vessel: ${q(figures.standing, 'volume')} press on it.`,
          propose: () => [
            { label: say`Plan to mend it first`, patch: [set(['vessel', 'cracked'], 'mended')] },
          ],
        },
      ]
    : [];

/** Openings lower than this leave no room for hands and stems, metres. */
const LEAST_OPENING = 0.15;
const WIDE_OPENING = 0.3;

export const lowOpenings: Rule = ({ design }) => {
  const { height } = sideOpenings(design);
  if (design.vessel.sawing !== 'windows' || height >= LEAST_OPENING) return [];
  return [
    {
      id: 'openings-low',
      severity: 'watch',
      panel: 'soil',
      text: say`Fill in less soil: the ${q(height, 'length')} of side above it are too low for the openings.`,
      propose: () => [
        {
          label: say`Leave ${q(WIDE_OPENING, 'length')} of freeboard`,
          patch: [set(['soil', 'freeboard'], WIDE_OPENING)],
        },
      ],
    },
  ];
};

/** A plastic wall under this cracks when a full vessel of this weight is moved. Metres, kilograms. */
const THIN_WALL = 0.0009;
const THIN_BEARS = 12;

export const thinWall: Rule = ({ design: { vessel }, figures: { weight } }) =>
  ['pe', 'pp', 'pet', 'other', 'unknown'].includes(vessel.material) &&
  vessel.wall < THIN_WALL &&
  weight.full > THIN_BEARS
    ? [
        {
          id: 'thin-wall',
          severity: 'watch',
          panel: 'vessel',
          text: say`Stand it inside something and never move it full: its wall is thin for ${q(weight.full, 'mass')} and cracks.`,
        },
      ]
    : [];

/** A soft wall as long as this and with this much water behind it bulges, metres. */
const SOFT_LENGTH = 0.45;
const SOFT_HEAD = 0.1;

export const softWall: Rule = ({ design: { vessel }, planter: { vessel: shape, heights } }) => {
  const rim = shape.outlineAt(shape.depth);
  const straight = 2 * Math.max(rim.a - rim.c, rim.b - rim.c);
  return !vessel.rigid && straight > SOFT_LENGTH && heights.surface > SOFT_HEAD
    ? [
        {
          id: 'soft-wall',
          severity: 'watch',
          panel: 'vessel',
          text: say`Brace the soft wall across the top: ${q(straight, 'span')} between corners bulge, and the platform drops.`,
          propose: () => [
            { label: say`Plan to brace it`, patch: [set(['vessel', 'rigid'], true)] },
          ],
        },
      ]
    : [];
};

export const liner: Rule = ({ design: { vessel, reservoir }, figures }) => {
  if (vessel.kind !== 'frame') return [];
  const drafts: Draft[] = [];
  const pond = { label: say`Use pond liner`, patch: [set(['vessel', 'liner'], 'pond')] };
  if (vessel.liner === 'none') {
    drafts.push({
      id: 'liner-none',
      severity: 'fault',
      panel: 'vessel',
      text: say`Line it: boards hold no water, so all ${q(figures.standing, 'volume')} run out and the wood rots.`,
      propose: () => [
        pond,
        { ...pond, label: say`Use builder’s film`, patch: [set(['vessel', 'liner'], 'film')] },
      ],
    });
  }
  const sharp = reservoir.fill.findIndex((layer) => aggregateOf(layer.medium)?.angular ?? false);
  if (sharp >= 0 && vessel.liner !== 'none') {
    drafts.push({
      id: 'liner-sharp',
      severity: vessel.liner === 'film' ? 'fault' : 'watch',
      panel: 'vessel',
      text: say`Lay old carpet or sand on the liner: sharp stone under wet soil goes through ${vessel.liner === 'film' ? 'film' : 'it'}.`,
      propose: () => [
        {
          label: say`Use rounded gravel`,
          patch: [set(['reservoir', 'fill', sharp, 'medium'], 'gravel')],
        },
      ],
    });
  } else if (vessel.liner === 'film' && reservoir.fill.some((layer) => layer.medium !== 'mix')) {
    drafts.push({
      id: 'liner-thin',
      severity: 'watch',
      panel: 'vessel',
      text: say`Lay the film double on sand or old carpet, or use pond liner: it is thin for what lies on it.`,
      propose: () => [pond],
    });
  }
  return drafts;
};

export const drainHole: Rule = ({ design: { vessel }, figures }) =>
  vessel.drainHole === 'open'
    ? [
        {
          id: 'drain-hole',
          severity: 'fault',
          panel: 'vessel',
          text: say`Patch the old hole in the floor and leak-test it before any soil: it lets all ${q(figures.standing, 'volume')} out.`,
          propose: () => [
            { label: say`Plan to patch it first`, patch: [set(['vessel', 'drainHole'], 'mended')] },
          ],
        },
      ]
    : [];

export const colour: Rule = ({ design: { vessel, place } }) => {
  const drafts: Draft[] = [];
  const wrap = { label: say`Wrap or paint it light`, patch: [set(['vessel', 'colour'], 'light')] };
  if (vessel.colour === 'clear') {
    drafts.push({
      id: 'clear-wall',
      severity: 'watch',
      panel: 'vessel',
      text: say`Wrap or paint the wall: light gets through, and algae take the roots’ air.`,
      propose: () => [wrap],
    });
  }
  if (vessel.colour === 'dark' && place.sun === 'full' && place.rain !== 'indoors') {
    drafts.push({
      id: 'dark-wall',
      severity: 'watch',
      panel: 'vessel',
      text: say`Wrap the wall, paint it light or shade it: dark and in full sun it cooks the roots.`,
      propose: () => [wrap],
    });
  }
  return drafts;
};

/** Water that is lost counts from this share of it on. */
const LITTLE = 0.03;
/** Edge-to-edge difference that a level and a shim can still put right to, metres. */
const LEVEL_ENOUGH = 0.003;

export const outOfLevel: Rule = ({ design, planter: { heights, vessel }, figures }) => {
  const { tilt } = figures;
  if (tilt.across <= LEVEL_ENOUGH || heights.invert === null) return [];
  const over = tilt.wettest - heights.ceiling;
  const shims = shimsOf(tilt, design.place.falls);
  const shim = {
    label: say`Level it with ${shims ?? 'a wedge'}`,
    patch: [
      set(['place', 'slopeAcross'], 0),
      set(['place', 'slopeAlong'], 0),
      ...(design.vessel.kind === 'frame' ? [set(['vessel', 'fall'], 0)] : []),
    ],
  };
  if (over > 0 && heights.invert <= heights.ceiling && design.bed?.kind !== 'bag') {
    return [
      {
        id: 'level-wet',
        severity: 'fault',
        panel: 'vessel',
        text: say`Level it: water stands ${q(over, 'length')} above the base at the low end.`,
        propose: () => [shim],
      },
    ];
  }
  // A fall that was built in on purpose is no mistake.
  if (!shims) return [];
  const less = figures.standing - tilt.holds > LITTLE * figures.standing;
  return [
    {
      id: 'level-loss',
      severity: 'watch',
      panel: 'vessel',
      text: less
        ? say`Level it: it holds ${q(tilt.holds, 'volume')} instead of ${q(figures.standing, 'volume')}.`
        : say`Level it: the water stands ${q(tilt.driest, 'length')} to ${q(Math.min(tilt.wettest, vessel.depth), 'length')} deep.`,
      propose: () => [shim],
    },
  ];
};

export const load: Rule = ({ design: { place }, figures: { weight } }) => {
  const drafts: Draft[] = [];
  if (place.floorLimit !== null && weight.pressure > place.floorLimit) {
    drafts.push({
      id: 'floor-load',
      severity: 'danger',
      panel: 'vessel',
      text: say`Ask a structural engineer first: full it presses ${q(weight.pressure, 'pressure')}, on a floor for ${q(place.floorLimit, 'pressure')}.`,
    });
  }
  if (weight.full > place.liftLimit) {
    drafts.push({
      id: 'lift',
      severity: 'note',
      panel: 'vessel',
      text: say`Put it in its place first, then fill it: full it weighs ${q(weight.full, 'mass')}, and you can lift ${q(place.liftLimit, 'mass')}.`,
    });
  }
  if (weight.supply) {
    drafts.push({
      id: 'supply-load',
      severity:
        place.floorLimit !== null && weight.supply.pressure > place.floorLimit ? 'danger' : 'note',
      panel: 'vessel',
      text: say`Ask the building’s owner first: the supply barrel weighs ${q(weight.supply.full, 'mass')} full, ${q(weight.supply.pressure, 'pressure')}.`,
    });
  }
  if (weight.carriers !== null && weight.carriers > 1) {
    drafts.push({
      id: 'carry',
      severity: 'note',
      panel: 'vessel',
      text: say`Take ${weight.carriers === 2 ? 'two people' : `${weight.carriers} people`} to put it in its place: empty it already weighs ${q(weight.empty, 'mass')}.`,
    });
  }
  return drafts;
};

export const frost: Rule = ({ design: { place } }) =>
  place.frost && place.rain !== 'indoors'
    ? [
        {
          id: 'frost',
          severity: 'note',
          panel: 'vessel',
          text: say`Empty it and open the overflow before the first frost, or ice will split the vessel.`,
        },
      ]
    : [];

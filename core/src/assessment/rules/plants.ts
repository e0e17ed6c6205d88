import { FEED_DOSES, FEEDS } from '../../catalog';
import { together } from '../../physics/crop';
import { cropIn, type Planted, type PlanterDesign } from '../../document';
import { plantingPlan } from '../../assembly';
import { q, roughly, say } from '../../units';
import { feedOf } from '../../physics/soil';
import type { Draft, Remedy, Rule } from '../finding';
import { set } from '../patches';

/** A dose so many times outside of what is usual is worth a word. */
const FAR = 1.5;
type Soil = PlanterDesign['soil'];

export const feeding: Rule = ({ design: { soil, planting, pipes }, figures }) => {
  const drafts: Draft[] = [];
  const strip: Remedy = {
    label: say`Use organic granules in a strip`,
    patch: [
      set(['soil', 'feed'], 'organic'),
      set(['soil', 'feedHow'], 'strip'),
      set(['soil', 'feedDose'], FEED_DOSES.organic),
      set(['soil', 'feedNitrogen'], FEEDS.organic.nitrogen),
      set(['soil', 'feedLasts'], FEEDS.organic.lasts),
    ],
  };
  if (soil.feedHow === 'tube' && soil.feed !== 'none' && soil.feed !== 'in-mix') {
    drafts.push({
      id: 'feed-liquid',
      severity: 'watch',
      panel: 'soil',
      text: say`Feed on top: what goes down the tube grows algae, smells, and its salts collect.`,
      propose: () => [
        { label: say`Give it on top`, patch: [set(['soil', 'feedHow'], 'top')] },
        strip,
      ],
    });
  }
  if (soil.feedHow === 'worms' && !pipes.some(({ use }) => use === 'worm')) {
    drafts.push({
      id: 'feed-worms',
      severity: 'watch',
      panel: 'soil',
      text: say`Add a worm tube in the tube’s room, or feed on top: there is none to feed through.`,
      propose: () => [{ label: say`Give it on top`, patch: [set(['soil', 'feedHow'], 'top')] }],
    });
  }
  drafts.push(...doseOf(soil, figures.soilVolume), ...limeOf(soil, planting.crops));
  return drafts;
};

/** What is far from the usual dose is said as a difference; only what burns roots is a fault. */
function doseOf(soil: Soil, soilVolume: number): Draft[] {
  const given = feedOf(soil, soilVolume);
  if (!given || given.mass <= 0) return [];
  const { mass, least, most } = given;
  if (soil.feed === 'synthetic' && mass > most) {
    const less = (least + most) / 2;
    return [
      {
        id: 'feed-dose',
        severity: 'fault',
        panel: 'soil',
        text: say`Give less: ${q(mass, 'dash')} of synthetic granules burns the roots. Usual here are ${q(roughly(least), 'dash')} to ${q(roughly(most), 'dash')}.`,
        propose: () => [
          {
            label: say`Give ${q(less, 'dash')}`,
            patch: [set(['soil', 'feedDose'], less / soilVolume)],
          },
        ],
      },
    ];
  }
  if (mass <= most * FAR && mass >= least / FAR) return [];
  return [
    {
      id: 'feed-unusual',
      severity: 'note',
      panel: 'soil',
      text: say`Usual for this soil are ${q(roughly(least), 'dash')} to ${q(roughly(most), 'dash')} of feed: ${q(mass, 'dash')} is ${mass > most ? 'more' : 'less'} than most people give.`,
    },
  ];
}

/** Lime for what wants acid soil, and what likes each beside the other. */
function limeOf(soil: Soil, crops: readonly Planted[]): Draft[] {
  const acid = crops.find((planted) => cropIn(planted).likes === 'acid');
  const lime = crops.find(
    (planted) => cropIn(planted).likes === 'lime' && acid && together(planted, acid),
  );
  if (!acid) return [];
  const name = cropIn(acid).name;
  const drafts: Draft[] = [];
  if (soil.limeDose > 0) {
    drafts.push({
      id: 'lime-acid',
      severity: 'fault',
      panel: 'soil',
      text: say`Leave the lime out: ${name.toLowerCase()} wants acid soil, and ${q(soil.limeDose, 'dose')} takes that away.`,
      propose: () => [{ label: say`Leave the lime out`, patch: [set(['soil', 'limeDose'], 0)] }],
    });
  }
  if (lime) {
    drafts.push({
      id: 'lime-both',
      severity: 'watch',
      panel: 'soil',
      text: say`Give them a planter each: ${name.toLowerCase()} wants acid soil and ${cropIn(lime).name.toLowerCase()} wants lime.`,
    });
  }
  return drafts;
}

/** Crops of wet ground and of dry ground in one soil. */
export const company: Rule = ({ design: { planting } }) => {
  const wet = planting.crops.find((planted) => cropIn(planted).feet === 'wet');
  const dry = planting.crops.find(
    (planted) => cropIn(planted).feet === 'dry' && wet && together(planted, wet),
  );
  if (!wet || !dry) return [];
  return [
    {
      id: 'feet-both',
      severity: 'note',
      panel: 'soil',
      text: say`Give ${cropIn(dry).name.toLowerCase()} a planter of its own: it wants dry feet, and ${cropIn(wet).name.toLowerCase()} wants wet ones.`,
    },
  ];
};

/** So many times as tall, a crop takes the light of one that stands within its leaves. */
const SHADES = 1.8;

/** Low crops that want sun and stand under the leaves of tall ones. */
export const shade: Rule = ({ design: { planting }, planter }) => {
  const { crops } = planting;
  if (crops.length < 2) return [];
  const { places } = plantingPlan(planter);
  for (const low of places) {
    const under = crops[low.of] as Planted;
    const crop = cropIn(under);
    // Leaves for the kitchen do well in some shade; what bears fruit or flowers does not.
    if (crop.habit === 'rosette' || crop.habit === 'root' || crop.habit === 'grassy') continue;
    const over = places.find((tall) => {
      const planted = crops[tall.of] as Planted;
      return (
        tall.of !== low.of &&
        together(planted, under) &&
        cropIn(planted).height > crop.height * SHADES &&
        Math.hypot(tall.x - low.x, tall.y - low.y) < planted.foliage / 2
      );
    });
    if (!over) continue;
    const tall = cropIn(crops[over.of] as Planted);
    return [
      {
        id: 'shade',
        severity: 'note',
        panel: 'soil',
        text: say`Move ${crop.name.toLowerCase()} out from under ${tall.name.toLowerCase()}, which grows to ${q(tall.height, 'growth')} and takes its sun.`,
      },
    ];
  }
  return [];
};

export const crowding: Rule = ({ design: { planting }, planter }) => {
  const { stand, room, places } = plantingPlan(planter);
  const one = planting.crops.length === 1;
  const drafts = planting.crops.flatMap((planted, i): Draft[] => {
    const { count, spacing } = planted;
    if (count < 2 && stand[i] === count) return [];
    const fit = one ? (room[i] as number) : (stand[i] as number);
    if (count <= fit) return [];
    const crop = cropIn(planted).name.toLowerCase();
    return [
      {
        id: one ? 'plants-crowded' : `plants-crowded-${i}`,
        severity: 'watch',
        panel: 'soil',
        text:
          fit === 0
            ? say`Plant ${crop} when the others are gone: it wants ${q(spacing, 'growth')} from plant to plant.`
            : say`Plant fewer: at ${q(spacing, 'growth')} from plant to plant ${q(fit, 'count')} of ${q(count, 'count')} ${crop} plants have room.`,
        propose: () => [
          {
            label: fit === 0 ? say`Leave ${crop} out` : say`Plant ${q(fit, 'count')}`,
            patch: [set(['planting', 'crops', i, 'count'], fit)],
          },
        ],
      },
    ];
  });
  const lost = places.filter(({ stands }) => !stands);
  const [first] = lost;
  if (first) {
    drafts.push({
      id: 'plants-clash',
      severity: 'watch',
      panel: 'soil',
      text: say`Move ${lost.length === 1 ? 'one plant' : say`${q(lost.length, 'count')} plants`}: too near a wall, a tube or another plant.`,
      propose: () => [
        {
          label: say`Leave their places to Huerta`,
          patch: [...new Set(lost.map(({ of }) => of))].map((of) =>
            set(['planting', 'crops', of, 'places'], null),
          ),
        },
      ],
    });
  }
  return drafts;
};

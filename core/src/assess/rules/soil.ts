import { FEED_DOSES, FEEDS, MEDIA, mediumOf, USUAL_NITROGEN } from '../../catalog';
import { deepest, together } from '../../crop';
import {
  baseStyle,
  cropIn,
  standsOnStone,
  type LayerDesign,
  type PlanterDesign,
  type Planted,
} from '../../design';
import { baseName, plantingPlan, soilBeds, wetsTo } from '../../planter';
import { mixOf, takeMix } from '../../soil';
import { q, say } from '../../quantity';
import { rootRoom } from '../figures';
import type { Draft, Remedy, Rule } from '../finding';
import { downToMm, gapToKeep, moveBase, set } from '../moves';

/** Root room that is short by less than this is not worth a word, metres. */
const LITTLE = 0.003;
/** A difference smaller than this does not show in whole centimetres or inches, metres. */
const SPAN_SHOWS = 0.03;
/** Below this share of the root room a crop is stunted rather than checked. */
const STUNTED = 0.7;
/** Least freeboard for a top watering to stand in, and the usual one. Metres. */
const LEAST_FREEBOARD = 0.01;
const USUAL_FREEBOARD = 0.025;
/** A dose so many times outside of what is usual is worth a word. */
const FAR = 1.5;
type Soil = PlanterDesign['soil'];

export const roots: Rule = ({ design, planter, figures }) => {
  const needs = rootRoom(planter);
  if (figures.growingDepth >= needs - LITTLE) return [];
  // Said so that the two numbers are seen to differ.
  const kind = needs - figures.growingDepth < SPAN_SHOWS ? 'length' : 'span';
  const crop = deepest(design.planting)?.name ?? '';
  return [
    {
      id: 'roots-short',
      severity: figures.growingDepth < needs * STUNTED ? 'fault' : 'watch',
      room: 'soil',
      text: say`${crop} wants ${q(needs, kind)} of root room and gets ${q(figures.growingDepth, kind)}.`,
      propose: () => {
        const missing = needs - figures.growingDepth;
        const gap = gapToKeep(design);
        const ceiling = downToMm(planter.heights.ceiling - missing);
        const lower: Remedy = {
          label: say`Lower ${baseName(design)} to ${q(ceiling, 'length')}, lip with it`,
          patch: moveBase(design, ceiling, Math.min(gap, ceiling / 3)),
        };
        const spare = Math.max(design.soil.freeboard - USUAL_FREEBOARD, 0);
        const fill: Remedy = {
          label: say`Fill to ${q(USUAL_FREEBOARD, 'length')} under the rim`,
          patch: [set(['soil', 'freeboard'], USUAL_FREEBOARD)],
        };
        const both: Remedy = {
          label: say`Fill to ${q(USUAL_FREEBOARD, 'length')} and lower ${baseName(design)}`,
          patch: [
            ...fill.patch,
            ...moveBase(design, downToMm(ceiling + spare), Math.min(gap, ceiling / 3)),
          ],
        };
        if (design.bed) return spare > 0 ? [fill] : [];
        return spare > 0 ? [fill, both, lower] : [lower];
      },
    },
  ];
};

export const deepSoil: Rule = ({ design, planter, figures }) => {
  const beds = soilBeds(planter);
  const reach = wetsTo(planter);
  if (figures.growingDepth <= reach + 1e-6) return [];
  const names = beds.map(({ mix }) => mix.name.toLowerCase()).join(' and ');
  const raised = () => {
    const ceiling = downToMm(planter.heights.ceiling + figures.growingDepth - reach + 0.001);
    return [
      {
        label: say`Raise ${baseName(design)} to ${q(ceiling, 'length')}, lip with it`,
        patch: moveBase(design, ceiling, gapToKeep(design)),
      },
    ];
  };
  return [
    {
      id: 'soil-deep',
      severity: 'note',
      room: 'soil',
      text: say`${q(figures.growingDepth, 'span')} of ${names} is more than the ${q(reach, 'span')} that ${beds.length > 1 ? 'get' : 'gets'} wet from below. Water seedlings from the top until their roots are down.`,
      ...(design.bed ? {} : { propose: raised }),
    },
  ];
};

/** Two mixes that are to be parted need soil for both. */
export const upperFits: Rule = ({ design, planter }) => {
  const { upper } = design.soil;
  const beds = soilBeds(planter);
  if (!upper || beds.some(({ part }) => part === 'lower')) return [];
  const [only] = beds;
  const depth = only ? only.to - only.from : 0;
  const half = downToMm(depth / 2);
  return [
    {
      id: 'upper-deep',
      severity: 'watch',
      room: 'soil',
      text: say`The upper mix is to be ${q(upper.depth, 'length')} deep, and there are ${q(depth, 'length')} of soil: nothing is left of the lower mix.`,
      propose: () => [
        {
          label: say`Make it ${q(half, 'length')} deep`,
          patch: [set(['soil', 'upper', 'depth'], half)],
        },
        { label: say`Use one mix`, patch: [set(['soil', 'upper'], null)] },
      ],
    },
  ];
};

/** An upper mix that lets water fall through or sheds it. */
export const upperWicks: Rule = ({ design: { soil } }) => {
  if (!soil.upper) return [];
  const mix = mediumOf(soil.upper.medium);
  if (mix.wicks) return [];
  return [
    {
      id: 'upper-poor',
      severity: 'watch',
      room: 'soil',
      text: say`${mix.name} on top draws little up from the mix below: water from the top until roots are through it. ${mix.caution ?? ''}`,
      propose: () => [{ label: say`Use one mix`, patch: [set(['soil', 'upper'], null)] }],
    },
  ];
};

export const mixWicks: Rule = ({ planter }) => {
  const mix = mixOf(planter.design.soil);
  if (mix.wicks) return [];
  return [
    {
      id: 'mix-poor',
      severity: 'fault',
      room: 'soil',
      text: say`${mix.name} is no wicking mix. ${mix.caution ?? ''}`,
      propose: () =>
        (['coir-perlite', 'compost-mix'] as const).map((medium) => ({
          label: say`Use ${MEDIA[medium].name.toLowerCase()}`,
          patch: takeMix(planter.design.soil, medium),
        })),
    },
  ];
};

export const filling: Rule = ({ design: { soil }, planter }) => {
  const mix = mixOf(planter.design.soil);
  const drafts: Draft[] = [];
  if (!soil.moistened) {
    drafts.push({
      id: 'dry-fill',
      severity: 'watch',
      room: 'soil',
      text: say`A mix put in dry sheds water and leaves gaps that no wick crosses. Moisten it first and water each layer.`,
      propose: () => [
        { label: say`Plan to moisten it`, patch: [set(['soil', 'moistened'], true)] },
      ],
    });
  }
  if (soil.settlement < mix.settles - 0.03) {
    drafts.push({
      id: 'settlement',
      severity: 'watch',
      room: 'soil',
      text: say`${mix.name} settles by about ${q(mix.settles, 'share')} when first watered; you allow ${q(soil.settlement, 'share')} and will be short of mix.`,
      propose: () => [
        {
          label: say`Allow ${q(mix.settles, 'share')}`,
          patch: [set(['soil', 'settlement'], mix.settles)],
        },
      ],
    });
  }
  if (soil.freeboard < LEAST_FREEBOARD - 1e-3) {
    drafts.push({
      id: 'freeboard',
      severity: 'watch',
      room: 'soil',
      text: say`With ${q(soil.freeboard, 'length')} of freeboard water from the top runs over the rim before it soaks in.`,
      propose: () =>
        [USUAL_FREEBOARD, LEAST_FREEBOARD].map((freeboard) => ({
          label: say`Leave ${q(freeboard, 'length')}`,
          patch: [set(['soil', 'freeboard'], freeboard)],
        })),
    });
  }
  return drafts;
};

export const separator: Rule = ({ design }) => {
  const { layers } = design;
  const film = layers.findIndex(({ what }) => what === 'film');
  // Mix that goes down to the floor, a bag and a bottle’s neck keep themselves apart.
  const needed =
    (baseStyle(design) === 'gap' || standsOnStone(design)) && design.bed?.kind !== 'neck';
  const sheet = (what: 'fabric' | 'straw', thickness: number) => ({
    what,
    thickness,
    up: what === 'fabric',
  });
  if (film >= 0) {
    const instead = (what: 'fabric' | 'straw', thickness: number): LayerDesign[] =>
      layers.map((layer, i) => (i === film ? sheet(what, thickness) : layer));
    return [
      {
        id: 'separator-film',
        severity: 'fault',
        room: 'soil',
        text: say`A film passes no water: rain stands on it and the soil rots. Use woven fabric, mesh or straw.`,
        propose: () => [
          { label: say`Lay woven fabric`, patch: [set(['layers'], instead('fabric', 0.001))] },
          { label: say`Lay straw`, patch: [set(['layers'], instead('straw', 0.05))] },
        ],
      },
    ];
  }
  if (layers.length === 0 && needed) {
    return [
      {
        id: 'separator-none',
        severity: 'watch',
        room: 'soil',
        text: say`Nothing keeps the soil out of the water: it washes down and fills the reservoir.`,
        propose: () => [
          { label: say`Lay woven fabric`, patch: [set(['layers'], [sheet('fabric', 0.001)])] },
          { label: say`Lay straw`, patch: [set(['layers'], [sheet('straw', 0.05)])] },
        ],
      },
    ];
  }
  return [];
};

export const mulch: Rule = ({ design: { soil, place } }) =>
  soil.mulch === 'none' && place.rain !== 'indoors'
    ? [
        {
          id: 'mulch-none',
          severity: 'note',
          room: 'soil',
          text: say`A bare surface dries out and salts build up on it.`,
          propose: () => [
            { label: say`Lay straw mulch`, patch: [set(['soil', 'mulch'], 'straw')] },
          ],
        },
      ]
    : [];

export const feeding: Rule = ({ design: { soil, planting, pipes }, figures }) => {
  const drafts: Draft[] = [];
  const strip: Remedy = {
    label: say`Use organic granules in a strip`,
    patch: [
      set(['soil', 'feed'], 'organic'),
      set(['soil', 'feedHow'], 'strip'),
      set(['soil', 'feedDose'], FEED_DOSES.organic),
      set(['soil', 'feedNitrogen'], FEEDS.organic.nitrogen),
    ],
  };
  if (soil.feedHow === 'tube' && soil.feed !== 'none' && soil.feed !== 'in-mix') {
    drafts.push({
      id: 'feed-liquid',
      severity: 'watch',
      room: 'soil',
      text: say`Feed down the tube stays in the standing water: it grows algae, smells, and its salts collect. Feed on top.`,
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
      room: 'soil',
      text: say`There is no worm tube to feed through. Add one in the tube’s room, or feed on top.`,
      propose: () => [{ label: say`Give it on top`, patch: [set(['soil', 'feedHow'], 'top')] }],
    });
  }
  drafts.push(...doseOf(soil, figures.soilVolume), ...limeOf(soil, planting.crops));
  return drafts;
};

/** What is far from the usual dose is said as a difference; only what burns roots is a fault. */
function doseOf(soil: Soil, soilVolume: number): Draft[] {
  const { feed, feedDose } = soil;
  if (feedDose <= 0 || !(feed in FEED_DOSES)) return [];
  const feedNitrogen = soil.feedNitrogen > 0 ? soil.feedNitrogen : FEEDS[feed].nitrogen;
  const nitrogen = feedDose * feedNitrogen;
  const { least, most } = USUAL_NITROGEN;
  const mass = feedDose * soilVolume;
  const usual: readonly [number, number] = [
    (least / feedNitrogen) * soilVolume,
    (most / feedNitrogen) * soilVolume,
  ];
  if (feed === 'synthetic' && nitrogen > most) {
    const dose = FEED_DOSES.synthetic * (FEEDS.synthetic.nitrogen / feedNitrogen);
    return [
      {
        id: 'feed-dose',
        severity: 'fault',
        room: 'soil',
        text: say`Give less: ${q(mass, 'dash')} of synthetic granules burns the roots. Usual here are ${q(usual[0], 'dash')} to ${q(usual[1], 'dash')}.`,
        propose: () => [
          {
            label: say`Give ${q(dose * soilVolume, 'dash')}`,
            patch: [set(['soil', 'feedDose'], dose)],
          },
        ],
      },
    ];
  }
  if (nitrogen <= most * FAR && nitrogen >= least / FAR) return [];
  return [
    {
      id: 'feed-unusual',
      severity: 'note',
      room: 'soil',
      text: say`${q(mass, 'dash')} of feed is ${nitrogen > most ? 'more' : 'less'} than most people give: ${q(usual[0], 'dash')} to ${q(usual[1], 'dash')} for this soil.`,
      propose: () => [],
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
      room: 'soil',
      text: say`${name} wants acid soil, and ${q(soil.limeDose, 'dose')} of lime takes that away.`,
      propose: () => [{ label: say`Leave the lime out`, patch: [set(['soil', 'limeDose'], 0)] }],
    });
  }
  if (lime) {
    drafts.push({
      id: 'lime-both',
      severity: 'watch',
      room: 'soil',
      text: say`Give them a planter each: ${name.toLowerCase()} wants acid soil and ${cropIn(lime).name.toLowerCase()} wants lime.`,
      propose: () => [],
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
      room: 'soil',
      text: say`${cropIn(wet).name} wants wet feet and ${cropIn(dry).name.toLowerCase()} dry ones: put the dry one where the soil is highest, or in a planter of its own.`,
      propose: () => [],
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
        room: 'soil',
        text: say`Move ${crop.name.toLowerCase()} out from under ${tall.name.toLowerCase()}, which grows to ${q(tall.height, 'span')} and takes its sun.`,
        propose: () => [],
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
        room: 'soil',
        text:
          fit === 0
            ? say`There is no room for ${crop} beside the others at ${q(spacing, 'span')} from plant to plant: leave it out, or plant it when they are gone.`
            : say`${q(count, 'count')} ${crop} plants at ${q(spacing, 'span')} do not fit on the surface, which takes ${q(fit, 'count')}: they shade each other and drink more than one planter gives.`,
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
      room: 'soil',
      text: say`${q(lost.length, 'count')} ${lost.length === 1 ? 'plant stands' : 'plants stand'} too near a wall, a tube or another plant where you put ${lost.length === 1 ? 'it' : 'them'}.`,
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

import { MIXES, catalogMix, type MixWeakness } from '../../catalog';
import { deepest } from '../../physics/crop';
import { baseStyle, standsOnStone, type LayerDesign } from '../../document';
import { baseName, soilBeds, wetsTo } from '../../assembly';
import { mixOf, takeMix } from '../../physics/soil';
import { q, say, type Message } from '../../units';
import { rootRoom } from '../figures';
import { largerVessels } from '../largerVessel';
import type { Draft, Remedy, Rule } from '../finding';
import { downToMm, gapToKeep, moveBase, set } from '../patches';

/** Root room that is short by less than this is not worth a word, metres. */
const LITTLE = 0.003;
/** A difference smaller than this does not show in whole centimetres or inches, metres. */
const SPAN_SHOWS = 0.03;
/** Below this share of the root room a crop is stunted rather than checked. */
const STUNTED = 0.7;
/** Least freeboard for a top watering to stand in, and the usual one. Metres. */
const LEAST_FREEBOARD = 0.01;
const USUAL_FREEBOARD = 0.025;

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
      panel: 'soil',
      text: say`Give ${crop.toLowerCase()} deeper soil: it wants ${q(needs, kind)} of root room and gets ${q(figures.growingDepth, kind)}.`,
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
        const larger = largerVessels(design, missing);
        return spare > 0 ? [fill, both, lower, ...larger] : [lower, ...larger];
      },
    },
  ];
};

export const deepSoil: Rule = ({ design, planter }) => {
  const reach = wetsTo(planter);
  // Of the mix alone: sand or stone between it and the base is no part of what must get wet.
  const depth = planter.heights.surface - planter.heights.base;
  if (depth <= reach + 1e-6) return [];
  const raised = () => {
    const ceiling = downToMm(planter.heights.ceiling + depth - reach + 0.001);
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
      panel: 'soil',
      text: say`Water seedlings from the top: only the lower ${q(reach, 'span')} of ${q(depth, 'span')} get wet from below.`,
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
      panel: 'soil',
      text: say`Make the upper mix thinner: ${q(upper.depth, 'length')} of it in ${q(depth, 'length')} of soil leave nothing of the lower.`,
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
  const mix = catalogMix(soil.upper.medium);
  if (mix.wicks) return [];
  return [
    {
      id: 'upper-poor',
      severity: 'watch',
      panel: 'soil',
      text: say`Water from the top until roots are through it: ${mix.name.toLowerCase()} draws little up from the mix below.`,
      propose: () => [{ label: say`Use one mix`, patch: [set(['soil', 'upper'], null)] }],
    },
  ];
};

/** What a weak mix costs and what to look for; what hardly lifts water fails, the others grow well in many hands. */
const WEAK_MIX: Readonly<
  Record<MixWeakness, { severity: Draft['severity']; says(name: string): Message }>
> = {
  packs: {
    severity: 'watch',
    says: (name) =>
      say`Keep ${name} loose: it packs over water, and yellow leaves or a sour smell say that roots lack air.`,
  },
  slumps: {
    severity: 'watch',
    says: (name) =>
      say`Top ${name} up as it slumps, and water once from above where it has drawn away from the wick.`,
  },
  open: {
    severity: 'fault',
    says: (name) =>
      say`Add fine stuff to ${name}: water hardly rises in it, and the top stays dry over a full reservoir.`,
  },
};

export const mixWicks: Rule = ({ planter }) => {
  const { soil } = planter.design;
  const mix = mixOf(soil);
  if (!mix.weakness) return [];
  const { severity, says } = WEAK_MIX[mix.weakness];
  return [
    {
      id: 'mix-poor',
      severity,
      panel: 'soil',
      text: says(soil.recipe ? 'this mix' : mix.name.toLowerCase()),
      propose: () =>
        (['coir-perlite', 'compost-mix'] as const).map((medium) => ({
          label: say`Use ${MIXES[medium].name.toLowerCase()}`,
          patch: takeMix(soil, medium),
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
      panel: 'soil',
      text: say`Moisten the mix and water each layer: dry it sheds water and leaves gaps no wick crosses.`,
      propose: () => [
        { label: say`Plan to moisten it`, patch: [set(['soil', 'moistened'], true)] },
      ],
    });
  }
  if (soil.settlement < mix.settles - 0.03) {
    drafts.push({
      id: 'settlement',
      severity: 'watch',
      panel: 'soil',
      text: say`Buy more mix: ${mix.name.toLowerCase()} settles by about ${q(mix.settles, 'share')}, and you allow ${q(soil.settlement, 'share')}.`,
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
      panel: 'soil',
      text: say`Leave more freeboard: with ${q(soil.freeboard, 'length')} water from the top runs over the rim before it soaks in.`,
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
        panel: 'soil',
        text: say`Use woven fabric, mesh or straw: a film passes no water, rain stands on it and the soil rots.`,
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
        panel: 'soil',
        text: say`Lay fabric or mesh under the soil, or it washes down and fills the reservoir.`,
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
          panel: 'soil',
          text: say`Mulch it: a bare surface dries out, and salts build up on it.`,
          propose: () => [
            { label: say`Lay straw mulch`, patch: [set(['soil', 'mulch'], 'straw')] },
          ],
        },
      ]
    : [];

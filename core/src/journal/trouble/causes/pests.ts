import { row } from './cause';

/** Pests and diseases. */

export const PESTS = {
  aphids: row({
    name: 'Sucking insects: aphids, whitefly, mites',
    at: 'plants',
    prior: 0.05,
    brings: { suckers: 0.95, yellow: 0.2, slow: 0.15, 'limp-noon': 0.1 },
    finds: {
      pests: { suckers: 0.94, none: 0.03, flies: 0.01, eaten: 0.02 },
    },
    mend: 'Hose them off from below on three mornings, then soap water in the evening. Look where ants run; feed less nitrogen.',
    deed: 'trouble',
    room: 'soil',
    speaks: [],
  }),
  chewers: row({
    name: 'Slugs, snails, caterpillars or beetles eat it',
    at: 'plants',
    prior: 0.05,
    brings: { holes: 0.95, 'one-limp': 0.1 },
    finds: {
      pests: { eaten: 0.94, none: 0.04, suckers: 0.01, flies: 0.01 },
    },
    mend: 'Pick them off after dark with a lamp, lay a board to hide under and lift it in the morning, and put a fine net over young plants.',
    deed: 'trouble',
    room: 'soil',
    speaks: [],
  }),
  gnats: row({
    name: 'Fungus gnats live in the wet top',
    at: 'surface',
    prior: 0.05,
    brings: { gnats: 0.95, 'wet-top': 0.25, seedlings: 0.1, slow: 0.1 },
    finds: {
      pests: { flies: 0.94, none: 0.04, suckers: 0.01, eaten: 0.01 },
      finger: { wet: 0.4, moist: 0.58, dry: 0.02 },
    },
    mend: 'Let the top dry: water only from below, and lay a finger of coarse sand or grit on the soil. Yellow sticky cards show when they are gone.',
    deed: 'trouble',
    room: 'soil',
    speaks: [],
  }),
  mildew: row({
    name: 'Powdery mildew',
    at: 'plants',
    prior: 0.04,
    brings: { powder: 0.95, yellow: 0.15, slow: 0.1 },
    finds: {
      marks: { powder: 0.96, rings: 0.03, none: 0.01 },
    },
    mend: 'Cut off the white leaves, give the plants air, and keep the leaves dry: water from below. It spreads in dry heat over warm nights.',
    deed: 'trouble',
    room: 'soil',
    speaks: ['plants-crowded'],
  }),
  leafSpot: row({
    name: 'A leaf disease',
    at: 'plants',
    prior: 0.04,
    brings: { spots: 0.95, yellow: 0.35, powder: 0.05 },
    finds: {
      marks: { rings: 0.95, powder: 0.03, none: 0.02 },
      leaves: { old: 0.6, all: 0.15, young: 0.02, none: 0.23 },
    },
    mend: 'Take the spotted leaves off from below and put them in the bin, not on the compost. Mulch, so that soil does not splash, and water only from below.',
    deed: 'trouble',
    room: 'soil',
    speaks: ['plants-crowded'],
  }),
  stemRot: row({
    name: 'Its stem is gnawed, bored or rots',
    at: 'plants',
    prior: 0.03,
    brings: { 'one-limp': 0.85, 'limp-dawn': 0.3, 'limp-noon': 0.2, yellow: 0.1 },
    finds: {
      stem: { hurt: 0.93, sound: 0.07 },
      which: { one: 0.94, side: 0.04, all: 0.02 },
      top: { same: 0.93, better: 0.07 },
      finger: { moist: 0.82, wet: 0.15, dry: 0.03 },
    },
    mend: 'Take that plant out with its roots, look for grubs and cut the stem open. Set a new one in another place, with a collar of card round it.',
    deed: 'trouble',
    room: 'soil',
    speaks: [],
  }),
} as const;

import { DESIGN_VERSION } from './schema';

/** A document of any version, of which only the version is known. */
export type AnyDocument = { version: number } & Record<string, unknown>;

/** Turns a document of version `from` into one of version `from + 1`, without touching its input. */
export type MigrationStep = (document: AnyDocument) => Record<string, unknown>;

type Loose = Record<string, unknown>;
const loose = (value: unknown): Loose => (value ?? {}) as Loose;

/** Sun, wind and spot that give the factors that one word gave before. */
const PLACES: Readonly<Record<string, Loose>> = {
  sheltered: { sun: 'half', wind: 'calm', spot: 'ground' },
  open: { sun: 'full', wind: 'breezy', spot: 'ground' },
  hot: { sun: 'full', wind: 'breezy', spot: 'wall' },
};

/**
 * Version 1 knew round vessels with one kind of support. From version 2 any vessel has a base that is
 * made of parts and fills, and a place is described by sun, wind and spot.
 */
function fromRoundPails(old: AnyDocument): Loose {
  const { plastic, ...vessel } = loose(old.vessel);
  const reservoir = loose(old.reservoir);
  const { exposure, slope, ...place } = loose(old.place);
  const bottles = reservoir.kind === 'bottles';
  const support = bottles ? reservoir : loose(reservoir.supports);
  const { diameter, wall, vents, count } = support;
  const part =
    support.kind === 'ring'
      ? { kind: 'ring', cutEnd: false, diameter, wall, vents }
      : { kind: 'standing', what: bottles ? 'bottle' : 'tub', count, diameter, wall, vents };
  const planting = loose(old.planting);
  return {
    ...old,
    variant: '',
    vessel: { ...vessel, material: plastic, rigid: true, cracked: false },
    bed: null,
    reservoir: {
      top: bottles ? reservoir.height : reservoir.underside,
      cover: bottles ? 'none' : 'platform',
      thickness: reservoir.thickness ?? 0.003,
      fill: bottles ? [{ medium: 'mix', upTo: 1 }] : [],
      parts: [part],
      blanket: null,
      supply: null,
    },
    fillTube: old.fillTube === null ? null : { ...loose(old.fillTube), run: 0 },
    pipes: [],
    soil: { ...loose(old.soil), marker: false },
    planting: { ...planting, spacing: planting.foliage },
    place: {
      ...place,
      ...(PLACES[String(exposure)] ?? PLACES.open),
      slopeAcross: slope,
      slopeAlong: 0,
      falls: 'away',
    },
  };
}

/** From version 3 a mix can be made by parts of one's own. */
function withRecipe(old: AnyDocument): Loose {
  return { ...old, soil: { ...loose(old.soil), recipe: null } };
}

const flaw = (open: unknown): string => (open === true ? 'open' : 'none');
const many = (value: unknown): Loose[] => (Array.isArray(value) ? value.map(loose) : []);
const size = (value: unknown): number => (typeof value === 'number' ? value : 0);

/** Rim of a cup beyond its inside, and how thick straw lay, which version 3 did not ask. Metres. */
const CUP_RIM = 0.016;
const STRAW = 0.05;
const MARKER = 0.03;

/**
 * From version 4 what lies between water and roots is a list, things have places, sizes and joints of
 * their own, and a vessel says what is still to be done to it. What was not asked before is given as it
 * was reckoned, so that the figures stay.
 */
function withLayersAndPlaces(old: AnyDocument): Loose {
  const { blanket, ...base } = loose(old.reservoir);
  const { separator, ...rest } = old;
  const { marker, ...soil } = loose(old.soil);
  const { drainHole, cracked, ...vessel } = loose(old.vessel);
  const fills = many(base.fill);
  const last = fills[fills.length - 1];
  const filled = base.cover === 'none' && size(last?.upTo) >= 1 - 1e-9 && old.bed === null;
  const sheet =
    typeof separator === 'string' && separator !== 'none'
      ? [{ what: separator, thickness: separator === 'straw' ? STRAW : 0.001, up: true }]
      : [];
  const sand =
    blanket && old.bed === null
      ? [{ what: loose(blanket).medium, thickness: loose(blanket).thickness, up: false }]
      : [];
  const straw = marker === true ? [{ what: 'straw', thickness: MARKER, up: false }] : [];
  const overflow = loose(old.overflow);
  const supply = base.supply === null || base.supply === undefined ? null : loose(base.supply);
  return {
    ...rest,
    vessel: {
      ...vessel,
      drainHole: flaw(drainHole),
      cracked: flaw(cracked),
      sawing: 'none',
      bungs: 0,
      ...(vessel.kind === 'frame' ? { stands: false } : {}),
    },
    reservoir: {
      ...base,
      parts: many(base.parts).map((part) => partFrom3(part, size(base.top))),
      supply: supply && { ...supply, diameter: 0.58 },
    },
    overflow:
      old.overflow === null || overflow.kind === 'rim' ? old.overflow : { ...overflow, bearing: 0 },
    wicks: many(old.wicks).map(wickFrom3),
    fillTube: old.fillTube === null ? null : { ...loose(old.fillTube), joint: 'elbow', at: null },
    pipes: many(old.pipes).map((pipe) => ({ ...pipe, fills: false, at: null })),
    // Sheets go over open voids before sand does, and over sand or stone that fills the base after it.
    layers: filled ? [...sand, ...sheet, ...straw] : [...sheet, ...sand, ...straw],
    soil: { ...soil, upper: null },
  };
}

function partFrom3(part: Loose, top: number): Loose {
  switch (part.kind) {
    case 'lying':
      return { ...part, stiff: false, length: 0 };
    case 'crates':
      return { ...part, height: Math.min(Math.max(top, 0.02), 1.2), cut: true, at: null };
    case 'arch':
      return { ...part, own: false };
    default:
      return part;
  }
}

function wickFrom3(wick: Loose): Loose {
  const diameter = size(wick.diameter);
  switch (wick.kind) {
    case 'cloth': {
      const holes = Math.min(Math.max(Math.ceil(size(wick.legs) / 2), 1), 12);
      return { ...wick, form: 'strips', holes, at: null };
    }
    case 'cup': {
      const rim = Math.min(diameter + CUP_RIM, 0.7);
      return { ...wick, bottom: diameter, rim, net: false, at: null };
    }
    default:
      return { ...wick, at: null };
  }
}

/** Nitrogen that granules have where a document does not say. */
const NITROGEN: Readonly<Record<string, number>> = { organic: 0.05, synthetic: 0.12 };

/** Until version 4 one crop grew in a planter, from its first day to the end. */
function withPlantings(old: AnyDocument): Loose {
  const { rootsADay, ...planted } = loose(old.planting);
  const soil = loose(old.soil);
  const feed = String(soil.feed);
  return {
    ...old,
    soil: {
      ...soil,
      feedHow: feed === 'liquid' ? 'tube' : 'strip',
      feedNitrogen: NITROGEN[feed] ?? 0,
    },
    planting: {
      crops: [
        {
          ...planted,
          own: null,
          start: 'bought',
          from: 0,
          stays: null,
          bed: null,
          places: null,
          support: 'none',
        },
      ],
      ...(rootsADay === undefined ? {} : { rootsADay }),
    },
  };
}

/** Days that a feed lasts, until version 5 the same for each kind. */
const LASTS: Readonly<Record<string, number>> = {
  'in-mix': 60,
  organic: 42,
  synthetic: 35,
  compost: 120,
  castings: 42,
  liquid: 14,
};

function withFeedThatLasts(old: AnyDocument): Loose {
  const soil = loose(old.soil);
  return { ...old, soil: { ...soil, feedLasts: LASTS[String(soil.feed)] ?? 0 } };
}

/** One step for each version that was ever written to a file or a database, by where it starts from. */
export const STEPS: Readonly<Record<number, MigrationStep>> = {
  1: fromRoundPails,
  2: withRecipe,
  3: withLayersAndPlaces,
  4: withPlantings,
  5: withFeedThatLasts,
};

/**
 * Brings a document up to `target` step by step.
 *
 * @throws Error when a step is missing, which is a bug and not something a user can cause
 */
export function migrate(
  document: AnyDocument,
  steps: Readonly<Record<number, MigrationStep>> = STEPS,
  target: number = DESIGN_VERSION,
): AnyDocument {
  let current = document;
  while (current.version < target) {
    const step = steps[current.version];
    if (!step) throw new Error(`No migration from design version ${current.version}`);
    current = { ...step(current), version: current.version + 1 };
  }
  return current;
}

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

/** One step for each version that was ever written to a file or a database, by where it starts from. */
export const STEPS: Readonly<Record<number, MigrationStep>> = {
  1: fromRoundPails,
  2: withRecipe,
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

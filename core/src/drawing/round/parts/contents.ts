import { FILLS, LAYERS } from '../../../catalog';
import { filling, SHEET } from '../solids';
import { inSteps, type PartRound } from '../partRound';

/** What is poured or laid into the vessel: stone, sand, layers, mulch. */

const STONES = ['gravel', 'pea-gravel', 'crushed', 'rock', 'brick'];

/** A material by the first words of its name, within a sentence. */
const inShort = (name: string): string => {
  const [first = name] = name.replace(/^The growing /, '').split(/[,(]/);
  return `${first.charAt(0).toLowerCase()}${first.slice(1).trimEnd()}`;
};

export const fill: PartRound<'fill'> = {
  called: ({ spec }) => inShort(FILLS[spec.medium].name),
  ink({ spec }) {
    if (spec.medium === 'mix') return 'soil';
    return STONES.some((one) => spec.medium.includes(one)) ? 'stone' : 'sand';
  },
  cells: (_, { from, to }, { vessel }) => filling(vessel, from, to),
  opened: true,
  tier: 'base',
  comes: inSteps('base'),
};

export const layer: PartRound<'layer'> = {
  ink: () => 'sand',
  called: ({ spec }) => inShort(LAYERS[spec.what].name),
  // Cloth that lies between base and soil has no height of its own.
  cells: (_, { from, to }, { vessel, design }) =>
    design.bed ? [] : filling(vessel, from, Math.max(to, from + SHEET)),
  opened: true,
  tier: 'layer',
  comes: inSteps('layers'),
};

/** Drawn with the soil that it lies on. */
export const mulch: PartRound<'mulch'> = {
  ink: () => 'straw',
  cells: () => [],
  opened: true,
  tier: 'top',
  comes: inSteps('close'),
};

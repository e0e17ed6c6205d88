import type { QuantityKind } from '../quantity';

/**
 * What every number in a design is called, what it measures and the range that can exist at all.
 * The schema, the fields on screen and the sentences about a bad value all read from here.
 */
export interface FieldSpec {
  label: string;
  kind: QuantityKind;
  /** Smallest and largest value, SI. */
  min: number;
  max: number;
  /** One sentence of help, where the label alone could be read two ways. */
  help?: string;
}

const spec = (
  label: string,
  kind: QuantityKind,
  min: number,
  max: number,
  help?: string,
): FieldSpec => ({ label, kind, min, max, ...(help ? { help } : {}) });

const PER_DAY = 1e-3 / 86_400;
const PER_HOUR = 1e-3 / 3600;
const PER_MINUTE = 1e-3 / 60;

export const FIELDS = {
  vessel: {
    topDiameter: spec('Inside, across the top', 'length', 0.05, 2),
    bottomDiameter: spec('Inside, across the floor', 'length', 0.04, 2),
    depth: spec('Inside depth', 'length', 0.05, 1.5, 'From the floor straight up to the rim.'),
    wall: spec('Wall thickness', 'length', 0.0003, 0.05),
  },
  platform: {
    underside: spec('Platform underside', 'length', 0.01, 1.2, 'Height above the floor.'),
    thickness: spec('Platform thickness', 'length', 0.0005, 0.05),
  },
  support: {
    diameter: spec('Outside diameter', 'length', 0.02, 1.5),
    wall: spec('Wall thickness', 'length', 0.0003, 0.05),
    count: spec('How many', 'count', 1, 60),
    height: spec('Height of a bottle', 'length', 0.03, 0.6, 'Standing, cap or cut top included.'),
  },
  overflow: {
    centre: spec(
      'Centre of the hole',
      'length',
      0.002,
      1.2,
      'The mark you drill on. The lip is half a hole lower.',
    ),
    diameter: spec('Hole diameter', 'length', 0.002, 0.12),
    count: spec('How many holes', 'count', 1, 12),
  },
  cloth: {
    legs: spec('Legs', 'count', 1, 24),
    width: spec('Width of a leg', 'length', 0.002, 0.5),
    thickness: spec('Thickness', 'length', 0.0003, 0.04),
    foot: spec('Foot above the floor', 'length', 0, 1, '0 when the end lies on the floor.'),
    spread: spec('Spread on top', 'length', 0, 0.6, 'How far it lies under the soil.'),
  },
  strip: {
    hour: spec('Wet height after an hour', 'length', 0.002, 1),
    day: spec('Wet height after a day', 'length', 0.003, 1.5),
  },
  cup: {
    count: spec('Cups', 'count', 1, 24),
    diameter: spec('Inside diameter of a cup', 'length', 0.01, 0.6),
    foot: spec('Bottom above the floor', 'length', 0, 1, '0 when the cup stands on the floor.'),
  },
  tube: {
    length: spec('Length', 'length', 0.03, 2.5),
    hole: spec('Hole in the platform', 'length', 0.005, 0.3),
  },
  soil: {
    freeboard: spec('Freeboard', 'length', 0, 0.3, 'Soil surface down from the rim.'),
    settlement: spec('Allowed for settling', 'share', 0, 0.5),
    bag: spec('Bag size', 'volume', 0.001, 0.2),
    feedDose: spec('Feed', 'dose', 0, 50),
    limeDose: spec('Lime', 'dose', 0, 20),
  },
  planting: {
    count: spec('Plants', 'count', 0, 200),
    foliage: spec('Foliage across, grown', 'span', 0.03, 3, 'One plant, edge to edge.'),
  },
  place: {
    etMild: spec('Mild day', 'evaporation', 0.2 * PER_DAY, 15 * PER_DAY),
    etHot: spec('Hot day', 'evaporation', 0.5 * PER_DAY, 20 * PER_DAY),
    daysAway: spec('Must last', 'days', 0, 90),
    liftLimit: spec('Most that you can lift', 'mass', 1, 500),
    floorLimit: spec('Most that the floor may bear', 'pressure', 100, 1e6),
    slope: spec('Floor out of level', 'slope', 0, 0.15),
    hose: spec('Hose', 'flow', 0.5 * PER_MINUTE, 100 * PER_MINUTE),
    storm: spec('Hard rain', 'rainfall', 5 * PER_HOUR, 400 * PER_HOUR),
  },
} as const satisfies Record<string, Record<string, FieldSpec>>;

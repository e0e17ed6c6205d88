import type { QuantityKind } from '../units';

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
    topLength: spec('Inside length, top', 'length', 0.05, 6),
    topWidth: spec('Inside width, top', 'length', 0.04, 3),
    bottomLength: spec('Inside length, floor', 'length', 0.04, 6),
    bottomWidth: spec('Inside width, floor', 'length', 0.03, 3),
    corner: spec('Corner radius', 'length', 0, 0.5),
    length: spec('Inside length', 'length', 0.05, 6),
    width: spec('Inside width', 'length', 0.05, 3),
    diameter: spec('Inside diameter', 'length', 0.05, 2, 'Of the whole round it was cut from.'),
    depth: spec('Inside depth', 'length', 0.05, 1.5, 'From the floor straight up to the rim.'),
    wall: spec('Wall thickness', 'length', 0.0003, 0.1),
    bungs: spec(
      'Bungs or plugs under water',
      'count',
      0,
      6,
      'Factory openings in what will be the floor or low wall.',
    ),
    legs: spec('Legs', 'length', 0, 1.5, 'Height of the floor above the ground; 0 without legs.'),
    fall: spec('Fall of the floor', 'slope', 0, 0.05, 'Along its length, to the low corner.'),
    stationHeight: spec('Height above the floor', 'length', 0, 1.5),
    stationLength: spec('Inside length there', 'length', 0.02, 6),
    stationWidth: spec('Inside width there', 'length', 0.02, 3),
    ratio: spec('Width as a share of the length', 'share', 0.05, 1),
    poured: spec('Poured in so far', 'volume', 0.00005, 5),
    pouredHeight: spec('Water stood at', 'length', 0.002, 1.5),
  },
  bed: {
    count: spec('How many', 'count', 1, 24),
    topDiameter: spec('Inside, across the top', 'length', 0.04, 1.5),
    bottomDiameter: spec('Inside, across the bottom', 'length', 0.03, 1.5),
    depth: spec('Inside depth', 'length', 0.04, 1.5),
    wall: spec('Wall thickness', 'length', 0.0003, 0.05),
    neckDiameter: spec('Neck, across inside', 'length', 0.01, 0.3),
    shoulder: spec('Height of the shoulder', 'length', 0.005, 0.5),
  },
  waterLine: {
    level: spec('Water stands at', 'length', 0.01, 3, 'Above the ground on which all stand.'),
    volume: spec('Barrel holds', 'volume', 0.001, 5),
    diameter: spec('Barrel, across', 'length', 0.1, 2, 'For its own load on the ground.'),
    outlet: spec('Barrel’s outlet at', 'length', 0.01, 5, 'Above the ground on which all stand.'),
    floor: spec('Inside floor at', 'length', 0, 3, 'Above the ground on which all stand.'),
    run: spec('Hose to it', 'span', 0.05, 50),
    port: spec('Hose enters at', 'length', 0.005, 1, 'Above its inside floor.'),
  },
  reservoir: {
    top: spec('Top of the base', 'length', 0.005, 1.2, 'Height above the floor.'),
    thickness: spec('Platform thickness', 'length', 0.0005, 0.05),
    drains: spec('Holes for rain', 'count', 0, 400),
    drainDiameter: spec('Each hole, across', 'length', 0.002, 0.1),
    upTo: spec('Reaches up to', 'share', 0.05, 1, 'Of the height of the base.'),
    supplyLevel: spec('Valve keeps the water at', 'length', 0.005, 1.2),
    supplyVolume: spec('Supply barrel holds', 'volume', 0.001, 5),
    supplyDiameter: spec(
      'Supply barrel, across',
      'length',
      0.1,
      2,
      'For its own load on the ground.',
    ),
  },
  support: {
    diameter: spec('Outside diameter', 'length', 0.015, 1.5),
    wall: spec('Wall thickness', 'length', 0.0003, 0.05),
    count: spec('How many', 'count', 1, 120),
    runs: spec('Runs or turns', 'count', 1, 24),
    length: spec('Length of one', 'length', 0.02, 1.5),
    width: spec('Width of one', 'length', 0.02, 1.5),
    height: spec('Height of one', 'length', 0.02, 1.2),
    runLength: spec('Length on the floor', 'length', 0, 6, '0 for all the way.'),
    voids: spec('Of it open to water', 'share', 0.3, 1),
    archWidth: spec('Width of the panel', 'length', 0.03, 2),
    stick: spec('Stick, across', 'length', 0.002, 0.05),
    stickSpacing: spec('From stick to stick', 'length', 0.005, 0.3),
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
    bore: spec('Bore of the fitting', 'length', 0.002, 0.12, 'What the water goes through.'),
    rise: spec('Lip above the centre', 'length', 0, 0.5, 'Of an elbow turned up; 0 for straight.'),
    count: spec('How many holes', 'count', 1, 12),
    around: spec('Holes in a row', 'count', 1, 60),
    rows: spec('Rows of holes', 'count', 1, 12),
    pitch: spec('From row to row', 'length', 0.01, 0.5),
    bearing: spec(
      'Round the wall',
      'angle',
      -Math.PI,
      Math.PI,
      'From the left of the drawing; seen from above, clockwise.',
    ),
  },
  cloth: {
    legs: spec('Legs', 'count', 1, 24),
    width: spec('Width of a leg', 'length', 0.002, 0.5),
    thickness: spec('Thickness', 'length', 0.0003, 0.04),
    foot: spec('Foot above the floor', 'length', 0, 1, '0 when the end lies on the floor.'),
    spread: spec('Spread on top', 'length', 0, 0.6, 'How far it lies under the soil.'),
    holes: spec('Holes it hangs through', 'count', 1, 12),
  },
  strip: {
    hour: spec('Wet height after an hour', 'length', 0.002, 1),
    day: spec('Wet height after a day', 'length', 0.003, 1.5),
  },
  cup: {
    count: spec('Cups', 'count', 1, 24),
    diameter: spec('Inside, across the top', 'length', 0.01, 0.6),
    bottom: spec('Inside, across the bottom', 'length', 0.008, 0.6),
    rim: spec('Rim, outside', 'length', 0.012, 0.7, 'It hangs by this in the platform.'),
    foot: spec('Bottom above the floor', 'length', 0, 1, '0 when the cup stands on the floor.'),
  },
  column: {
    count: spec('Columns', 'count', 1, 24),
    diameter: spec('Column, across', 'length', 0.02, 0.6),
    foot: spec('Foot above the floor', 'length', 0, 1, '0 when it stands on the floor.'),
  },
  tube: {
    length: spec('Length', 'length', 0.03, 2.5),
    hole: spec('Hole in the platform', 'length', 0.005, 0.3),
    run: spec('Perforated run on the floor', 'length', 0, 6, '0 when it only stands.'),
  },
  layer: {
    thickness: spec('Thickness', 'length', 0.0005, 0.2),
  },
  at: {
    x: spec('From the middle, to the right', 'length', -3, 3),
    y: spec('From the middle, to the back', 'length', -3, 3),
  },
  pipe: {
    diameter: spec('Outside diameter', 'length', 0.02, 0.4),
  },
  soil: {
    freeboard: spec('Freeboard', 'length', 0, 0.3, 'Soil surface down from the rim.'),
    upper: spec('Depth of the upper mix', 'length', 0.02, 0.8, 'From the surface down.'),
    settlement: spec('Allowed for settling', 'share', 0, 0.5),
    bag: spec('Bag size', 'loose', 0.001, 0.2),
    feedDose: spec('Feed', 'dose', 0, 200),
    feedNitrogen: spec(
      'Nitrogen in it',
      'share',
      0,
      0.5,
      'The first of the three numbers on the bag.',
    ),
    feedLasts: spec('It feeds for', 'days', 0, 400, '0 where nothing is given again.'),
    limeDose: spec('Lime', 'dose', 0, 20),
  },
  recipe: {
    parts: spec('Parts', 'ratio', 0.1, 100),
    shrinks: spec('Lost on mixing', 'share', 0, 0.4, 'Of the parts’ volumes together.'),
    reach: spec('Wet height after a day', 'length', 0.01, 1, 'In a clear tube, foot in water.'),
  },
  planting: {
    count: spec('Plants', 'count', 0, 400),
    from: spec('Days after the first', 'days', 0, 730),
    stays: spec('Days in the planter', 'days', 1, 730),
    spacing: spec('From plant to plant', 'growth', 0.02, 3),
    rootsADay: spec('Roots grow down in a warm day', 'length', 0, 0.04),
    foliage: spec('Width when grown', 'growth', 0.03, 3, 'One plant, edge to edge.'),
  },
  crop: {
    kc: spec('Crop coefficient', 'ratio', 0.1, 1.5),
    stage: spec('Days', 'days', 1, 400),
    roots: spec('Root room', 'span', 0.03, 1.5),
    openSpacing: spec('From plant to plant in the open', 'growth', 0.02, 6),
    height: spec('Height, grown', 'growth', 0.03, 4),
    sowing: spec('Sown deep', 'length', 0, 0.2, 'Nothing where seed lies on top and wants light.'),
  },
  place: {
    etMild: spec('Mild day', 'evaporation', 0.2 * PER_DAY, 15 * PER_DAY),
    etHot: spec('Hot day', 'evaporation', 0.5 * PER_DAY, 20 * PER_DAY),
    daysAway: spec('Must last', 'days', 0, 90),
    liftLimit: spec('Most that you can lift', 'mass', 1, 500),
    floorLimit: spec('Most that the floor may bear', 'pressure', 100, 1e6),
    slopeAcross: spec('Out of level, side to side', 'slope', 0, 0.15),
    slopeAlong: spec('Out of level, back to front', 'slope', 0, 0.15),
    hose: spec('Hose', 'flow', 0.5 * PER_MINUTE, 100 * PER_MINUTE),
    storm: spec('Hard rain', 'rainfall', 5 * PER_HOUR, 400 * PER_HOUR),
  },
} as const satisfies Record<string, Record<string, FieldSpec>>;

/**
 * Vessels in usual sizes, inside measures in metres. Typical, plausible together, and no maker's:
 * measure your own, or better, pour a known amount in.
 */

/** The measures of a vessel, by its shape. */
export type VesselShape =
  | { kind: 'round'; topDiameter: number; bottomDiameter: number; depth: number }
  | {
      kind: 'box';
      topLength: number;
      topWidth: number;
      bottomLength: number;
      bottomWidth: number;
      corner: number;
      depth: number;
    }
  | {
      kind: 'stadium';
      topLength: number;
      topWidth: number;
      bottomLength: number;
      bottomWidth: number;
      depth: number;
    }
  | { kind: 'lying'; diameter: number; length: number; depth: number }
  | {
      kind: 'frame';
      length: number;
      width: number;
      depth: number;
      liner: 'pond' | 'film' | 'none';
      legs: number;
      fall: number;
    };

export const VESSEL_GROUPS = {
  pail: { name: 'Pail or round tub' },
  tote: { name: 'Storage tote' },
  bottle: { name: 'Bottle' },
  barrel: { name: 'Barrel' },
  pot: { name: 'Pot or window box' },
  trough: { name: 'Stock trough' },
  bed: { name: 'Framed box or bed' },
  tank: { name: 'Bulk tank, halved' },
  tray: { name: 'Tray' },
  gutter: { name: 'Gutter' },
} as const;
export type VesselGroup = keyof typeof VESSEL_GROUPS;

export interface CatalogVessel {
  name: string;
  group: VesselGroup;
  wall: number;
  material: 'pe' | 'pp' | 'pet' | 'clay' | 'metal' | 'wood';
  shape: VesselShape;
}

type Material = CatalogVessel['material'];

const round =
  (group: VesselGroup, material: Material) =>
  (
    name: string,
    topDiameter: number,
    bottomDiameter: number,
    depth: number,
    wall: number,
  ): CatalogVessel => ({
    name,
    group,
    wall,
    material,
    shape: { kind: 'round', topDiameter, bottomDiameter, depth },
  });

const box =
  (group: VesselGroup, material: Material, corner: number) =>
  (
    name: string,
    top: readonly [number, number],
    bottom: readonly [number, number],
    depth: number,
    wall: number,
  ): CatalogVessel => ({
    name,
    group,
    wall,
    material,
    shape: {
      kind: 'box',
      topLength: top[0],
      topWidth: top[1],
      bottomLength: bottom[0],
      bottomWidth: bottom[1],
      corner,
      depth,
    },
  });

const trough = (
  name: string,
  length: number,
  width: number,
  depth: number,
  wall = 0.001,
): CatalogVessel => ({
  name,
  group: 'trough',
  wall,
  material: 'metal',
  shape: {
    kind: 'stadium',
    topLength: length,
    topWidth: width,
    bottomLength: length - 0.04,
    bottomWidth: width - 0.04,
    depth,
  },
});

const frame = (
  name: string,
  length: number,
  width: number,
  depth: number,
  legs: number,
  board = 0.025,
): CatalogVessel => ({
  name,
  group: 'bed',
  wall: board,
  material: 'wood',
  shape: { kind: 'frame', length, width, depth, liner: 'pond', legs, fall: 0 },
});

const lying = (
  name: string,
  group: VesselGroup,
  diameter: number,
  length: number,
  wall: number,
): CatalogVessel => ({
  name,
  group,
  wall,
  material: 'pe',
  shape: { kind: 'lying', diameter, length, depth: diameter / 2 },
});

const pail = round('pail', 'pp');
const bottle = round('bottle', 'pet');
const barrel = round('barrel', 'pe');
const pot = round('pot', 'clay');
const tote = box('tote', 'pp', 0.03);

export const VESSELS = {
  'pail-5': pail('5 L pail', 0.205, 0.175, 0.185, 0.0012),
  'pail-10': pail('10 L pail', 0.258, 0.222, 0.24, 0.0014),
  'pail-15': pail('15 L pail', 0.285, 0.25, 0.285, 0.0018),
  'pail-20': pail('20 L pail', 0.295, 0.262, 0.368, 0.002),
  'pail-25': pail('25 L pail', 0.33, 0.29, 0.38, 0.0022),
  'tub-40': pail('40 L round tub', 0.44, 0.36, 0.34, 0.0025),
  'tub-75': pail('75 L round tub', 0.55, 0.44, 0.42, 0.003),
  'tote-20': tote('20 L tote', [0.37, 0.27], [0.33, 0.23], 0.235, 0.0018),
  'tote-30': tote('30 L tote', [0.42, 0.31], [0.37, 0.26], 0.275, 0.002),
  'tote-50': tote('50 L tote', [0.52, 0.36], [0.46, 0.31], 0.31, 0.0022),
  'tote-70': tote('70 L tote', [0.6, 0.4], [0.53, 0.34], 0.34, 0.0025),
  'tote-100': tote('100 L tote', [0.72, 0.44], [0.64, 0.37], 0.37, 0.0028),
  'tote-130': tote('130 L tote', [0.83, 0.48], [0.74, 0.41], 0.38, 0.003),
  'bottle-1': bottle('1 L bottle, base', 0.078, 0.078, 0.11, 0.0004),
  'bottle-2': bottle('2 L bottle, base', 0.104, 0.104, 0.13, 0.0004),
  'bottle-5': bottle('5 L bottle, base', 0.158, 0.158, 0.15, 0.0006),
  'bottle-19': bottle('19 L cooler bottle, base', 0.27, 0.27, 0.22, 0.0015),
  'drum-60': barrel('60 L drum', 0.37, 0.37, 0.56, 0.003),
  'barrel-120': barrel('120 L barrel', 0.47, 0.47, 0.7, 0.004),
  'barrel-200': barrel('200 L barrel, whole', 0.57, 0.57, 0.86, 0.004),
  'barrel-two-thirds': barrel('200 L barrel, a third off', 0.57, 0.57, 0.57, 0.004),
  'barrel-half': barrel('200 L barrel, cut across', 0.57, 0.57, 0.43, 0.004),
  'barrel-lying': lying('Half a 200 L barrel, lying', 'barrel', 0.57, 0.86, 0.004),
  'drum-lying': lying('Half a 60 L drum, lying', 'barrel', 0.37, 0.56, 0.003),
  'pot-20': pot('20 cm clay pot', 0.19, 0.13, 0.185, 0.009),
  'pot-30': pot('30 cm clay pot', 0.28, 0.2, 0.27, 0.011),
  'pot-40': pot('40 cm decorative pot', 0.375, 0.27, 0.37, 0.014),
  'pot-55': pot('55 cm decorative pot', 0.51, 0.36, 0.47, 0.018),
  'pot-square': box('pot', 'pe', 0.02)('40 cm square pot', [0.38, 0.38], [0.32, 0.32], 0.38, 0.006),
  'window-box': box('pot', 'pe', 0.015)(
    '80 cm window box',
    [0.78, 0.19],
    [0.74, 0.15],
    0.18,
    0.003,
  ),
  'trough-90': trough('90 L trough', 0.9, 0.45, 0.3),
  'trough-170': trough('170 L trough', 1.2, 0.58, 0.3),
  'trough-270': trough('270 L trough', 1.2, 0.6, 0.46),
  'trough-400': trough('400 L trough', 1.8, 0.6, 0.46),
  'box-legs': frame('Box on legs, 120 by 50 cm', 1.2, 0.5, 0.35, 0.4),
  'box-small': frame('Box, 80 by 40 cm', 0.8, 0.4, 0.4, 0),
  'bed-small': frame('Bed, 120 by 80 cm', 1.2, 0.8, 0.5, 0),
  'bed-medium': frame('Bed, 200 by 100 cm', 2, 1, 0.55, 0, 0.038),
  'bed-large': frame('Bed, 240 by 120 cm', 2.4, 1.2, 0.6, 0, 0.045),
  'tank-half': box('tank', 'pe', 0.08)(
    '1000 L bulk tank, half',
    [1.16, 0.96],
    [1.16, 0.96],
    0.5,
    0.004,
  ),
  'tank-third': box('tank', 'pe', 0.08)(
    '1000 L bulk tank, a third',
    [1.16, 0.96],
    [1.16, 0.96],
    0.35,
    0.004,
  ),
  'tray-60': box('tray', 'pp', 0.02)('60 by 40 cm tray', [0.58, 0.38], [0.56, 0.36], 0.08, 0.0025),
  'tray-100': box('tray', 'pp', 0.03)('100 by 50 cm tray', [0.98, 0.48], [0.95, 0.45], 0.1, 0.003),
  'tray-round': round('tray', 'pp')('50 cm round tray', 0.49, 0.46, 0.09, 0.003),
  'gutter-box': box('gutter', 'pe', 0.002)('2 m box gutter', [2, 0.15], [2, 0.13], 0.11, 0.0025),
  'gutter-round': lying('2 m half-round gutter', 'gutter', 0.15, 2, 0.0022),
} as const satisfies Record<string, CatalogVessel>;

export type VesselId = keyof typeof VESSELS;
export const VESSEL_IDS = Object.keys(VESSELS) as [VesselId, ...VesselId[]];

/** A vessel of the catalogue, widened. */
export const catalogVessel = (id: VesselId): CatalogVessel => VESSELS[id];

/** The same sizes as they are called where people buy by the gallon and the inch. */
const US_NAMES: Readonly<Record<VesselId, string>> = {
  'pail-5': '1 1/4 gal pail',
  'pail-10': '2 1/2 gal pail',
  'pail-15': '4 gal pail',
  'pail-20': '5 gal pail',
  'pail-25': '6 1/2 gal pail',
  'tub-40': '10 gal round tub',
  'tub-75': '20 gal round tub',
  'tote-20': '5 gal tote',
  'tote-30': '8 gal tote',
  'tote-50': '13 gal tote',
  'tote-70': '18 gal tote',
  'tote-100': '27 gal tote',
  'tote-130': '34 gal tote',
  'bottle-1': '1 qt bottle, base',
  'bottle-2': '2 qt bottle, base',
  'bottle-5': '1 1/4 gal bottle, base',
  'bottle-19': '5 gal cooler bottle, base',
  'drum-60': '15 gal drum',
  'barrel-120': '30 gal barrel',
  'barrel-200': '55 gal barrel, whole',
  'barrel-two-thirds': '55 gal barrel, a third off',
  'barrel-half': '55 gal barrel, cut across',
  'barrel-lying': 'Half a 55 gal barrel, lying',
  'drum-lying': 'Half a 15 gal drum, lying',
  'pot-20': '8 in clay pot',
  'pot-30': '12 in clay pot',
  'pot-40': '16 in decorative pot',
  'pot-55': '22 in decorative pot',
  'pot-square': '16 in square pot',
  'window-box': '32 in window box',
  'trough-90': '25 gal trough',
  'trough-170': '45 gal trough',
  'trough-270': '2 by 4 ft trough',
  'trough-400': '2 by 6 ft trough',
  'box-legs': 'Box on legs, 48 by 20 in',
  'box-small': 'Box, 32 by 16 in',
  'bed-small': 'Bed, 48 by 32 in',
  'bed-medium': 'Bed, 6 1/2 by 3 1/4 ft',
  'bed-large': 'Bed, 8 by 4 ft',
  'tank-half': '275 gal bulk tank, half',
  'tank-third': '275 gal bulk tank, a third',
  'tray-60': '24 by 16 in tray',
  'tray-100': '40 by 20 in tray',
  'tray-round': '20 in round tray',
  'gutter-box': '6 1/2 ft box gutter',
  'gutter-round': '6 1/2 ft half-round gutter',
};

/** What a usual vessel is called, in litres and centimetres or in gallons and inches. */
export const vesselName = (id: VesselId, units: 'metric' | 'us'): string =>
  units === 'us' ? US_NAMES[id] : VESSELS[id].name;

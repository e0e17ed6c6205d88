/** Round vessels in usual sizes, inside measures in metres. Typical: measure your own. */

export interface RoundVessel {
  name: string;
  topDiameter: number;
  bottomDiameter: number;
  depth: number;
  wall: number;
}

export const ROUND_VESSELS = {
  'pail-5': {
    name: '5 L pail',
    topDiameter: 0.205,
    bottomDiameter: 0.175,
    depth: 0.185,
    wall: 0.0012,
  },
  'pail-10': {
    name: '10 L pail',
    topDiameter: 0.258,
    bottomDiameter: 0.222,
    depth: 0.24,
    wall: 0.0014,
  },
  'pail-15': {
    name: '15 L pail',
    topDiameter: 0.285,
    bottomDiameter: 0.25,
    depth: 0.285,
    wall: 0.0018,
  },
  'pail-20': {
    name: '20 L pail',
    topDiameter: 0.295,
    bottomDiameter: 0.262,
    depth: 0.368,
    wall: 0.002,
  },
  'pail-25': {
    name: '25 L pail',
    topDiameter: 0.33,
    bottomDiameter: 0.29,
    depth: 0.38,
    wall: 0.0022,
  },
  'tub-40': {
    name: '40 L round tub',
    topDiameter: 0.44,
    bottomDiameter: 0.36,
    depth: 0.34,
    wall: 0.0025,
  },
  'tub-75': {
    name: '75 L round tub',
    topDiameter: 0.55,
    bottomDiameter: 0.44,
    depth: 0.42,
    wall: 0.003,
  },
} as const satisfies Record<string, RoundVessel>;

export type RoundVesselId = keyof typeof ROUND_VESSELS;

/**
 * Pipes with their real sizes. A pipe's name is seldom its outside diameter, and the hole that is
 * drilled for it must fit the outside.
 *
 * Sources: ASME B36.10M / ASTM D1785 outside diameters and schedule 40 walls for the inch sizes;
 * ISO 161-1 nominal outside diameters, with walls of a light pressure series, for the metric sizes.
 */

export interface Pipe {
  /** How it is asked for in a shop. */
  name: string;
  /** Outside and inside diameter, metres. */
  outside: number;
  inside: number;
  family: 'inch' | 'metric';
}

const INCH = 0.0254;

const inch = (name: string, outside: number, inside: number): Pipe => ({
  name: `${name} in pipe`,
  outside: outside * INCH,
  inside: inside * INCH,
  family: 'inch',
});

const metric = (outside: number, wall: number): Pipe => ({
  name: `${outside} mm pipe`,
  outside: outside / 1000,
  inside: (outside - 2 * wall) / 1000,
  family: 'metric',
});

export const PIPES = {
  'in-0.5': inch('1/2', 0.84, 0.622),
  'in-0.75': inch('3/4', 1.05, 0.824),
  'in-1': inch('1', 1.315, 1.049),
  'in-1.25': inch('1 1/4', 1.66, 1.38),
  'in-1.5': inch('1 1/2', 1.9, 1.61),
  'in-2': inch('2', 2.375, 2.067),
  'in-3': inch('3', 3.5, 3.068),
  'in-4': inch('4', 4.5, 4.026),
  'in-6': inch('6', 6.625, 6.065),
  'mm-20': metric(20, 1.5),
  'mm-25': metric(25, 1.5),
  'mm-32': metric(32, 1.6),
  'mm-40': metric(40, 1.9),
  'mm-50': metric(50, 2.4),
  'mm-63': metric(63, 3),
  'mm-75': metric(75, 3.6),
  'mm-90': metric(90, 4.3),
  'mm-110': metric(110, 4.2),
  'mm-160': metric(160, 4.7),
} as const satisfies Record<string, Pipe>;

export type PipeId = keyof typeof PIPES;
export const PIPE_IDS = Object.keys(PIPES) as [PipeId, ...PipeId[]];

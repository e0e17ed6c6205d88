import { bitFor, INCH_BITS, METRIC_BITS, PIPES, type PipeId } from '../catalog';
import type {
  ClothWickDesign,
  ColumnWickDesign,
  CupWickDesign,
  FillTubeDesign,
  OverflowDesign,
} from './schema';

/** Parts as they are usually made: what a new one begins with, on the bench and in remedies. */

/** The air gap that is usually left between the lip and the platform, metres. */
export const USUAL_AIR_GAP = 0.02;

/** A tube stands a hand's width proud of the rim, metres. */
const HAND = 0.1;
/** Play of a tube in the platform's hole, metres. */
const PLAY = 0.001;

/** How much wider a cup's rim is than its inside, metres. */
const CUP_RIM = 0.016;

/** Legs of an old shirt or towel. */
export const USUAL_CLOTH: ClothWickDesign = {
  kind: 'cloth',
  material: 'cotton-cloth',
  legs: 4,
  width: 0.09,
  thickness: 0.0015,
  foot: 0,
  spread: 0.08,
  form: 'strips',
  holes: 1,
  at: null,
  strip: null,
};

/** A drilled cup, packed with the mix. */
export const USUAL_CUP: CupWickDesign = cupOf(0.08);

/** A tapered cup of usual proportions, by its inside at the top. Metres. */
export function cupOf(diameter: number, count = 1): CupWickDesign {
  const mm = (length: number) => Math.round(length * 1000) / 1000;
  return {
    kind: 'cup',
    count,
    diameter,
    bottom: mm(diameter * 0.8),
    rim: mm(diameter + CUP_RIM),
    net: false,
    foot: 0,
    at: null,
  };
}

/** Sand from the floor to the soil. */
export const USUAL_COLUMN: ColumnWickDesign = {
  kind: 'column',
  medium: 'coarse-sand',
  count: 4,
  diameter: 0.1,
  foot: 0,
  at: null,
};

/** The hole to drill for a pipe: its real outside with a little play, as a bit that is sold where the pipe is. */
export function holeForPipe(pipe: PipeId): number {
  const { outside, family } = PIPES[pipe];
  return bitFor(outside + PLAY, family === 'inch' ? INCH_BITS : METRIC_BITS);
}

/** Floor to rim and a hand's width, to the next whole millimetre. Metres. */
export function usualTubeLength(depth: number): number {
  return Math.ceil((depth + HAND) * 1000 - 1e-6) / 1000;
}

/** A tube for a vessel of this depth. */
export function usualTube(depth: number, pipe: PipeId = 'mm-32'): FillTubeDesign {
  return {
    pipe,
    length: usualTubeLength(depth),
    hole: holeForPipe(pipe),
    foot: 'bevel',
    cap: 'cap',
    run: 0,
    joint: 'slit',
    at: null,
  };
}

/** A hole keeps this far under a platform, metres. */
const CLEAR = 0.004;

/** One screened hole whose lip leaves the usual air gap under `ceiling`, on a `mark` of the rule. */
export function usualOverflow(
  ceiling: number,
  diameter = 0.012,
  mark = 0.001,
): Extract<OverflowDesign, { kind: 'hole' }> {
  // The upper edge of the hole stays clear of what the soil stands on.
  const lip = Math.max(ceiling - Math.max(USUAL_AIR_GAP, diameter + CLEAR), ceiling / 2);
  const centre = Math.floor((lip + diameter / 2) / mark + 1e-6) * mark;
  return { kind: 'hole', centre, diameter, count: 1, bearing: 0, screened: true };
}

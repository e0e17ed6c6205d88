import type { FillPath, RoundInk } from '@huerta/core/drawing/round';

/** Colours of pictures in the round, in files and on paper: those of day. */

export const INK = '#1e2a22';
export const PALE_INK = '#7f877d';
export const ARROW = '#a3441f';
export const PAGE = '#f6f1e4';

export const BASES: Readonly<Record<RoundInk, string>> = {
  wall: '#f3eee0',
  support: '#c98d6f',
  clear: '#dfeaf0',
  platform: '#f2e5c6',
  pipe: '#fbf8ef',
  cloth: '#e6bd4a',
  stone: '#b9b4a6',
  sand: '#edd9a0',
  soil: '#a5835f',
  straw: '#ebcb71',
  wood: '#bf9d70',
  leaf: '#5f7d3a',
  film: '#7c877f',
  water: '#a5cfdf',
  opening: INK,
};
/** Light on a face by the way it looks, and on one that is cut open. */
const TONES = [1, 0.97, 0.92, 0.84, 0.76];
const CUT = 0.88;
/** Share of its own colour that what stood there before keeps. */
const PALE = 0.38;

/** Widths of lines, of a picture some three hundred wide. */
export const WIDTHS = { outline: 1.8, cut: 1.4, crease: 0.8 } as const;

/** The red, green and blue of a colour. */
const parts = (colour: string): number[] =>
  [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));

/** The colour of a patch, as `#rrggbb`. @param page what it is pale towards */
export function colourOf({ ink, standing, tone, cut }: FillPath, page = PAGE): string {
  const light = cut ? CUT : (TONES[tone] ?? 1);
  const behind = parts(page);
  const mixed = parts(BASES[ink]).map((part, i) => {
    const shaded = part * light;
    const pale = PALE * shaded + (1 - PALE) * (behind[i] as number);
    return Math.round(standing === 'before' ? pale : shaded);
  });
  return `#${mixed.map((part) => part.toString(16).padStart(2, '0')).join('')}`;
}

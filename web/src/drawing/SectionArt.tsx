import type { Ink, Section, Shape } from '@huerta/core/drawing';
import { memo, useId, type ReactNode } from 'react';
import { stippleTile, TILE } from './stipple';
import type { View } from './view';

interface SectionArtProps {
  section: Section;
  view: View;
  /** Pixels between soil dots; larger for small pictures. */
  grain?: number;
  /** From above all soil is as wet as the rest: one set of dots. */
  evenDots?: boolean;
  /** What is painted on the soil, under what stands in it. */
  onSoil?: ReactNode;
}

/** How far up the soil each set of dots goes: denser where it is wetter. */
const BANDS = [1, 0.62, 0.28] as const;

/** Paints core's shapes, soil with dots that are denser towards the water. */
export const SectionArt = memo(function SectionArt({
  section,
  view,
  grain = 7,
  evenDots = false,
  onSoil,
}: SectionArtProps) {
  const id = useId();
  const { bounds, shapes } = section;
  const soil = shapes.filter((shape) => shape.ink === 'soil');
  const heights = soil.flatMap((shape) => shape.points.map(([, z]) => z));
  const low = Math.min(...heights);
  const high = Math.max(...heights);
  const dotted = soil.map((shape) => view.path(shape.points, true)).join('');
  // The dots go over everything that is soil and under everything that comes after it.
  const top: readonly Ink[] = soil.length > 0 ? ['soil', 'soaked'] : ['mulch'];
  const split = shapes.findLastIndex(({ ink }) => top.includes(ink)) + 1;
  const paint = (list: readonly Shape[]) =>
    list.map((shape) => (
      <Inked
        key={shape.id}
        ink={shape.ink}
        closed={shape.form === 'area'}
        d={view.path(shape.points, shape.form === 'area')}
        patterns={id}
      />
    ));
  return (
    <g>
      <Patterns id={id} grain={grain} />
      {paint(shapes.slice(0, split))}
      {BANDS.slice(0, soil.length === 0 ? 0 : evenDots ? 1 : BANDS.length).map((share, i) => (
        <Band
          key={share}
          id={`${id}band${i}`}
          d={dotted}
          fill={`url(#${id}dots${i})`}
          left={view.x(bounds.left)}
          right={view.x(bounds.right)}
          top={view.y(low + (high - low) * share)}
          bottom={view.y(bounds.bottom)}
        />
      ))}
      {onSoil}
      {paint(shapes.slice(split))}
    </g>
  );
});

const Patterns = memo(function Patterns({ id, grain }: { id: string; grain: number }) {
  return (
    <defs>
      {BANDS.map((_, i) => (
        <pattern
          key={i}
          id={`${id}dots${i}`}
          width={TILE}
          height={TILE}
          patternUnits="userSpaceOnUse"
        >
          <path className="stipple" d={stippleTile(grain, i)} />
        </pattern>
      ))}
      <pattern
        id={`${id}hatch`}
        width="6"
        height="6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="6" height="6" fill="var(--hu-colors-sheet)" />
        <path d="M0 0V6" stroke="var(--hu-colors-ink)" strokeWidth="2.4" />
      </pattern>
      <pattern id={`${id}straw`} width="18" height="9" patternUnits="userSpaceOnUse">
        <rect width="18" height="9" fill="var(--hu-colors-straw-wash)" />
        <path
          d="M0 2L8 4M5 8L14 5M11 1L18 3M15 8L18 7M0 7L3 8"
          stroke="var(--hu-colors-straw-ink)"
          strokeWidth="1"
          fill="none"
        />
      </pattern>
      <pattern id={`${id}stone`} width="34" height="26" patternUnits="userSpaceOnUse">
        <path className="pebble" d={PEBBLES} />
      </pattern>
      <pattern id={`${id}sand`} width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="var(--hu-colors-straw-wash)" />
        <path className="sand-grain" d="M2 3h0M7 1h0M10 5h0M4 8h0M8 10h0M1 11h0" />
      </pattern>
      <pattern id={`${id}chip`} width="22" height="18" patternUnits="userSpaceOnUse">
        <path
          className="pebble"
          d="M2 3L9 1L10 4L3 6ZM13 4L20 7L19 10L12 7ZM4 10L11 12L10 15L3 13ZM14 13L20 12L21 15L15 16Z"
        />
      </pattern>
    </defs>
  );
});

interface BandProps {
  id: string;
  d: string;
  fill: string;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** The soil below one height, filled with one set of dots. */
function Band({ id, d, fill, left, right, top, bottom }: BandProps) {
  return (
    <>
      <clipPath id={id}>
        <rect x={left} y={top} width={right - left} height={Math.max(bottom - top, 0)} />
      </clipPath>
      <path d={d} clipPath={`url(#${id})`} style={{ fill }} />
    </>
  );
}

interface InkProps {
  ink: Ink;
  closed: boolean;
  d: string;
  patterns: string;
}

const TEXTURE: Partial<Record<Ink, string>> = {
  platform: 'hatch',
  mulch: 'straw',
  straw: 'straw',
  stone: 'stone',
  sand: 'sand',
  chip: 'chip',
};

/** Round stones of one tile, kept clear of its edges. */
const PEBBLES =
  'M2 6C2 2 10 1 12 4C13 8 4 10 2 6ZM15 5C16 1 24 2 24 6C23 9 16 9 15 5ZM27 4C29 1 33 3 33 6C31 9 26 8 27 4ZM6 14C8 10 16 11 15 15C13 18 6 18 6 14ZM19 13C22 10 29 12 28 16C25 18 18 17 19 13ZM2 22C3 18 11 19 11 22C9 25 2 25 2 22ZM15 21C17 19 23 20 22 23C19 25 14 24 15 21ZM26 22C28 19 33 20 32 23C30 25 26 25 26 22Z';

const Inked = memo(function Inked({ ink, closed, d, patterns }: InkProps) {
  const texture = TEXTURE[ink];
  return (
    <path
      className={`ink-${ink}${closed ? ' is-area' : ''}`}
      d={d}
      {...(texture ? { fill: `url(#${patterns}${texture})` } : {})}
    />
  );
});

import type { Ink, Section, Shape } from '@huerta/core';
import { memo, useId } from 'react';
import { stippleTile, TILE } from './stipple';
import type { View } from './view';

interface SectionArtProps {
  section: Section;
  view: View;
  /** Pixels between soil dots; larger for small pictures. */
  grain?: number;
  /** From above all soil is as wet as the rest: one set of dots. */
  evenDots?: boolean;
}

/** How far up the soil each set of dots goes: denser where it is wetter. */
const BANDS = [1, 0.62, 0.28] as const;

/** Paints core's shapes, soil with dots that are denser towards the water. */
export const SectionArt = memo(function SectionArt({
  section,
  view,
  grain = 7,
  evenDots = false,
}: SectionArtProps) {
  const id = useId();
  const { bounds, shapes } = section;
  const soil = shapes.filter((shape) => shape.ink === 'soil');
  const heights = soil.flatMap((shape) => shape.points.map(([, z]) => z));
  const low = Math.min(...heights);
  const high = Math.max(...heights);
  const dotted = soil.map((shape) => view.path(shape.points, true)).join('');
  // The dots go over everything that is soil and under everything that comes after it.
  const split = shapes.findLastIndex(({ ink }) => ink === 'soil' || ink === 'soaked') + 1;
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

const TEXTURE: Partial<Record<Ink, string>> = { platform: 'hatch', mulch: 'straw' };

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

import type { Section } from '@huerta/core/drawing';
import { ScaleBar } from './ScaleBar';
import { SectionArt } from './SectionArt';
import { fitView } from './view';

interface SmallSectionProps {
  section: Section;
  width: number;
  height: number;
  /** Pixels per metre, so that several stand side by side at one scale; fits by default. */
  scale?: number;
  /** Whether a scale bar stands over it, or room is left for one beside others that have it. */
  bar?: boolean | 'room';
  /** A place that is ringed, metres right of the middle and above the inside floor. */
  ring?: { x: number; z: number };
  /** What it shows, unless the words beside it say so. */
  label?: string;
}

/** Around the drawing, pixels. */
const MARGIN = { left: 4, right: 4, top: 4, bottom: 1 };
/** Radius of a ring round a place, pixels. */
const RING = 13;
/** With a scale bar over it. */
export const UNDER_BAR = { ...MARGIN, top: 28 };

/** The section without dimensions, for lists and choices. */
export function SmallSection({
  section,
  width,
  height,
  scale,
  bar = false,
  ring,
  label,
}: SmallSectionProps) {
  const margin = bar ? UNDER_BAR : MARGIN;
  const fitting = fitView(section.bounds, width, height, margin);
  const view =
    scale === undefined
      ? fitting
      : fitView(section.bounds, width, height, margin, Math.min(scale, fitting.scale));
  return (
    <svg
      className="is-small"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <SectionArt section={section} view={view} grain={6} />
      {ring && (
        <g className="ring" transform={`translate(${view.x(ring.x)} ${view.y(ring.z)})`}>
          <circle r={RING + 1.5} className="ring-halo" />
          <circle r={RING} />
        </g>
      )}
      {bar === true && <ScaleBar view={view} x={4} y={16} text="beside" within={width} />}
    </svg>
  );
}

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
  /** Whether a scale bar stands over it: small and large vessels fill the same frame. */
  bar?: boolean;
  /** What it shows, unless the words beside it say so. */
  label?: string;
}

const MARGIN = { left: 4, right: 4, top: 4, bottom: 1 };
/** With a scale bar over it. */
const UNDER_BAR = { ...MARGIN, top: 28 };

/** The section without dimensions, for lists and choices. */
export function SmallSection({
  section,
  width,
  height,
  scale,
  bar = false,
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
      {bar && <ScaleBar view={view} x={4} y={16} text="beside" within={width} />}
    </svg>
  );
}

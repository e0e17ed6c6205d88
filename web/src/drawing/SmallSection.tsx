import type { Section } from '@huerta/core';
import { SectionArt } from './SectionArt';
import { fitView } from './view';

interface SmallSectionProps {
  section: Section;
  width: number;
  height: number;
  /** Pixels per metre, so that several stand side by side at one scale; fits by default. */
  scale?: number;
  /** What it shows, unless the words beside it say so. */
  label?: string;
}

const MARGIN = { left: 4, right: 4, top: 4, bottom: 1 };

/** The section without dimensions, for lists and choices. */
export function SmallSection({ section, width, height, scale, label }: SmallSectionProps) {
  const fitting = fitView(section.bounds, width, height, MARGIN);
  const view =
    scale === undefined
      ? fitting
      : fitView(section.bounds, width, height, MARGIN, Math.min(scale, fitting.scale));
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
    </svg>
  );
}

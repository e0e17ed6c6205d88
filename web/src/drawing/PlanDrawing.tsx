import type { Plan } from '@huerta/core';
import { ScaleBar } from './ScaleBar';
import { SectionArt } from './SectionArt';
import { fitView } from './view';

interface PlanDrawingProps {
  drawing: Plan;
  width: number;
  height: number;
  label: string;
}

const MARGIN = { left: 4, right: 4, top: 4, bottom: 30 };

/** A view from above, as large as it fits, with its scale. */
export function PlanDrawing({ drawing, width, height, label }: PlanDrawingProps) {
  const view = fitView(drawing.bounds, width, height, MARGIN);
  return (
    <svg
      className="is-small"
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <SectionArt
        section={{ ...drawing, dimensions: [], water: null }}
        view={view}
        grain={6}
        evenDots
      />
      <ScaleBar view={view} x={4} y={height - 6} text="beside" />
    </svg>
  );
}

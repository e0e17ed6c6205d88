import type { Plan } from '@huerta/core/drawing';
import type { ReactNode } from 'react';
import { ScaleBar } from './ScaleBar';
import { SectionArt } from './SectionArt';
import { fitView, type View } from './view';

interface PlanDrawingProps {
  drawing: Plan;
  width: number;
  height: number;
  label: string;
  /** What is written on its left: where its front is, when it is turned. */
  left?: string;
  /** What is painted on the soil. */
  onSoil?: (view: View) => ReactNode;
}

const MARGIN = { left: 4, right: 4, top: 4, bottom: 30 };

/** A view from above, as large as it fits, with its scale. */
export function PlanDrawing({ drawing, width, height, label, left, onSoil }: PlanDrawingProps) {
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
        onSoil={onSoil?.(view)}
      />
      {left && (
        <text
          className="dimension-text"
          x={view.x(drawing.bounds.left) - 8}
          y={view.y((drawing.bounds.top + drawing.bounds.bottom) / 2)}
          textAnchor="end"
          dominantBaseline="middle"
        >
          {left}
        </text>
      )}
      <ScaleBar view={view} x={4} y={height - 6} text="beside" within={width} />
    </svg>
  );
}

import type { Plan } from '@huerta/core';
import { SectionArt } from './SectionArt';
import { fitView } from './view';

interface SmallPlanProps {
  drawing: Plan;
  width: number;
  height: number;
  label: string;
}

const MARGIN = { left: 2, right: 2, top: 2, bottom: 2 };

/** What stands on the floor, seen from above. */
export function SmallPlan({ drawing, width, height, label }: SmallPlanProps) {
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
    </svg>
  );
}

import { assemble } from '@huerta/core/assembly';
import { section } from '@huerta/core/drawing';
import type { GardenPlan } from '@huerta/core/planning/plans';
import type { PlanterDesign } from '@huerta/core/document';
import { memo, useMemo } from 'react';
import { SmallSection } from '../../drawing/SmallSection';

/** So many of one kind are drawn; of more the number stands beside. */
const DRAWN = 3;
/** Room over the tallest, pixels. */
const OVER = 6;

interface PlanDrawingProps {
  plan: GardenPlan;
  /** Pixels per metre. */
  scale: number;
}

/** The planters of a plan side by side on the ledge. */
export function PlanDrawing({ plan, scale }: PlanDrawingProps) {
  return (
    <div className="plan-drawing">
      {plan.planters.flatMap(({ design, count }) =>
        Array.from({ length: Math.min(count, DRAWN) }, (_, i) => (
          <One key={`${design.name} ${design.reservoir.top} ${i}`} design={design} scale={scale} />
        )),
      )}
    </div>
  );
}

const One = memo(function One({ design, scale }: { design: PlanterDesign; scale: number }) {
  const drawing = useMemo(() => section(assemble(design)), [design]);
  const { left, right, top, bottom } = drawing.bounds;
  return (
    <SmallSection
      section={drawing}
      width={Math.ceil((right - left) * scale) + 8}
      height={Math.ceil((top - bottom) * scale) + OVER}
      scale={scale}
    />
  );
});

/** How wide and high a plan is when it is drawn, metres. */
export function drawnSize(plan: GardenPlan): { wide: number; high: number } {
  let [wide, high] = [0, 0];
  for (const { design, count } of plan.planters) {
    const { bounds } = section(assemble(design));
    wide += (bounds.right - bounds.left + GAP) * Math.min(count, DRAWN);
    high = Math.max(high, bounds.top - bounds.bottom);
  }
  return { wide, high };
}
/** Between two planters, metres. */
const GAP = 0.06;

import { assemble } from '@huerta/core/assembly';
import { section, type Section } from '@huerta/core/drawing';
import type { GardenPlan } from '@huerta/core/planning/plans';
import type { PlanterDesign } from '@huerta/core/document';
import { memo, useEffect, useState } from 'react';
import { SmallSection } from '../../drawing/SmallSection';
import { vesselSize } from '../../drawing/vesselSize';

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
  const drawing = useSection(design);
  const { wide, high } = vesselSize(design);
  if (!drawing) return <div style={{ width: wide * scale, height: high * scale }} />;
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

const drawn = new WeakMap<PlanterDesign, Section>();
const waiting: (() => void)[] = [];

/** One drawing after the other, with room between them for what else the page has to do. */
function soon(draw: () => void): () => void {
  if (waiting.push(draw) === 1) setTimeout(next, 0);
  return () => {
    const at = waiting.indexOf(draw);
    if (at > 0) waiting.splice(at, 1);
  };
}
function next(): void {
  waiting[0]?.();
  waiting.shift();
  if (waiting.length > 0) setTimeout(next, 0);
}

/** The section of a design, once there was time to draw it. */
function useSection(design: PlanterDesign): Section | undefined {
  const [, setDrawn] = useState<PlanterDesign | null>(null);
  useEffect(() => {
    if (drawn.has(design)) return undefined;
    return soon(() => {
      if (!drawn.has(design)) drawn.set(design, section(assemble(design)));
      setDrawn(design);
    });
  }, [design]);
  return drawn.get(design);
}

/** About how wide and high a plan is when it is drawn, metres. */
export function drawnSize(plan: GardenPlan): { wide: number; high: number } {
  let [wide, high] = [0, 0];
  for (const { design, count } of plan.planters) {
    const one = vesselSize(design);
    wide += one.wide * Math.min(count, DRAWN);
    high = Math.max(high, one.high);
  }
  return { wide, high };
}

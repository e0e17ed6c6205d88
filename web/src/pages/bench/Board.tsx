import { Box, Button } from '@chakra-ui/react';
import { plan, plantingView } from '@huerta/core';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { PlanDrawing } from '../../drawing/PlanDrawing';
import { BenchBehind, useBench } from './bench';
import { PlanStage } from './PlanStage';
import { useSize } from './useSize';

/** Narrower than this there is no room for a plan beside or under the section, pixels. */
const ROOM_FOR_PLAN = 560;
const BESIDE = 164;
const UNDER = 170;

type PlanView = 'floor' | 'plants' | 'none';
const VIEWS: readonly (readonly [PlanView, string])[] = [
  ['floor', 'Floor'],
  ['plants', 'Plants'],
  ['none', 'Hide'],
];

/** The section with the plan beside it, or under it where the planter is long; or the plan alone, to move parts in. */
export function Board({ children }: { children: ReactNode }) {
  const { planter } = useBench();
  const [frame, { width, height }] = useSize();
  const [view, setView] = useState<PlanView>('floor');
  const [moving, setMoving] = useState(false);
  const { vessel, bed, heights } = planter;
  const rim = vessel.outlineAt(vessel.depth);
  const across = Math.max(2 * rim.a, 2 * Math.max(...bed.places.map(({ x }) => Math.abs(x))));
  // A plan that is wider than deep goes under a section that is wider than high.
  const long = rim.a > rim.b * 1.1 && across > heights.rim * 1.15;
  const roomy = width >= ROOM_FOR_PLAN;
  return (
    <div ref={frame} className={long ? 'board is-long' : 'board'}>
      {moving ? <PlanStage /> : children}
      <Button
        className="board-turn"
        variant="outline"
        bg="sheet"
        px="2"
        fontSize="xs"
        onClick={() => setMoving(!moving)}
      >
        {moving ? 'Section' : 'Move parts'}
      </Button>
      {roomy && !moving && (
        <div
          className="board-plan"
          style={long ? { height: view === 'none' ? 'auto' : UNDER } : { width: BESIDE }}
        >
          {view !== 'none' && (
            <BenchBehind>
              <LivePlan view={view} beside={!long} width={width} height={height} />
            </BenchBehind>
          )}
          <ViewChoice view={view} onView={setView} upright={long} />
        </div>
      )}
    </div>
  );
}

interface ViewChoiceProps {
  view: PlanView;
  onView(view: PlanView): void;
  upright: boolean;
}

/** What the plan shows; drawn anew only when that changes, not while a line moves. */
const ViewChoice = memo(function ViewChoice({ view, onView, upright }: ViewChoiceProps) {
  return (
    <Box
      role="radiogroup"
      aria-label="Seen from above"
      display="flex"
      flexDirection={upright ? 'column' : 'row'}
      justifyContent="center"
    >
      {VIEWS.map(([id, label]) => (
        <Button
          key={id}
          role="radio"
          aria-checked={view === id}
          variant="ghost"
          minH="2rem"
          px="1.5"
          fontSize="xs"
          textDecoration={view === id ? 'underline' : 'none'}
          onClick={() => onView(id)}
        >
          {label}
        </Button>
      ))}
    </Box>
  );
});

interface LivePlanProps {
  view: PlanView;
  beside: boolean;
  /** Of the whole board, pixels. */
  width: number;
  height: number;
}

function LivePlan({ view, beside, width, height }: LivePlanProps) {
  const { planter } = useBench();
  const drawing = useMemo(
    () => (view === 'plants' ? plantingView(planter) : plan(planter)),
    [planter, view],
  );
  const { left, right, bottom, top } = drawing.bounds;
  const tall = (BESIDE * (top - bottom)) / (right - left) + 34;
  return (
    <PlanDrawing
      drawing={drawing}
      width={beside ? BESIDE - 4 : Math.max(width - 110, 200)}
      height={beside ? Math.min(tall, Math.max(height - 60, 120)) : UNDER - 12}
      label={
        view === 'plants' ? 'Plants seen from above, to scale' : 'Floor seen from above, to scale'
      }
    />
  );
}

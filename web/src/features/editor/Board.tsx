import { Box, Button } from '@chakra-ui/react';
import { pictureTurned } from '@huerta/core/simulation/moisture';
import { plan, plantingView, planTurned, sectionBounds } from '@huerta/core/drawing';
import { memo, Suspense, useMemo, useState, type ReactNode } from 'react';
import { useWords } from '../../ui/preferences';
import { FieldPaint } from '../../drawing/FieldPaint';
import { PlanDrawing } from '../../drawing/PlanDrawing';
import type { View } from '../../drawing/view';
import { planGoes, planHeight, planWidth } from './arrange';
import { EvaluationBehind, useEditor } from './editorState';
import { onDemand } from '../../ui/onDemand';
import { Enlarged } from './Enlarged';
import { useMoisture, type MoistureShown } from './moisture';
import { PlanStage } from './PlanStage';
import { useSize } from '../../ui/useSize';

const RoundView = onDemand(() => import('./RoundView').then((part) => part.RoundView));

/** Narrower than this there is no room for a plan beside or under the section, pixels. */
const ROOM_FOR_PLAN = 560;

type PlanView = 'floor' | 'plants' | 'none';
const VIEWS: readonly (readonly [PlanView, string])[] = [
  ['floor', 'Floor'],
  ['plants', 'Plants'],
  ['none', 'Hide'],
];

/** The section with the plan where it leaves the section larger; or the plan alone, to move parts in. */
export function Board({ children }: { children: ReactNode }) {
  const { planter } = useEditor();
  const { units } = useWords();
  const [frame, size] = useSize();
  const [view, setView] = useState<PlanView>('floor');
  const [moving, setMoving] = useState(false);
  const [large, setLarge] = useState(false);
  const [round, setRound] = useState(false);
  const { left, right, bottom, top } = sectionBounds(planter);
  const goes = planGoes({ width: right - left, height: top - bottom }, size, units);
  const under = goes === 'under';
  const narrow = size.width < ROOM_FOR_PLAN;
  const withPlan = !narrow && !moving;
  const tools = (
    <div className={moving ? 'board-tools is-over' : 'board-tools'}>
      <Tool onPress={() => setMoving(!moving)}>{moving ? 'Section' : 'Move parts'}</Tool>
      <Tool onPress={() => setLarge(true)}>Enlarge</Tool>
      <Tool onPress={() => setRound(true)}>In the round</Tool>
    </div>
  );
  const stage = moving ? <PlanStage /> : children;
  return (
    <div ref={frame} className={narrow ? 'board is-narrow' : under ? 'board is-under' : 'board'}>
      {!withPlan && tools}
      {large ? <div className="stage" /> : stage}
      {large && (
        <Enlarged title={moving ? 'Seen from above' : 'Section'} onClose={() => setLarge(false)}>
          {stage}
        </Enlarged>
      )}
      {round && (
        <Enlarged title="In the round" whole onClose={() => setRound(false)}>
          <Suspense fallback={null}>
            <RoundView onClose={() => setRound(false)} />
          </Suspense>
        </Enlarged>
      )}
      {withPlan && (
        <div
          className="board-plan"
          style={
            under
              ? { height: view === 'none' ? 'auto' : planHeight(size) }
              : { width: planWidth(size) }
          }
        >
          {view !== 'none' && (
            <EvaluationBehind>
              <LivePlan view={view} beside={!under} {...size} />
            </EvaluationBehind>
          )}
          <div className="board-choice">
            <ViewChoice view={view} onView={setView} />
            {tools}
          </div>
        </div>
      )}
    </div>
  );
}

function Tool({ onPress, children }: { onPress(): void; children: ReactNode }) {
  return (
    <Button variant="outline" bg="sheet" px="1.5" fontSize="xs" onClick={onPress}>
      {children}
    </Button>
  );
}

interface ViewChoiceProps {
  view: PlanView;
  onView(view: PlanView): void;
}

/** What the plan shows; drawn anew only when that changes, not while a line moves. */
const ViewChoice = memo(function ViewChoice({ view, onView }: ViewChoiceProps) {
  return (
    <Box
      role="radiogroup"
      aria-label="Seen from above"
      display="flex"
      flexDirection="column"
      alignItems="flex-start"
    >
      {VIEWS.map(([id, label]) => (
        <Button
          key={id}
          role="radio"
          aria-checked={view === id}
          variant="ghost"
          minH="2rem"
          px="2"
          w="full"
          justifyContent="flex-start"
          fontSize="xs"
          border="1px solid"
          borderColor="ink"
          bg={view === id ? 'ink' : 'sheet'}
          color={view === id ? 'wall' : 'ink'}
          _hover={{ bg: view === id ? 'ink' : 'clayWash' }}
          onClick={() => onView(id)}
        >
          {label}
        </Button>
      ))}
    </Box>
  );
});

/** So much deeper than wide a plan under the section is turned by a quarter. */
const DEEP = 1.2;

interface LivePlanProps {
  view: PlanView;
  beside: boolean;
  /** Of the whole board, pixels. */
  width: number;
  height: number;
}

function LivePlan({ view, beside, width, height }: LivePlanProps) {
  const { planter } = useEditor();
  const shown = useMoisture();
  const plants = view === 'plants' || shown !== null;
  const upright = useMemo(
    () => (plants ? plantingView(planter) : plan(planter)),
    [planter, plants],
  );
  const size = upright.bounds;
  // Under the section there is more room across than down.
  const turn = !beside && size.top - size.bottom > DEEP * (size.right - size.left);
  const drawing = useMemo(() => (turn ? planTurned(upright) : upright), [turn, upright]);
  const { left, right, bottom, top } = drawing.bounds;
  const wide = planWidth({ width, height }) - 4;
  const tall = (wide * (top - bottom)) / (right - left) + 34;
  return (
    <PlanDrawing
      drawing={drawing}
      width={beside ? wide : Math.max(width - 220, 200)}
      height={
        beside ? Math.min(tall, Math.max(height - 230, 120)) : planHeight({ width, height }) - 12
      }
      {...(turn ? { left: 'front' } : {})}
      {...(shown ? { onSoil: (on) => <PlanMoisture shown={shown} turn={turn} view={on} /> } : {})}
      label={`${plants ? 'Plants' : 'Floor'} seen from above, to scale${turn ? ', its front on the left' : ''}`}
    />
  );
}

interface PlanMoistureProps {
  shown: MoistureShown;
  turn: boolean;
  view: View;
}

/** The moisture at a finger's depth, on the plan as it lies. */
function PlanMoisture({ shown, turn, view }: PlanMoistureProps) {
  const { planter } = useEditor();
  const picture = useMemo(
    () => (turn ? pictureTurned(shown.plan) : shown.plan),
    [shown.plan, turn],
  );
  const places = planter.bed.places.map(({ x, y }) =>
    turn ? ([y, -x] as const) : ([x, y] as const),
  );
  return <FieldPaint picture={picture} view={view} places={places} />;
}

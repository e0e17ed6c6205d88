import { Box, Text } from '@chakra-ui/react';
import {
  buildTimeText,
  heldUpAt,
  timeLeft,
  type BuildSheet,
  type Step,
} from '@huerta/core/fabrication';
import type { Planter } from '@huerta/core/assembly';
import { Suspense, useCallback, useLayoutEffect, useState } from 'react';
import { onDemand } from '../../ui/onDemand';
import { usePrinting } from '../../ui/usePrinting';
import { headIdOf, StepCard } from './StepCard';
import type { Marking } from './useProgress';

const StepPicture = onDemand(() => import('./StepPicture').then((part) => part.StepPicture));

interface StepsProps {
  planter: Planter;
  sheet: BuildSheet;
  marking: Marking;
}

/** The steps in their order; the first that is not done stands open. */
export function Steps({ planter, sheet, marking }: StepsProps) {
  const printing = usePrinting();
  const { progress, mark, waiting, trouble, unseen } = marking;
  const { steps } = sheet;
  const [opened, setOpened] = useState<Readonly<Record<string, boolean>>>({});
  const turnTo = useTurning();
  const current = steps.find((step) => !progress.done(step));
  const held = heldUpAt(steps, progress);
  const heldFrom = held ? steps.indexOf(held) : Infinity;
  const done = steps.filter((step) => progress.done(step)).length;
  return (
    <Box>
      <Box className="progress" role="status">
        <Text>
          {done === steps.length
            ? 'All steps are done. Fill it when the dip stick reads low.'
            : `${done} of ${steps.length} steps done; left: about ${buildTimeText(timeLeft(steps, progress))}.`}
        </Text>
        <progress className="not-printed" value={done} max={steps.length} aria-label="Steps done" />
      </Box>
      {unseen && (
        <Text role="status" className="unsent">
          What was ticked elsewhere was never seen on this device. Your own marks are kept and put
          together with it when the server answers.
        </Text>
      )}
      {waiting > 0 && trouble && (
        <Text role="alert" className="unsent">
          {waiting === 1 ? 'One mark is' : `${waiting} marks are`} not on the server yet. {trouble}
        </Text>
      )}
      {held && (
        <Text role="alert" className="held">
          A check of ‘{held.title}’ failed. Put it right before the work goes on.
        </Text>
      )}
      <Box as="ol" className="steps" aria-label="Steps">
        {steps.map((step, i) => {
          const open = opened[step.id] ?? (step === current || step === held);
          return (
            <StepCard
              key={step.id}
              picture={
                (open || printing) && (
                  <Suspense fallback={null}>
                    <StepPicture planter={planter} steps={steps} step={step} />
                  </Suspense>
                )
              }
              step={step}
              number={i + 1}
              sheet={sheet}
              progress={progress}
              open={open}
              heldBy={held && i > heldFrom ? held.title : null}
              onOpen={(open) => setOpened((now) => ({ ...now, [step.id]: open }))}
              before={steps[i - 1] ?? null}
              after={steps[i + 1] ?? null}
              onTurn={(to) => {
                setOpened((now) => ({ ...now, [step.id]: false, [to.id]: true }));
                turnTo(to);
              }}
              onMark={mark}
            />
          );
        })}
      </Box>
    </Box>
  );
}

/** Brings a step to the top of the window once it stands open, and the focus to it. */
function useTurning(): (step: Step) => void {
  const [target, setTarget] = useState<{ id: string } | null>(null);
  useLayoutEffect(() => {
    if (!target) return;
    const head = document.getElementById(headIdOf(target.id));
    head?.scrollIntoView({ block: 'start' });
    head?.focus({ preventScroll: true });
  }, [target]);
  return useCallback(({ id }: Step) => setTarget({ id }), []);
}

import { Box, Text } from '@chakra-ui/react';
import { buildTimeText, heldUpAt, timeLeft, type BuildSheet } from '@huerta/core/fabrication';
import type { Planter } from '@huerta/core/assembly';
import { Suspense, useState } from 'react';
import { onDemand } from '../../ui/onDemand';
import { usePrinting } from '../../ui/usePrinting';
import { StepCard } from './StepCard';
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
              onMark={mark}
            />
          );
        })}
      </Box>
    </Box>
  );
}

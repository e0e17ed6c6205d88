import { Box, Text } from '@chakra-ui/react';
import { buildTimeText, heldUpAt, timeLeft, type BuildSheet } from '@huerta/core/fabrication';
import { useState } from 'react';
import { StepCard } from './StepCard';
import type { Marking } from './useProgress';

/** The steps in their order; the first that is not done stands open. */
export function Steps({ sheet, marking }: { sheet: BuildSheet; marking: Marking }) {
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
        {steps.map((step, i) => (
          <StepCard
            key={step.id}
            step={step}
            number={i + 1}
            sheet={sheet}
            progress={progress}
            open={opened[step.id] ?? (step === current || step === held)}
            heldBy={held && i > heldFrom ? held.title : null}
            onOpen={(open) => setOpened((now) => ({ ...now, [step.id]: open }))}
            onMark={mark}
          />
        ))}
      </Box>
    </Box>
  );
}

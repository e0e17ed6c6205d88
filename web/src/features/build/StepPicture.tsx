import type { Planter } from '@huerta/core/assembly';
import { stepPicture } from '@huerta/core/drawing/round';
import type { Step } from '@huerta/core/fabrication';
import { useMemo } from 'react';
import { RoundArt } from '../../drawing/RoundArt';
import { useNearView } from '../../ui/useNearView';

interface StepPictureProps {
  planter: Planter;
  steps: readonly Step[];
  step: Step;
}

const SIZE = { width: 420, height: 300 };
const RATIO = SIZE.width / SIZE.height;

/** What a step adds, in the round: pale what stands already, in colour what comes, with an arrow that says from where. */
export function StepPicture({ planter, steps, step }: StepPictureProps) {
  const [frame, near] = useNearView<HTMLDivElement>();
  const order = useMemo(() => steps.map(({ id }) => id), [steps]);
  const picture = useMemo(
    () => (near ? stepPicture(planter, order, step.id) : null),
    [near, planter, order, step.id],
  );
  return (
    <div className="step-picture" ref={frame} style={near ? undefined : { aspectRatio: RATIO }}>
      {picture && (
        <RoundArt
          picture={picture}
          {...SIZE}
          label={`Picture of the step: ${step.title.toLowerCase()}`}
        />
      )}
    </div>
  );
}

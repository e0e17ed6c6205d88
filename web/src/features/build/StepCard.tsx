import { Box, Button, Checkbox, Text } from '@chakra-ui/react';
import {
  stepTimeText,
  type BuildSheet,
  type Progress,
  type ProgressEntry,
  type Step,
} from '@huerta/core/fabrication';
import {
  ArrowLeft,
  ArrowRight,
  ChevronDown,
  ChevronUp,
  Clock,
  TriangleAlert,
  Wrench,
} from 'lucide-react';
import { useId, type ReactNode } from 'react';
import { useWords } from '../../ui/preferences';
import { TextField } from '../../ui/TextField';
import { CheckRow } from './CheckRow';
import { MeasureField } from './MeasureField';
import { useSwipe } from './useSwipe';

interface StepCardProps {
  step: Step;
  number: number;
  sheet: BuildSheet;
  /** Its drawing, while it is open. */
  picture: ReactNode;
  progress: Progress;
  open: boolean;
  /** Title of the step whose failed check holds this one up. */
  heldBy: string | null;
  onOpen(open: boolean): void;
  /** The steps before and after it, and what turns to one of them. */
  before: Step | null;
  after: Step | null;
  onTurn(to: Step): void;
  onMark(key: string, value: ProgressEntry['value']): void;
}

interface HeadProps extends Pick<StepCardProps, 'step' | 'number' | 'open' | 'onOpen' | 'onMark'> {
  done: boolean;
  /** Whether it cannot be ticked yet. */
  waits: boolean;
  /** Id of what it opens. */
  body: string;
}

/** Its tick, its name, and how long it takes. */
function Head({ step, number, done, waits, open, body, onOpen, onMark }: HeadProps) {
  return (
    <Box className="step-head">
      <Checkbox.Root
        className="step-tick"
        checked={done}
        disabled={waits}
        onCheckedChange={({ checked }) => onMark(`done/${step.id}`, checked === true)}
      >
        <Checkbox.HiddenInput aria-label={`${step.title}: done`} />
        <Checkbox.Control>
          <Checkbox.Indicator />
        </Checkbox.Control>
      </Checkbox.Root>
      <Box className="step-name">
        <Text as="h2" className="step-title" id={headIdOf(step.id)} tabIndex={-1}>
          {number}. {step.title}
        </Text>
        <Text as="span" className="step-time">
          <Clock size={15} aria-hidden /> {stepTimeText(step)}
        </Text>
      </Box>
      <Button
        className="not-printed"
        variant="ghost"
        px="0"
        aria-expanded={open}
        aria-controls={body}
        aria-label={`${open ? 'Close' : 'Open'} ${step.title}`}
        onClick={() => onOpen(!open)}
      >
        {open ? <ChevronUp size={20} aria-hidden /> : <ChevronDown size={20} aria-hidden />}
      </Button>
    </Box>
  );
}

/** One step: tick, what is done, with what, what to look out for, checks, measures and a note. */
export function StepCard({
  step,
  number,
  sheet,
  picture,
  progress,
  open,
  heldBy,
  onOpen,
  before,
  after,
  onTurn,
  onMark,
}: StepCardProps) {
  const swipe = useSwipe((way) => {
    const to = way === 'on' ? after : before;
    if (to) onTurn(to);
  });
  const { tell } = useWords();
  const done = progress.done(step);
  const failed = step.checks.some(({ id }) => progress.check(step, id) === 'bad');
  const waits = !done && (failed || heldBy !== null);
  const body = useId();
  return (
    <Box as="li" className="step" data-done={done} data-failed={failed}>
      <Head {...{ step, number, done, waits, open, body, onOpen, onMark }} />
      <Box id={body} className="step-body" data-open={open} {...swipe()}>
        {heldBy !== null && (
          <Text color="harm" fontWeight="medium">
            Waits until ‘{heldBy}’ is put right.
          </Text>
        )}
        {step.cautions.length > 0 && (
          <Box as="aside" aria-label={`Cautions: ${step.title}`} className="step-cautions">
            {step.cautions.map((caution) => (
              <Box key={caution.id} display="flex" gap="2">
                <Box as="span" color="strawInk" flexShrink="0" pt="0.5">
                  <TriangleAlert size={16} aria-hidden />
                </Box>
                <Text>{caution.text}</Text>
              </Box>
            ))}
          </Box>
        )}
        <Box className="step-main">
          {picture}
          <Box>
            <Box as="ol" className="step-doing">
              {step.doing.map((words, i) => (
                <li key={i}>{tell(words)}</li>
              ))}
            </Box>
            <Takes step={step} sheet={sheet} />
          </Box>
        </Box>
        {step.checks.map((check) => (
          <CheckRow
            key={check.id}
            check={check}
            state={progress.check(step, check.id)}
            onCheck={(state) => {
              onMark(`check/${step.id}/${check.id}`, state);
              // A step that was ticked is not done while one of its checks fails.
              if (state === 'bad' && done) onMark(`done/${step.id}`, false);
            }}
          />
        ))}
        {step.measures.length > 0 && (
          <Box className="step-measures">
            {step.measures.map((measure) => (
              <MeasureField
                key={measure.id}
                measure={measure}
                built={progress.measured(step, measure.id)}
                onMeasure={(value) => onMark(`measure/${step.id}/${measure.id}`, value)}
              />
            ))}
          </Box>
        )}
        <TextField
          label={`Note: ${step.title.toLowerCase()}`}
          value={progress.note(step)}
          maxLength={2000}
          long
          onCommit={(words) => onMark(`note/${step.id}`, words)}
        />
        <Turns before={before} after={after} onTurn={onTurn} />
      </Box>
    </Box>
  );
}

/** The heading of a step, to bring it into view. */
export const headIdOf = (step: string): string => `step-${step}`;

/** To the step before and after: what a swipe does, for keys and presses. */
function Turns({ before, after, onTurn }: Pick<StepCardProps, 'before' | 'after' | 'onTurn'>) {
  return (
    <Box className="step-turns not-printed">
      {before && (
        <Button variant="ghost" px="2" onClick={() => onTurn(before)}>
          <ArrowLeft size={18} aria-hidden /> Back to: {before.title}
        </Button>
      )}
      {after && (
        <Button variant="ghost" px="2" ms="auto" onClick={() => onTurn(after)}>
          Next: {after.title} <ArrowRight size={18} aria-hidden />
        </Button>
      )}
    </Box>
  );
}

/** Parts, holes and pieces that belong to a step, and its tools. */
function Takes({ step, sheet }: { step: Step; sheet: BuildSheet }) {
  const { tell, write } = useWords();
  const parts = sheet.parts.filter(({ id }) => step.parts.includes(id));
  const holes = sheet.holes.filter(({ id }) => step.holes.includes(id));
  const pieces = sheet.cuts
    .flatMap((stock) => stock.pieces)
    .filter(({ label }) => step.cuts.includes(label));
  return (
    <>
      {step.tools.length > 0 && (
        <Text className="step-tools">
          <Wrench size={15} aria-hidden /> {step.tools.join(', ')}
        </Text>
      )}
      {parts.length > 0 && (
        <Text className="step-takes">
          <strong>Take:</strong>{' '}
          {parts.map(({ what, amount }) => `${what.toLowerCase()} (${tell(amount)})`).join('; ')}.
        </Text>
      )}
      {pieces.length > 0 && (
        <Text className="step-takes">
          <strong>Cut:</strong>{' '}
          {pieces
            .map(
              ({ label, length, count }) =>
                `${count} × ${label.toLowerCase()} ${write(length, 'length')}`,
            )
            .join('; ')}
          .
        </Text>
      )}
      {holes.length > 0 && (
        <Text className="step-takes">
          <strong>Drill:</strong>{' '}
          {holes
            .map(
              ({ part, count, bit, tool }) =>
                `${part.toLowerCase()}: ${count} × ${write(bit, 'length')} (${tool.toLowerCase()})`,
            )
            .join('; ')}
          .
        </Text>
      )}
    </>
  );
}

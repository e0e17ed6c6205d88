import { Box, Button, Text } from '@chakra-ui/react';
import {
  cautiousDays,
  followsPractice,
  practiceOutcome,
  practicesFor,
  type PracticeOutcome,
  type PracticeQuestion,
  type BenchPanel,
  type Practice,
} from '@huerta/core/assessment';
import { q } from '@huerta/core/units';
import { useMemo, useState } from 'react';
import { useWords } from '../../ui/preferences';
import { SeverityMark } from '../../ui/Severity';
import { useEditor } from './editorState';

/** The questions of one room on which practitioners differ, each with what this design says. */
export function Practices({ room }: { room: BenchPanel }) {
  const { planter } = useEditor();
  const questions = useMemo(
    () => practicesFor(planter).filter((question) => question.room === room),
    [planter, room],
  );
  if (questions.length === 0) return null;
  return (
    <Box as="section" aria-label="Where people differ">
      <Text as="h3" fontSize="sm" borderBottom="1px solid" borderColor="ink" pb="1">
        Where people differ
      </Text>
      {questions.map((question) => (
        <Disputed key={question.id} question={question} />
      ))}
    </Box>
  );
}

function Disputed({ question }: { question: PracticeQuestion }) {
  const [open, setOpen] = useState(false);
  return (
    <Box borderBottom="1px solid" borderColor="rule">
      <Button
        variant="ghost"
        w="full"
        px="0"
        justifyContent="space-between"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {question.title}
        <Box as="span" aria-hidden color="clay">
          {open ? '−' : '+'}
        </Box>
      </Button>
      {open && question.schools.map((school) => <Opinion key={school.id} school={school} />)}
    </Box>
  );
}

function Opinion({ school }: { school: Practice }) {
  const { design, change } = useEditor();
  const { tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const outcome = useMemo(() => practiceOutcome(design, school), [design, school]);
  const followed = followsPractice(design, outcome ?? school) || followsPractice(design, school);
  return (
    <Box py="2" ps="3" borderLeft="3px solid" borderColor={followed ? 'clay' : 'rule'} mb="2">
      <Text fontWeight="medium" fontSize="sm">
        {school.name}
      </Text>
      <Text fontSize="sm" lineHeight="1.4">
        {school.says}
      </Text>
      {!outcome?.brings && <Numbers outcome={outcome} />}
      {followed ? (
        <Text fontSize="xs" color="clay" fontWeight="medium">
          This is how yours is.
        </Text>
      ) : (
        outcome &&
        (outcome.brings ? (
          <Text fontSize="sm" mt="1">
            Not on this one: {tell(outcome.brings)}
          </Text>
        ) : (
          <Button
            mt="1"
            onClick={() => {
              const refused = change(outcome.patch);
              setRefusal(refused ? tell(refused) : '');
            }}
          >
            Do it so
          </Button>
        ))
      )}
      {refusal && (
        <Text color="harm" fontSize="sm" role="alert">
          {refusal}
        </Text>
      )}
    </Box>
  );
}

function Numbers({ outcome }: { outcome: PracticeOutcome | null }) {
  const { write, writeTogether } = useWords();
  if (!outcome) {
    return (
      <Text fontSize="sm" color="faint">
        Its measures do not go into this vessel.
      </Text>
    );
  }
  const amount = writeTogether([q(outcome.usable, 'volume'), q(outcome.stranded, 'volume')]);
  return (
    <Box fontSize="sm" mt="1">
      Here: <b>{amount(outcome.usable, 'volume')}</b> to use
      {outcome.stranded > 1e-4 ? ` (${amount(outcome.stranded, 'volume')} stay below)` : ''},{' '}
      <b>{write(cautiousDays(outcome.days), 'days')}</b> until it reads low when hot,{' '}
      {write(outcome.growingDepth, 'span')} for roots, {write(outcome.weight, 'mass')} full.{' '}
      {outcome.roots === null
        ? 'Roots stay in the soil.'
        : `Roots are at the water after ${write(outcome.roots, 'days')}.`}
      {outcome.worst && (
        <Box>
          <SeverityMark severity={outcome.worst} />
        </Box>
      )}
    </Box>
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import type { Severity } from '@huerta/core/assessment';
import { Check } from 'lucide-react';
import { memo, useCallback, useEffect, useRef } from 'react';
import { useWords } from '../../ui/preferences';
import { SeverityMark } from '../../ui/Severity';
import { useEvaluationBehind, useEditor } from './editorState';
import { useFindings } from './moisture';
import { FINDINGS_ID, FINDINGS_TITLE_ID, focusFinding } from './focusFinding';

/** What is wrong, worst first, each with its remedies one click away. */
export function Findings() {
  const { store } = useEditor();
  const { tell } = useWords();
  const findings = useFindings();
  const impossible = store.impossible();
  const shown = useRef(findings);
  useEffect(() => {
    shown.current = findings;
  });
  /** Place in the list of the finding that was mended, until the keys have gone on from there. */
  const mended = useRef<number | null>(null);
  const apply = useCallback(
    (id: string, index: number) => {
      const now = store.assessment().findings;
      const remedy = [...now, ...shown.current].find((one) => one.id === id)?.remedies[index];
      mended.current = shown.current.findIndex((one) => one.id === id);
      if (remedy) store.change(remedy.patch);
    },
    [store],
  );
  // Each remedy is tried on the whole, which takes long: those of a line in the hand come when it rests.
  const atRest = useEvaluationBehind(findings, store.isHeld(), true);
  useEffect(() => {
    // The button that was pressed is gone.
    if (mended.current === null || document.activeElement !== document.body) return;
    focusFinding(mended.current);
    mended.current = null;
  }, [atRest]);
  const remediesOf = (id: string) => atRest.find((one) => one.id === id)?.remedies ?? [];
  const title =
    findings.length + impossible.length === 0
      ? 'Nothing to mend'
      : findings.length + impossible.length === 1
        ? 'One finding'
        : `${findings.length + impossible.length} findings`;
  return (
    <Box as="section" aria-labelledby={FINDINGS_TITLE_ID}>
      <Title text={title} />
      {findings.length + impossible.length === 0 && (
        <Text fontSize="sm">No problems found. Ready to build.</Text>
      )}
      <ul className="findings" id={FINDINGS_ID}>
        {impossible.map(({ path, message }) => (
          <FindingLine
            key={path.join()}
            id={path.join()}
            severity="fault"
            text={`This cannot be built as it is written. ${tell(message)}`}
            remedies=""
            onApply={apply}
          />
        ))}
        {findings.map(({ id, severity, text }) => (
          <FindingLine
            key={id}
            id={id}
            severity={severity}
            text={tell(text)}
            remedies={remediesOf(id)
              .map((remedy) => tell(remedy.label))
              .join(BETWEEN)}
            onApply={apply}
          />
        ))}
      </ul>
    </Box>
  );
}

/** Labels travel as one string, so that a line is drawn anew only when its words change. */
const BETWEEN = '\n';

const Title = memo(function Title({ text }: { text: string }) {
  return (
    <Text as="h2" id={FINDINGS_TITLE_ID} tabIndex={-1} fontSize="lg" mb="2">
      {text}
    </Text>
  );
});

interface FindingLineProps {
  id: string;
  severity: Severity;
  text: string;
  remedies: string;
  onApply(id: string, index: number): void;
}

const FindingLine = memo(function FindingLine({
  id,
  severity,
  text,
  remedies,
  onApply,
}: FindingLineProps) {
  const labels = remedies === '' ? [] : remedies.split(BETWEEN);
  return (
    <li>
      <SeverityMark severity={severity} />
      <p>{text}</p>
      {labels.length > 0 && (
        <div className="finding-remedies">
          {labels.map((label, i) => (
            <RemedyButton
              key={i}
              label={label}
              main={i === 0 && severity !== 'note'}
              id={id}
              index={i}
              onApply={onApply}
            />
          ))}
        </div>
      )}
    </li>
  );
});

interface RemedyButtonProps extends Pick<FindingLineProps, 'id' | 'onApply'> {
  label: string;
  main: boolean;
  index: number;
}

const RemedyButton = memo(function RemedyButton({
  label,
  main,
  id,
  index,
  onApply,
}: RemedyButtonProps) {
  return (
    <Button
      variant={main ? 'solid' : 'outline'}
      whiteSpace="normal"
      py="1"
      onClick={() => onApply(id, index)}
    >
      <Check size={18} aria-hidden style={{ flexShrink: 0 }} />
      {label}
    </Button>
  );
});

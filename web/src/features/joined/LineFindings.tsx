import { Button, Text } from '@chakra-ui/react';
import type { WaterLine } from '@huerta/core/document';
import type { LineShown } from '../../compute/lineTask';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { SeverityMark } from '../../ui/Severity';

interface LineFindingsProps {
  told: LineShown;
  onMend(line: WaterLine): void;
}

/** What is unwise about a line, each with a press that mends it. */
export function LineFindings({ told, onMend }: LineFindingsProps) {
  const { tell } = useWords();
  const { findings, line } = told;
  if (findings.length === 0) return null;
  return (
    <ul className="line-findings" aria-label="Findings">
      {findings.map(({ id, planter, severity, text, remedies }) => (
        <li key={`${id} ${planter}`}>
          <SeverityMark severity={severity} />
          <div>
            <Text>{tell(text)}</Text>
            {remedies.length > 0 && (
              <span className="line-remedies not-printed">
                {remedies.map(({ label, line: mended }) => (
                  <Button
                    key={tell(label)}
                    size="sm"
                    onClick={() => {
                      onMend(mended);
                      notify(`${tell(label)}: done.`, { label: 'Undo', run: () => onMend(line) });
                    }}
                  >
                    {tell(label)}
                  </Button>
                ))}
              </span>
            )}
          </div>
        </li>
      ))}
    </ul>
  );
}

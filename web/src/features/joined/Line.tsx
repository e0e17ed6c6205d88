import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { WaterLine } from '@huerta/core/document';
import { daysToSay } from '@huerta/core/assessment';
import { Printer, Unlink } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { LineShown } from '../../compute/lineTask';
import { useLine } from '../../compute/line';
import { usePriceBook } from '../../data/api/prices';
import { Loading } from '../../ui/Loading';
import { useWords } from '../../ui/preferences';
import { TextField } from '../../ui/TextField';
import { LineDrawing } from './LineDrawing';
import { LineFindings } from './LineFindings';
import { LinePlanters } from './LinePlanters';
import { LineSheet } from './LineSheet';
import { LineWater } from './LineWater';

interface LineProps {
  line: WaterLine;
  others: readonly WaterLine[];
  planters: readonly PlanterResource[];
  /** Those that are joined nowhere. */
  free: readonly PlanterResource[];
  onChange(line: WaterLine): void;
  onRemove(): void;
}

/** One line: its drawing, what it comes to, what is unwise, and what may be changed. */
export function Line({ line, others, planters, free, onChange: onSave, onRemove }: LineProps) {
  const { units } = useWords();
  const prices = usePriceBook();
  // Where the water was moved to, until the garden has it.
  const [moved, setMoved] = useState<number | null>(null);
  if (moved === line.level) setMoved(null);
  const shown = useMemo(() => (moved === null ? line : { ...line, level: moved }), [line, moved]);
  const onChange = (next: WaterLine) => {
    setMoved(null);
    onSave(next);
  };
  const designs = useMemo(() => {
    const ids = new Set(line.members.map(({ planter }) => planter));
    return Object.fromEntries(
      planters.filter(({ id }) => ids.has(id)).map(({ id, design }) => [id, design]),
    );
  }, [line, planters]);
  const asked = useMemo(
    () => ({ line: shown, designs, others, units, book: prices.data?.book ?? null }),
    [shown, designs, others, units, prices.data],
  );
  const { value, trouble } = useLine(asked);
  return (
    <Box as="section" aria-label={line.name} className="line">
      <Box className="line-name">
        <TextField
          label="What you call them"
          value={line.name}
          maxLength={80}
          required="Give them a name."
          hideLabel
          onCommit={(name) => onChange({ ...line, name })}
        />
        <Box className="not-printed line-acts">
          <Button variant="ghost" onClick={() => window.print()}>
            <Printer size={18} aria-hidden /> Print
          </Button>
          <Button variant="ghost" onClick={onRemove}>
            <Unlink size={18} aria-hidden /> Take apart
          </Button>
        </Box>
      </Box>
      {trouble && <Text role="alert">{trouble}</Text>}
      {value ? (
        <>
          <Answer told={value} designs={designs} />
          <LineDrawing
            told={value}
            level={shown.level}
            designs={designs}
            onDrag={setMoved}
            onLevel={(level) => {
              setMoved(level);
              onSave({ ...line, level });
            }}
          />
          <LineFindings told={value} onMend={onChange} />
          <Box className="line-columns">
            <LinePlanters {...{ line, designs, free, onChange }} told={value} />
            <LineWater {...{ line, onChange }} told={value} />
          </Box>
          <LineSheet told={value} />
        </>
      ) : (
        !trouble && <Loading what="heights and litres" />
      )}
    </Box>
  );
}

interface AnswerProps {
  told: LineShown;
  designs: Readonly<Record<string, { name: string }>>;
}

/** How long it lasts, in one sentence, and what comes first. */
function Answer({ told, designs }: AnswerProps) {
  const { write } = useWords();
  const { line, days, planters, holds, takes } = told;
  const { supply } = line;
  const said = (value: number): string => {
    const whole = daysToSay(value);
    return whole === null ? 'less than half a day' : write(whole, 'days');
  };
  const first = days.hot.first === null ? undefined : planters[days.hot.first];
  const name = first && designs[first.id]?.name;
  const runsOut = told.findings.some(({ id }) => id === 'over-lip');
  const lasts = runsOut
    ? 'The water runs out over a lip.'
    : supply.kind === 'mains'
      ? 'The mains keep all of them full.'
      : first === undefined
        ? 'None of them drinks from this water yet.'
        : `All last ${said(days.hot.low)} in hot weather, ${said(days.mild.low)} in mild.`;
  return (
    <Box role="status" className="line-answer">
      <Text className="line-lasts">{lasts}</Text>
      <Text>
        {supply.kind === 'barrel' && first !== undefined && !runsOut && (
          <>
            The barrel’s {write(supply.volume, 'volume')} go in {said(days.hot.barrel)}; then what
            stands in them falls together.{' '}
          </>
        )}
        {name && !runsOut && <>{name} reads low first. </>}
        They hold {write(holds, 'volume')} and drink {write(takes.hot, 'daily')} in hot weather.
      </Text>
    </Box>
  );
}

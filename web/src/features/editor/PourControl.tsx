import { Button } from '@chakra-ui/react';
import type { Pour } from '@huerta/core/assembly';
import { memo, useCallback, useEffect, useRef } from 'react';
import { useWords } from '../../ui/preferences';
import { useEditor } from './editorState';

interface PourControlProps {
  /** Water poured so far, m³. */
  poured: number;
  pour: Pour;
  onPour(volume: number): void;
  /** Fills it exactly, and keeps it full while lines move. */
  onFull(): void;
}

/** One jug: a litre, or a quart; for what holds less than two of them a cup. */
const JUG = {
  metric: { large: [0.001, '1 L'], small: [0.0001, '0.1 L'] },
  us: { large: [0.000946352946, '1 qt'], small: [0.000118294118, '1/2 cup'] },
} as const;
/** The slider goes this far past full, so that the overflow can be seen to run. */
const PAST_FULL = 1.3;

/** Fills the planter litre by litre and says where the water stands. */
export function PourControl({ poured, pour, onPour, onFull }: PourControlProps) {
  const { write, units } = useWords();
  const { planter } = useEditor();
  const { invert, waterRim } = planter.heights;
  const lip = Math.min(invert ?? waterRim, waterRim);
  const most = planter.storage.volumeBelow(lip) * PAST_FULL;
  const [jug, vessel] = JUG[units][most > 2 * JUG[units].large[0] ? 'large' : 'small'];
  const now = useRef({ poured, most, onPour });
  useEffect(() => {
    now.current = { poured, most, onPour };
  });
  const add = useCallback((by: number) => {
    const { poured: from, most: top, onPour: tell } = now.current;
    tell(Math.min(Math.max(from + by, 0), top));
  }, []);
  const empty = useCallback(() => now.current.onPour(0), []);
  return (
    <div className="pour" role="group" aria-label="Pour">
      <PourButton label={`− ${vessel}`} by={-jug} onPress={add} disabled={poured <= 0} />
      <PourButton label={`+ ${vessel}`} by={jug} onPress={add} disabled={poured >= most} />
      <input
        className="pour-slider"
        type="range"
        aria-label="Water poured in"
        aria-valuetext={write(poured, 'volume')}
        min={0}
        max={1000}
        value={most > 0 ? Math.round((poured / most) * 1000) : 0}
        onChange={(event) => onPour((Number(event.target.value) / 1000) * most)}
      />
      <PourButton label="Full" by={0} onPress={onFull} plain />
      <PourButton label="Empty" by={0} onPress={empty} plain />
      <p aria-live="polite">{says(poured, pour, write)}</p>
    </div>
  );
}

interface PourButtonProps {
  label: string;
  by: number;
  onPress(by: number): void;
  disabled?: boolean;
  plain?: boolean;
}

const PourButton = memo(function PourButton({
  label,
  by,
  onPress,
  disabled,
  plain,
}: PourButtonProps) {
  return (
    <Button
      variant={plain ? 'ghost' : 'outline'}
      px="2"
      disabled={disabled ?? false}
      onClick={() => onPress(by)}
    >
      {label}
    </Button>
  );
});

type Write = ReturnType<typeof useWords>['write'];

function says(poured: number, pour: Pour, write: Write): string {
  if (poured <= 0) return 'Empty. Pour to see where the water stands.';
  const stands = `${write(poured, 'volume')} poured: it stands at ${write(pour.level, 'length')}`;
  const flood = pour.floods ? ', in the soil' : '';
  if (pour.over === 'overflow') {
    return `${stands}${flood}, and ${write(pour.lost, 'volume')} ran out of the overflow.`;
  }
  if (pour.over === 'rim')
    return `${stands}${flood}, and ${write(pour.lost, 'volume')} ran over the rim.`;
  return `${stands}${flood}.`;
}

import { moveLevel, type Level } from '@huerta/core/assembly';
import { nudgeStep } from '@huerta/core/units';
import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';
import { useWords } from '../../ui/preferences';
import { useEditor } from './editorState';

/** Labels for a narrow screen. */
const SHORT: Partial<Record<string, string>> = {
  'Overflow lip': 'Overflow',
  'Bottles’ tops': 'Bottles',
  'Top of the base': 'Base',
  'Top of the panel': 'Panel',
  'Crates’ tops': 'Crates',
  'Pots’ tops': 'Pots',
  'Upper vessel’s floor': 'Floor',
  'Pails’ floor': 'Pails',
  'Soil surface': 'Soil',
};

interface GripProps {
  level: Level;
  /** Where the tab is drawn, pixels from the top; its middle. */
  top: number;
  /** Pixels per metre, to turn a drag into a height. */
  scale: number;
  compact: boolean;
  /** Of the tab, pixels. */
  width: number;
}

/** A clay tab in the margin that moves a line: by hand, by arrows, and it is read out as a slider. */
export function Grip({ level, top, scale, compact, width }: GripProps) {
  const { planter, change, store } = useEditor();
  const { write, units } = useWords();
  const step = nudgeStep(units);
  const snap = (height: number) => Math.round(height / step) * step;

  const bind = useDrag(
    ({ first, last, movement: [, dy], memo, event }) => {
      event.stopPropagation();
      const start = (memo as number | undefined) ?? level.height;
      if (first) store.hold();
      const height = snap(start - dy / scale);
      store.slide(moveLevel(planter, level.id, height));
      if (last) store.release();
      return start;
    },
    { pointer: { keys: false }, filterTaps: false },
  );

  const onKeyDown = (event: KeyboardEvent) => {
    const steps: Record<string, number> = {
      ArrowUp: 1,
      ArrowRight: 1,
      ArrowDown: -1,
      ArrowLeft: -1,
      PageUp: 10,
      PageDown: -10,
    };
    const by = steps[event.key];
    const target =
      event.key === 'Home'
        ? level.min
        : event.key === 'End'
          ? level.max
          : by === undefined
            ? null
            : snap(level.height + by * step * (event.shiftKey ? 10 : 1));
    if (target === null) return;
    event.preventDefault();
    change(moveLevel(planter, level.id, target));
  };

  return (
    <div
      {...bind()}
      className={compact ? 'grip is-compact' : 'grip'}
      role="slider"
      tabIndex={0}
      id={`grip-${level.id}`}
      aria-label={level.label}
      aria-orientation="vertical"
      aria-valuemin={Math.round(level.min * 1000)}
      aria-valuemax={Math.round(level.max * 1000)}
      aria-valuenow={Math.round(level.height * 1000)}
      aria-valuetext={write(level.height, 'length')}
      onKeyDown={onKeyDown}
      style={{ top, width }}
    >
      <span>{compact ? (SHORT[level.label] ?? level.label) : level.label}</span>
      <b>{write(level.height, 'length')}</b>
    </div>
  );
}

import { useWords } from '../ui/preferences';
import type { View } from './view';

const BAR_STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1];
const BAR_INCHES = [0.5, 1, 2, 4, 6, 12, 24].map((inches) => inches * 0.0254);
/** A bar is at least this long, pixels. */
const LEAST = 46;

/** Length in metres and pixels of a bar for a view. */
export function barFor(view: View, units: 'metric' | 'us'): { length: number; pixels: number } {
  const steps = units === 'us' ? BAR_INCHES : BAR_STEPS;
  const length = steps.find((step) => step * view.scale >= LEAST) ?? steps[steps.length - 1] ?? 0.1;
  return { length, pixels: length * view.scale };
}

interface ScaleBarProps {
  view: View;
  /** The bar's left end and line, pixels. */
  x: number;
  y: number;
  text?: 'above' | 'beside';
  /** How far its text may reach to the right, pixels. */
  within?: number;
}

/** A letter of the text, at most so wide, pixels. */
const LETTER = 8;
const GAP = 6;

/** A bar of a round length, with that length written on it. */
export function ScaleBar({ view, x, y, text = 'above', within = Infinity }: ScaleBarProps) {
  const { write, units } = useWords();
  const usual = barFor(view, units);
  const steps = units === 'us' ? BAR_INCHES : BAR_STEPS;
  // Where the text has no room beside it, a shorter one.
  const length =
    steps.findLast(
      (step) =>
        step <= usual.length &&
        x + step * view.scale + GAP + write(step, 'length').length * LETTER <= within,
    ) ?? usual.length;
  const pixels = length * view.scale;
  return (
    <g>
      <path
        d={`M${x} ${y - 5}V${y}H${x + pixels}V${y - 5}M${x + pixels / 2} ${y}V${y - 4}`}
        className="dimension"
        style={{ stroke: 'var(--hu-colors-ink)' }}
      />
      {text === 'above' ? (
        <text className="dimension-text" x={x + pixels / 2} y={y - 9} textAnchor="middle">
          {write(length, 'length')}
        </text>
      ) : (
        <text className="dimension-text" x={x + pixels + GAP} y={y + 1}>
          {write(length, 'length')}
        </text>
      )}
    </g>
  );
}

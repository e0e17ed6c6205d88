import { cautiousDays, type TradePoint, type Wish } from '@huerta/core/assessment';
import type { KeyboardEvent, MouseEvent } from 'react';
import { useWords } from '../../../ui/preferences';

interface TradeCurveProps {
  curve: readonly TradePoint[];
  /** Index of where the design stands. */
  at: number;
  wish: Wish;
  proposed: TradePoint | null;
  onPick(point: TradePoint): void;
  onKeyDown(event: KeyboardEvent): void;
}

const WIDTH = 262;
const HEIGHT = 176;
const LEFT = 40;
const BOTTOM = 40;
const TOP = 18;
const RIGHT = 10;

/** Days that it lasts against the depth left for roots; a point on it can be picked. */
export function TradeCurve({ curve, at, wish, proposed, onPick, onKeyDown }: TradeCurveProps) {
  const { write } = useWords();
  const depths = curve.map((point) => point.growingDepth);
  const days = curve.map((point) => point.days);
  const [least, most] = [Math.min(...depths, wish.roots), Math.max(...depths)];
  const highest = Math.max(...days.filter(Number.isFinite), wish.days, 1);
  const x = (depth: number) =>
    LEFT + ((depth - least) / Math.max(most - least, 1e-9)) * (WIDTH - LEFT - RIGHT);
  const y = (value: number) =>
    HEIGHT - BOTTOM - (Math.min(value, highest) / highest) * (HEIGHT - BOTTOM - TOP);
  const path = curve
    .map((p, i) => `${i ? 'L' : 'M'}${x(p.growingDepth).toFixed(1)} ${y(p.days).toFixed(1)}`)
    .join('');
  const here = curve[at];
  const pick = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const px = ((event.clientX - box.left) / box.width) * WIDTH;
    const nearest = curve.reduce<TradePoint | undefined>(
      (best, point) =>
        !best || Math.abs(x(point.growingDepth) - px) < Math.abs(x(best.growingDepth) - px)
          ? point
          : best,
      undefined,
    );
    if (nearest) onPick(nearest);
  };
  if (!here) return null;
  return (
    <svg
      className="trade"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="slider"
      tabIndex={0}
      aria-label="Trade water for root room"
      aria-valuemin={0}
      aria-valuemax={curve.length - 1}
      aria-valuenow={at}
      aria-valuetext={`${write(cautiousDays(here.days), 'days')}, ${write(here.growingDepth, 'span')} of root room, ${write(here.usable, 'volume')} to use`}
      onClick={pick}
      onKeyDown={onKeyDown}
    >
      <path
        className="trade-wish"
        d={`M${x(wish.roots)} ${TOP}V${HEIGHT - BOTTOM}M${LEFT} ${y(wish.days)}H${WIDTH - RIGHT}`}
      />
      <path className="trade-axis" d={`M${LEFT} ${TOP}V${HEIGHT - BOTTOM}H${WIDTH - RIGHT}`} />
      <path className="trade-line" d={path} />
      {proposed && (
        <circle
          className="trade-proposed"
          cx={x(proposed.growingDepth)}
          cy={y(proposed.days)}
          r="7"
        />
      )}
      <circle className="trade-here" cx={x(here.growingDepth)} cy={y(here.days)} r="6" />
      <text className="trade-text" x={LEFT - 5} y={TOP + 8} textAnchor="end">
        {Math.round(highest)}
      </text>
      <text className="trade-text" x={LEFT - 5} y={HEIGHT - BOTTOM + 2} textAnchor="end">
        0
      </text>
      <text className="trade-text" x={LEFT} y={11}>
        hot days
      </text>
      <text className="trade-text" x={LEFT} y={HEIGHT - BOTTOM + 17} textAnchor="middle">
        {write(least, 'span')}
      </text>
      <text className="trade-text" x={WIDTH - RIGHT} y={HEIGHT - BOTTOM + 17} textAnchor="end">
        {write(most, 'span')}
      </text>
      <text className="trade-text" x={(LEFT + WIDTH) / 2} y={HEIGHT - 6} textAnchor="middle">
        root room
      </text>
    </svg>
  );
}

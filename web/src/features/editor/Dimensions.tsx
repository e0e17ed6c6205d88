import type { Dimension } from '@huerta/core/drawing';
import { useWords } from '../../ui/preferences';
import type { View } from '../../drawing/view';
import { spread } from './spread';

interface DimensionsProps {
  dimensions: readonly Dimension[];
  view: View;
  compact: boolean;
  height: number;
}

/** Room between two labels' middles, pixels. */
const LABEL_ROOM = 19;
/** The same where a name stands under its measure, because the screen is narrow. */
const TWO_LINES = 36;

/** Dimension lines outside the wall, with labels that never overlap. */
export function Dimensions({ dimensions, view, compact, height }: DimensionsProps) {
  const { write } = useWords();
  const upright = dimensions.filter((d) => d.side === 'right');
  const across = dimensions.filter((d) => d.side === 'bottom');
  const middles = upright.map((d) => (view.y(d.from[1]) + view.y(d.to[1])) / 2);
  // Clear of the scale bar in the corner.
  const lowest = height - (compact ? 58 : 40);
  const labels = spread(middles, compact ? TWO_LINES : LABEL_ROOM, 12, lowest);
  const lineX = Math.max(...upright.map((d) => view.x(d.from[0])), 0) + (compact ? 10 : 18);
  const textX = lineX + (compact ? 9 : 14);
  return (
    <g>
      {upright.map((d, i) => {
        const y0 = view.y(d.from[1]);
        const y1 = view.y(d.to[1]);
        const middle = middles[i] ?? 0;
        const label = labels[i] ?? middle;
        return (
          <g key={d.id}>
            <path
              className="dimension"
              d={`M${lineX - 8} ${y0}H${lineX + 4}M${lineX - 8} ${y1}H${lineX + 4}M${lineX} ${y0}V${y1}M${lineX} ${middle}L${textX - 3} ${label}`}
            />
            <text className="dimension-text" x={textX} y={label + (compact ? -3 : 5)}>
              {write(d.value, 'length')}{' '}
              <tspan className="dimension-name" {...(compact ? { x: textX, dy: 15 } : {})}>
                {d.label}
              </tspan>
            </text>
          </g>
        );
      })}
      {across.map((d) => {
        const x0 = view.x(d.from[0]);
        const x1 = view.x(d.to[0]);
        const y = view.y(d.from[1]) + (compact ? 20 : 28);
        return (
          <g key={d.id}>
            <path
              className="dimension"
              d={`M${x0} ${y - 6}V${y + 6}M${x1} ${y - 6}V${y + 6}M${x0} ${y}H${x1}`}
            />
            <text className="dimension-text" x={(x0 + x1) / 2} y={y + 18} textAnchor="middle">
              {write(d.value, 'length')} <tspan className="dimension-name">{d.label}</tspan>
            </text>
          </g>
        );
      })}
    </g>
  );
}

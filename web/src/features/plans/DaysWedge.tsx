import { useWords } from '../../ui/preferences';

interface DaysWedgeProps {
  days: { low: number; short: number };
  /** Days to be away; 0 where it is no matter. */
  away: number;
  /** Days that the picture is wide. */
  most: number;
}

const [WIDE, HIGH, FLOOR] = [260, 40, 52];
/** Share of the water that is left where it reads low. */
const LOW = 0.22;

/** The water itself, running out against the day of return. */
export function DaysWedge({ days: { low, short }, away, most }: DaysWedgeProps) {
  const { write } = useWords();
  const x = (day: number): number => (WIDE * Math.min(day, most)) / most;
  const y = (share: number): number => FLOOR - HIGH * share;
  const said = `Reads low after ${write(low, 'days')}, plants go short after ${write(short, 'days')}${
    away > 0 ? `; back after ${write(away, 'days')}` : ''
  }`;
  return (
    <svg className="plan-wedge" viewBox={`0 0 ${WIDE} 58`} role="img" aria-label={said}>
      <path
        className="wedge-water"
        d={`M0 ${y(1)} L${x(low)} ${y(LOW)} L${x(short)} ${y(0)} L0 ${y(0)} Z`}
      />
      <path className="wedge-line" d={`M0 ${y(1)} L${x(low)} ${y(LOW)} L${x(short)} ${y(0)}`} />
      {short < away && (
        <g className="wedge-short">
          <rect x={x(short)} y={y(0.45)} width={x(away) - x(short)} height={HIGH * 0.45} />
          <path d={hatch(x(short), x(away), y(0.45), y(0))} />
        </g>
      )}
      <path className="wedge-floor" d={`M0 ${FLOOR} H${WIDE}`} />
      <g className="wedge-stick" transform={`translate(${x(low)} 0)`}>
        <rect x="-2.5" y={y(0.6)} width="5" height={HIGH * 0.6} />
      </g>
      {away > 0 && <path className="wedge-back" d={`M${x(away)} 4 V${FLOOR + 5}`} />}
    </svg>
  );
}

/** Slanted lines between two ends. */
function hatch(from: number, to: number, top: number, bottom: number): string {
  const lines: string[] = [];
  for (let at = from + 3; at < to; at += 6)
    lines.push(`M${at} ${bottom} L${Math.min(at + (bottom - top) / 2, to)} ${top}`);
  return lines.join('');
}

import { pathsOf, type RoundPicture } from '@huerta/core/drawing/round';
import { useMemo } from 'react';
import { useWords } from '../ui/preferences';
import './round.css';

interface RoundArtProps {
  picture: RoundPicture;
  /** The page that it keeps within, pixels. */
  width: number;
  height: number;
  label: string;
}

/** A planter in the round, as it was drawn in core. */
export function RoundArt({ picture, width, height, label }: RoundArtProps) {
  const { write } = useWords();
  const paths = useMemo(() => pathsOf(picture, { width, height }), [picture, width, height]);
  return (
    <svg
      className="round-art"
      width={paths.width}
      height={paths.height}
      viewBox={`0 0 ${paths.width} ${paths.height}`}
      role="img"
      aria-label={label}
    >
      {paths.fills.map(({ d, ink, standing, tone, cut }, i) => (
        <path
          key={i}
          d={d}
          className={`round-fill is-${ink} is-${standing} ${cut ? 'is-cut' : `tone-${tone}`}`}
        />
      ))}
      {paths.lines.map(({ d, weight, standing }) => (
        <path
          key={`${weight} ${standing}`}
          d={d}
          className={`round-line is-${weight} is-${standing}`}
        />
      ))}
      {paths.arrows.map((d) => (
        <path key={d} className="round-arrow" d={d} />
      ))}
      {paths.measures.map(({ d, x, y, value }) => (
        <g key={value} className="round-measure">
          <path d={d} />
          <text x={x} y={y} dy="0.35em">
            {write(value, 'length')}
          </text>
        </g>
      ))}
    </svg>
  );
}

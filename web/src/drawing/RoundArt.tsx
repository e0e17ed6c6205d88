import { pathsOf, type Lettering, type RoundPicture } from '@huerta/core/drawing/round';
import { useMemo } from 'react';
import { useWords } from '../ui/preferences';
import './round.css';

interface RoundArtProps {
  picture: RoundPicture;
  /** The page that it keeps within, pixels. */
  width: number;
  height: number;
  label: string;
  /** Whether there is room for names beside it, and whether they are shown: not while it is turned. */
  named?: boolean;
  still?: boolean;
}

/** Type of names, pixels: Atkinson Hyperlegible’s letters are so wide on the whole. */
export const LETTERING: Lettering = { size: 15, widthOf: (text) => 0.56 * 15 * text.length };
const LINE = 1.2;

/** A planter in the round, as it was drawn in core. */
export function RoundArt({
  picture,
  width,
  height,
  label,
  named = true,
  still = true,
}: RoundArtProps) {
  const { write, say } = useWords();
  const paths = useMemo(
    () => pathsOf(picture, { width, height, ...(named ? { lettering: LETTERING } : {}) }),
    [picture, width, height, named],
  );
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
      {still &&
        paths.labels.map(({ of, lines, x, y, anchor, d }) => (
          <g key={of} className="round-label">
            <path d={d} />
            <text textAnchor={anchor}>
              {lines.map((line, i) => (
                <tspan
                  key={line}
                  x={x}
                  y={y + LINE * LETTERING.size * (i - (lines.length - 1) / 2)}
                  dy="0.35em"
                >
                  {say(line)}
                </tspan>
              ))}
            </text>
          </g>
        ))}
    </svg>
  );
}

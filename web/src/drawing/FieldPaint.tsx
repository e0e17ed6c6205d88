import type { FieldPicture, Moisture } from '@huerta/core/simulation/moisture';
import type { Point } from '@huerta/core/drawing';
import { memo, useMemo } from 'react';
import { paintField } from './fieldPaint';
import type { View } from './view';

/** The three kinds of moisture in a word each. */
const MOISTURE_WORDS: Readonly<Record<Moisture, string>> = {
  wet: 'wet',
  easy: 'moist',
  dry: 'dry',
};

interface FieldPaintProps {
  picture: FieldPicture;
  view: View;
  /** Middles of the beds that are alike, metres across and up. */
  places: readonly Point[];
  /** Whether words stand where they have room. */
  words?: boolean;
}

/** Moisture painted into a drawing, under what stands in the soil. */
export const FieldPaint = memo(function FieldPaint({
  picture,
  view,
  places,
  words = false,
}: FieldPaintProps) {
  const painting = useMemo(() => paintField(picture), [picture]);
  const { left, right, bottom, top } = picture.bounds;
  const [width, height] = [(right - left) * view.scale, (top - bottom) * view.scale];
  return (
    <g className="in-colour">
      {places.map(([x, y]) => (
        <g key={`${x} ${y}`} transform={`translate(${view.x(x + left)} ${view.y(y + top)})`}>
          <image href={painting.url} width={width} height={height} preserveAspectRatio="none" />
          {words &&
            painting.words.map((word) => (
              <text
                key={word.moisture}
                className="field-word"
                x={word.x * width}
                y={word.y * height}
                textAnchor="middle"
                dominantBaseline="middle"
              >
                {MOISTURE_WORDS[word.moisture]}
              </text>
            ))}
        </g>
      ))}
    </g>
  );
});

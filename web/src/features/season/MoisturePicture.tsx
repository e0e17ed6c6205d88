import { Box, Text } from '@chakra-ui/react';
import type { SeasonRun } from '@huerta/core/simulation/season';
import { memo, useEffect, useRef } from 'react';
import { useWords } from '../../ui/preferences';

interface MoisturePictureProps {
  run: SeasonRun;
  /** Saturated water content. */
  pores: number;
  day: number;
}

/** Rows that the depth is painted in. */
const ROWS = 30;

/** From straw for dry to water for wet, by the share of the pores that is full. */
export function moistureColour(share: number): string {
  const t = Math.min(Math.max((share - 0.15) / 0.8, 0), 1);
  const mix = (a: number, b: number) => Math.round(a + (b - a) * t);
  return `rgb(${mix(232, 28)} ${mix(205, 92)} ${mix(120, 125)})`;
}

/** How moist the soil is by depth, day by day. */
export const MoisturePicture = memo(function MoisturePicture({
  run,
  pores,
  day,
}: MoisturePictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { write } = useWords();
  const count = run.heights.length;
  const days = run.days.length;
  useEffect(() => {
    const paint = canvas.current?.getContext('2d');
    if (!paint) return;
    for (let d = 0; d < days; d += 1) {
      for (let row = 0; row < ROWS; row += 1) {
        const cell = Math.min(Math.floor(((ROWS - 1 - row + 0.5) / ROWS) * count), count - 1);
        paint.fillStyle = moistureColour((run.moisture[d * count + cell] ?? 0) / pores);
        paint.fillRect(d * 4, row * 5, 4, 5);
      }
    }
    paint.fillStyle = '#1e2a22';
    paint.fillRect(day * 4 + 1, 0, 2, ROWS * 5);
  }, [run, pores, day, days, count]);
  const deep = (run.heights[count - 1] ?? 0) - (run.heights[0] ?? 0);
  return (
    <Box mt="5">
      <Text as="h2" fontSize="lg">
        Moisture by depth
      </Text>
      <canvas
        ref={canvas}
        width={days * 4}
        height={ROWS * 5}
        className="moisture"
        role="img"
        aria-label={`Moisture of ${write(deep, 'span')} of soil, surface above, day by day`}
      />
      <Text fontSize="sm" color="faint" className="moisture-key in-colour">
        <span style={{ background: moistureColour(0.15) }} /> dry
        <span style={{ background: moistureColour(0.5) }} /> moist
        <span style={{ background: moistureColour(0.95) }} /> full of water. The surface is above.
      </Text>
    </Box>
  );
});

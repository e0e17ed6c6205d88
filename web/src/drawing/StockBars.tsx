import { Box, Text } from '@chakra-ui/react';
import type { CutPlan } from '@huerta/core/fabrication';
import { useWords } from '../ui/preferences';
import { useSize } from '../ui/useSize';
import './stockBars.css';

/** How wide a bar is drawn until its place has been measured, pixels. */
const WIDE = 600;
/** What a letter of a number takes on a bar, pixels. */
const LETTER = 7.5;

/** The lengths of one stock, drawn as bars with their marks. */
export function StockBars({ name, buy, plan }: { name: string; buy: string; plan: CutPlan }) {
  const { write } = useWords();
  return (
    <Box mb="5" className="cut-plan">
      <Text fontWeight="medium">
        {name}: {buy || 'all from what is at hand'}
      </Text>
      {plan.bought > 0 && (
        <Text fontSize="sm" color="faint">
          {plan.proven
            ? `No plan takes fewer than ${plan.bought}.`
            : `No plan takes fewer than ${plan.bound}; this one takes ${plan.bought}.`}
        </Text>
      )}
      {plan.bars.map((bar, i) => (
        <Bar key={i} bar={bar} number={i + 1} />
      ))}
      {plan.tooLong.map((piece) => (
        <Text key={piece.label} color="harm" fontSize="sm">
          {piece.label} of {write(piece.length, 'length')} is longer than what is on sale: join two,
          or put a longer length into the price book.
        </Text>
      ))}
    </Box>
  );
}

/** One length with its pieces, as wide as its place, and where to saw it. */
function Bar({ bar, number }: { bar: CutPlan['bars'][number]; number: number }) {
  const { write } = useWords();
  const [frame, size] = useSize();
  const wide = size.width || WIDE;
  const long = (metres: number) => write(metres, 'length');
  const name = `${bar.atHand ? 'Offcut at hand' : 'Length'} ${number}`;
  const pieces = inRow(bar.pieces).map(
    ({ label, length, count }) => `${count > 1 ? `${count} × ` : ''}${label} ${long(length)}`,
  );
  const marks = bar.pieces
    .map(({ at, length }) => at + length)
    .filter((mark) => bar.length - mark > 1e-6);
  return (
    <Box mt="2" maxW="46rem">
      <div ref={frame}>
        <svg
          className="bar"
          viewBox={`0 0 ${wide} 44`}
          role="img"
          aria-label={`${name}: ${pieces.join(', ')}; ${long(bar.left)} left`}
        >
          <rect className="bar-whole" x="1" y="4" width={wide - 2} height="22" />
          {bar.pieces.map((piece, k) => {
            const x = 1 + (piece.at / bar.length) * (wide - 2);
            const room = (piece.length / bar.length) * (wide - 2);
            const words = long(piece.length);
            return (
              <g key={k}>
                <rect className="bar-piece" x={x} y="4" width={room} height="22" />
                <text className="bar-text" x={x + room / 2} y="40" textAnchor="middle">
                  {room > words.length * LETTER ? words : ''}
                </text>
              </g>
            );
          })}
        </svg>
      </div>
      <Text fontSize="sm">
        {name}: {pieces.join(', ')}; {long(bar.left)} left.
      </Text>
      {marks.length > 0 && (
        <Text fontSize="sm" color="faint">
          Mark from its end {marks.map(long).join(', ')}; saw just beyond each mark.
        </Text>
      )}
    </Box>
  );
}

/** Pieces that follow one another and are alike, told together. */
function inRow(pieces: CutPlan['bars'][number]['pieces']) {
  const rows: { label: string; length: number; count: number }[] = [];
  for (const { label, length } of pieces) {
    const last = rows.at(-1);
    if (last && last.label === label && Math.abs(last.length - length) < 1e-9) last.count += 1;
    else rows.push({ label, length, count: 1 });
  }
  return rows;
}

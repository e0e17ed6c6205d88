import { Box, Text } from '@chakra-ui/react';
import type { CutPlan } from '@huerta/core';
import { useWords } from '../../app/preferences';

const WIDE = 600;
/** Pieces shorter than this on the screen have no number of their own. */
const ROOM = 44;

/** The lengths of one stock, drawn as bars with their marks. */
export function Bars({ name, buy, plan }: { name: string; buy: string; plan: CutPlan }) {
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
        <svg
          key={i}
          className="bar"
          viewBox={`0 0 ${WIDE} 44`}
          role="img"
          aria-label={`${bar.atHand ? 'Offcut at hand' : 'Length'} ${i + 1}: ${bar.pieces.map((piece) => `${piece.label} ${write(piece.length, 'length')}`).join(', ')}; ${write(bar.left, 'length')} left`}
        >
          <rect className="bar-whole" x="1" y="4" width={WIDE - 2} height="22" />
          {bar.pieces.map((piece, k) => {
            const x = 1 + (piece.at / bar.length) * (WIDE - 2);
            const wide = (piece.length / bar.length) * (WIDE - 2);
            return (
              <g key={k}>
                <rect className="bar-piece" x={x} y="4" width={wide} height="22" />
                <text className="bar-text" x={x + wide / 2} y="40" textAnchor="middle">
                  {wide > ROOM ? write(piece.length, 'length') : ''}
                </text>
              </g>
            );
          })}
        </svg>
      ))}
      <Text fontSize="sm" color="faint">
        {[...new Set(plan.bars.flatMap((bar) => bar.pieces.map(({ label }) => label)))].join(', ')}
      </Text>
      {plan.tooLong.map((piece) => (
        <Text key={piece.label} color="harm" fontSize="sm">
          {piece.label} of {write(piece.length, 'length')} is longer than what is on sale: join two,
          or put a longer length into the price book.
        </Text>
      ))}
    </Box>
  );
}

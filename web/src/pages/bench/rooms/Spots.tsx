import { Box, Button, Text } from '@chakra-ui/react';
import { FIELDS, type Change, type Lot, type SpotDesign } from '@huerta/core';
import { useBench } from '../bench';
import { Measure, Pair } from './parts';

/** Places are chosen to the millimetre. */
const mm = (metres: number): number => Math.round(metres * 1000) / 1000;
const placesOf = (lot: Pick<Lot, 'pieces'> | undefined): SpotDesign[] =>
  (lot?.pieces ?? [])
    .filter(({ foot }) => foot.form !== 'run')
    .map(({ x, y }) => ({ x: mm(x), y: mm(y) }));

interface SpotProps {
  path: Change['path'];
  at: SpotDesign | null;
  lot: Pick<Lot, 'pieces'> | undefined;
}

/** Where one thing stands: left to Huerta, or by numbers of one's own. */
export function Spot({ path, at, lot }: SpotProps) {
  const { change } = useBench();
  const [now] = placesOf(lot);
  if (!at) {
    return (
      <Button
        alignSelf="flex-start"
        disabled={!now}
        onClick={() => now && change([{ path, value: now }])}
      >
        Choose its place myself
      </Button>
    );
  }
  return (
    <>
      <Pair>
        <Measure path={[...path, 'x']} spec={FIELDS.at.x} value={at.x} label="To the right" />
        <Measure path={[...path, 'y']} spec={FIELDS.at.y} value={at.y} label="To the back" />
      </Pair>
      <LetHuerta path={path} />
    </>
  );
}

interface SpotsProps {
  path: Change['path'];
  at: readonly SpotDesign[] | null;
  lot: Pick<Lot, 'pieces'> | undefined;
  /** What one of them is called. */
  name: string;
}

/** Where several things stand. */
export function Spots({ path, at, lot, name }: SpotsProps) {
  const { change } = useBench();
  const now = placesOf(lot);
  if (!at) {
    return (
      <Button
        alignSelf="flex-start"
        disabled={now.length === 0}
        onClick={() => change([{ path, value: now }])}
      >
        Choose their places myself
      </Button>
    );
  }
  return (
    <>
      {at.map((spot, i) => (
        <Box key={i} role="group" aria-label={`Place of ${name} ${i + 1}`}>
          <Text fontSize="sm" color="faint">
            {name} {i + 1}, from the middle
          </Text>
          <Pair>
            <Measure
              path={[...path, i, 'x']}
              spec={FIELDS.at.x}
              value={spot.x}
              label="To the right"
            />
            <Measure
              path={[...path, i, 'y']}
              spec={FIELDS.at.y}
              value={spot.y}
              label="To the back"
            />
          </Pair>
        </Box>
      ))}
      <LetHuerta path={path} />
    </>
  );
}

function LetHuerta({ path }: { path: Change['path'] }) {
  const { change } = useBench();
  return (
    <Button variant="ghost" alignSelf="flex-start" onClick={() => change([{ path, value: null }])}>
      Let Huerta choose the place
    </Button>
  );
}

import { Box, Button, Text } from '@chakra-ui/react';
import {
  CRATE_KINDS,
  FIELDS,
  partName,
  RUNS,
  STANDING,
  VENTS,
  isSolid,
  type Kind,
  type Lot,
  type PartDesign,
} from '@huerta/core';
import { useEffect, useState, type ReactNode } from 'react';
import { Choice, Measure, Pair, Tick } from './parts';

const S = FIELDS.support;

interface PartFieldsProps {
  part: Lot;
  onRemove: (() => void) | null;
}

/** The measures of one part of the base. */
export function PartFields({ part, onRemove }: PartFieldsProps) {
  const { index } = part;
  const design = part.spec as PartDesign;
  const room = useRoom(part);
  const at = (key: string) => ['reservoir', 'parts', index, key];
  const count = (label: string) =>
    'count' in design && (
      <Measure
        path={at('count')}
        spec={'lay' in design ? S.runs : S.count}
        value={design.count}
        label={label}
        help={room === null ? undefined : `Room for ${room}`}
      />
    );
  return (
    <Box role="group" aria-label={partName(part, 2)} display="flex" flexDirection="column" gap="3">
      {onRemove && (
        <Box display="flex" justifyContent="space-between" alignItems="center">
          <Text fontWeight="medium" fontSize="sm">
            {partName(part, 2)}
          </Text>
          <Button variant="ghost" onClick={onRemove}>
            Leave out
          </Button>
        </Box>
      )}
      {fieldsOf(design, at, count)}
      {'vents' in design && !('what' in design && isSolid(design.what)) && (
        <Choice
          label="Water and air get in"
          value={design.vents}
          choices={VENTS}
          path={at('vents')}
        />
      )}
    </Box>
  );
}

/** A search of how many fit waits until the hand rests, milliseconds. */
const RESTS = 350;

/** How many there is room for, or null while that is looked for. */
function useRoom(part: Lot): number | null {
  const [found, setFound] = useState<{ part: Lot; room: number } | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setFound({ part, room: part.room() }), RESTS);
    return () => clearTimeout(timer);
  }, [part]);
  return found?.part === part ? found.room : null;
}

type At = (key: string) => (string | number)[];

interface Fields {
  at: At;
  count(label: string): ReactNode;
  diameter(label: string, value: number): ReactNode;
  wall(value: number): ReactNode;
}

type PartOfKind<K extends PartDesign['kind']> = Extract<PartDesign, { kind: K }>;

/** The fields of each kind of part. A kind without them does not compile. */
const FIELDS_OF: {
  readonly [K in PartDesign['kind'] & Kind]: (design: PartOfKind<K>, fields: Fields) => ReactNode;
} = {
  ring: (design, { at, diameter, wall }) => (
    <>
      <Pair>
        {diameter('Ring, across outside', design.diameter)}
        {wall(design.wall)}
      </Pair>
      <Tick label="It is the vessel’s own cut end" checked={design.cutEnd} path={at('cutEnd')} />
    </>
  ),
  standing: (design, { at, count, diameter }) => (
    <>
      <Choice label="What stands there" value={design.what} choices={STANDING} path={at('what')} />
      <Pair>
        {diameter(`${capital(STANDING[design.what].one)}, across`, design.diameter)}
        {count('How many')}
      </Pair>
    </>
  ),
  lying: (design, { at, count, diameter, wall }) => (
    <>
      <Choice label="Pipe lies" value={design.lay} choices={RUNS} path={at('lay')} />
      <Pair>
        {diameter('Pipe, across outside', design.diameter)}
        {count(design.lay === 'runs' ? 'How many' : 'Turns')}
      </Pair>
      <Pair>
        {wall(design.wall)}
        {design.lay === 'runs' && (
          <Measure path={at('length')} spec={S.runLength} value={design.length} />
        )}
      </Pair>
      <Tick label="Rigid: turns corners by elbows" checked={design.stiff} path={at('stiff')} />
      <Tick label="In a fabric sock" checked={design.sock} path={at('sock')} />
    </>
  ),
  crates: (design, { at, count }) => (
    <>
      <Choice label="What they are" value={design.what} choices={CRATE_KINDS} path={at('what')} />
      <Pair>
        <Measure path={at('length')} spec={S.length} value={design.length} />
        <Measure path={at('width')} spec={S.width} value={design.width} />
      </Pair>
      <Pair>
        <Measure path={at('height')} spec={S.height} value={design.height} />
        {count('How many')}
      </Pair>
      <Tick
        label="Cut down to height, and out round tube and wicks"
        checked={design.cut}
        path={at('cut')}
      />
      <Pair>
        <Measure path={at('voids')} spec={S.voids} value={design.voids} />
      </Pair>
    </>
  ),
  arch: (design, { at, wall }) => (
    <>
      <Pair>
        <Measure path={at('width')} spec={S.archWidth} value={design.width} />
        {wall(design.wall)}
      </Pair>
      <Tick
        label="Cut from the vessel’s own wall: it keeps that curve"
        checked={design.own}
        path={at('own')}
      />
    </>
  ),
  sticks: (design, { at }) => (
    <Pair>
      <Measure path={at('diameter')} spec={S.stick} value={design.diameter} />
      <Measure path={at('spacing')} spec={S.stickSpacing} value={design.spacing} />
    </Pair>
  ),
};

function fieldsOf(design: PartDesign, at: At, count: (label: string) => ReactNode): ReactNode {
  const fields: Fields = {
    at,
    count,
    diameter: (label, value) => (
      <Measure path={at('diameter')} spec={S.diameter} value={value} label={label} />
    ),
    wall: (value) => <Measure path={at('wall')} spec={S.wall} value={value} />,
  };
  const show = FIELDS_OF[design.kind] as (design: PartDesign, fields: Fields) => ReactNode;
  return show(design, fields);
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

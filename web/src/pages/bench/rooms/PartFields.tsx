import { Box, Button, Text } from '@chakra-ui/react';
import {
  CRATE_KINDS,
  FIELDS,
  partName,
  RUNS,
  STANDING,
  VENTS,
  type BasePart,
  type PartDesign,
} from '@huerta/core';
import type { ReactNode } from 'react';
import { Choice, Measure, Pair, Tick } from './parts';

const S = FIELDS.support;

interface PartFieldsProps {
  part: BasePart;
  onRemove: (() => void) | null;
}

/** The measures of one part of the base. */
export function PartFields({ part, onRemove }: PartFieldsProps) {
  const { design, index } = part;
  const at = (key: string) => ['reservoir', 'parts', index, key];
  const count = (label: string) =>
    'count' in design && (
      <Measure
        path={at('count')}
        spec={'lay' in design ? S.runs : S.count}
        value={design.count}
        label={label}
        help={`Room for ${part.room()}`}
      />
    );
  return (
    <Box
      role="group"
      aria-label={partName({ design, placed: 2 })}
      display="flex"
      flexDirection="column"
      gap="3"
    >
      {onRemove && (
        <Box display="flex" justifyContent="space-between" alignItems="center">
          <Text fontWeight="medium" fontSize="sm">
            {partName({ design, placed: 2 })}
          </Text>
          <Button variant="ghost" onClick={onRemove}>
            Leave out
          </Button>
        </Box>
      )}
      {fieldsOf(design, at, count)}
      {'vents' in design && !(design.kind === 'standing' && design.what === 'brick') && (
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

type At = (key: string) => (string | number)[];

function fieldsOf(design: PartDesign, at: At, count: (label: string) => ReactNode): ReactNode {
  const diameter = (label: string, value: number) => (
    <Measure path={at('diameter')} spec={S.diameter} value={value} label={label} />
  );
  const wall = (value: number) => <Measure path={at('wall')} spec={S.wall} value={value} />;
  switch (design.kind) {
    case 'ring':
      return (
        <>
          <Pair>
            {diameter('Ring, across outside', design.diameter)}
            {wall(design.wall)}
          </Pair>
          <Tick
            label="It is the vessel’s own cut end"
            checked={design.cutEnd}
            path={at('cutEnd')}
          />
        </>
      );
    case 'standing':
      return (
        <>
          <Choice
            label="What stands there"
            value={design.what}
            choices={STANDING}
            path={at('what')}
          />
          <Pair>
            {diameter(`${capital(STANDING[design.what].one)}, across`, design.diameter)}
            {count('How many')}
          </Pair>
        </>
      );
    case 'lying':
      return (
        <>
          <Choice label="Pipe lies" value={design.lay} choices={RUNS} path={at('lay')} />
          <Pair>
            {diameter('Pipe, across outside', design.diameter)}
            {count(design.lay === 'runs' ? 'How many' : 'Turns')}
          </Pair>
          {wall(design.wall)}
          <Tick label="In a fabric sock" checked={design.sock} path={at('sock')} />
        </>
      );
    case 'crates':
      return (
        <>
          <Choice
            label="What they are"
            value={design.what}
            choices={CRATE_KINDS}
            path={at('what')}
          />
          <Pair>
            <Measure path={at('length')} spec={S.length} value={design.length} />
            <Measure path={at('width')} spec={S.width} value={design.width} />
          </Pair>
          <Pair>
            {count('How many')}
            <Measure path={at('voids')} spec={S.voids} value={design.voids} />
          </Pair>
        </>
      );
    case 'arch':
      return (
        <Pair>
          <Measure path={at('width')} spec={S.archWidth} value={design.width} />
          {wall(design.wall)}
        </Pair>
      );
    case 'sticks':
      return (
        <Pair>
          <Measure path={at('diameter')} spec={S.stick} value={design.diameter} />
          <Measure path={at('spacing')} spec={S.stickSpacing} value={design.spacing} />
        </Pair>
      );
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

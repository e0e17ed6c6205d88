import { Box, Button, Text } from '@chakra-ui/react';
import { FIELDS, type SupportDesign } from '@huerta/core/document';
import { isSolid, type PartGroup } from '@huerta/core/assembly';
import { partName } from '@huerta/core/assessment';
import { VENTS } from '@huerta/core/catalog';
import { useEffect, useState } from 'react';
import { Choice, Measure } from './parts';
import { fieldsOf } from '../parts/supports';
import { capital } from '../parts/supportFields';

const S = FIELDS.support;

interface PartFieldsProps {
  part: PartGroup;
  onRemove: (() => void) | null;
}

/** The measures of one part of the base. */
export function PartFields({ part, onRemove }: PartFieldsProps) {
  const { index } = part;
  const design = part.spec as SupportDesign;
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
            {capital(partName(part, 2))}
          </Text>
          <Button variant="ghost" onClick={onRemove}>
            Leave out
          </Button>
        </Box>
      )}
      {fieldsOf(design, {
        at,
        count,
        diameter: (label, value) => (
          <Measure path={at('diameter')} spec={S.diameter} value={value} label={label} />
        ),
        wall: (value) => <Measure path={at('wall')} spec={S.wall} value={value} />,
      })}
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
function useRoom(part: PartGroup): number | null {
  const [found, setFound] = useState<{ part: PartGroup; room: number } | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setFound({ part, room: part.capacity() }), RESTS);
    return () => clearTimeout(timer);
  }, [part]);
  return found?.part === part ? found.room : null;
}

import { Box, Button } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { Cautions } from '../../ui/Cautions';
import { useBench } from './bench';
import { Schools } from './Schools';
import { CheckRoom } from './panels/CheckRoom';
import { SoilRoom } from './panels/SoilRoom';
import { TubeRoom } from './panels/TubeRoom';
import { VesselRoom } from './panels/VesselRoom';
import { WaterRoom } from './panels/WaterRoom';
import { WickRoom } from './panels/WickRoom';
import { ROOMS, type RoomId } from './useRoom';

const CONTENT: Record<RoomId, () => ReactNode> = {
  vessel: VesselRoom,
  water: WaterRoom,
  wick: WickRoom,
  tube: TubeRoom,
  soil: SoilRoom,
  check: CheckRoom,
};

interface RoomsProps {
  room: RoomId;
  onRoom(room: RoomId): void;
  /** Side by side for a phone, instead of one under the other. */
  tabs?: boolean;
}

/** The order of the work; one room is open at a time. */
export const Rooms = memo(function Rooms({ room, onRoom, tabs = false }: RoomsProps) {
  const open = (
    <Box px={tabs ? '4' : '4'} pt="2" pb="5">
      <OpenRoom room={room} />
    </Box>
  );
  if (tabs) {
    return (
      <>
        <Box display="flex" overflowX="auto" borderBottom="2px solid" borderColor="ink">
          {ROOMS.map(({ id, title }) => (
            <RoomButton key={id} id={id} title={title} open={id === room} onRoom={onRoom} tab />
          ))}
        </Box>
        {open}
      </>
    );
  }
  return (
    <Box as="ol" listStyleType="none">
      {ROOMS.map(({ id, title }, i) => (
        <Box as="li" key={id} borderBottom="1px solid" borderColor="rule">
          <RoomButton id={id} title={title} number={i + 1} open={id === room} onRoom={onRoom} />
          {id === room && open}
        </Box>
      ))}
    </Box>
  );
});

interface RoomButtonProps {
  id: RoomId;
  title: string;
  number?: number;
  open: boolean;
  onRoom(room: RoomId): void;
  tab?: boolean;
}

function RoomButton({ id, title, number, open, onRoom, tab }: RoomButtonProps) {
  const { assessment } = useBench();
  const open_ = assessment.findings.filter(
    (finding) =>
      finding.room === id && (finding.severity === 'danger' || finding.severity === 'fault'),
  ).length;
  return (
    <Box as="h2" flexShrink="0">
      <Button
        variant="ghost"
        w={tab ? 'auto' : 'full'}
        justifyContent="flex-start"
        flexShrink="0"
        px={tab ? '3' : '4'}
        minH="3rem"
        border="none"
        fontFamily="heading"
        fontSize="md"
        fontWeight="bold"
        bg={open && tab ? 'ink' : 'transparent'}
        color={open && tab ? 'wall' : 'ink'}
        aria-expanded={open}
        onClick={() => onRoom(id)}
      >
        {number !== undefined && (
          <Box as="span" color={open ? 'clay' : 'faint'} minW="1rem">
            {number}
          </Box>
        )}
        {title}
        {open_ > 0 && (
          <Box
            as="span"
            fontFamily="body"
            fontSize="xs"
            fontWeight="medium"
            color={open && tab ? 'wall' : 'harm'}
            ms="auto"
          >
            {open_} to mend
          </Box>
        )}
      </Button>
    </Box>
  );
}

function OpenRoom({ room }: { room: RoomId }) {
  const { design } = useBench();
  const Content = CONTENT[room];
  return (
    <Box display="flex" flexDirection="column" gap="4">
      <Content />
      {room !== 'check' && <Schools room={room} />}
      {room !== 'check' && <Cautions room={room} design={design} />}
    </Box>
  );
}

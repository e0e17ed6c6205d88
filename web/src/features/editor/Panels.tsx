import { Box, Button } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { Cautions } from '../../ui/Cautions';
import { useEditor } from './editorState';
import { Practices } from './Practices';
import { CheckPanel } from './panels/CheckPanel';
import { SoilPanel } from './panels/SoilPanel';
import { TubePanel } from './panels/TubePanel';
import { VesselPanel } from './panels/VesselPanel';
import { WaterPanel } from './panels/WaterPanel';
import { WickPanel } from './panels/WickPanel';
import { PANELS, type PanelId } from './usePanel';

const CONTENT: Record<PanelId, () => ReactNode> = {
  vessel: VesselPanel,
  water: WaterPanel,
  wick: WickPanel,
  tube: TubePanel,
  soil: SoilPanel,
  check: CheckPanel,
};

interface RoomsProps {
  room: PanelId;
  onRoom(room: PanelId): void;
  /** Side by side for a phone, instead of one under the other. */
  tabs?: boolean;
}

/** The order of the work; one room is open at a time. */
export const Panels = memo(function Rooms({ room, onRoom, tabs = false }: RoomsProps) {
  const open = (
    <Box px={tabs ? '4' : '4'} pt="2" pb="5">
      <OpenRoom room={room} />
    </Box>
  );
  if (tabs) {
    return (
      <>
        <Box display="flex" overflowX="auto" borderBottom="2px solid" borderColor="ink">
          {PANELS.map(({ id, title }) => (
            <RoomButton key={id} id={id} title={title} open={id === room} onRoom={onRoom} tab />
          ))}
        </Box>
        {open}
      </>
    );
  }
  return (
    <Box as="ol" listStyleType="none">
      {PANELS.map(({ id, title }, i) => (
        <Box as="li" key={id} borderBottom="1px solid" borderColor="rule">
          <RoomButton id={id} title={title} number={i + 1} open={id === room} onRoom={onRoom} />
          {id === room && open}
        </Box>
      ))}
    </Box>
  );
});

interface RoomButtonProps {
  id: PanelId;
  title: string;
  number?: number;
  open: boolean;
  onRoom(room: PanelId): void;
  tab?: boolean;
}

function RoomButton({ id, title, number, open, onRoom, tab }: RoomButtonProps) {
  const { assessment } = useEditor();
  const open_ = assessment.findings.filter(
    (finding) =>
      finding.panel === id && (finding.severity === 'danger' || finding.severity === 'fault'),
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

function OpenRoom({ room }: { room: PanelId }) {
  const { design } = useEditor();
  const Content = CONTENT[room];
  return (
    <Box display="flex" flexDirection="column" gap="4">
      <Content />
      {room !== 'check' && <Practices room={room} />}
      {room !== 'check' && <Cautions room={room} design={design} />}
    </Box>
  );
}

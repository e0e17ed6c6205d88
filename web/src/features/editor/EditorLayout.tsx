import { Box, Button, HStack, useBreakpointValue, useMediaQuery } from '@chakra-ui/react';
import { pour } from '@huerta/core/assembly';
import { Download, Keyboard, Redo2, Undo2 } from 'lucide-react';
import { memo, useCallback, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { exportPlanter } from '../../ui/exportPlanter';
import { TextField } from '../../ui/TextField';
import { TopBar } from '../../ui/TopBar';
import { BottomNavigation } from '../../ui/Navigation';
import { usePrinting } from '../../ui/usePrinting';
import { useWords } from '../../ui/preferences';
import './editor.css';
import { EvaluationBehind, useEditor, useEditorHistory } from './editorState';
import { ConflictDialog } from './ConflictDialog';
import { Figures, FiguresSaid } from './Figures';
import { Findings } from './Findings';
import { PourControl } from './PourControl';
import { PrintedEditor } from './PrintedEditor';
import { Panels } from './Panels';
import { SaveMark } from './SaveMark';
import { ShortcutsDialog } from './ShortcutsDialog';
import { Board } from './Board';
import { Stage } from './Stage';
import { useEditorKeys } from './useEditorKeys';
import { useMoisture, useMoisturePanel } from './moisture';
import { usePanel } from './usePanel';
import type { Saving } from './useAutosave';
import { useEased } from './useEased';

/** Where the skip link leads. */
const MAIN = { id: 'main', tabIndex: -1, outline: 'none' } as const;

/** A phone held sideways, or a desk at 200 percent: the drawing stands beside the fields. */
const SIDEWAYS = '(min-width: 560px) and (max-width: 1023.98px) and (max-height: 560px)';
/** A desk at 400 percent: fields come first, and the drawing when it is called. */
const TINY = '(max-width: 559.98px) and (max-height: 480px)';

/** Work in order on the left, the section in the middle, what it yields on the right. */
export const EditorLayout = memo(function BenchLayout({ saving }: { saving: Saving }) {
  const wide = useBreakpointValue({ base: false, lg: true }, { ssr: false }) ?? false;
  const [sideways = false, tiny = false] = useMediaQuery([SIDEWAYS, TINY], { ssr: false });
  const Columns = wide
    ? DeskColumns
    : sideways
      ? SidewaysColumns
      : tiny
        ? TinyColumns
        : PhoneColumns;
  const [room, setRoom] = usePanel();
  const [help, setHelp] = useState(false);
  const openHelp = useCallback(() => setHelp(true), []);
  const closeHelp = useCallback(() => setHelp(false), []);
  const printing = usePrinting();
  const rooms = (
    <EvaluationBehind untilRest>
      <Panels room={room} onRoom={setRoom} tabs={!wide} />
    </EvaluationBehind>
  );
  // What stands below the fields where there is no third column.
  const yields = (
    <Box as="aside" aria-label="What it yields" px="3" py="3">
      <Figures compact />
    </Box>
  );
  const findings = (
    <Box as="section" aria-label="Findings" px="4" pt="4" pb={sideways ? '8' : '28'}>
      <EvaluationBehind>
        <Findings />
      </EvaluationBehind>
    </Box>
  );
  return (
    <>
      {printing && <PrintedEditor />}
      <Box
        className="not-printed"
        h={sideways ? '100dvh' : { lg: '100dvh' }}
        display="flex"
        flexDirection="column"
      >
        <BenchKeys setRoom={setRoom} openHelp={openHelp} />
        <EvaluationBehind untilRest>
          <FiguresSaid />
          <BenchBar saving={saving} onHelp={openHelp} />
        </EvaluationBehind>
        <Columns {...{ rooms, yields, findings }} />
        {saving.state.kind === 'conflict' && (
          <ConflictDialog saving={saving} current={saving.state.current} />
        )}
        {help && <ShortcutsDialog onClose={closeHelp} />}
        <BottomNavigation />
      </Box>
    </>
  );
});

/** What stands around the drawing. */
interface ColumnsProps {
  rooms: ReactNode;
  yields: ReactNode;
  findings: ReactNode;
}

/** On a desk: the rooms of the work, the drawing, and what it yields. */
function DeskColumns({ rooms }: ColumnsProps) {
  return (
    <Box
      flex="1"
      minH="0"
      display="grid"
      gridTemplateColumns={{
        base: '18.5rem minmax(0, 1fr) 19.5rem',
        // Findings are two lines long here, and the drawing has half the window.
        xl: '17rem minmax(0, 1fr) 22rem',
        '2xl': '18.5rem minmax(0, 1fr) 24rem',
      }}
    >
      <Box
        as="nav"
        aria-label="Rooms of the work"
        overflowY="auto"
        borderRight="2px solid"
        borderColor="ink"
      >
        {rooms}
      </Box>
      <Box as="main" {...MAIN} display="flex" flexDirection="column" minH="0" ps="2">
        <Work />
      </Box>
      <Box
        as="aside"
        aria-label="What it yields"
        overflowY="auto"
        px="4"
        pt="4"
        pb="8"
        borderLeft="2px solid"
        borderColor="ink"
      >
        <Figures compact={false} />
        <Box mt="5">
          <EvaluationBehind>
            <Findings />
          </EvaluationBehind>
        </Box>
      </Box>
    </Box>
  );
}

/** On a phone held sideways: the drawing beside the fields. */
function SidewaysColumns({ rooms, yields, findings }: ColumnsProps) {
  return (
    <Box className="editor-sideways">
      <Box as="main" {...MAIN} display="flex" flexDirection="column" minH="0">
        <Work />
      </Box>
      <Box overflowY="auto">
        <Box as="nav" aria-label="Rooms of the work">
          {rooms}
        </Box>
        {yields}
        {findings}
      </Box>
    </Box>
  );
}

/** In a very small window: fields, and the drawing when it is called. */
function TinyColumns({ rooms, yields, findings }: ColumnsProps) {
  const [drawn, setDrawn] = useState(false);
  return (
    <>
      <Box as="section" aria-label="The drawing" px="3" py="2">
        <Button w="full" variant="outline" aria-expanded={drawn} onClick={() => setDrawn(!drawn)}>
          {drawn ? 'Hide the drawing' : 'Show the drawing'}
        </Button>
      </Box>
      <Box
        as="main"
        {...MAIN}
        h={drawn ? 'calc(100dvh - 7.5rem)' : '0'}
        minH={drawn ? '9rem' : '0'}
        overflow="hidden"
        display="flex"
        flexDirection="column"
        className="editor-tiny"
      >
        {drawn && <Work />}
      </Box>
      <Box as="nav" aria-label="Rooms of the work">
        {rooms}
      </Box>
      {yields}
      {findings}
    </>
  );
}

/** On an upright phone: the drawing stays in sight above the fields. */
function PhoneColumns({ rooms, yields, findings }: ColumnsProps) {
  return (
    <>
      <Box
        as="main"
        {...MAIN}
        className="editor-upright"
        position="sticky"
        top="0"
        zIndex="sticky"
        bg="wall"
        h="50dvh"
        minH="21rem"
        display="flex"
        flexDirection="column"
        borderBottom="2px solid"
        borderColor="ink"
      >
        <Work />
      </Box>
      {yields}
      <Box as="nav" aria-label="Rooms of the work">
        {rooms}
      </Box>
      {findings}
    </>
  );
}

/** The section with the pour under it. */
function Work() {
  const { design, planter } = useEditor();
  const moisture = useMoisture();
  // Until something is poured, the planter stands full, and stays full while lines move.
  const [poured, setPoured] = useState<number | null>(null);
  const fillUp = useCallback(() => setPoured(null), []);
  const full = Math.min(
    planter.heights.invert ?? planter.heights.ceiling,
    (planter.share ?? planter.design.reservoir.supply)?.level ?? Infinity,
    planter.heights.waterRim,
  );
  const volume = poured ?? planter.storage.volumeBelow(full);
  const result = useMemo(() => pour(planter, volume), [planter, volume]);
  const eased = useEased(result.level, poured !== null);
  return (
    <>
      <title>{`${design.name} · Huerta`}</title>
      <Board>
        <Stage level={moisture?.level ?? (poured === null ? full : eased)} />
      </Board>
      {moisture ? (
        <PaintedFor level={moisture.level} />
      ) : (
        <PourControl poured={volume} pour={result} onPour={setPoured} onFull={fillUp} />
      )}
    </>
  );
}

/** In place of the pour while moisture is painted: the water stands where that was worked out for. */
function PaintedFor({ level }: { level: number }) {
  const { write } = useWords();
  const { setOpen } = useMoisturePanel();
  return (
    <HStack className="pour" flexWrap="wrap" role="group" aria-label="Painted moisture">
      <p>
        Painted for water at {write(level, 'length')}. Change that under ‘Where the water gets to’.
      </p>
      <Button variant="outline" onClick={() => setOpen(false)}>
        Stop painting
      </Button>
    </HStack>
  );
}

function BenchKeys(props: Parameters<typeof useEditorKeys>[0]) {
  useEditorKeys(props);
  return null;
}

interface BenchBarProps {
  saving: Saving;
  onHelp(): void;
}

const BenchBar = memo(function BenchBar({ saving, onHelp }: BenchBarProps) {
  const { store } = useEditor();
  return (
    <TopBar>
      <BenchTitle />
      <SaveMark saving={saving} />
      <HistoryButtons />
      <Button asChild variant="ghost" px="2" hideBelow="lg">
        <Link to="build" relative="path" aria-label="Build it: holes, cuts and parts">
          Build
        </Link>
      </Button>
      <Button asChild variant="ghost" px="2" hideBelow="lg">
        <Link to="log" relative="path" aria-label="The log: what was filled, dipped and seen">
          Log
        </Link>
      </Button>
      <Button asChild variant="ghost" px="2" hideBelow="lg">
        <Link to="season" relative="path" aria-label="The season ahead: water, weather and roots">
          Season
        </Link>
      </Button>
      <Button
        variant="ghost"
        px="2"
        aria-label="Export this planter as a file"
        onClick={() => void exportPlanter(store.getState().design)}
        hideBelow="md"
      >
        <Download size={20} />
      </Button>
      <Button
        variant="ghost"
        px="2"
        aria-label="Keyboard shortcuts"
        onClick={onHelp}
        hideBelow="md"
      >
        <Keyboard size={20} />
      </Button>
    </TopBar>
  );
});

function BenchTitle() {
  const { design, change } = useEditor();
  return (
    <Box as="h1" flex="1" minW="7rem" maxW="26rem" fontFamily="heading">
      <TextField
        label="Name of the planter"
        hideLabel
        value={design.name}
        maxLength={120}
        required="Give it a name, such as what grows in it."
        onCommit={(name) => change([{ path: ['name'], value: name }])}
      />
    </Box>
  );
}

function HistoryButtons() {
  const { canUndo, canRedo, undo, redo } = useEditorHistory();
  return (
    <HStack gap="0">
      <Button variant="ghost" px="2" aria-label="Undo" disabled={!canUndo} onClick={undo}>
        <Undo2 size={20} />
      </Button>
      <Button variant="ghost" px="2" aria-label="Redo" disabled={!canRedo} onClick={redo}>
        <Redo2 size={20} />
      </Button>
    </HStack>
  );
}

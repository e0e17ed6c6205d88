import { Button } from '@chakra-ui/react';
import { nameOf, sizeOf, type Planter } from '@huerta/core/assembly';
import { partAt, roundPicture } from '@huerta/core/drawing/round';
import { useDrag } from '@use-gesture/react';
import { useDeferredValue, useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { LETTERING, RoundArt } from '../../drawing/RoundArt';
import { useWords } from '../../ui/preferences';
import { useSize } from '../../ui/useSize';
import { useEditor } from './editorState';
import { PANEL_OF } from './parts/panelOf';
import { PANELS, usePanel, type PanelId } from './usePanel';

/** Degrees that a press of an arrow key turns it by, with and without Shift; and a pixel of a drag. */
const STEP = 5;
const LEAP = 30;
const A_PIXEL = 0.5;
/** How high the eye may be over the horizon, degrees. */
const LOWEST = 8;
const HIGHEST = 75;
const USUAL = 26;
const HALF_OPEN = 66;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const kept = (height: number): number => Math.min(Math.max(height, LOWEST), HIGHEST);

/** Width from which on there is room for names beside the picture, pixels; and how long it is at rest before they come. */
const NAMED_FROM = 560;
const REST_MS = 350;

interface RoundViewProps {
  /** Goes to the fields behind the drawing. */
  onClose(): void;
}

/** The planter in the round: turned by hand or keys, cut open and taken apart by sliders. */
export function RoundView({ onClose }: RoundViewProps) {
  const { planter } = useEditor();
  const { write } = useWords();
  const [, openPanel] = usePanel();
  const [chosen, setChosen] = useState<string | null>(null);
  const [frame, { width, height }] = useSize();
  const [turn, setTurn] = useState(0);
  const [eye, setEye] = useState(USUAL);
  const [open, setOpen] = useState(HALF_OPEN);
  const [apart, setApart] = useState(0);
  const asked = useDeferredValue(
    useMemo(() => ({ turn, eye, open, apart }), [turn, eye, open, apart]),
  );
  const picture = useMemo(
    () =>
      roundPicture(planter, {
        turn: radians(asked.turn),
        height: radians(asked.eye),
        open: radians(asked.open),
        apart: asked.apart / 100,
      }),
    [planter, asked],
  );
  const named = width >= NAMED_FROM;
  const page = { width, height, ...(named ? { lettering: LETTERING } : {}) };
  // Names come when it is at rest: while it is turned they would jump.
  const [rested, setRested] = useState(asked);
  useEffect(() => {
    const timer = setTimeout(() => setRested(asked), REST_MS);
    return () => clearTimeout(timer);
  }, [asked]);
  const press = (target: Element, [x, y]: [number, number]): void => {
    const drawn = target.closest('svg')?.getBoundingClientRect();
    if (drawn) setChosen(partAt(picture, page, [x - drawn.left, y - drawn.top]));
  };
  const bind = useDrag(
    ({ delta: [dx, dy], tap, xy, event }) => {
      if (tap) {
        press(event.target as Element, xy);
        return;
      }
      setTurn((now) => now - dx * A_PIXEL);
      setEye((now) => kept(now + dy * A_PIXEL));
    },
    { filterTaps: true, pointer: { keys: false } },
  );
  const keys = (event: KeyboardEvent): void => {
    const by = event.shiftKey ? LEAP : STEP;
    if (event.key === 'ArrowLeft') setTurn((now) => now - by);
    else if (event.key === 'ArrowRight') setTurn((now) => now + by);
    else if (event.key === 'ArrowUp') setEye((now) => kept(now + by));
    else if (event.key === 'ArrowDown') setEye((now) => kept(now - by));
    else return;
    event.preventDefault();
  };
  return (
    <div className="round-view">
      <div
        ref={frame}
        className="round-stage"
        tabIndex={0}
        role="group"
        aria-label="Turn it: drag, or use the arrow keys"
        onKeyDown={keys}
        {...bind()}
      >
        {width > 0 && (
          <RoundArt
            picture={picture}
            width={width}
            height={height}
            label="The planter in the round, cut open"
            named={named}
            still={rested === asked}
          />
        )}
      </div>
      <p className="round-chosen" role="status">
        {chosen === null ? 'Press a part to see what it is.' : wordsOf(planter, chosen, write)}
        {chosen !== null && (
          <Button
            variant="ghost"
            px="2"
            onClick={() => {
              openPanel(fieldsOf(planter, chosen));
              onClose();
            }}
          >
            To its fields: {PANELS.find(({ id }) => id === fieldsOf(planter, chosen))?.title}
          </Button>
        )}
      </p>
      <div className="round-sliders">
        <Slider label="Cut open" max={85} value={open} onValue={setOpen} />
        <Slider label="Taken apart" max={100} value={apart} onValue={setApart} />
      </div>
      <details className="round-parts">
        <summary>Its parts, from the floor up</summary>
        <ul>
          {[...planter.partGroups]
            .filter(({ parts }) => parts.length > 0)
            .sort((a, b) => (a.parts[0]?.from ?? 0) - (b.parts[0]?.from ?? 0))
            .map((group) => (
              <li key={group.id}>
                {group.parts.length > 1 ? `${group.parts.length} ` : ''}
                {nameOf(group)}: {write(Math.max(group.parts[0]?.from ?? 0, 0), 'length')} to{' '}
                {write(group.height, 'length')} above the floor
              </li>
            ))}
        </ul>
      </details>
    </div>
  );
}

type Write = ReturnType<typeof useWords>['write'];

const fieldsOf = ({ partGroups }: Planter, id: string): PanelId => {
  const group = partGroups.find((one) => one.id === id);
  return group ? PANEL_OF[group.kind] : 'soil';
};

/** What a part is, and between which heights it stands. */
function wordsOf({ partGroups, heights }: Planter, id: string, write: Write): string {
  const group = partGroups.find((one) => one.id === id);
  const between = (from: number, to: number): string =>
    `from ${write(Math.max(from, 0), 'length')} to ${write(to, 'length')} above the floor.`;
  if (!group)
    return id === 'plants'
      ? 'What grows in it.'
      : `Growing mix, ${between(heights.base, heights.surface)}`;
  const name = nameOf(group);
  const many = group.parts.length > 1 ? `${group.parts.length} ${name}` : name;
  const across = sizeOf(group);
  const { foot } = group.parts[0] ?? {};
  const wide = across && foot && 'r' in foot ? `, ${write(2 * foot.r, 'length')} across` : '';
  return `${many.charAt(0).toUpperCase()}${many.slice(1)}${wide}, ${between(group.parts[0]?.from ?? 0, group.parts[0]?.to ?? group.height)}`;
}

interface SliderProps {
  label: string;
  max: number;
  value: number;
  onValue(value: number): void;
}

function Slider({ label, max, value, onValue }: SliderProps) {
  return (
    <label>
      {label}
      <input
        type="range"
        min={0}
        max={max}
        value={value}
        onChange={(event) => onValue(Number(event.target.value))}
      />
    </label>
  );
}

import { Button, NativeSelect, Text } from '@chakra-ui/react';
import {
  leavePlaces,
  moveBy,
  moveTo,
  placesOf,
  plantPlacesOf,
  type Place,
} from '@huerta/core/assembly';
import { nudgeStep } from '@huerta/core/units';
import { peakOf } from '@huerta/core/physics/crop';
import { plan, plantingView, type Bounds } from '@huerta/core/drawing';
import { useDrag } from '@use-gesture/react';
import { ChevronDown } from 'lucide-react';
import { useMemo, useState, type KeyboardEvent } from 'react';
import { useWords } from '../../ui/preferences';
import { barFor, ScaleBar } from '../../drawing/ScaleBar';
import { SectionArt } from '../../drawing/SectionArt';
import { fitView, type View } from '../../drawing/view';
import { useEditor } from './editorState';
import { usePanel } from './usePanel';
import { useSize } from '../../ui/useSize';

const MARGIN = { left: 26, right: 26, top: 48, bottom: 34 };

/** The floor seen from above, as large as it fits, with what can be moved on it. */
export function PlanStage() {
  const { planter, change } = useEditor();
  const [frame, { width, height }] = useSize();
  const [chosen, setChosen] = useState<string | null>(null);
  const [what, setWhat] = useState<keyof typeof WHAT>(
    usePanel()[0] === 'soil' ? 'plants' : 'floor',
  );
  const { crops } = planter.design.planting;
  const begins = [...new Set(crops.map(({ from }) => from))].sort((a, b) => a - b);
  const [chosenDay, setDay] = useState<number | null>(null);
  const day = chosenDay ?? peakOf(planter.design.planting).day;
  const drawing = useMemo(
    () => (what === 'plants' ? plantingView(planter, day) : plan(planter)),
    [planter, what, day],
  );
  const view = middleView(drawing.bounds, width, height);
  const { units, write } = useWords();
  const places = what === 'plants' ? plantPlacesOf(planter, day) : placesOf(planter);
  const bar = barFor(view, units);
  const place = places.find(({ id }) => id === chosen) ?? null;
  return (
    <div className="plan-stage">
      <div className="plan-what" role="group" aria-label="What is moved">
        {(Object.keys(WHAT) as (keyof typeof WHAT)[]).map((one) => (
          <Button
            key={one}
            variant={one === what ? 'solid' : 'outline'}
            aria-pressed={one === what}
            px="3"
            onClick={() => {
              setWhat(one);
              setChosen(null);
            }}
          >
            {WHAT[one]}
          </Button>
        ))}
        {what === 'plants' && begins.length > 1 && (
          <NativeSelect.Root>
            <NativeSelect.Field
              aria-label="What stands there"
              value={begins.findLast((from) => from <= day) ?? 0}
              onChange={(event) => {
                setDay(Number(event.currentTarget.value));
                setChosen(null);
              }}
            >
              {begins.map((from) => (
                <option key={from} value={from}>
                  {from === 0 ? 'From the start' : `After ${write(from, 'days')}`}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator>
              <ChevronDown size={18} />
            </NativeSelect.Indicator>
          </NativeSelect.Root>
        )}
      </div>
      <div ref={frame} className="stage">
        {width > 0 && height > 0 && (
          <>
            <svg
              width={width}
              height={height}
              viewBox={`0 0 ${width} ${height}`}
              role="img"
              aria-label={`${WHAT[what]} seen from above, to scale`}
              style={{ display: 'block', position: 'absolute', inset: 0 }}
            >
              <SectionArt
                section={{ ...drawing, dimensions: [], water: null }}
                view={view}
                grain={7}
                evenDots
              />
              <ScaleBar view={view} x={width - bar.pixels - 12} y={height - 8} />
            </svg>
            {places.map((one) => (
              <PlaceGrip
                key={one.id}
                place={one}
                view={view}
                chosen={one.id === chosen}
                onChoose={() => setChosen(one.id)}
              />
            ))}
          </>
        )}
      </div>
      <div className="plan-says" aria-live="polite">
        {place ? (
          <PlaceWords place={place} onLeave={() => change(leavePlaces(planter, place.id))} />
        ) : (
          <Text fontSize="sm">
            {places.length > 0
              ? 'Drag anything with a ring, or choose it and use the arrow keys.'
              : 'Nothing here can be moved by hand.'}
          </Text>
        )}
      </div>
    </div>
  );
}

const WHAT = { floor: 'Floor', plants: 'Plants' } as const;

/** As large as it fits, in the middle of the stage. */
function middleView(bounds: Bounds, width: number, height: number): View {
  const { scale } = fitView(bounds, width, height, MARGIN);
  const left = height - MARGIN.top - MARGIN.bottom - (bounds.top - bounds.bottom) * scale;
  const bottom = MARGIN.bottom + Math.max(left, 0) / 2;
  return fitView(bounds, width, height, { ...MARGIN, bottom }, scale);
}

/** What a place is called: with its number where there are several. */
const titleOf = ({ name, number }: Place): string => {
  const title = `${name.charAt(0).toUpperCase()}${name.slice(1)}`;
  return number === null ? title : `${title} ${number}`;
};

/** Where it is, from the middle. */
function whereOf({ x, y }: Place, write: ReturnType<typeof useWords>['write']): string {
  const across = `${write(Math.abs(x), 'length')} ${x < 0 ? 'left' : 'right'}`;
  const deep = `${write(Math.abs(y), 'length')} ${y < 0 ? 'in front' : 'behind'}`;
  const near = 5e-4;
  if (Math.abs(x) < near && Math.abs(y) < near) return 'in the middle';
  if (Math.abs(y) < near) return `${across} of the middle`;
  return Math.abs(x) < near ? `${deep} of the middle` : `${across}, ${deep} of the middle`;
}

function PlaceWords({ place, onLeave }: { place: Place; onLeave(): void }) {
  const { write } = useWords();
  return (
    <>
      <Text fontSize="sm" flex="1">
        <b>{titleOf(place)}:</b> {whereOf(place, write)}
        {place.stands ? '.' : '. It does not fit there.'}
      </Text>
      {place.byHand && (
        <Button variant="ghost" px="2" onClick={onLeave}>
          {place.number === null ? 'Let Huerta choose' : 'Let Huerta choose all'}
        </Button>
      )}
    </>
  );
}

interface PlaceGripProps {
  place: Place;
  view: View;
  chosen: boolean;
  onChoose(): void;
}

/** Least width to take hold of, pixels. */
const LEAST = 44;

/** A ring round a thing in the plan that moves it: by hand or by the arrow keys. */
function PlaceGrip({ place, view, chosen, onChoose }: PlaceGripProps) {
  const { planter, change, store } = useEditor();
  const { write, units } = useWords();
  const step = nudgeStep(units);
  const snap = (metres: number) => Math.round(metres / step) * step;

  const bind = useDrag(
    ({ first, last, movement: [dx, dy], memo, event }) => {
      event.stopPropagation();
      const start = (memo as Place | undefined) ?? place;
      if (first) {
        onChoose();
        store.hold();
      }
      if (dx !== 0 || dy !== 0) {
        const to = {
          x: within(snap(start.x + dx / view.scale)),
          y: within(snap(start.y - dy / view.scale)),
        };
        store.slide(moveTo(planter, start.id, to));
      }
      if (last) store.release();
      return start;
    },
    { pointer: { keys: false }, filterTaps: true },
  );

  const onKeyDown = (event: KeyboardEvent) => {
    const way = WAYS[event.key];
    if (!way) return;
    event.preventDefault();
    const by = step * (event.shiftKey ? 10 : 1);
    change(moveBy(planter, place.id, way[0] * by, way[1] * by));
  };

  const wide = Math.max(2 * place.a * view.scale + 8, 16);
  const deep = Math.max(2 * place.b * view.scale + 8, 16);
  const [width, height] = [Math.max(wide, LEAST), Math.max(deep, LEAST)];
  return (
    <button
      type="button"
      {...bind()}
      className={`place-grip${chosen ? ' is-chosen' : ''}${place.stands ? '' : ' is-lost'}`}
      aria-label={`${titleOf(place)}, ${whereOf(place, write)}${place.stands ? '' : ', does not fit there'}`}
      aria-roledescription={
        place.onWall ? 'moves round the wall by arrow keys' : 'moves by arrow keys'
      }
      aria-pressed={chosen}
      onFocus={onChoose}
      onKeyDown={onKeyDown}
      style={{
        left: view.x(place.x) - width / 2,
        top: view.y(place.y) - height / 2,
        width,
        height,
        // What is small lies over what is large, so that it can be taken hold of.
        zIndex: Math.round(1000 / Math.max(place.a, place.b, 0.01)),
      }}
    >
      <span style={{ width: wide, height: deep, borderRadius: place.box ? 2 : '50%' }} />
    </button>
  );
}

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** As far from the middle as a document can say, metres. */
const FAR = 3;
const within = (metres: number): number => Math.min(Math.max(metres, -FAR), FAR);

import type { PlanterDesign } from '@huerta/core/document';
import { FIELDS } from '@huerta/core/document';
import { useDrag } from '@use-gesture/react';
import { useMemo, type KeyboardEvent } from 'react';
import type { LineShown } from '../../compute/lineTask';
import { SectionArt } from '../../drawing/SectionArt';
import { useWords } from '../../ui/preferences';
import { useSize } from '../../ui/useSize';
import { layoutOf, type LineLayout, type PlaceOnLine } from './lineLayout';

interface LineDrawingProps {
  told: LineShown;
  /** Where its valve is set, which may be newer than what was worked out. */
  level: number;
  designs: Readonly<Record<string, Pick<PlanterDesign, 'name'>>>;
  /** While the water is dragged, metres above the ground. */
  onDrag(level: number): void;
  /** Where it was left. */
  onLevel(level: number): void;
}

/** All planters of a line at one scale on one ground, joined by their hose, with one water through them all. */
export function LineDrawing({ told, level, designs, onDrag, onLevel }: LineDrawingProps) {
  const [frame, { width }] = useSize();
  const layout = useMemo(() => layoutOf(told, width), [told, width]);
  const { write } = useWords();
  return (
    <div ref={frame} className="line-frame">
      {width > 0 && (
        <div className="line-slides">
          <svg
            width={layout.width}
            height={layout.height}
            viewBox={`0 0 ${layout.width} ${layout.height}`}
            role="img"
            aria-label={`${told.planters.length} planters on one ground, joined by a hose; their water stands ${write(told.level, 'length')} above it.`}
          >
            <Hose told={told} layout={layout} />
            <Ground layout={layout} />
            <Supply told={told} layout={layout} />
            {layout.places.map((place) => (
              <Standing key={place.id} {...{ place, layout }} />
            ))}
            <path
              className="line-level"
              d={`M${layout.from} ${layout.y(told.level)}H${layout.to}`}
            />
            {layout.places.map(({ id, middle, words }, i) => (
              <text key={id} className="line-label" x={middle} y={layout.ground + 30}>
                <title>{designs[id]?.name}</title>
                {`${i + 1} ${clipped(designs[id]?.name ?? '', words)}`}
              </text>
            ))}
          </svg>
          {told.line.supply.kind === 'none' ? (
            <span className="line-mark" style={markAt(layout, told.level)}>
              {write(told.level, 'length')}
            </span>
          ) : (
            <LevelTab {...{ level, layout, onDrag, onLevel }} />
          )}
        </div>
      )}
    </div>
  );
}

/** At the end of the water; at its valve where the picture goes on beyond its frame. */
const markAt = (layout: LineLayout, level: number) => ({
  left: layout.width > layout.frame && layout.box ? layout.box.x : layout.to,
  top: layout.y(level),
});

/** A name in no more letters than there is room for. */
const clipped = (name: string, letters: number): string =>
  name.length <= letters ? name : `${name.slice(0, Math.max(letters - 1, 1)).trimEnd()}…`;

function Ground({ layout: { width, ground } }: { layout: LineLayout }) {
  return <path className="line-ground" d={`M0 ${ground}H${width}`} />;
}

function Standing({ place, layout }: { place: PlaceOnLine; layout: LineLayout }) {
  const { section, view, left, right, slab } = place;
  return (
    <g>
      {slab > 1 && (
        <rect
          className="line-slab"
          x={left}
          y={layout.ground - slab}
          width={right - left}
          height={slab}
        />
      )}
      <SectionArt section={section} view={view} grain={6} />
    </g>
  );
}

/** The barrel on its stand and the box with the float valve; only the box and a pipe for the mains. */
function Supply({ told, layout }: { told: LineShown; layout: LineLayout }) {
  const { barrel, box, ground, y } = layout;
  if (!box) return null;
  const level = y(told.level);
  return (
    <g>
      {barrel ? (
        <>
          <rect className="line-slab" {...barrel.stand} />
          <rect className="line-water" {...barrel.water} />
          <rect className="line-wall" {...barrel.body} />
          <path
            className="line-hose"
            d={`M${barrel.body.x + barrel.body.width} ${barrel.outlet}h8V${level - 8}H${box.x + box.width / 2}`}
          />
        </>
      ) : (
        <path
          className="line-hose"
          d={`M0 ${level - 40}H${box.x / 2}V${level - 8}H${box.x + box.width / 2}`}
        />
      )}
      <rect className="line-slab" {...layout.boxStand} />
      <rect
        className="line-water"
        x={box.x}
        y={level}
        width={box.width}
        height={Math.max(box.y + box.height - level, 0)}
      />
      <rect className="line-wall" {...box} />
      <circle className="line-float" cx={box.x + box.width / 2} cy={level} r={5} />
      <path className="line-ground" d={`M${box.x} ${ground}h${box.width}`} />
    </g>
  );
}

/** The hose on the ground, with a rise to each planter. */
function Hose({ told, layout }: { told: LineShown; layout: LineLayout }) {
  const { box, places, ground } = layout;
  const lies = ground + 7;
  const last = places.at(-1);
  const first = places[0];
  if (!first || !last) return null;
  const from = box ? box.x + box.width : first.left - 6;
  const rises = places.map(({ left, port }) => `M${left - 6} ${lies}V${port}h10`).join('');
  const begin = box ? `M${from} ${lies}` : `M${first.left - 6} ${lies}`;
  return (
    <path
      className="line-hose"
      data-wide={told.line.hose}
      d={`${begin}H${last.left - 6}${rises}`}
    />
  );
}

/** Steps of the arrow keys, metres. */
const STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 0.005,
  ArrowDown: -0.005,
  PageUp: 0.02,
  PageDown: -0.02,
};

interface LevelTabProps extends Pick<LineDrawingProps, 'level' | 'onDrag' | 'onLevel'> {
  layout: LineLayout;
}

/** The level of the valve, as a tab that slides up and down at the end of the water. */
function LevelTab({ level, layout, onDrag, onLevel }: LevelTabProps) {
  const { write } = useWords();
  const { min, max } = FIELDS.waterLine.level;
  const near = (metres: number): number =>
    Math.min(Math.max(Math.round(metres * 1000) / 1000, min), max);
  const bind = useDrag(
    ({
      movement: [, dy],
      last,
      memo = level,
    }: {
      movement: [number, number];
      last: boolean;
      memo?: number;
    }) => {
      const to = near(memo - dy / layout.scale);
      if (last) onLevel(to);
      else onDrag(to);
      return memo;
    },
    { pointer: { keys: false }, axis: 'y' },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onLevel(near(level + step));
  };
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      className="line-mark is-tab"
      aria-label="Water stands at, above the ground"
      aria-orientation="vertical"
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={level}
      aria-valuetext={write(level, 'length')}
      style={markAt(layout, level)}
      onKeyDown={onKeyDown}
    >
      {write(level, 'length')}
    </div>
  );
}

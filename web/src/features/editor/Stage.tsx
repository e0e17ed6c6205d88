import { halfAt, levelsOf, type Level } from '@huerta/core/assembly';
import { section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { useWords } from '../../ui/preferences';
import { FieldPaint } from '../../drawing/FieldPaint';
import { SectionArt } from '../../drawing/SectionArt';
import { barFor, ScaleBar } from '../../drawing/ScaleBar';
import { fitView, type View } from '../../drawing/view';
import { edgesFor } from './arrange';
import { useEditor } from './editorState';
import { Dimensions } from './Dimensions';
import { Grip } from './Grip';
import { useMoisture } from './moisture';
import { spread } from './spread';
import { useSize } from '../../ui/useSize';

interface StageProps {
  /** Height at which the water stands, metres. */
  level: number;
}

/** Room between two grips' middles, pixels. */
const GRIP_ROOM = 50;

/** The section, true to scale and always whole, with its grips on the left and measures on the right. */
export function Stage({ level }: StageProps) {
  const { planter } = useEditor();
  const shown = useMoisture();
  const [frame, { width, height }] = useSize();
  const drawing = useMemo(() => section(planter, level), [planter, level]);
  const { units } = useWords();
  const { left, right, bottom, top } = drawing.bounds;
  const { compact, tag, margin } = useMemo(
    () => edgesFor({ width: right - left, height: top - bottom }, { width, height }, units),
    [left, right, bottom, top, width, height, units],
  );
  const view = useMemo(
    () => fitView({ left, right, bottom, top }, width, height, margin),
    [left, right, bottom, top, width, height, margin],
  );
  const levels = levelsOf(planter);
  const tops = spread(
    levels.map((l) => view.y(l.height)),
    GRIP_ROOM,
    24,
    Math.max(height - 26, 24 + GRIP_ROOM * levels.length),
  );
  const bar = barFor(view, units);
  const ready = width > 0 && height > 0;

  return (
    <div ref={frame} className="stage">
      {ready && (
        <svg
          width={width}
          height={height}
          viewBox={`0 0 ${width} ${height}`}
          role="img"
          aria-label="Section through the planter, to scale"
          style={{ display: 'block', position: 'absolute', inset: 0 }}
        >
          <SectionArt
            section={drawing}
            view={view}
            grain={compact ? 6 : 7}
            onSoil={
              shown && (
                <FieldPaint
                  picture={shown.section}
                  view={view}
                  places={planter.bed.places.map(({ x }) => [x, 0] as const)}
                  words
                />
              )
            }
          />
          <path
            className="ground"
            d={`M${view.x(left) - 26} ${view.y(bottom)}H${view.x(right) + (compact ? 4 : 26)}`}
          />
          {drawing.water && <WaterMark water={drawing.water} view={view} compact={compact} />}
          <Dimensions
            dimensions={drawing.dimensions}
            view={view}
            compact={compact}
            height={height}
          />
          {levels.map((l, i) => (
            <Leader key={l.id} level={l} y={tops[i] ?? 0} view={view} left={tag + 10} />
          ))}
          <ScaleBar view={view} x={width - bar.pixels - 12} y={height - 12} />
        </svg>
      )}
      {ready &&
        levels.map((l, i) => (
          <Grip
            key={l.id}
            level={l}
            top={tops[i] ?? 0}
            scale={view.scale}
            compact={compact}
            width={tag}
          />
        ))}
    </div>
  );
}

/** The clay line from a grip to what it moves. */
function Leader({ level, y, view, left }: { level: Level; y: number; view: View; left: number }) {
  const { planter } = useEditor();
  const at = view.y(level.height);
  const beds = level.height >= planter.heights.base ? planter.bed.places : [{ x: 0 }];
  const leftmost = Math.min(...beds.map((place) => place.x));
  const wall = view.x(leftmost - halfAt(planter, level.height) - planter.vessel.wall);
  const bend = Math.max(left, wall - 30);
  const end = level.id === 'overflow' ? wall : wall + 10;
  return <path className="leader" d={`M${left} ${y}L${bend} ${at}H${end}`} />;
}

interface WaterMarkProps {
  water: { level: number; left: number; right: number };
  view: View;
  compact: boolean;
}

/** The surface mark and the level written on the water. */
function WaterMark({ water, view, compact }: WaterMarkProps) {
  const { write } = useWords();
  const y = view.y(water.level);
  const x = view.x(water.left) + (compact ? 16 : 30);
  const roomBelow = view.y(0) - y;
  return (
    <g>
      <path
        className="water-surface"
        d={`M${view.x(water.left)} ${y}H${view.x(water.right)}M${x - 7} ${y - 11}H${x + 7}L${x} ${y - 1}ZM${x - 9} ${y + 4}H${x + 9}M${x - 5} ${y + 8}H${x + 5}`}
      />
      {roomBelow > 34 && (
        <text className="water-level-text" x={x - 8} y={y + 26}>
          {write(water.level, 'length')}
        </text>
      )}
    </g>
  );
}

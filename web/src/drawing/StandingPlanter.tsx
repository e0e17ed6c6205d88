import type { Section } from '@huerta/core/drawing';
import { useId } from 'react';
import type { WaterDrawing } from '../compute/tasks';
import { SectionArt } from './SectionArt';
import { fitView, type View } from './view';
import './standingPlanter.css';

/** Where the water of a planter likely stands, metres: a tenth of what may be lies below `low`, nine tenths below `high`. */
interface WaterBand {
  low: number;
  middle: number;
  high: number;
  /** Whether anything is known of it. */
  known: boolean;
}

/** What a planter wants, as a sign that is seen before it is read. */
type WaterSign = 'fill' | 'dip' | 'look' | null;

interface StandingPlanterProps {
  /** Null until it is drawn: its place is kept. */
  drawing: WaterDrawing | null;
  band: WaterBand;
  sign: WaterSign;
  /** Pixels per metre, the same for all that stand side by side. */
  scale: number;
  /** Width of the section alone, and height with the sign above it, pixels. */
  wide: number;
  height: number;
  glass?: GlassSize;
  /** Whether the marks of the glass are named. */
  named?: boolean;
}

/** The glass beside a section: its height and width, and its distance from the section, pixels. */
const GLASSES = {
  large: { height: 92, width: 20, from: 22 },
  small: { height: 58, width: 14, from: 14 },
} as const;
export type GlassSize = keyof typeof GLASSES;
const OVER_LIP = 8;
/** The least that a standing planter is high, pixels. */
export const glassHeight = (size: GlassSize): number => GLASSES[size].height + OVER_LIP + 2;
/** Room for the names of its marks, pixels. */
const NAMES = 34;
/** Room that a sign takes above a planter, pixels. */
export const SIGN = 44;
/** What stands beside a section, pixels. */
export const besideWidth = (size: GlassSize): number =>
  GLASSES[size].from + GLASSES[size].width + 10;

/**
 * A planter on the ledge: its section with the water where it likely stands, and beside it a glass that shows the same
 * water from the floor to the lip at a height that is seen from afar.
 */
export function StandingPlanter({
  drawing,
  band,
  sign,
  scale,
  wide,
  height,
  glass = 'large',
  named = false,
}: StandingPlanterProps) {
  const width = wide + besideWidth(glass) + (named ? NAMES : 0);
  return (
    <svg
      className="standing is-small"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
    >
      {drawing && (
        <Drawn
          {...{ drawing, band, sign, named, glass }}
          view={fitView(
            drawing.section.bounds,
            wide,
            height,
            { left: 1, right: 1, top: 0, bottom: 1 },
            scale,
          )}
          at={wide + GLASSES[glass].from}
          floor={height - 1}
        />
      )}
    </svg>
  );
}

interface DrawnProps {
  drawing: WaterDrawing;
  band: WaterBand;
  sign: WaterSign;
  glass: GlassSize;
  named: boolean;
  view: View;
  /** Left edge of the glass, and the ledge, pixels. */
  at: number;
  floor: number;
}

function Drawn({ drawing, band, sign, glass, named, view, at, floor }: DrawnProps) {
  const { section, brim } = drawing;
  const top = floor - GLASSES[glass].height;
  const edge = view.x(section.bounds.right);
  const lead = (level: number, y: number) =>
    `M${edge + 2} ${view.y(level).toFixed(1)}L${at - 2} ${y}`;
  return (
    <>
      <SectionArt section={section} view={view} grain={6} />
      <path className="standing-lead" d={lead(brim, top) + lead(0, floor)} />
      <Glass {...{ drawing, band, at, floor, glass, named }} />
      {sign && <Sign sign={sign} {...tubeTop(section, view)} />}
    </>
  );
}

/** The water from the floor to the lip. */
function Glass({
  drawing: { brim, low },
  band,
  at,
  floor,
  glass,
  named,
}: Pick<DrawnProps, 'drawing' | 'band' | 'at' | 'floor' | 'glass' | 'named'>) {
  const id = useId();
  const { height, width } = GLASSES[glass];
  const y = (level: number) =>
    floor - height * Math.min(Math.max(level / Math.max(brim, 1e-6), 0), 1);
  const right = at + width;
  const [sure, may] = band.known ? [y(band.low), y(band.high)] : [floor, y(brim)];
  const stands = y(band.middle);
  return (
    <g className="glass">
      <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" className="glass-air" />
        <rect width="6" height="3" className="glass-water" />
      </pattern>
      <rect
        className="glass-air"
        x={at}
        y={y(brim) - OVER_LIP}
        width={width}
        height={height + OVER_LIP}
      />
      <rect className="glass-water" x={at} y={sure} width={width} height={floor - sure} />
      <rect x={at} y={may} width={width} height={sure - may} fill={`url(#${id})`} />
      <path
        className="glass-wall"
        d={`M${at} ${y(brim) - OVER_LIP}V${floor}H${right}V${y(brim) - OVER_LIP}`}
      />
      {band.known && (
        <path
          className="glass-level"
          d={`M${at} ${stands}H${right}M${at + width / 2 - 4} ${stands - 7}h8l-4 6z`}
        />
      )}
      <path className="glass-low" d={`M${at - 3} ${y(low)}H${right + 3}`} />
      <path className="glass-lip" d={`M${at - 4} ${y(brim)}H${right + 4}`} />
      {named && (
        <>
          <text x={right + 7} y={y(brim) + 5}>
            lip
          </text>
          <text x={right + 7} y={Math.min(y(low) + 5, floor - 5)}>
            low
          </text>
        </>
      )}
    </g>
  );
}

/** Where one pours and dips: the top of the tube, or the middle above the rim where there is none. Pixels. */
function tubeTop({ shapes, bounds }: Section, view: View): { x: number; y: number } {
  const points = shapes.flatMap((shape) => (shape.ink === 'tube' ? shape.points : []));
  if (points.length === 0)
    return { x: view.x((bounds.left + bounds.right) / 2), y: view.y(bounds.top) };
  const top = Math.max(...points.map(([, z]) => z));
  const there = points.filter(([, z]) => z > top - 1e-3).map(([x]) => x);
  return {
    x: view.x((Math.min(...there) + Math.max(...there)) / 2),
    y: view.y(top),
  };
}

/** The sign of what a planter wants, standing over a point. */
function Sign({ sign, x, y }: { sign: Exclude<WaterSign, null>; x: number; y: number }) {
  if (sign === 'dip')
    return (
      <g className="sign-dip" transform={`translate(${x} ${y})`}>
        <path d="M-2.5 6V-30H2.5V6Z" />
        <path className="sign-marks" d="M-2.5 -4H0.5M-2.5 -11H0.5M-2.5 -18H0.5" />
        <circle cy="-33" r="5" />
      </g>
    );
  if (sign === 'look')
    return (
      <g className="sign-look" transform={`translate(${x} ${y - 22})`}>
        <circle r="13" />
        <text y="7" textAnchor="middle">
          ?
        </text>
      </g>
    );
  // From the left over and down into the tube.
  return (
    <path
      className="sign-fill"
      transform={`translate(${x} ${y})`}
      d="M-27 -24C-24 -42 -2 -44 3 -20H9L-2 -4L-13 -20H-6C-9 -30 -18 -31 -20 -22Z"
    />
  );
}

import { assemble } from '@huerta/core/assembly';
import { STARTING_POINTS } from '@huerta/core/document';
import { section, type Point, type Section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { SectionArt } from '../../drawing/SectionArt';
import { fitView } from '../../drawing/view';
import { useSize } from '../../ui/useSize';

/** What the drawing explains in its own words: the part, and what it does. */
interface Label {
  name: string;
  does: string;
  side: 'left' | 'right';
  at: Point;
}

/** Widest picture, its share of height, and the width below which only the names stand, pixels. */
const WIDEST = 800;
const TALL = 0.84;
const NARROW = 560;
/** Room for words beside the drawing, and their distance from each other, pixels. */
const WORDS = 150;
const NAMES = 74;
const APART = 58;

/** A planter that waters itself, large, with five words. */
export function FirstSection() {
  const [frame, { width: laidOut }] = useSize();
  const width = Math.min(laidOut || WIDEST, WIDEST);
  const narrow = width < NARROW;
  const height = Math.round(width * (narrow ? 1.02 : TALL));
  const { drawing, labels } = useMemo(() => explained(), []);
  const words = narrow ? NAMES : WORDS;
  const margin = { left: words, right: words, top: 8, bottom: 4 };
  const view = fitView(drawing.bounds, width, height, margin);
  return (
    <div ref={frame} className={narrow ? 'first-section is-narrow' : 'first-section'}>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label="A pail cut open: soil above, a wick down into the water, air between them, and a lip that lets rain out"
      >
        <SectionArt section={drawing} view={view} grain={7} />
        <path className="first-floor" d={`M0 ${height - 3}H${width}`} />
        {(['left', 'right'] as const).flatMap((side) =>
          spread(
            labels.filter((label) => label.side === side),
            (label) => view.y(label.at[1]),
            height,
          ).map(({ label, y }) => {
            const [x, z] = [view.x(label.at[0]), view.y(label.at[1])];
            const edge = side === 'left' ? words - 12 : width - words + 12;
            return (
              <g key={label.name} className="first-label">
                <path d={`M${edge} ${y}L${x} ${z}`} />
                <circle cx={x} cy={z} r="4.5" />
                <text
                  className="first-name"
                  x={side === 'left' ? edge - 6 : edge + 6}
                  y={y + 6}
                  textAnchor={side === 'left' ? 'end' : 'start'}
                >
                  {label.name}
                </text>
                {!narrow && (
                  <text
                    x={side === 'left' ? edge - 6 : edge + 6}
                    y={y + 26}
                    textAnchor={side === 'left' ? 'end' : 'start'}
                  >
                    {label.does}
                  </text>
                )}
              </g>
            );
          }),
        )}
      </svg>
    </div>
  );
}

/** The first starting point, cut open, and where its five words belong. */
function explained(): { drawing: Section; labels: Label[] } {
  const [first] = STARTING_POINTS;
  if (!first) throw new Error('There is no starting point');
  const planter = assemble(first.design);
  const drawing = section(planter);
  const { brim, base, rim } = planter.heights;
  const wall = planter.vessel.halfAt(brim);
  const wick = drawing.shapes.find(({ ink }) => ink === 'cloth');
  const foot = wick?.points.find(([x, z]) => x > 0 && z < 0.7 * brim && z > 0.2 * brim);
  const lip = drawing.shapes.find(({ id }) => id === 'overflow')?.points ?? [];
  const outlet = lip.length > 0 ? Math.sign(lip.reduce((sum, [x]) => sum + x, 0)) : -1;
  const labels: Label[] = [
    { name: 'soil', does: 'drinks from below', side: 'left', at: [-0.5 * wall, (base + rim) / 2] },
    { name: 'air', does: 'for the roots', side: 'left', at: [-0.75 * wall, (brim + base) / 2] },
    {
      name: 'lip',
      does: 'lets rain out',
      side: outlet < 0 ? 'left' : 'right',
      at: [outlet * wall, brim],
    },
    { name: 'wick', does: 'lifts the water', side: 'right', at: [foot?.[0] ?? 0.02, 0.72 * brim] },
    { name: 'water', does: 'waits in the dark', side: 'right', at: [0.3 * wall, 0.3 * brim] },
  ];
  return { drawing, labels };
}

/** Heights of words on one side, near what they name and apart from each other. Pixels, from above. */
function spread(
  labels: readonly Label[],
  heightOf: (label: Label) => number,
  height: number,
): { label: Label; y: number }[] {
  const sorted = [...labels].sort((a, b) => heightOf(a) - heightOf(b));
  const ys = sorted.map(heightOf);
  // From below upwards: the floor is fixed, and there is air above.
  for (let i = ys.length - 1; i >= 0; i -= 1) {
    const most = i === ys.length - 1 ? height - 40 : (ys[i + 1] as number) - APART;
    ys[i] = Math.min(ys[i] as number, most);
  }
  return sorted.map((label, i) => ({ label, y: ys[i] as number }));
}

import {
  boreOf,
  depthOf,
  lipBelowMark,
  lipHeight,
  type OverflowDesign,
  type PlanterDesign,
} from '../../document';
import { q, say } from '../../units';
import type { Outline, Vessel } from '../../geometry/vessels';
import { found, type Contradiction } from '../contradiction';
import { HAND } from '../openings';
import { intoVessel, joinedToVessel, throughLiner, throughVessel } from '../joining';
import {
  partGroup,
  singleRequest,
  type RequestedPart,
  type PartDefinition,
  type PartGroup,
  type PlacementSite,
} from '../part';

/** Where the water goes out, and where it comes in by itself. */

type Opening = Exclude<OverflowDesign, { kind: 'rim' }>;
type OpeningKind = Opening['kind'];

const asksFor =
  <K extends OverflowDesign['kind']>(kind: K) =>
  ({ overflow }: PlanterDesign): RequestedPart<K>[] =>
    singleRequest<K>((overflow?.kind === kind ? overflow : null) as never);

/** Places round the wall, from the overflow's bearing; 0 is the left of the section. Metres. */
function around(spec: Opening, { vessel }: PlacementSite) {
  const rows = spec.kind === 'rows' ? spec.rows : 1;
  const outline = vessel.outlineAt(Math.min(spec.centre, vessel.depth));
  return Array.from({ length: rows * spec.count }, (_, i) => {
    const up = Math.floor(i / spec.count);
    const z = spec.centre + up * (spec.kind === 'rows' ? spec.pitch : 0);
    const from = Math.PI - spec.bearing;
    if (spec.kind !== 'rows') {
      const apart = Math.min(
        HAND,
        vessel.perimeterAt(Math.min(spec.centre, vessel.depth)) / spec.count,
      );
      return { ...besideOnWall(outline, from, (i - (spec.count - 1) / 2) * apart), z };
    }
    const turn = ((i % spec.count) + (up % 2) / 2) / spec.count;
    return { ...onWall(outline, from - turn * 2 * Math.PI), z };
  });
}

/** A place on the wall so far round it, clockwise from above, from where it is in a direction. Metres. */
function besideOnWall(outline: Outline, angle: number, along: number): { x: number; y: number } {
  const { x, y } = onWall(outline, angle);
  const away = Math.max(Math.hypot(x, y), 1e-6);
  const round = outline.a - outline.c < 1e-9 && outline.b - outline.c < 1e-9;
  return along === 0
    ? { x, y }
    : onWall(outline, angle - (round ? along / away : Math.atan(along / away)));
}

/** Where the wall is in a direction from the middle: an ellipse's way round a round one, else straight. */
function onWall({ a, b, c }: Outline, angle: number): { x: number; y: number } {
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  if (a - c < 1e-9 && b - c < 1e-9) return { x: a * ux, y: b * uy };
  const far = Math.min(a / Math.max(Math.abs(ux), 1e-9), b / Math.max(Math.abs(uy), 1e-9));
  return { x: far * ux, y: far * uy };
}

function opening<K extends OpeningKind>(
  kind: K,
  asked: RequestedPart<K>,
  site: PlacementSite,
): PartGroup<K> {
  const spec = asked.spec as Opening;
  const places = around(spec, site);
  return partGroup(kind, asked, {
    wanted: places.length,
    parts: places.map(({ x, y, z }, i) => ({
      id: `${kind}-${i}`,
      x,
      y,
      from: z - spec.diameter / 2,
      to: z + spec.diameter / 2,
      foot: { form: 'none' },
      body: null,
      bore: null,
    })),
    height: lipHeight(spec),
  });
}

/** Rows of air holes take more of the wall than an overflow ever does. */
const mostOfWall = ({ kind }: Opening): number => (kind === 'rows' ? 0.75 : 0.5);

/** Whether enough of the wall is left between the openings, with their middles so high. Metres. */
export const leavesWall = (overflow: Opening, shape: Vessel, centre: number): boolean =>
  overflow.count * overflow.diameter <=
  shape.perimeterAt(Math.min(centre, shape.depth)) * mostOfWall(overflow);

/** An opening in the wall that cuts the floor, the rim, or most of the wall away. */
function impossible(overflow: Opening, shape: Vessel): Contradiction[] {
  const list: Contradiction[] = [];
  const radius = overflow.diameter / 2;
  const up = overflow.kind === 'rows' ? (overflow.rows - 1) * overflow.pitch : 0;
  const lip = lipHeight(overflow);
  if (overflow.centre < radius - 1e-9) {
    list.push(
      found(
        ['overflow', 'centre'],
        say`A ${q(overflow.diameter, 'length')} hole centred ${q(overflow.centre, 'length')} up would cut through the floor. Mark it at ${q(radius, 'length')} or higher.`,
      ),
    );
  }
  if (overflow.centre + radius + up > shape.depth + 1e-9 || lip > shape.depth + 1e-9) {
    const over = Math.max(radius + up, -lipBelowMark(overflow));
    list.push(
      found(
        ['overflow', 'centre'],
        say`The overflow would cut through the rim, which is at ${q(shape.depth, 'length')}. Mark its centre at ${q(Math.max(shape.depth - over, 0), 'length')} or lower.`,
      ),
    );
  }
  if (overflow.kind === 'fitting' && boreOf(overflow) > overflow.diameter + 1e-9) {
    list.push(
      found(
        ['overflow', 'bore'],
        say`A bore of ${q(overflow.bore, 'length')} does not go into a hole of ${q(overflow.diameter, 'length')}. Give the clear width inside the fitting.`,
      ),
    );
  }
  if (!leavesWall(overflow, shape, overflow.centre)) {
    const round = shape.perimeterAt(Math.min(overflow.centre, shape.depth));
    const most = mostOfWall(overflow);
    list.push(
      found(
        ['overflow', 'count'],
        say`${q(overflow.count, 'count')} holes of ${q(overflow.diameter, 'length')} leave too little of the wall, which is ${q(round, 'length')} round. Use ${q(Math.floor((round * most) / overflow.diameter), 'count')} or fewer, or smaller ones.`,
      ),
    );
  }
  return list;
}

export const hole: PartDefinition<'hole'> = {
  asked: asksFor('hole'),
  place: (asked, site) => opening('hole', asked, site),
  joints: throughVessel,
  name: () => 'overflow',
  contradictions: ({ spec }, _design, shape) => impossible(spec, shape),
};
export const fitting: PartDefinition<'fitting'> = {
  asked: asksFor('fitting'),
  place: (asked, site) => opening('fitting', asked, site),
  joints: (group, together) => [...intoVessel(group), ...throughLiner(group, together)],
  name: () => 'overflow fitting',
  contradictions: ({ spec }, _design, shape) => impossible(spec, shape),
};
export const rows: PartDefinition<'rows'> = {
  asked: asksFor('rows'),
  place: (asked, site) => opening('rows', asked, site),
  joints: throughVessel,
  name: () => 'air holes',
  contradictions: ({ spec }, _design, shape) => impossible(spec, shape),
};
export const rim: PartDefinition<'rim'> = {
  asked: asksFor('rim'),
  place: (asked, { vessel }) => partGroup('rim', asked, { height: vessel.depth }),
  joints: throughVessel,
  name: () => 'rim',
};

/** Typical weight of a plastic barrel for each cubic metre that it holds, kilograms. */
const BARREL_WEIGHS = 45;

export const supply: PartDefinition<'supply'> = {
  asked: ({ reservoir }) => singleRequest<'supply'>(reservoir.supply),
  // It stands beside the planter, on a floor of its own: no part of this planter's weight.
  place: (asked) =>
    partGroup('supply', asked, {
      wanted: 1,
      parts: [
        {
          id: 'supply-0',
          x: 0,
          y: 0,
          from: 0,
          to: 0,
          foot: { form: 'none' },
          body: null,
          bore: null,
        },
      ],
      height: asked.spec.level,
    }),
  joints: joinedToVessel,
  name: () => 'supply barrel',
  contradictions({ spec }, design) {
    const depth = depthOf(design.vessel);
    return spec.level > depth + 1e-9
      ? [
          found(
            ['reservoir', 'supply', 'level'],
            say`The valve at ${q(spec.level, 'length')} would let the water over the rim, which is at ${q(depth, 'length')}. Set it lower.`,
          ),
        ]
      : [];
  },
};

/** What a supply barrel weighs full, kilograms. */
export const supplyMass = (volume: number): number => volume * (998 + BARREL_WEIGHS);

const GRAVITY = 9.80665;

/** What a supply barrel puts on the ground under it, full, pascals. */
export const supplyPressure = ({
  volume,
  diameter,
}: {
  volume: number;
  diameter: number;
}): number => (supplyMass(volume) * GRAVITY) / ((Math.PI / 4) * diameter ** 2);

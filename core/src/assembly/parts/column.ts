import { plural } from '../../units';
import { fillMaterial } from '../../catalog';
import { soilBaseHeight, type ColumnWickDesign } from '../../document';
import { beside, fullest, type Circle, type Free } from '../../geometry/packing';
import { drainable, mixOf } from '../../physics/soil';
import { grown, shared, type Outline } from '../../geometry/vessels';
import { BRIDGE, PLAY } from '../openings';
import { wickJoints } from '../joining';
import {
  requestsWhere,
  discPart,
  partGroup,
  type PartDefinition,
  type PlacementSite,
} from '../part';
import { cylinder } from '../solid';
import { hollows, standingPlaces, wickSpots } from './standings';
import { wickSizes } from './sizesOfWicks';

/**
 * Suction at which the mix in a wick column or between bottles has given what it stores, metres.
 * The rest of its water stays in the mix for the plants.
 */
export const GIVEN_UP_AT = 0.5;

/** Columns of mix or sand from the floor up to the soil. */
export const column: PartDefinition<'column'> = {
  asked: ({ wicks }) => requestsWhere(wicks, (wick) => wick.kind === 'column'),
  place(asked, site) {
    const { spec, index } = asked;
    const { design, taken, vessel, platformOutline } = site;
    const r = spec.diameter / 2;
    const { wide, room, free } = ground(spec, site);
    const corners = spec.at === null && spec.count <= 4 ? inCorners(room, wide, spec.count) : [];
    const good =
      corners.length === spec.count &&
      corners.every((one, i) => free.circle(one) && beside(corners.slice(0, i)).circle(one));
    const circles = (
      good ? corners : standingPlaces(spec.at, wide, spec.count, { room, free })
    ).map(({ x, y }) => ({ x, y, r }));
    if (platformOutline) circles.forEach((at) => taken.addHole({ ...at, r: wide }));
    const base = soilBaseHeight(design);
    const top = Math.min(base, vessel.depth);
    const one = cylinder({ x: 0, y: 0, r }, spec.foot, top);
    const share = drainable(fillMaterial(spec.medium, mixOf(design.soil)), GIVEN_UP_AT);
    return partGroup('column', asked, {
      ...hollows('both', one, one, circles.length, top, share),
      wanted: spec.count,
      parts: circles.map((at, i) =>
        discPart(`column-${index}-${i}`, at, spec.foot, base, cylinder(at, spec.foot, base), {
          solid: cylinder(at, spec.foot, base),
          share,
        }),
      ),
      height: base,
      capacity: () => Math.max(fullest(room, wide, free).length, circles.length),
    });
  },
  joints: wickJoints('goes-through'),
  name: (_spec, count) => plural(count, 'column'),
  spots: wickSpots,
  contradictions: ({ spec, index }, design, shape) => wickSizes(spec, index, design, shape),
};

/** Where columns may stand: on the floor, and where a sheet has a hole for each with a bridge round it. */
function ground(spec: ColumnWickDesign, { floor, platformOutline, taken }: PlacementSite) {
  const r = spec.diameter / 2;
  if (!platformOutline) return { wide: r, room: floor, free: taken };
  const wide = (spec.diameter + PLAY) / 2 + BRIDGE / 2;
  const free: Free = {
    ...taken,
    circle: (c) => taken.circle({ ...c, r }) && taken.hole({ ...c, r: wide }),
  };
  return { wide, room: shared(grown(floor, wide - r), grown(platformOutline, -BRIDGE / 2)), free };
}

/** Up to four circles in the corners, opposite ones first. */
function inCorners(floor: Outline, r: number, count: number): Circle[] {
  const inner = grown(floor, -r);
  if (inner.a <= 0 || inner.b <= 0 || inner.c >= Math.min(inner.a, inner.b) * 0.9) return [];
  const back = inner.c * (1 - Math.SQRT1_2);
  const [x, y] = [inner.a - back, inner.b - back];
  return [
    { x: -x, y: -y, r },
    { x, y, r },
    { x: -x, y, r },
    { x, y: -y, r },
  ].slice(0, count);
}

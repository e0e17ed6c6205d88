import { soilBaseHeight, type CupWickDesign } from '../../document';
import { plural, q, say } from '../../units';
import { beside, fullest, type Circle, type Free } from '../../geometry/packing';
import { drainable, mixOf } from '../../physics/soil';
import { grown, shared, type Outline } from '../../geometry/vessels';
import { found } from '../contradiction';
import { BRIDGE, CUP_WALL, cupHole } from '../openings';
import { wickJoints } from '../joining';
import {
  requestsWhere,
  discPart,
  partGroup,
  type PartDefinition,
  type PlacementSite,
} from '../part';
import { frustum } from '../solid';
import { GIVEN_UP_AT } from './column';
import { DENSITY, hollows, insideRing, standingPlaces, wickSpots } from './standings';
import { wickSizes } from './sizesOfWicks';

/** A drilled cup or net pot, packed with mix, that hangs by its rim and stands in the water. */
export const cup: PartDefinition<'cup'> = {
  asked: ({ wicks }) => requestsWhere(wicks, (wick) => wick.kind === 'cup'),
  place(asked, site) {
    const { spec, index } = asked;
    const { design, bed, vessel, taken, platformOutline } = site;
    const base = soilBaseHeight(design);
    const r = spec.diameter / 2 + CUP_WALL;
    const circles = circlesOf(spec, r, site);
    const top = Math.min(base, vessel.depth);
    const [r0, r1] = radiiOf(spec, base);
    const n = circles.length;
    const outer = frustum({ x: 0, y: 0 }, r0 + CUP_WALL, r1 + CUP_WALL, spec.foot, top);
    const inner = frustum({ x: 0, y: 0 }, r0, r1, spec.foot, top);
    if (platformOutline) circles.forEach((at) => taken.addHole({ ...at, r: deckRadius(spec) }));
    const share = drainable(mixOf(design.soil), GIVEN_UP_AT);
    return partGroup('cup', asked, {
      ...hollows('both', outer, inner, n, top, share),
      wanted: spec.count,
      parts: circles.map((at, i) =>
        discPart(
          `cup-${index}-${i}`,
          at,
          spec.foot,
          base,
          frustum(at, r0 + CUP_WALL, r1 + CUP_WALL, spec.foot, base),
          { solid: frustum(at, r0, r1, spec.foot, base), share },
        ),
      ),
      height: base,
      mass: n * (outer.below(top) - inner.below(top)) * DENSITY.plastic,
      capacity: () =>
        design.bed?.kind === 'row'
          ? bed.places.length * Math.max(Math.floor(bed.inside.outlineAt(0).a / r), 1)
          : Math.max(fullest(roomFor(spec, r, site), deckRadius(spec), freeFor(r, site)).length, n),
    });
  },
  joints: wickJoints('hangs-in'),
  name: (_spec, count) => plural(count, 'cup'),
  spots: wickSpots,
  contradictions({ spec, index }, design, shape) {
    const noPlatform =
      design.bed === null &&
      design.reservoir.cover === 'none' &&
      design.reservoir.fill.some((layer) => layer.medium === 'mix' && layer.upTo >= 1);
    if (noPlatform) {
      return [
        found(
          ['wicks', index, 'kind'],
          say`A packed cup hangs in a platform, and this planter has none: the mix that goes down to the floor is its wick. Use cloth, or no extra wick.`,
        ),
      ];
    }
    if (spec.rim < spec.diameter + 2 * CUP_WALL) {
      return [
        found(
          ['wicks', index, 'rim'],
          say`A cup ${q(spec.diameter, 'length')} across inside has a rim of more than ${q(spec.diameter + 2 * CUP_WALL, 'length')}. Measure the rim outside.`,
        ),
      ];
    }
    if (spec.bottom > spec.diameter + 1e-9) {
      return [
        found(
          ['wicks', index, 'bottom'],
          say`A cup that is wider below than above does not come through its hole. Give ${q(spec.diameter, 'length')} or less at the bottom.`,
        ),
      ];
    }
    return wickSizes(spec, index, design, shape);
  },
};

/** Inside radius at its foot and at the soil base. A tapered cup is trimmed to the height. */
export const radiiOf = ({ bottom, diameter }: CupWickDesign, _base: number): [number, number] => [
  bottom / 2,
  diameter / 2,
];

/** Half of what a cup needs in the sheet for itself: its hole with a bridge, and its rim. */
const deckRadius = (spec: CupWickDesign): number =>
  Math.max(cupHole(spec).least / 2 + BRIDGE / 2, spec.rim / 2);

const freeFor = (r: number, { taken, platformOutline }: PlacementSite): Free => ({
  ...taken,
  circle: (circle) => taken.circle({ ...circle, r }) && (!platformOutline || taken.hole(circle)),
});

/** Where middles may be: on the floor, inside a ring, and with bridge and rim on the sheet. */
function roomFor(
  spec: CupWickDesign,
  r: number,
  { design, floor, platformOutline }: PlacementSite,
): Outline {
  const wide = deckRadius(spec);
  const low = grown(insideRing(floor, design), wide - r);
  if (!platformOutline) return low;
  const edge = Math.max(cupHole(spec).least / 2 + BRIDGE, spec.rim / 2);
  return shared(low, grown(platformOutline, wide - edge));
}

function circlesOf(spec: CupWickDesign, r: number, site: PlacementSite): Circle[] {
  const { design, floor, bed } = site;
  if (design.bed?.kind === 'row') return underEach(bed, r, spec.count, floor);
  const ground = { room: roomFor(spec, r, site), free: freeFor(r, site) };
  const placed = standingPlaces(spec.at, deckRadius(spec), spec.count, ground);
  return placed.map(({ x, y }) => ({ x, y, r }));
}

/** Cups under the beds of a row, one under each before any has two. */
function underEach(bed: PlacementSite['bed'], r: number, count: number, floor: Outline): Circle[] {
  if (r > floor.b) return [];
  const perBed = Math.ceil(count / bed.places.length);
  const half = bed.inside.outlineAt(0).a;
  const placed: Circle[] = [];
  for (let i = 0; i < count; i += 1) {
    const place = bed.places[i % bed.places.length] ?? { x: 0, y: 0 };
    const k = Math.floor(i / bed.places.length);
    const aside = (k - (perBed - 1) / 2) * 2.05 * r;
    const at = { x: place.x + aside, y: 0, r };
    if (Math.abs(aside) + r <= half && beside(placed).circle(at)) placed.push(at);
  }
  return placed;
}

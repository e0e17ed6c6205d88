import { CLOTHS } from '../../catalog';
import { soilBaseHeight, type ClothWickDesign } from '../../document';
import { plural, q, say } from '../../units';
import { arrange, beside, type Circle, type Free } from '../../geometry/packing';
import { grown, holdsCircle, shared } from '../../geometry/vessels';
import { found } from '../contradiction';
import { BRIDGE, bunchAcross, bunchHole, clothSection } from '../openings';
import { wickJoints } from '../joining';
import {
  requestsWhere,
  discPart,
  partGroup,
  type PartDefinition,
  type PlacementSite,
} from '../part';
import { cylinder } from '../solid';
import { DENSITY, standingPlaces, wickSpots } from './standings';
import { wickSizes } from './sizesOfWicks';

/** Share of the floor that one cloth wick’s legs may fill. */
const MOST_CLOTH = 0.1;

/** Cloth or rope that hangs down bunched, so many legs through each hole. */
export const cloth: PartDefinition<'cloth'> = {
  asked: ({ wicks }) => requestsWhere(wicks, (wick) => wick.kind === 'cloth'),
  place(asked, site) {
    const { spec, index } = asked;
    const { design, vessel, taken, platformOutline } = site;
    const base = soilBaseHeight(design);
    const top = Math.min(base, vessel.depth);
    const r = bunchAcross(spec) / 2;
    const holes = Math.min(spec.holes, spec.legs);
    const circles = hangs(spec, r, holes, site);
    if (platformOutline)
      circles.forEach((at) => taken.addHole({ ...at, r: bunchHole(spec) / 2 + BRIDGE / 2 }));
    const section = clothSection(spec);
    const long = (z: number) => Math.max(Math.min(z, top) - spec.foot, 0);
    const { porosity } = CLOTHS[spec.material];
    return partGroup('cloth', asked, {
      wanted: holes,
      parts: circles.map((at, i) =>
        discPart(`cloth-${index}-${i}`, at, spec.foot, base, cylinder(at, spec.foot, base)),
      ),
      height: base,
      levelInside: (z) => Math.min(z, top),
      outerBelow: (z) => section * long(z),
      waterBelow: (z) => section * porosity * long(z),
      hollowBelow: (z) => section * porosity * long(z),
      areaAt: (z) => (z >= spec.foot && z <= top ? section : 0),
      mass: section * (base - spec.foot + spec.spread) * DENSITY.cloth,
      capacity: () => Math.max(circles.length, 1),
    });
  },
  joints: wickJoints('goes-through'),
  name: (_spec, count) => plural(count, 'cloth'),
  spots: wickSpots,
  contradictions({ spec, index }, design, shape) {
    const top = soilBaseHeight(design);
    const strip: ReturnType<typeof found>[] =
      spec.strip && spec.strip.day <= spec.strip.hour
        ? [
            found(
              ['wicks', index, 'strip', 'day'],
              say`A strip is wet higher after a day than after an hour, ${q(spec.strip.hour, 'length')}. Measure again, or leave the test out.`,
            ),
          ]
        : [];
    const sizes = wickSizes(spec, index, design, shape);
    if (sizes.length > 0) return [...sizes, ...strip];
    if (clothSection(spec) > shape.areaAt(top / 2) * MOST_CLOTH) {
      return [
        found(
          ['wicks', index, 'legs'],
          say`${q(spec.legs, 'count')} legs of ${q(spec.width, 'length')} by ${q(spec.thickness, 'length')} would fill most of the reservoir. Use fewer, narrower or thinner legs.`,
        ),
        ...strip,
      ];
    }
    return strip;
  },
};

/** Where the bunches hang: by hand, under each pail of a row, side by side through the middle, or apart. */
function hangs(spec: ClothWickDesign, r: number, holes: number, site: PlacementSite): Circle[] {
  const { design, bed, taken, platformOutline, floor } = site;
  if (design.bed?.kind === 'neck') return [{ x: 0, y: 0, r }];
  if (design.bed?.kind === 'row') {
    return bed.places.slice(0, holes).map(({ x, y }) => ({ x, y, r }));
  }
  const wide = platformOutline ? Math.max(bunchHole(spec) / 2 + BRIDGE / 2, r) : r;
  const free: Free = {
    ...taken,
    circle: (c) => taken.circle({ ...c, r }) && (!platformOutline || taken.hole(c)),
  };
  const room = platformOutline
    ? shared(grown(floor, wide - r), grown(platformOutline, -BRIDGE / 2))
    : grown(floor, wide - r);
  if (spec.at) {
    return standingPlaces(spec.at, wide, holes, { room, free }).map(({ x, y }) => ({ x, y, r }));
  }
  const row = Array.from({ length: holes }, (_, i) => ({
    x: 0,
    y: (i - (holes - 1) / 2) * 2.02 * wide,
    r: wide,
  }));
  const inMiddle =
    row.every((one) => holdsCircle(room, one.x, one.y, wide) && free.circle(one)) &&
    row.every((one, i) => beside(row.slice(0, i)).circle(one));
  const places = inMiddle && holes <= 4 ? row : arrange(room, wide, holes, free);
  return places.map(({ x, y }) => ({ x, y, r }));
}

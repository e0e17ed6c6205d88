import { CRATE_KINDS } from '../../../catalog';
import { q, say } from '../../../units';
import {
  clear,
  fullestBoxes,
  holdsRectangle,
  pack,
  type Circle,
  type Free,
  type Rectangle,
} from '../../../geometry/packing';
import { clearBetween } from '../../../geometry/vessels';
import { found } from '../../contradiction';
import { packedRound, standing, upright } from '../../joining';
import {
  requestsWhere,
  boxPart,
  partGroup,
  NO_DISPLACEMENT,
  type PartDefinition,
  type PlacementSite,
} from '../../part';
import { cuboid, type Solid } from '../../solid';
import { DENSITY } from '../standings';
import { partSizes, spaceFor } from '../sizes';

/** Crates, drainage cells and void boxes, of a size and height of their own. */
export const crates: PartDefinition<'crates'> = {
  bears: 'sheet',
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'crates'),
  place({ spec, index }, site) {
    const { vessel, taken, top } = site;
    const { length, width, count, voids, cut } = spec;
    const floor = clearBetween(vessel, 0, top);
    const height = Math.min(spec.height, top);
    const free: Free = cut ? { ...taken, discs: [], box: taken.boxCut } : taken;
    const at = (spec.at ?? []).slice(0, count);
    const own = chosen(at, length / 2, width / 2, floor, free);
    const left = count - at.length;
    const rest = left > 0 ? pack(floor, length, width, left, besideBoxes(free, own)) : [];
    const boxes = [...own, ...rest];
    const bodies = boxes.map((box) => cutOut(cuboid(box, 0, height), box, height, taken.discs));
    const outerBelow = (z: number) => bodies.reduce((sum, one) => sum + one.below(z), 0);
    return partGroup(
      'crates',
      { spec, index },
      {
        ...NO_DISPLACEMENT,
        height,
        levelInside: (z) => Math.min(z, height),
        outerBelow,
        waterBelow: (z) => voids * outerBelow(z),
        hollowBelow: (z) => voids * outerBelow(z),
        areaAt: (z) => bodies.reduce((sum, one) => sum + one.areaAt(z), 0),
        wanted: count,
        parts: boxes.map((box, i) =>
          boxPart(`crates-${index}-${i}`, box, 0, height, bodies[i] as Solid, {
            solid: bodies[i] as Solid,
            share: voids,
          }),
        ),
        mass: outerBelow(height) * (1 - voids) * DENSITY.plastic,
        capacity: () => Math.max(fullestBoxes(floor, length, width, free).length, boxes.length),
      },
    );
  },
  joints: (group, together) => [
    ...standing(group),
    // A crate that is cut out stands round what goes up through it.
    ...(group.spec.cut ? packedRound(group, together, upright) : []),
  ],
  top: (_one, many) => `the ${many}’ tops`,
  size: ({ length, width }) => ({
    fields: ['length', 'width'],
    says: say`${q(length, 'length')} by ${q(width, 'length')}`,
    sold: ({ crate }) => crate.map(([l, w, h]) => ({ length: l, width: w, height: h })),
  }),
  name: ({ what }, count) =>
    count === 1 ? CRATE_KINDS[what].one : what === 'former' ? 'boxes' : `${what}s`,
  spots(index, { reservoir }) {
    const part = reservoir.parts[index];
    return part?.kind === 'crates'
      ? { path: ['reservoir', 'parts', index, 'at'], chosen: part.at, many: true }
      : null;
  },
  contradictions({ spec, index }, design, shape) {
    const at = (key: string) => ['reservoir', 'parts', index, key];
    const sizes = partSizes({ spec, index }, design, shape, { stands: true, name: 'crate' });
    const { narrowest, widest } = spaceFor(design, shape);
    const [long, short] = [Math.max(spec.length, spec.width), Math.min(spec.length, spec.width)];
    if (long <= widest + 1e-9 && short <= narrowest + 1e-9) return sizes;
    const tooLong = long > widest;
    const lengthwise = tooLong === spec.length >= spec.width;
    return [
      ...sizes,
      found(
        at(lengthwise ? 'length' : 'width'),
        say`One of ${q(spec.length, 'length')} by ${q(spec.width, 'length')} does not go into ${q(widest, 'length')} by ${q(narrowest, 'length')}. Give a smaller one.`,
      ),
    ];
  },
};

const besideBoxes = (free: Free, boxes: readonly Rectangle[]): Free => ({
  ...free,
  boxes: [...free.boxes, ...boxes],
  box: (box) => free.box(box) && boxes.every((other) => clear(box, other)),
});

/** So many ways round are looked through at the most until all stand. */
const MOST_TRIED = 4000;

/**
 * The boxes that were set by hand and have room there. Which way round each stands is not said in the
 * design: they are turned so that all go in; where they cannot, each stands as it first goes in.
 */
function chosen(
  at: readonly { x: number; y: number }[],
  a: number,
  b: number,
  floor: PlacementSite['floor'],
  free: Free,
): Rectangle[] {
  let tried = 0;
  const waysOf = ({ x, y }: { x: number; y: number }, kept: readonly Rectangle[]): Rectangle[] =>
    [
      { x, y, a, b },
      { x, y, a: b, b: a },
    ].filter((box) => holdsRectangle(floor, box) && besideBoxes(free, kept).box(box));
  const all = (kept: readonly Rectangle[]): readonly Rectangle[] | null => {
    const next = at[kept.length];
    if (!next) return kept;
    for (const box of waysOf(next, kept)) {
      tried += 1;
      const whole = tried > MOST_TRIED ? null : all([...kept, box]);
      if (whole) return whole;
    }
    return null;
  };
  const whole = all([]);
  if (whole) return [...whole];
  return at.reduce<Rectangle[]>((kept, spot) => {
    const [box] = waysOf(spot, kept);
    return box ? [...kept, box] : kept;
  }, []);
}

/** A crate without the round holes that are cut for what stands in it. */
function cutOut(body: Solid, box: Rectangle, height: number, discs: readonly Circle[]): Solid {
  const inIt = discs.filter(
    ({ x, y, r }) => Math.abs(x - box.x) < box.a + r && Math.abs(y - box.y) < box.b + r,
  );
  if (inIt.length === 0) return body;
  const gone = inIt.reduce((sum, disc) => sum + overlap(disc, box), 0);
  const share = Math.max(1 - gone / (4 * box.a * box.b), 0);
  return {
    below: (z) => body.below(Math.min(z, height)) * share,
    areaAt: (z) => body.areaAt(z) * share,
    holds: (x, y, z) =>
      body.holds(x, y, z) && inIt.every((disc) => Math.hypot(x - disc.x, y - disc.y) > disc.r),
  };
}

/** Area that a circle shares with a rectangle, by strips: the circle's own chords, exact in y. m² */
function overlap({ x, y, r }: Circle, box: Rectangle): number {
  const STRIPS = 64;
  let area = 0;
  for (let i = 0; i < STRIPS; i += 1) {
    const angle = ((i + 0.5) / STRIPS) * Math.PI;
    const px = x - r * Math.cos(angle);
    if (Math.abs(px - box.x) > box.a) continue;
    const half = r * Math.sin(angle);
    const low = Math.max(y - half, box.y - box.b);
    const high = Math.min(y + half, box.y + box.b);
    area += Math.max(high - low, 0) * r * Math.sin(angle) * (Math.PI / STRIPS);
  }
  return area;
}

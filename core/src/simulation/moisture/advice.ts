import { areaOf, grown, type Outline } from '../../geometry/vessels';
import { checkRemedy, rank, settled, type Finding } from '../../assessment';
import type { Patch, PlanterDesign } from '../../document';
import { assemble, soilBeds, type Planter } from '../../assembly';
import { q, say, type Message } from '../../units';
import { moistureAt, moistureField, type Field, type FieldQuestion } from './field';
import { columnAt } from './grid';

/** Where soil stays dry, and what would carry the water there. */
export interface FieldReading {
  /** Share of the plan, 0 to 1, in which the roots' soil is dry. */
  dryPlan: number;
  /** How far that reaches in from the wall, metres; null where it is not along the wall. */
  rim: number | null;
  /** Whether seed sown in the middle and at the wall stays moist. */
  seedMiddle: boolean;
  seedEdge: boolean;
}

/** Share of the roots that may stand dry without a word. */
export const FEW = 0.05;
/** How far down a finger or a small hole looks, as a share of the soil's depth. */
export const FINGER = 0.35;

/** Reads a field as a gardener would: by a finger's depth, from the middle outward. */
export function readField(planter: Planter, field: Field): FieldReading {
  const { grid, h } = field;
  const { nx, ny, nz } = grid;
  const at = Math.min(Math.floor(nz * (1 - FINGER)), nz - 1);
  const { bed, heights } = planter;
  const outline = bed.inside.outlineAt(heights.surface - bed.floor);
  // As wet as the height that its mix gets wet to over standing water, which is what the findings go by.
  const seedTo = soilBeds(planter).at(-1)?.mix.reach ?? 0;
  let [all, dry, farAll, farDry] = [0, 0, 0, 0];
  let middle = { far: -Infinity, moist: true };
  let edge = { far: Infinity, moist: true };
  for (let c = 0; c < nx * ny; c += 1) {
    const area = grid.volume[c * nz + at] as number;
    if (area === 0) continue;
    const { x, y } = columnAt(grid, c);
    const far = fromWall(outline, x, y);
    const moist = -(h[c * nz + nz - 1] as number) <= seedTo;
    if (far > middle.far) middle = { far, moist };
    if (far < edge.far) edge = { far, moist };
    all += area;
    farAll += area * far;
    if (moistureAt(h[c * nz + at] as number) === 'dry') {
      dry += area;
      farDry += area * far;
    }
  }
  const dryPlan = all > 0 ? dry / all : 0;
  const atWall = dry > 0 && dryPlan < 0.97 && farDry / dry < (0.9 * farAll) / all;
  return {
    dryPlan,
    rim: atWall ? rimOf(outline, dryPlan) : null,
    seedMiddle: middle.moist,
    seedEdge: edge.moist,
  };
}

/** How far a place is from the wall, metres: about, in the corners. */
function fromWall({ a, b, c }: Outline, x: number, y: number): number {
  const [dx, dy] = [Math.abs(x) - (a - c), Math.abs(y) - (b - c)];
  if (dx > 0 && dy > 0) return c - Math.hypot(dx, dy);
  return Math.min(a - Math.abs(x), b - Math.abs(y));
}

/** The width of a rim that takes such a share of an outline. */
function rimOf(outline: Outline, share: number): number {
  let low = 0;
  let high = Math.min(outline.a, outline.b);
  for (let i = 0; i < 40; i += 1) {
    const width = (low + high) / 2;
    if (areaOf(outline) - areaOf(grown(outline, -width)) < share * areaOf(outline)) low = width;
    else high = width;
  }
  return (low + high) / 2;
}

/** What a field comes to, in a sentence or two. */
export function sayField(field: Pick<Field, 'shares' | 'drunk'>, reading: FieldReading): Message {
  const { dry } = field.shares;
  const where =
    reading.rim !== null
      ? say`the outer ${q(reading.rim, 'length')}`
      : reading.dryPlan > 0.9
        ? dry > 0.9
          ? say`nearly all of it`
          : say`the upper part, over its whole width`
        : say`in patches`;
  const roots =
    dry < FEW
      ? say`Water gets to all roots.`
      : say`${q(dry, 'share')} of the roots stand in dry soil: ${where}.`;
  const seed = reading.seedEdge
    ? reading.seedMiddle
      ? say`Seed comes up anywhere.`
      : say`Seed at the wall stays moist, in the middle it wants water from the top.`
    : reading.seedMiddle
      ? say`Seed in the middle stays moist, at the wall it wants water from the top.`
      : say`The surface dries: seed wants water from the top.`;
  const short =
    field.drunk < 0.9 ? say` Plants get ${q(field.drunk, 'share')} of what they ask.` : say``;
  return say`${roots}${short} ${seed}`;
}

/** A change that carries the water farther, and what share of the roots is then dry. */
export interface Carry {
  label: Message;
  patch: Patch;
  dry: number;
}

const BLANKET = 0.03;
const MOST = 2;

/** What may carry the water out: more wicks apart, or sand under the soil. */
function changes(design: PlanterDesign): { label: Message; patch: Patch }[] {
  const wicks = design.wicks.flatMap((wick, i): { label: Message; patch: Patch }[] => {
    const apart = { path: ['wicks', i, 'at'], value: null };
    if (wick.kind === 'cloth') {
      const holes = Math.min(Math.max(2 * wick.holes, 2), wick.legs, 12);
      if (holes <= wick.holes) return [];
      const patch = [{ path: ['wicks', i, 'holes'], value: holes }, apart];
      return [{ label: say`Hang the cloth through ${q(holes, 'count')} holes`, patch }];
    }
    return [1, 2, wick.count].flatMap((more, n, all) => {
      if (all.indexOf(more) < n) return [];
      const count = wick.count + more;
      const patch = [{ path: ['wicks', i, 'count'], value: count }, apart];
      const name = wick.kind === 'cup' ? 'cups' : 'columns';
      return [
        { label: say`${q(count, 'count')} ${name} instead of ${q(wick.count, 'count')}`, patch },
      ];
    });
  });
  const sand = {
    label: say`${q(BLANKET, 'length')} of coarse sand under the soil`,
    patch: [
      {
        path: ['layers'],
        value: [...design.layers, { what: 'coarse-sand', thickness: BLANKET, up: false }],
      },
    ],
  };
  return [...wicks, ...(design.bed === null ? [sand] : [])];
}

/** Tries what may carry the water out, with the same solver on a coarser grid; what helps, best first. */
export function carries(design: PlanterDesign, question: FieldQuestion): Carry[] {
  const coarse = { boxes: 1400, layers: 10 };
  const share = question.level / Math.max(assemble(design).heights.brim, 1e-9);
  const dryOf = (patched: PlanterDesign): number => {
    const planter = assemble(patched);
    const level = share * planter.heights.brim;
    return moistureField(planter, { ...question, level }, coarse).shares.dry;
  };
  const now = dryOf(design);
  const known = new Set(checkRemedy(design, [])?.drafts.map(({ id }) => id));
  const isNew = ({ id, severity }: Pick<Finding, 'id' | 'severity'>): boolean =>
    rank(severity) <= rank('watch') && !known.has(id);
  if (now < FEW) return [];
  return changes(design)
    .flatMap((one): Carry[] => {
      const done = settled(design, one.patch);
      if (!done || done.brings || done.after.drafts.some(isNew)) return [];
      const dry = dryOf(done.after.design);
      return dry < 0.7 * now ? [{ ...one, patch: done.patch, dry }] : [];
    })
    .sort((a, b) => a.dry - b.dry)
    .slice(0, MOST);
}

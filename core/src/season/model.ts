import { openWater, rootPace, rootWays, type Planter } from '../planter';
import { deepestRoots } from '../crop';
import { cellsOf, reservoirOf } from './setting';
import { supplyOfWicks, type Supply } from './supply';
import type { SeasonOptions } from './run';

/**
 * A planter as its season sees it: everything that stays as it is, whatever the weather and whoever fills
 * it. SI throughout.
 */
export type Model = ReturnType<typeof modelOf>;

const CELLS = 60;
/** Share of rain that comes through a cover with plant holes; mulch lets all of it in. */
const THROUGH_COVER = 0.03;

/** What the wicks of a planter bring, worked out once for all its seasons. */
const supplies = new WeakMap<Planter, Supply>();

export function modelOf(
  planter: Planter,
  { cells: count = CELLS, broken = false, clogged = false }: Partial<SeasonOptions> = {},
) {
  const { design, heights } = planter;
  const cells = cellsOf(planter, count);
  const known = supplies.get(planter) ?? supplyOfWicks(planter);
  supplies.set(planter, known);
  const reservoir = reservoirOf(planter, clogged);
  return {
    planter,
    design,
    cells,
    count,
    /** Depth of the soil, and of half a cell of it. */
    depth: count * cells.dz,
    half: cells.dz / 2,
    base: heights.base,
    brim: heights.brim,
    surface: cells.face[count] as number,
    supply: broken ? null : known,
    reservoir,
    /** What the reservoir holds when it is full, without its supply barrel. */
    full: reservoir.holds(heights.brim),
    barrel: design.reservoir.supply ?? null,
    bag: design.bed?.kind === 'bag',
    tray: openWater(planter),

    /** Ways of the roots to the water, and how fast they grow in warm soil, metres a day. */
    ways: rootWays(planter),
    rootPace: rootPace(planter),
    rootLimit: deepestRoots(design.planting),
    top: heights.surface,
    /** Rain falls on it, and this share of it gets in. */
    open: design.place.rain === 'open',
    letsIn: design.soil.mulch === 'cover' ? THROUGH_COVER : 1,
    freeboard: design.soil.freeboard,
  };
}

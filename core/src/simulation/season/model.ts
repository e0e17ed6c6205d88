import { openWater, rootPace, rootWays, type Planter } from '../../assembly';
import { deepestRoots } from '../../physics/crop';
import { columnCells, seasonReservoir } from './geometry';
import { supplyOfWicks, type Supply } from './supply';
import type { SeasonOptions } from './run';

/**
 * A planter as its season sees it: everything that stays as it is, whatever the weather and whoever fills
 * it. SI throughout.
 */
export type Model = ReturnType<typeof makeModel>;

const CELLS = 60;
/** Share of rain that comes through a cover with plant holes; mulch lets all of it in. */
const THROUGH_COVER = 0.03;

/** What the wicks of a planter bring, worked out once for all its seasons. */
const supplies = new WeakMap<Planter, Supply>();
/** Models of a planter by their options; a planter is run many times. */
const models = new WeakMap<Planter, Map<string, Model>>();

export function modelOf(planter: Planter, options: Partial<SeasonOptions> = {}): Model {
  const { cells = CELLS, broken = false, clogged = false } = options;
  const known = models.get(planter) ?? new Map<string, Model>();
  models.set(planter, known);
  const key = `${cells} ${broken} ${clogged}`;
  const model = known.get(key) ?? makeModel(planter, cells, broken, clogged);
  known.set(key, model);
  return model;
}

function makeModel(planter: Planter, count: number, broken: boolean, clogged: boolean) {
  const { design, heights } = planter;
  const cells = columnCells(planter, count);
  const known = supplies.get(planter) ?? supplyOfWicks(planter);
  supplies.set(planter, known);
  const reservoir = seasonReservoir(planter, clogged);
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

import { FILLS, grainOf, LAYERS, MULCHES, type SheetId } from '../../catalog';
import { layerTop, mulchDepth, type LayerDesign } from '../../document';
import { BEARERS, nameOf, surfaceArea, type PartGroup, type Planter } from '../../assembly';
import { q, say } from '../../units';
import { layerGood, SMALL_GOODS } from '../goods';
import { areaNeeded, type BuildSheetBuilder, type PartBuilder } from '../buildSheetBuilder';

/** What is filled in around the parts, laid between base and roots, and laid on the soil. */

/** Fabric turned up the wall on each side, metres. */
const FABRIC_LAP = 0.1;
export const fill: PartBuilder<'fill'> = ({ spec, index }, builder) => {
  const { design, partGroups } = builder.planter;
  const around = partGroups.some(
    ({ kind, parts }) =>
      parts.length > 0 && (BEARERS.includes(kind) || kind === 'column' || kind === 'cup'),
  );
  const up = say`up to ${q(layerTop(design, spec), 'length')}`;
  const round = around ? ' around what stands there' : '';
  const stone = spec.medium !== 'mix';
  if (index === 0) builder.tools('base', 'Shovel', ...(stone ? ['Sieve', 'Hose'] : []));
  const stones = design.reservoir.fill.findIndex(({ medium }) => medium !== 'mix');
  if (index === stones)
    builder.say('base', say`Rinse stone and sand until the water runs clear.`, 5);
  builder.say(
    'base',
    stone
      ? say`Fill in ${FILLS[spec.medium].name.toLowerCase()}${round} ${up}.`
      : say`Pack wet mix${round} ${up}, firmly, a hand’s depth at a time: it is the wick.`,
    15,
  );
  builder.warn('base', stone ? 'stone' : 'dust');
  for (const first of ['supports', 'wick', 'overflow', 'pierce', 'tube'] as const) {
    builder.after(first, 'base');
  }
  builder.after('base', 'layers');
  builder.after('base', 'fill');
};

export const layer: PartBuilder<'layer'> = ({ spec, id, index }, builder) => {
  const { planter } = builder;
  const { design, bed, heights } = planter;
  const name = LAYERS[spec.what].name;
  const low = bed.inside.outlineAt(heights.base - bed.floor);
  const n = bed.places.length;
  const area = n * bed.inside.areaAt(heights.base - bed.floor);
  // Beds of their own get a layer each.
  const over =
    index > 0
      ? 'over that'
      : n > 1
        ? `over the floor of each ${nameOf(bedLot(planter), 1)}`
        : 'over the base';
  const grain = grainOf(spec.what);
  if (grain) {
    builder.tools('layers', 'Rake');
    builder.warn('layers', 'stone');
    builder.say(
      'layers',
      say`Rinse ${name.toLowerCase()} and spread ${q(spec.thickness, 'length')} of it ${over}, wet and level.`,
      15,
    );
  } else if (spec.what === 'straw') {
    builder.part('layers', {
      id,
      what: name,
      amount: say`a layer of ${q(spec.thickness, 'length')} on ${q(area, 'area')}`,
      use: under(design.layers, index),
      good: SMALL_GOODS.mulch,
      quantity: area * spec.thickness,
    });
    builder.say(
      'layers',
      say`Lay ${q(spec.thickness, 'length')} of straw or moss ${over}: ${index === design.layers.length - 1 && index > 0 ? 'it marks where to stop digging in later years' : 'it keeps the soil up'}${index === 0 ? leftOpen(planter) : ''}.`,
      8,
    );
  } else {
    const lap = spec.up ? FABRIC_LAP : 0;
    const piece = {
      id,
      part: id,
      what: name,
      count: n,
      length: 2 * (low.a + lap),
      width: 2 * (low.b + lap),
      outline: { a: low.a + lap, b: low.b + lap, c: low.c > 0 ? low.c + lap : 0 },
      from: say`one piece${n > 1 ? ' for each' : ''}${spec.up ? say`, ${q(lap, 'length')} up the wall all round` : ''}; crosses cut for tube and wicks`,
    };
    builder.sheet('layers', piece);
    builder.part('layers', {
      id,
      what: name,
      amount: say`${n > 1 ? say`${q(n, 'count')} of ` : ''}${q(piece.length, 'span')} by ${q(piece.width, 'span')}`,
      use: under(design.layers, index),
      good: layerGood(spec.what as SheetId),
      quantity: areaNeeded(piece),
    });
    builder.tools('layers', 'Scissors');
    builder.say(
      'layers',
      say`Lay the ${name.toLowerCase()} ${over}${spec.up ? say`, ${q(lap, 'length')} up the wall all round, and trim it flush` : ''}${cutFor(planter)}.`,
      8,
    );
  }
  for (const first of ['supports', 'test', 'wick', 'set', 'stand', 'tube'] as const)
    builder.after(first, 'layers');
  builder.after('layers', 'fill');
};

/** Loose stuff straight over the base parts a wick from the soil, unless it is left open there. */
function leftOpen({ wicks }: Planter): string {
  const kinds = new Set(wicks.map(({ kind }) => kind));
  if (kinds.has('cloth')) return '. Draw the wick up through it, and spread it on top';
  return kinds.has('cup') || kinds.has('column')
    ? `. Leave it open over each ${kinds.has('cup') ? 'cup' : 'column'}: there mix must meet mix`
    : '';
}

/** Where a sheet is cut for what comes up through it. */
function cutFor(planter: Planter): string {
  const kinds = new Set(planter.wicks.map(({ kind }) => kind));
  const open = ['cup' as const, 'column' as const].filter((kind) => kinds.has(kind)).join(' and ');
  // What a column lifts is handed on to what it is made of, or to what lies over it.
  const sandy = planter.of('column').some(({ spec }) => spec.medium !== 'mix');
  const meets = !open
    ? ''
    : !kinds.has('column') || !sandy
      ? ', so that mix meets mix'
      : ', so that the wick touches what lies over it';
  return [
    planter.design.fillTube ? '; cut a cross for the tube' : '',
    kinds.has('cloth') ? '; draw the wick up through a slit and spread it on top' : '',
    open ? `; cut it away over each ${open}${meets}` : '',
  ].join('');
}

/** What holds the soil where that is not the vessel. */
const bedLot = ({ partGroups }: Planter): PartGroup =>
  partGroups.find(({ kind }) => kind === 'row' || kind === 'bag') ?? (partGroups[0] as PartGroup);

const under = (layers: readonly LayerDesign[], index: number): string =>
  index === layers.length - 1
    ? 'Between soil and water'
    : `Under the ${LAYERS[(layers[index + 1] as LayerDesign).what].name.toLowerCase()}`;

export const mulch: PartBuilder<'mulch'> = ({ spec, parts }, builder) => {
  const { planter } = builder;
  const { bed, heights } = planter;
  if (spec.mulch === 'cover') {
    const top = bed.inside.outlineAt(heights.surface - bed.floor);
    const piece = {
      id: 'cover',
      part: 'mulch',
      what: 'Cover',
      count: parts.length,
      length: 2 * top.a,
      width: 2 * top.b,
      outline: top,
      from: say`with a cross cut where each plant stands`,
    };
    builder.sheet('close', piece);
    builder.part('close', {
      id: 'mulch',
      what: MULCHES.cover.name,
      amount: say`${q(piece.length, 'span')} by ${q(piece.width, 'span')}`,
      use: 'On the surface',
      good: SMALL_GOODS.cover,
      quantity: areaNeeded(piece),
    });
    builder.tools('close', 'Scissors');
    builder.say('close', say`Cover the surface, a cross cut for each plant.`, 8);
    return;
  }
  const depth = mulchDepth(planter.design);
  builder.part('close', {
    id: 'mulch',
    what: MULCHES.straw.name,
    amount: say`a layer of ${q(depth, 'length')}`,
    use: 'On the surface',
    good: SMALL_GOODS.mulch,
    quantity: surfaceArea(planter) * depth,
  });
  builder.say(
    'close',
    say`Mulch the surface ${q(depth, 'length')} deep${depth < planter.design.soil.freeboard - 1e-6 ? '' : ', up to the rim'} and clear of the stems.`,
    5,
  );
};

/** Stone, sand and chip by kind, wherever they lie. */
export function aggregates(builder: BuildSheetBuilder): void {
  for (const { medium, volume, mass } of builder.figures.aggregates) {
    if (medium === 'mix') continue;
    const good = layerGood(medium);
    const step = builder.has('base') ? 'base' : builder.has('layers') ? 'layers' : 'wick';
    builder.part(step, {
      id: `fill-${medium}`,
      what: FILLS[medium].name,
      amount: say`${q(volume, 'loose')}, ${q(mass, 'mass')}`,
      use: 'In the base, rinsed',
      good,
      quantity: good.unit === 'mass' ? mass : volume,
    });
  }
}

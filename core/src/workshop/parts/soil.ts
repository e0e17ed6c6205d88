import { CROPS, FILLS, MULCHES, SEPARATORS } from '../../catalog';
import { aggregateGood, mixGood, separatorGood, SMALL_GOODS } from '../goods';
import { surfaceArea } from '../../planter';
import { q, say } from '../../quantity';
import { feedingOf, ingredientsOf } from '../amounts';
import { areaNeeded } from '../sheets';
import { sized, type Making } from './part';

/** Depths of a straw layer that separates, marks or mulches, metres. */
const STRAW_LAYER = 0.05;
const MARKER_LAYER = 0.03;
const MULCH_LAYER = 0.05;

/** Separator, stone, mix, feed, plants, mulch. */
export function soilParts({ planter, figures, sheet, add }: Making): void {
  const { design, bed, heights } = planter;
  const { soil } = design;
  const floor = bed.places.length * bed.inside.areaAt(heights.base - bed.floor);
  if (design.separator === 'straw') {
    add(
      'separator',
      SEPARATORS.straw.name,
      say`a layer of ${q(STRAW_LAYER, 'length')}`,
      'Between soil and water',
      SMALL_GOODS.mulch,
      floor * STRAW_LAYER,
    );
  } else if (design.separator !== 'none') {
    const piece = sheet('separator');
    add(
      'separator',
      SEPARATORS[design.separator].name,
      piece ? sized(piece) : say``,
      'Between soil and water',
      separatorGood(design.separator),
      piece ? areaNeeded(piece) : 0,
    );
  }
  const lining = sheet('lining');
  if (lining) {
    add(
      'lining',
      'Lining of shade cloth',
      sized(lining),
      'Keeps the soil behind the air holes',
      separatorGood('mesh'),
      areaNeeded(lining),
    );
  }
  for (const { medium, volume, mass } of figures.aggregates) {
    if (medium === 'mix') continue;
    const good = aggregateGood(medium);
    add(
      `fill-${medium}`,
      FILLS[medium].name,
      say`${q(volume, 'volume')}, ${q(mass, 'mass')}`,
      'In the base, rinsed',
      good,
      good.unit === 'mass' ? mass : volume,
    );
  }
  add(
    'mix',
    'Growing mix, loose',
    say`${q(figures.looseVolume, 'volume')}; ${q(figures.soilVolume, 'volume')} once it has settled`,
    'Fills it to the freeboard',
    soil.recipe ? null : mixGood(soil.medium),
    figures.looseVolume,
    ingredientsOf(design, figures.looseVolume),
  );
  if (soil.marker) {
    add(
      'marker',
      'Straw marker layer',
      say`${q(MARKER_LAYER, 'length')} over the base`,
      'Says where to stop digging',
      SMALL_GOODS.mulch,
      floor * MARKER_LAYER,
    );
  }
  const { feed, lime } = feedingOf(design, figures);
  if (feed)
    add(
      'feed',
      feed.kind === 'organic' ? 'Organic granules' : 'Synthetic granules',
      feed.text,
      'In a strip away from the stems',
      SMALL_GOODS[feed.kind],
      feed.mass,
    );
  if (lime)
    add(
      'lime',
      'Garden lime',
      lime.text,
      'Mixed through before filling',
      SMALL_GOODS.lime,
      lime.mass,
    );
  const { count, crop } = design.planting;
  if (count > 0)
    add(
      'plants',
      CROPS[crop].name,
      say`${q(count, 'count')} young ${count === 1 ? 'plant' : 'plants'}`,
      'In the surface',
      SMALL_GOODS.plant,
      count,
    );
  if (soil.mulch === 'straw') {
    add(
      'mulch',
      MULCHES.straw.name,
      say`a layer of ${q(MULCH_LAYER, 'length')}`,
      'On the surface',
      SMALL_GOODS.mulch,
      surfaceArea(planter) * MULCH_LAYER,
    );
  } else if (soil.mulch === 'cover') {
    const piece = sheet('mulch');
    add(
      'mulch',
      MULCHES.cover.name,
      piece ? sized(piece) : say``,
      'On the surface',
      SMALL_GOODS.cover,
      piece ? areaNeeded(piece) : 0,
    );
  }
}

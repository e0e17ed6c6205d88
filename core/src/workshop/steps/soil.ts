import { CROPS, FILLS, ingredientWord } from '../../catalog';
import { FIELDS } from '../../design';
import { plantingPlan } from '../../assess';
import { resolve, type Planter } from '../../planter';
import { mixOf } from '../../soil';
import { q, say, type Message } from '../../quantity';
import { feedingOf } from '../amounts';
import { measure, type Write } from './step';

/** Steps with water and soil. */

/** Share of the standing water that the pour test pours, and the steps that litres are said in. */
const POURED = 0.6;
const LITRE_STEPS = [0.1, 0.25, 0.5, 1, 2, 5, 10, 25, 50, 100].map((litres) => litres / 1000);
/** Fewest such steps, so that the rounding stays small. */
const LEAST_STEPS = 3;
/** How near the poured level must come, metres. */
const NEAR = 0.005;

/** The planter as it is tested: before stone, sand or mix lie in its base. */
function bareOf(planter: Planter): Planter {
  const { design } = planter;
  const { fill, blanket } = design.reservoir;
  if (fill.length === 0 && !blanket) return planter;
  return resolve({ ...design, reservoir: { ...design.reservoir, fill: [], blanket: null } });
}

/** What the pour test pours, where that must stand, and what it all takes. m³ and metres. */
export function testPour(planter: Planter): { volume: number; level: number; whole: number } {
  const bare = bareOf(planter);
  const whole = bare.storage.volumeBelow(planter.heights.brim);
  const aim = Math.max(whole * POURED, 1e-6);
  const step = [...LITRE_STEPS].reverse().find((one) => aim / one >= LEAST_STEPS) ?? aim;
  const volume = Math.max(Math.floor(aim / step), 1) * step;
  return { volume, level: bare.storage.heightFor(volume), whole };
}

export const test: Write = ({ planter, figures }) => {
  const { design, heights, vessel } = planter;
  const { volume, level, whole } = testPour(planter);
  const { shimAcross, shimAlong } = figures.tilt;
  const shim = Math.max(shimAcross, shimAlong);
  const long = 2 * vessel.outlineAt(Math.min(heights.brim, vessel.depth)).a;
  const runs = heights.invert !== null && design.overflow?.kind !== 'rim';
  const later = design.reservoir.fill.length > 0 || design.reservoir.blanket !== null;
  const doing: Message[] = [
    say`Put it where it will stay, and level it${shim > 0.0005 ? say`: ${q(shim, 'length')} under the low side` : say``}.`,
    say`Pour in ${q(volume, 'volume')}${later ? ', before stone, sand or mix goes in' : ''}: the water must stand at ${q(level, 'length')} above the floor.`,
    runs
      ? say`Pour on until it runs from the overflow, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`
      : say`Pour on to ${q(heights.brim, 'length')}, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`,
  ];
  return {
    id: 'test',
    title: 'Level it and test it with water',
    doing,
    tools: ['Spirit level', 'Litre jug', 'Tape', 'Shims'],
    minutes: 30,
    cautions: ['weight', ...(design.place.children ? (['children'] as const) : []), 'drinking'],
    checks: [
      {
        id: 'pour',
        must: say`${q(volume, 'volume')} raised the water to ${q(level, 'length')}, give or take ${q(NEAR, 'length')}.`,
        mend: say`Lower: the vessel is wider than measured, or it leaks. Higher: it is narrower, or a support is shut and full of air. Measure again, or calibrate it by pouring on the bench.`,
      },
      {
        id: 'level',
        must: say`The water stands equally high in every corner.`,
        mend: say`Shim the low side, and look again.`,
      },
      {
        id: 'leak',
        must: runs
          ? say`It runs from the overflow and nowhere else; the level has not fallen.`
          : say`It leaks nowhere; the level has not fallen.`,
        mend: say`Empty it, dry the place, patch or seal it from the inside, and test it again before any soil goes in.`,
      },
    ],
    measures: [
      measure('poured', { label: 'Water stood at', kind: 'length', min: 0.001, max: 1.5 }, level),
      measure(
        'tilt',
        { label: 'Difference between the ends', kind: 'length', min: 0, max: 0.1 },
        design.place.slopeAcross * long,
        ['place', 'slopeAcross'],
        1 / long,
      ),
    ],
  };
};

export const base: Write = ({ planter, figures }) => {
  const { design, layout } = planter;
  const { fill, blanket } = design.reservoir;
  const loose = figures.aggregates.filter(({ medium }) => medium !== 'mix');
  if (fill.length === 0 && !blanket && loose.length === 0) return null;
  const doing: Message[] = [];
  if (loose.length > 0)
    doing.push(say`Drain the test water off. Rinse stone and sand until the water runs clear.`);
  fill.forEach(({ medium, upTo }) => {
    const up = say`up to ${q(upTo * design.reservoir.top, 'length')}`;
    const around = layout.parts.length > 0 ? ' around what stands there' : '';
    doing.push(
      medium === 'mix'
        ? say`Pack wet mix${around} ${up}, firmly: it is the wick.`
        : say`Fill in ${FILLS[medium].name.toLowerCase()}${around} ${up}.`,
    );
  });
  if (blanket) {
    doing.push(
      say`Spread ${q(blanket.thickness, 'length')} of ${FILLS[blanket.medium].name.toLowerCase()} over it, wet and level.`,
    );
  }
  return {
    id: 'base',
    title: 'Fill the base',
    doing,
    tools: ['Shovel', 'Sieve', 'Hose'],
    minutes: 15 + Math.round(loose.reduce((sum, { mass }) => sum + mass, 0) / 8),
    cautions: [
      ...(loose.length > 0 ? (['stone'] as const) : []),
      ...(fill.some(({ medium }) => medium === 'mix') ? (['dust'] as const) : []),
    ],
  };
};

export const fill: Write = ({ planter, figures, parts }) => {
  const { design } = planter;
  const { soil } = design;
  const doing: Message[] = [];
  const ingredients = parts.find(({ id }) => id === 'mix')?.ingredients;
  if (ingredients) {
    const shares = ingredients
      .map(({ id, parts: n }) => `${n} of ${ingredientWord(id)}`)
      .join(', ');
    doing.push(say`Mix by parts: ${shares}; moisten it until a handful gives a drop or two.`);
  } else {
    doing.push(
      say`Moisten the ${mixOf(soil).name.toLowerCase()} until a handful gives a drop or two.`,
    );
  }
  if (soil.marker) doing.push(say`Lay the straw marker first: it says where to stop digging.`);
  const { feed, lime } = feedingOf(design, figures);
  if (lime) doing.push(say`Mix the lime through: ${lime.text}.`);
  doing.push(
    say`Fill it in layers of a hand, each watered so that it settles now: ${q(figures.looseVolume, 'volume')} loose, to ${q(soil.freeboard, 'length')} under the rim.`,
  );
  if (feed) doing.push(say`Lay the granules in a strip away from the stems: ${feed.text}.`);
  return {
    id: 'fill',
    title: 'Fill in the mix',
    doing,
    tools: ['Shovel', 'Watering can', 'Gloves'],
    minutes: 10 + Math.round(figures.looseVolume * 300),
    cautions: ['dust'],
    measures: [measure('freeboard', FIELDS.soil.freeboard, soil.freeboard, ['soil', 'freeboard'])],
  };
};

export const plant: Write = ({ planter }) => {
  const { crop, count, spacing } = planter.design.planting;
  if (count === 0) return null;
  const { room } = plantingPlan(planter);
  const placed = Math.min(count, room);
  return {
    id: 'plant',
    title: 'Plant',
    doing: [
      say`${q(placed, 'count')} ${placed === 1 ? 'plant' : 'plants'} of ${CROPS[crop].name.toLowerCase()}${placed === 1 ? ', in the middle' : say`, ${q(spacing, 'span')} from plant to plant, as the plan shows`}.`,
      ...(count > room
        ? [say`The surface takes ${q(room, 'count')} at this spacing, not ${q(count, 'count')}.`]
        : []),
    ],
    tools: ['Trowel'],
    minutes: 5 + 2 * Math.min(placed, 60),
    cautions: ['dust'],
    measures: [measure('count', FIELDS.planting.count, count, ['planting', 'count'])],
  };
};

export const water: Write = ({ planter, figures }) => {
  const { design, heights } = planter;
  const runs = heights.invert !== null && design.overflow?.kind !== 'rim';
  const how = design.reservoir.supply
    ? 'from the barrel'
    : design.fillTube
      ? 'down the tube'
      : 'from the top';
  return {
    id: 'water',
    title: 'Water from the top once, then fill',
    doing: [
      say`Water the whole surface until it drains: that joins the soil to the wick.`,
      runs
        ? say`Then fill ${how} until the overflow runs: up to ${q(figures.standing, 'volume')}.`
        : say`Then fill ${how} to ${q(heights.brim, 'length')}: up to ${q(figures.standing, 'volume')}.`,
    ],
    tools: ['Watering can'],
    minutes: 15,
    checks: [
      {
        id: 'moist',
        must: say`A day later the surface’s first knuckle of soil is still moist.`,
        mend: say`Water from the top once more. If it dries again over a full reservoir, look at the wick.`,
      },
    ],
  };
};

export const close: Write = ({ planter, parts }) => {
  const { design } = planter;
  const open = design.place.rain !== 'indoors';
  const doing: Message[] = [];
  if (design.soil.mulch !== 'none') {
    doing.push(
      design.soil.mulch === 'cover'
        ? say`Cover the surface, a cross cut for each plant.`
        : say`Mulch the surface, clear of the stems.`,
    );
  }
  if (parts.some(({ id }) => id === 'cap')) doing.push(say`Close the fill tube.`);
  if (parts.some(({ id }) => id === 'stick')) {
    doing.push(say`Mark the dip stick from its template, or by pouring, and keep it in the tube.`);
  }
  doing.push(say`Put its label on: name, date, what grows.`);
  return {
    id: 'close',
    title: 'Cover, close and label',
    doing,
    tools: ['Waterproof pen'],
    minutes: 10,
    cautions: [
      ...(open ? (['mosquitoes'] as const) : []),
      ...(design.place.children ? (['covered'] as const) : []),
    ],
  };
};

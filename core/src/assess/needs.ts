import { CLOTHS, FILLS, FITTINGS, PIPES, SEPARATORS, STANDING } from '../catalog';
import type { Planter } from '../planter';
import { q, say, type Message } from '../quantity';
import { lengthOf } from '../reservoir';
import type { Figures } from './figures';

/** Something that a planter takes: what it is, and how much or how large. */
export interface Need {
  /** Stable, so that two planters' lists can stand side by side. */
  id: string;
  what: string;
  amount: Message;
}

/** What a planter takes, in the order of the work. */
export function needsOf(planter: Planter, figures: Figures): Need[] {
  const { design, layout, vessel, bed: ground } = planter;
  const list: Need[] = [];
  const add = (id: string, what: string, amount: Message) => list.push({ id, what, amount });
  const { reservoir, overflow, fillTube, bed, soil } = design;
  add('vessel', 'Vessel', say`${q(vessel.volumeBelow(vessel.depth), 'volume')} to the rim`);
  if (bed?.kind === 'row') add('beds', 'Pails', say`${q(bed.count, 'count')}`);
  if (bed?.kind === 'bag') add('beds', 'Bags', say`${q(bed.count, 'count')}`);
  if (bed?.kind === 'nested') add('beds', 'Second vessel', say`an equal one`);
  if (design.vessel.kind === 'frame' && design.vessel.liner !== 'none') {
    const { length, width, depth } = design.vessel;
    const lap = 0.15;
    const [l, w] = [length + 2 * depth + 2 * lap, width + 2 * depth + 2 * lap];
    add('liner', 'Liner', say`${q(l, 'span')} by ${q(w, 'span')}`);
  }
  layout.parts.forEach((part, i) => {
    const d = part.design;
    if (d.kind === 'ring') {
      if (!d.cutEnd) add(`part-${i}`, 'Ring of pipe', say`${q(part.height, 'length')} high`);
    } else if (d.kind === 'standing') {
      add(
        `part-${i}`,
        STANDING[d.what].name,
        say`${q(part.placed, 'count')}, ${q(d.diameter, 'length')} across, ${q(part.height, 'length')} high`,
      );
    } else if (d.kind === 'lying') {
      const length = part.runs.reduce((sum, run) => sum + lengthOf(run), 0);
      add(`part-${i}`, 'Perforated pipe', say`${q(length, 'span')} of ${q(d.diameter, 'length')}`);
    } else if (d.kind === 'crates') {
      add(
        `part-${i}`,
        'Crates or boxes',
        say`${q(part.placed, 'count')}, ${q(d.length, 'length')} by ${q(d.width, 'length')} by ${q(part.height, 'length')}`,
      );
    } else if (d.kind === 'arch') {
      add(`part-${i}`, 'Panel, cut', say`${q(d.width, 'length')} wide`);
    }
  });
  if (reservoir.cover === 'platform' && !bed) {
    const { length, width } = figures.platform;
    add(
      'platform',
      'Platform',
      Math.abs(length - width) < 1e-6 && design.vessel.kind === 'round'
        ? say`${q(length, 'length')} across`
        : say`${q(length, 'length')} by ${q(width, 'length')}`,
    );
  }
  design.wicks.forEach((wick, i) => {
    if (wick.kind === 'cloth') {
      add(
        `wick-${i}`,
        CLOTHS[wick.material].name,
        say`${q(wick.legs, 'count')} legs, ${q(wick.width, 'length')} wide`,
      );
    } else if (wick.kind === 'cup') {
      add(
        `wick-${i}`,
        'Packed cups',
        say`${q(wick.count, 'count')} of ${q(wick.diameter, 'length')}`,
      );
    } else {
      add(
        `wick-${i}`,
        `Columns of ${wick.medium === 'mix' ? 'mix' : FILLS[wick.medium].name.toLowerCase()}`,
        say`${q(wick.count, 'count')} of ${q(wick.diameter, 'length')}`,
      );
    }
  });
  if (overflow && overflow.kind !== 'rim') {
    const name = overflow.kind === 'fitting' ? FITTINGS[overflow.style].name : 'Drilled hole';
    const holes = overflow.kind === 'rows' ? overflow.count * overflow.rows : overflow.count;
    add(
      'overflow',
      overflow.kind === 'rows' ? 'Rows of holes' : name,
      say`${q(holes, 'count')} of ${q(overflow.diameter, 'length')}`,
    );
  }
  if (fillTube) {
    add(
      'tube',
      'Fill tube',
      say`${PIPES[fillTube.pipe].name}, ${q(fillTube.length + fillTube.run, 'length')}`,
    );
  }
  const lies = layout.parts.some((part) => part.runs.length > 0);
  if (fillTube && (fillTube.run > 0 || lies)) {
    add('elbow', 'Elbow at its foot', say`1, for ${PIPES[fillTube.pipe].name}`);
  }
  design.pipes.forEach((pipe, i) =>
    add(
      `pipe-${i}`,
      pipe.use === 'worm' ? 'Worm tube' : 'Inspection pipe',
      say`${q(pipe.diameter, 'length')} across`,
    ),
  );
  if (reservoir.supply)
    add('supply', 'Supply barrel', say`${q(reservoir.supply.volume, 'volume')}`);
  if (design.separator !== 'none') {
    const area =
      bed === null ? vessel.areaAt(reservoir.top) : ground.places.length * ground.inside.areaAt(0);
    add(
      'separator',
      SEPARATORS[design.separator].name,
      say`to cover ${q(Math.sqrt(area), 'span')} square`,
    );
  }
  for (const { medium, volume } of figures.aggregates) {
    add(`fill-${medium}`, FILLS[medium].name, say`${q(volume, 'volume')}`);
  }
  add(
    'mix',
    'Mix, loose',
    say`${q(figures.looseVolume, 'volume')}: ${q(figures.bags, 'count')} bags of ${q(soil.bag, 'volume')}`,
  );
  return list;
}

import { CLOTHS, FILLS, STANDING } from '../../catalog';
import { clothGood, crateGood, drainPipe, plainPipe, SMALL_GOODS, standingGood } from '../goods';
import { q, say } from '../../quantity';
import { areaNeeded } from '../sheets';
import type { Making } from './part';

/** What stands or lies in the base, the platform, the wicks. */
export function baseParts({ planter, length, sheet, add }: Making): void {
  const { design, layout } = planter;
  layout.parts.forEach((part, i) => {
    const d = part.design;
    const id = `part-${i}`;
    if (part.placed === 0) return;
    if (d.kind === 'ring' && !d.cutEnd) {
      add(
        id,
        'Ring of pipe',
        say`${q(d.diameter, 'length')} across, ${q(part.height, 'length')} high`,
        'Bears the platform',
        plainPipe(d.diameter),
        length(id),
      );
    } else if (d.kind === 'standing') {
      const size = say`${q(part.placed, 'count')}, ${q(d.diameter, 'length')} across, ${q(part.height, 'length')} high`;
      const pipe = d.what === 'pipe';
      const use =
        design.reservoir.cover === 'platform' ? 'Bear the platform' : 'Keep the water’s room open';
      add(
        id,
        STANDING[d.what].name,
        size,
        use,
        pipe ? plainPipe(d.diameter) : standingGood(d.what, d.diameter),
        pipe ? length(id) : part.placed,
      );
    } else if (d.kind === 'lying') {
      add(
        id,
        'Perforated pipe',
        say`${q(length(id), 'span')} of ${q(d.diameter, 'length')}`,
        'Keeps the water’s room open',
        drainPipe(d.diameter, d.sock),
        length(id),
      );
    } else if (d.kind === 'crates') {
      const one = d.length * d.width * part.height;
      add(
        id,
        'Crates or boxes',
        say`${q(part.placed, 'count')}, ${q(d.length, 'length')} by ${q(d.width, 'length')} by ${q(part.height, 'length')}`,
        'Bear the soil over the water',
        crateGood(d.what, one),
        part.placed,
      );
    } else if (d.kind === 'arch') {
      add(
        id,
        'Panel',
        say`${q(d.width, 'length')} wide, ${q(part.height, 'length')} high`,
        'Cut from the vessel’s side, laid over the water',
      );
    } else if (d.kind === 'sticks') {
      const layers = Math.max(Math.round(part.height / d.diameter), 1);
      add(
        id,
        'Sticks',
        say`${q(layers, 'count')} crossed layers, ${q(d.diameter, 'length')} thick, ${q(d.spacing, 'length')} apart`,
        'Keep the soil up; from the garden',
      );
    }
  });
  const platform = sheet('platform');
  if (platform) {
    const round = design.vessel.kind === 'round';
    const size = round
      ? say`${q(platform.length, 'length')} across`
      : say`${q(platform.length, 'length')} by ${q(platform.width, 'length')}`;
    const own = platform.id === 'cut-end';
    add(
      'platform',
      own ? 'Cut end as platform' : 'Platform',
      size,
      own ? 'The vessel’s own end, slid in' : 'Bears the soil',
      own ? null : SMALL_GOODS.platform,
      own ? 0 : 1,
    );
  }
  design.wicks.forEach((wick, i) => {
    const id = `wick-${i}`;
    const size = say`${q('count' in wick ? wick.count : wick.legs, 'count')}`;
    if (wick.kind === 'cloth') {
      const legs = sheet(id);
      add(
        id,
        CLOTHS[wick.material].name,
        say`${size} legs, ${q(legs?.length ?? 0, 'length')} long, ${q(wick.width, 'length')} wide`,
        'Lifts the water',
        clothGood(wick.material),
        legs ? areaNeeded(legs) : 0,
      );
    } else if (wick.kind === 'cup') {
      add(
        id,
        'Packed cups',
        say`${size} of ${q(wick.diameter, 'length')}`,
        'Lift the water, packed with mix',
        SMALL_GOODS.wickCup,
        wick.count,
      );
    } else {
      const name = wick.medium === 'mix' ? 'mix' : FILLS[wick.medium].name.toLowerCase();
      add(
        id,
        `Columns of ${name}`,
        say`${size} of ${q(wick.diameter, 'length')}`,
        'Lift the water; counted below',
      );
    }
  });
}

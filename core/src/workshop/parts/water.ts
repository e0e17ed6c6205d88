import { FITTINGS, PIPES } from '../../catalog';
import { fittingGood, pipeGood, plainPipe, SMALL_GOODS } from '../goods';
import { q, say } from '../../quantity';
import type { Making } from './part';

/** Overflow, tubes, gauge, supply. */
export function waterParts({ planter, length, add }: Making): void {
  const { design, layout } = planter;
  const { overflow, fillTube, reservoir } = design;
  if (overflow?.kind === 'fitting') {
    const name = FITTINGS[overflow.style].name;
    add(
      'overflow',
      name,
      say`${q(overflow.count, 'count')} of ${q(overflow.bore, 'length')} bore`,
      'Overflow',
      fittingGood(overflow.style, overflow.bore),
      overflow.count,
    );
  }
  // A lining keeps insects out of rows of holes.
  if ((overflow?.kind === 'hole' || overflow?.kind === 'fitting') && overflow.screened) {
    const holes = overflow.count;
    add(
      'screen',
      'Insect screen',
      say`${q(holes, 'count')} ${holes === 1 ? 'patch' : 'patches'}`,
      'Over the overflow, inside',
      SMALL_GOODS.screen,
      holes,
    );
  }
  if (fillTube) {
    const pipe = say`${PIPES[fillTube.pipe].name}, ${q(fillTube.length + fillTube.run, 'length')}`;
    add(
      'tube',
      'Fill tube',
      pipe,
      'From above the rim to the floor',
      pipeGood(fillTube.pipe),
      length('tube'),
    );
    const lies = layout.parts.some((part) => part.runs.length > 0);
    if (fillTube.run > 0 || lies) {
      add(
        'elbow',
        'Elbow at its foot',
        say`1, for ${PIPES[fillTube.pipe].name}`,
        'Joins the tube to what lies',
        SMALL_GOODS.elbow,
        1,
      );
    }
    add('clip', 'Clip', say`1`, 'Holds the tube to the wall', SMALL_GOODS.clip, 1);
    if (fillTube.cap !== 'open') {
      const good = fillTube.cap === 'cap' ? SMALL_GOODS.cap : SMALL_GOODS.sponge;
      add(
        'cap',
        fillTube.cap === 'cap' ? 'Cap' : 'Sponge',
        say`1`,
        'Closes the fill tube',
        good,
        1,
      );
    }
  }
  layout.pipes.forEach((pipe, i) => {
    const worm = design.pipes[i]?.use === 'worm';
    add(
      `pipe-${i}`,
      worm ? 'Worm tube' : 'Inspection pipe',
      say`${q(2 * pipe.r, 'length')} across, ${q(length(`pipe-${i}`), 'length')}`,
      worm ? 'Takes scraps' : 'To look at the water',
      plainPipe(2 * pipe.r),
      length(`pipe-${i}`),
    );
  });
  if (fillTube || design.pipes.some(({ use }) => use === 'inspection')) {
    add('stick', 'Dip stick', say`1`, 'Marked from its template', SMALL_GOODS.dipStick, 1);
  }
  if (reservoir.supply) {
    add(
      'supply',
      'Supply barrel',
      say`${q(reservoir.supply.volume, 'volume')}`,
      'Feeds the channel',
      SMALL_GOODS.supply,
      1,
    );
    add(
      'valve',
      'Float valve',
      say`set to ${q(reservoir.supply.level, 'length')}`,
      'Keeps the level',
      SMALL_GOODS.valve,
      1,
    );
  }
}

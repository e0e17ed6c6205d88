import { boardGood, FLOOR_BOARD, legGood, linerGood, SMALL_GOODS, vesselGood } from '../goods';
import { q, say } from '../../quantity';
import { areaNeeded } from '../sheets';
import { sized, type Making } from './part';

/** Screws at each corner and for each floor board. */
const SCREWS_A_CORNER = 6;
const SCREWS_A_BOARD = 4;
const CORNERS = 4;

/** Vessels, boards, liner. */
export function vesselParts({ planter, cuts, length, sheet, add }: Making): void {
  const { design, vessel, bed } = planter;
  const holds = say`${q(vessel.volumeBelow(vessel.depth), 'volume')} to the rim`;
  if (design.vessel.kind === 'frame') {
    const { wall, depth, legs } = design.vessel;
    add('vessel', 'Box', holds, 'Made of the boards below');
    const boards = say`${q(length('boards'), 'span')} of boards ${q(wall, 'length')} thick`;
    add(
      'boards',
      'Side boards',
      boards,
      'The four sides',
      boardGood(wall, depth),
      length('boards'),
    );
    let screws = CORNERS * SCREWS_A_CORNER;
    if (legs > 0) {
      const floor = cuts.flatMap(({ pieces }) => pieces).find(({ part }) => part === 'floor');
      screws += (floor?.count ?? 0) * SCREWS_A_BOARD;
      add(
        'floor',
        'Floor boards',
        say`${q(floor?.count ?? 0, 'count')} of ${q(floor?.length ?? 0, 'span')}, ${q(FLOOR_BOARD, 'length')} wide`,
        'Bear the water and the soil',
        boardGood(wall, FLOOR_BOARD),
        length('floor'),
      );
      add(
        'legs',
        'Legs',
        say`4 of ${q(length('legs') / 4, 'span')}`,
        'Under the corners',
        legGood(),
        length('legs'),
      );
    }
    add(
      'screws',
      'Screws',
      say`${q(screws, 'count')}`,
      'Corners and floor',
      SMALL_GOODS.screws,
      screws,
    );
  } else {
    add(
      'vessel',
      'Vessel',
      holds,
      'Holds it all',
      vesselGood(design.vessel.material, vessel.volumeBelow(vessel.depth)),
      1,
    );
  }
  if (design.vessel.drainHole || design.vessel.cracked) {
    add('patch', 'Patch', say`1`, 'Closes the old hole or crack', SMALL_GOODS.patch, 1);
  }
  const one = bed.inside.volumeBelow(bed.inside.depth);
  if (design.bed?.kind === 'row') {
    add(
      'beds',
      'Pails',
      say`${q(design.bed.count, 'count')} of ${q(one, 'volume')}`,
      'Hold the soil, above the channel',
      vesselGood('pp', one),
      design.bed.count,
    );
  }
  if (design.bed?.kind === 'bag') {
    add(
      'beds',
      'Bags',
      say`${q(design.bed.count, 'count')} of ${q(one, 'volume')}`,
      'Stand in the tray',
      SMALL_GOODS.bag,
      design.bed.count,
    );
  }
  if (design.bed?.kind === 'nested') {
    add(
      'beds',
      'Second vessel',
      say`an equal one`,
      'Holds the soil, set into the first',
      vesselGood(design.vessel.material, vessel.volumeBelow(vessel.depth)),
      1,
    );
  }
  if (design.bed?.kind === 'neck') {
    add(
      'beds',
      'Upper part of the bottle',
      say`cut off at ${q(planter.vessel.depth, 'length')}`,
      'Turned over, holds the soil',
    );
  }
  const liner = sheet('liner');
  if (liner && design.vessel.kind === 'frame' && design.vessel.liner !== 'none') {
    add(
      'liner',
      'Liner',
      sized(liner),
      'Keeps the water in the box',
      linerGood(design.vessel.liner),
      areaNeeded(liner),
    );
  }
}

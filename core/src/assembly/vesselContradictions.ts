import { depthOf, type PlanterDesign, type VesselDesign } from '../document';
import { q, say } from '../units';
import type { Vessel } from '../geometry/vessels';
import { found, type Contradiction } from './contradiction';

/** A nested vessel may stand this far above the rim of the lower one, metres. */
const MOST_LIFT = 0.1;

/** A bottle's neck must reach at least so far into its base to be held by it, metres. */
const LEAST_DIP = 0.01;

/** What in a vessel's own measures cannot be; paths begin with `vessel`. */
export function vesselContradictions(vessel: VesselDesign): Contradiction[] {
  const list: Contradiction[] = [];
  if (vessel.kind === 'box') {
    const half =
      Math.min(vessel.topWidth, vessel.bottomWidth, vessel.topLength, vessel.bottomLength) / 2;
    if (vessel.corner > half + 1e-9) {
      list.push(
        found(
          ['vessel', 'corner'],
          say`A corner radius of ${q(vessel.corner, 'length')} is more than half of the width. Give ${q(half, 'length')} or less.`,
        ),
      );
    }
  }
  if (vessel.kind === 'lying' && vessel.depth > vessel.diameter * 0.95 + 1e-9) {
    list.push(
      found(
        ['vessel', 'depth'],
        say`Cut at ${q(vessel.depth, 'length')} a round of ${q(vessel.diameter, 'length')} has no opening to plant in. Cut it at ${q(vessel.diameter * 0.95, 'length')} or lower.`,
      ),
    );
  }
  if (vessel.kind === 'stations') {
    vessel.stations.forEach(({ height }, i) => {
      const before = vessel.stations[i - 1]?.height;
      if (i === 0 && height !== 0) {
        list.push(
          found(
            ['vessel', 'stations', 0, 'height'],
            say`The first size is taken at the floor. Give a height of 0 there.`,
          ),
        );
      } else if (before !== undefined && height < before + 1e-3) {
        list.push(
          found(
            ['vessel', 'stations', i, 'height'],
            say`Sizes go up from the floor: this one must stand higher than ${q(before, 'length')}.`,
          ),
        );
      }
    });
  }
  if (vessel.kind === 'poured') {
    vessel.readings.forEach((reading, i) => {
      const before = vessel.readings[i - 1] ?? { volume: 0, height: 0 };
      if (reading.volume <= before.volume || reading.height < before.height + 1e-3) {
        list.push(
          found(
            ['vessel', 'readings', i, reading.volume <= before.volume ? 'volume' : 'height'],
            say`Water only rises as more is poured in: after ${q(before.volume, 'volume')} at ${q(before.height, 'length')} both must be more.`,
          ),
        );
      }
    });
    const last = vessel.readings[vessel.readings.length - 1];
    if (last && last.height > vessel.depth + 1e-9) {
      list.push(
        found(
          ['vessel', 'depth'],
          say`Water stood at ${q(last.height, 'length')}, so the vessel is at least that deep. Measure floor to rim again.`,
        ),
      );
    }
  }
  if (depthOf(vessel) < 0.03) {
    list.push(
      found(
        vessel.kind === 'stations'
          ? ['vessel', 'stations', vessel.stations.length - 1, 'height']
          : ['vessel', 'depth'],
        say`A vessel needs at least ${q(0.03, 'length')} of depth.`,
      ),
    );
  }
  return list;
}

/** What in the measures of a bed of its own cannot be, given the vessel that holds its water. */
export function bedMeasures(
  { bed, vessel, reservoir }: PlanterDesign,
  shape: Vessel,
): Contradiction[] {
  if (!bed) return [];
  const list: Contradiction[] = [];
  const rim = shape.outlineAt(shape.depth);
  const narrow = 2 * Math.min(rim.a, rim.b);
  if (bed.kind === 'neck') {
    if (vessel.kind !== 'round') {
      list.push(found(['bed'], say`Only a round bottle can be turned over into its own base.`));
    } else if (bed.neckDiameter > narrow * 0.9) {
      list.push(
        found(
          ['bed', 'neckDiameter'],
          say`A neck of ${q(bed.neckDiameter, 'length')} is no neck on a bottle ${q(narrow, 'length')} across. Measure the opening under the cap.`,
        ),
      );
    }
    if (bed.shoulder > bed.depth * 0.9) {
      list.push(
        found(
          ['bed', 'shoulder'],
          say`The shoulder takes all of the ${q(bed.depth, 'length')} that the upper part has. Give ${q(bed.depth * 0.9, 'length')} or less.`,
        ),
      );
    }
  }
  if (bed.kind === 'bag') {
    const floor = shape.outlineAt(0);
    const room = 2 * Math.min(floor.a, floor.b);
    const across = Math.max(bed.topDiameter, bed.bottomDiameter) + 2 * bed.wall;
    if (across > room + 1e-9) {
      list.push(
        found(
          ['bed', bed.topDiameter >= bed.bottomDiameter ? 'topDiameter' : 'bottomDiameter'],
          say`A bag ${q(across, 'length')} across does not stand in a tray that is ${q(room, 'length')} wide. Use one of ${q(room, 'length')} or less.`,
        ),
      );
    }
  }
  if (bed.kind === 'row') {
    const across = Math.max(bed.topDiameter, bed.bottomDiameter) + 2 * bed.wall;
    const room = (2 * rim.a) / bed.count;
    if (across > room + 1e-9) {
      list.push(
        found(
          ['bed', 'count'],
          say`${q(bed.count, 'count')} pails of ${q(across, 'length')} do not stand side by side on ${q(2 * rim.a, 'length')}. There is room for ${q(Math.floor((2 * rim.a) / across + 1e-9), 'count')}.`,
        ),
      );
    }
  }
  const most =
    bed.kind === 'row'
      ? shape.depth
      : bed.kind === 'nested'
        ? shape.depth + MOST_LIFT
        : shape.depth - (bed.kind === 'neck' ? LEAST_DIP : 0);
  if (bed.kind !== 'bag' && reservoir.top > most + 1e-9) {
    list.push(
      found(
        ['reservoir', 'top'],
        say`At ${q(reservoir.top, 'length')} it would stand above the ${q(shape.depth, 'length')} deep vessel that holds its water. Lower it to ${q(most, 'length')}.`,
      ),
    );
  }
  return list;
}

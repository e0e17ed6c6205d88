import { MATERIAL_DENSITY } from '../../catalog';
import { onGround } from '../joining';
import { partGroup, type Part, type PartDefinition, type PlacementSite } from '../part';

/**
 * What carries a row of pails that are wider than the channel under them: two boards on edge beside the channel, as high
 * as the pails' floors, and cover boards across the channel between the pails, which keep light out and the two upright.
 */

/** Thickness of a board on edge and of a cover board, metres. */
export const BEARER = 0.038;
export const COVER = 0.019;
/** Between channel and board, metres. */
const PLAY = 0.005;
/** A gap that is narrower is left open, metres. */
const LEAST_COVER = 0.02;

interface Room {
  /** Half length of the channel, and from its middle to the boards' inner faces. Metres. */
  half: number;
  inner: number;
  /** Half width of a pail at its floor. */
  pail: number;
}

function roomOf({ vessel, bed }: PlacementSite): Room | null {
  const { a, b } = vessel.outlineAt(vessel.depth);
  const inner = b + vessel.wall + PLAY;
  const pail = bed.inside.outlineAt(0).a + bed.wall;
  // What is as narrow as the channel stands on its rim.
  return pail > inner + BEARER / 2 ? { half: a + vessel.wall, inner, pail } : null;
}

/** The stretches of the channel that no pail covers, from its left end to its right. */
function gaps({ half, pail }: Room, places: readonly { x: number }[]): [number, number][] {
  const middles = places.map(({ x }) => x).sort((one, other) => one - other);
  const edges = [-half, ...middles.flatMap((x) => [x - pail, x + pail]), half];
  const pairs: [number, number][] = [];
  for (let i = 0; i < edges.length; i += 2)
    pairs.push([edges[i] as number, edges[i + 1] as number]);
  return pairs.filter(([from, to]) => to - from >= LEAST_COVER);
}

export const bearers: PartDefinition<'bearers'> = {
  asked: ({ bed }) => (bed?.kind === 'row' ? [{ spec: bed, index: 0 }] : []),
  place(asked, site) {
    const room = roomOf(site);
    const { vessel, bed } = site;
    const [ground, floor] = [-vessel.wall, bed.floor - bed.wall];
    const piece = (id: string, x: number, y: number, z: [number, number], a: number, b: number) =>
      ({
        id,
        ...{ x, y, from: z[0], to: z[1] },
        foot: { form: 'box', a, b },
        ...{ body: null, bore: null },
      }) as const satisfies Part;
    const boards = !room
      ? []
      : [-1, 1].map((side, i) =>
          piece(
            `bearers-${i}`,
            0,
            side * (room.inner + BEARER / 2),
            [ground, floor],
            room.half,
            BEARER / 2,
          ),
        );
    const covers = !room
      ? []
      : gaps(room, bed.places).map(([from, to], i) =>
          piece(
            `bearers-${i + 2}`,
            (from + to) / 2,
            0,
            [floor, floor + COVER],
            (to - from) / 2,
            room.inner + BEARER,
          ),
        );
    const parts: Part[] = [...boards, ...covers];
    const volume = parts.reduce(
      (sum, { foot, from, to }) =>
        sum + (foot.form === 'box' ? 4 * foot.a * foot.b * (to - from) : 0),
      0,
    );
    return partGroup('bearers', asked, {
      wanted: parts.length,
      parts,
      height: floor,
      mass: volume * MATERIAL_DENSITY.wood,
    });
  },
  joints: (group) => (group.parts.length > 0 ? onGround(group) : []),
  name: (_spec, count) => (count === 1 ? 'bearer' : 'bearers and covers'),
};

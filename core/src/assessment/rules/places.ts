import {
  BEARERS,
  leavePlaces,
  placesOfLot,
  type PartGroup,
  type Place,
  type Planter,
} from '../../assembly';
import { q, say } from '../../units';
import type { Draft, BenchPanel, Rule } from '../finding';

/** Whether what was put somewhere by hand stands there. */

/** The rooms of the bench where the places are kept. */
const ROOM_OF: Partial<Record<string, BenchPanel>> = {
  tube: 'tube',
  inspection: 'tube',
  worm: 'tube',
};

/** The places of a group of parts that were chosen by hand and cannot be had. */
export const misplaced = (planter: Planter, group: PartGroup): Place[] =>
  placesOfLot(planter, group).filter(({ stands }) => !stands);

export const placesFit: Rule = ({ planter }) =>
  planter.partGroups.flatMap((group): Draft[] => {
    const [first, ...others] = misplaced(planter, group);
    if (!first) return [];
    const alone = group.wanted === 1 || first.number === null;
    const who = alone
      ? say`the ${first.name}`
      : others.length === 0
        ? say`${first.name} ${q(first.number ?? 1, 'count')}`
        : say`${q(others.length + 1, 'count')} of the ${q(group.wanted, 'count')}`;
    const stands = group.parts.length >= group.wanted;
    return [
      {
        id: `places-${group.id}`,
        severity: stands ? 'watch' : 'fault',
        panel: ROOM_OF[group.kind] ?? (BEARERS.includes(group.kind) ? 'water' : 'wick'),
        text: stands
          ? say`Move ${who}: it does not fit where you put it and stands where there is room.`
          : say`Move ${who} clear of walls and other things: ${others.length > 0 ? 'they do' : 'it does'} not fit there and ${others.length > 0 ? 'are' : 'is'} left out.`,
        propose: () => [
          {
            label: say`Let Huerta choose the ${alone ? 'place' : 'places'}`,
            patch: leavePlaces(planter, first.id),
          },
        ],
      },
    ];
  });

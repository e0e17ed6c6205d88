import { q, say } from '../../quantity';
import type { Draft, Rule } from '../finding';
import { set } from '../moves';

export const formerContents: Rule = ({ design: { vessel } }) => {
  if (vessel.formerContents === 'harmful') {
    return [
      {
        id: 'contents-harmful',
        severity: 'danger',
        room: 'vessel',
        text: say`This vessel held something harmful. Plastic soaks it up and gives it back to soil and roots: do not grow in it. Choose another vessel.`,
      },
    ];
  }
  if (vessel.formerContents === 'unknown') {
    return [
      {
        id: 'contents-unknown',
        severity: 'danger',
        room: 'vessel',
        text: say`Nobody knows what this vessel held. Use only one that is new or is known to have held food; if you find out, say so under Vessel.`,
      },
    ];
  }
  return [];
};

export const plasticCode: Rule = ({ design: { vessel } }) =>
  vessel.plastic === 'unknown' || vessel.plastic === 'other'
    ? [
        {
          id: 'plastic-code',
          severity: 'watch',
          room: 'vessel',
          text:
            vessel.plastic === 'unknown'
              ? say`The plastic has no code to go by. For food, look for 1, 2, 4 or 5 in the triangle on the base.`
              : say`Plastics coded 3, 6 and 7 are not the ones to grow food in. Look for 1, 2, 4 or 5.`,
        },
      ]
    : [];

export const drainHole: Rule = ({ design: { vessel }, figures }) =>
  vessel.drainHole
    ? [
        {
          id: 'drain-hole',
          severity: 'fault',
          room: 'vessel',
          text: say`The old hole in the floor lets all ${q(figures.gross, 'volume')} run out. Patch it and leak-test before any soil goes in.`,
          propose: () => [
            { label: say`Mark it as patched`, patch: [set(['vessel', 'drainHole'], false)] },
          ],
        },
      ]
    : [];

export const colour: Rule = ({ design: { vessel, place } }) => {
  const drafts: Draft[] = [];
  const wrap = { label: say`Wrap or paint it light`, patch: [set(['vessel', 'colour'], 'light')] };
  if (vessel.colour === 'clear') {
    drafts.push({
      id: 'clear-wall',
      severity: 'watch',
      room: 'vessel',
      text: say`Light gets through the wall: algae will grow in the reservoir and take the roots’ air.`,
      propose: () => [wrap],
    });
  }
  if (vessel.colour === 'dark' && place.exposure !== 'sheltered' && place.rain !== 'indoors') {
    drafts.push({
      id: 'dark-wall',
      severity: 'watch',
      room: 'vessel',
      text: say`A dark wall in full sun cooks the roots behind it. Wrap it, paint it light, or stand it in half shade.`,
      propose: () => [wrap],
    });
  }
  return drafts;
};

/** Edge-to-edge difference that a level and a shim can still put right to, metres. */
const LEVEL_ENOUGH = 0.003;

export const outOfLevel: Rule = ({ planter: { heights }, figures }) => {
  const { outOfLevel: tilt } = figures;
  if (tilt <= LEVEL_ENOUGH || heights.invert === null) return [];
  const wettest = heights.invert + tilt;
  const over = wettest - heights.ceiling;
  const shim = {
    label: say`Level it with a ${q(tilt, 'length')} shim`,
    patch: [set(['place', 'slope'], 0)],
  };
  if (over > 0 && heights.invert <= heights.ceiling) {
    return [
      {
        id: 'level-wet',
        severity: 'fault',
        room: 'vessel',
        text: say`The floor is ${q(tilt, 'length')} out of level from edge to edge. With the overflow on the high side, water stands ${q(over, 'length')} above the platform on the low side. Put a shim under the low side.`,
        propose: () => [shim],
      },
    ];
  }
  return [
    {
      id: 'level-loss',
      severity: 'watch',
      room: 'vessel',
      text: say`The floor is ${q(tilt, 'length')} out of level from edge to edge: with the overflow on the low side the reservoir fills ${q(tilt / 2, 'length')} less on average. Put a shim under the low side.`,
      propose: () => [shim],
    },
  ];
};

export const load: Rule = ({ design: { place }, figures: { weight } }) => {
  const drafts: Draft[] = [];
  if (place.floorLimit !== null && weight.pressure > place.floorLimit) {
    drafts.push({
      id: 'floor-load',
      severity: 'danger',
      room: 'vessel',
      text: say`Full it presses ${q(weight.pressure, 'pressure')} on its footprint, more than the ${q(place.floorLimit, 'pressure')} you gave for the floor. Ask the building’s owner or a structural engineer before it goes there.`,
    });
  }
  if (weight.full > place.liftLimit) {
    drafts.push({
      id: 'lift',
      severity: 'note',
      room: 'vessel',
      text: say`Full it weighs ${q(weight.full, 'mass')}, more than the ${q(place.liftLimit, 'mass')} that you can lift. Put it in its place first, then fill it.`,
    });
  }
  return drafts;
};

export const frost: Rule = ({ design: { place }, figures }) =>
  place.frost && place.rain !== 'indoors'
    ? [
        {
          id: 'frost',
          severity: 'note',
          room: 'vessel',
          text: say`It freezes here: empty the ${q(figures.gross, 'volume')} and open the overflow before the first frost, or ice will split the vessel.`,
        },
      ]
    : [];

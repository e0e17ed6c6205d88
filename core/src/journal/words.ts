import { q, say, type Message } from '../units';
import { ACTIVITIES, type EntryBody } from './entry';

/** An entry in words: `Filled with 6 L to overflow`. */
export function describeEntry(did: EntryBody): Message {
  switch (did.kind) {
    case 'filled': {
      const where = did.where === 'top' ? ' on top' : '';
      const ran = did.ran ? ' to overflow' : '';
      return did.volume === null
        ? say`Filled${where}${ran}`
        : say`Filled with ${q(did.volume, 'volume')}${where}${ran}`;
    }
    case 'level':
      return say`Dip stick: ${q(did.depth, 'length')}`;
    case 'finger':
      return say`Finger at ${q(did.depth, 'span')}: ${did.feels}`;
    case 'rain':
      return did.depth === 0 ? say`No rain` : say`Rain: ${q(did.depth, 'length')}`;
    case 'fed':
      return did.mass === null
        ? say`Fed${did.what ? ` ${did.what}` : ''}`
        : say`Fed ${q(did.mass, 'dash')}${did.what ? ` of ${did.what}` : ''}`;
    case 'harvested': {
      const what = did.what ? ` ${did.what}` : '';
      if (did.mass !== null)
        return say`Harvested ${q(did.mass, 'mass')}${did.what ? ` of${what}` : ''}`;
      return did.count !== null
        ? say`Harvested ${q(did.count, 'count')}${what}`
        : say`Harvested${what}`;
    }
    case 'todo':
      return say`To do: ${did.what}`;
    case 'photo':
      return say`Photo`;
    case 'did':
      return say`${ACTIVITIES[did.what].name}`;
  }
}

import { PERSON, q, say, type Message } from '../units';
export { nameOf as partName } from '../assembly';

/** Fewer people on each square metre than these compare with nothing, pascals. */
const FEW_PEOPLE = 1.5 * PERSON;

/** What a load on a floor is like; nothing where it is little. @param pressure pascals */
export const likePeople = (pressure: number): Message =>
  pressure < FEW_PEOPLE ? say`` : say`, like ${q(pressure, 'crowd')}`;

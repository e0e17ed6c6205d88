import type { Message } from '../units';

/** Something in a design that cannot exist, where it stands, and what to do. */
export interface Contradiction {
  path: readonly (string | number)[];
  message: Message;
}

export const found = (path: Contradiction['path'], message: Message): Contradiction => ({
  path,
  message,
});

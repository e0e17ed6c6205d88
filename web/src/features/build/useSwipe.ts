import { useDrag } from '@use-gesture/react';

/** How far a finger goes for a swipe, pixels, and how much of that at most up or down. */
const FAR = 60;
const ASIDE = 0.5;

/**
 * A finger that is swept to the side over an element. A mouse marks text there and does nothing else.
 *
 * @param onSwipe `on` for a finger that goes to the left, as one turns a page
 */
export const useSwipe = (onSwipe: (way: 'on' | 'back') => void) =>
  useDrag(
    ({ last, canceled, event, movement: [x, y] }) => {
      const finger = 'pointerType' in event ? event.pointerType !== 'mouse' : true;
      if (!last || canceled || !finger || Math.abs(x) < FAR || Math.abs(y) > ASIDE * Math.abs(x))
        return;
      onSwipe(x < 0 ? 'on' : 'back');
    },
    { axis: 'x', pointer: { touch: true, keys: false } },
  );

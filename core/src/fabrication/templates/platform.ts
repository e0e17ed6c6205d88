import { partName } from '../../assessment';
import { writeQuantity, type UnitSystem } from '../../units';
import type { PlatformSheet } from '../platform';
import {
  framed,
  hole,
  line,
  outlineShape,
  text,
  type Template,
  type TemplateShape,
} from './template';

/** Half length of the cross through the middle, metres. */
const MIDDLE = 0.015;

/** The deck with all its holes, seen from above; the overflow is at its left. */
export function platformTemplate(deck: PlatformSheet, set: UnitSystem): Template {
  const { outline } = deck;
  const shapes: TemplateShape[] = [
    outlineShape(outline, deck.kind === 'platform' ? 'cut' : 'mark'),
    line(-MIDDLE, 0, MIDDLE, 0, 'fine'),
    line(0, -MIDDLE, 0, MIDDLE, 'fine'),
    // An arrow at the overflow's side, so that it goes in the right way round.
    line(-outline.a + 0.004, 0, -outline.a + 0.02, 0, 'mark'),
    line(-outline.a + 0.004, 0, -outline.a + 0.01, 0.004, 'mark'),
    line(-outline.a + 0.004, 0, -outline.a + 0.01, -0.004, 'mark'),
    text(-outline.a + 0.012, 0.006, 'overflow'),
  ];
  for (const { group, bit, spots } of deck.holes) {
    const name = group ? partName(group, 1) : null;
    spots.forEach(({ x, y }) => {
      shapes.push(...hole(x, y, bit));
      if (name) {
        const words = `${name} ${writeQuantity(bit, 'length', set)}`;
        shapes.push(text(x, y - bit / 2 - 0.005, words, 'middle', 0.0022));
      }
    });
  }
  const does =
    deck.kind === 'platform'
      ? 'Glue or tape the sheets together, cut along the outline, lay it on the lid and drill through it.'
      : 'Lay it in, turn it until the arrow points to the overflow, and drill through it.';
  return framed({ id: 'platform', title: deck.name, says: does, shapes });
}

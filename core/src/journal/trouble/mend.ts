import type { PlanterDesign } from '../../document';
import { CAUSES, type Cause } from './causes';

/** What to do about a cause in this very planter; where it makes no difference, what the cause says. */
const OF_THIS: { readonly [C in Cause]?: (design: PlanterDesign) => string } = {
  open: ({ fillTube, overflow, bed }) =>
    [
      fillTube ? 'Close the tube with a cap or a sponge.' : '',
      overflow && overflow.kind !== 'rim' ? 'Screen the overflow with fine mesh.' : '',
      bed?.kind === 'bag'
        ? 'Tip the tray out once a week: larvae need ten days.'
        : 'Until they are gone, a film of a larvicide of bacteria (Bti) on the water kills them and harms nothing else.',
    ]
      .filter(Boolean)
      .join(' '),
  wick: ({ wicks }) =>
    wicks.some(({ kind }) => kind === 'cloth')
      ? CAUSES.wick.mend
      : 'Water from the top until it can be opened, then pack the cups or columns anew with wet mix, down to the floor.',
  weak: ({ soil }) =>
    soil.mulch === 'none'
      ? CAUSES.weak.mend
      : 'Add wick, or shade it, so that it asks for less. Water from the top in hot weeks until then.',
  thirsty: ({ soil }) =>
    soil.mulch === 'none'
      ? CAUSES.thirsty.mend
      : 'Fill it more often, or take a plant out. The log learns the new thirst from the next fillings.',
};

/** What to do about a cause, in one or two sentences. */
export const mendOf = (cause: Cause, design: PlanterDesign): string =>
  OF_THIS[cause]?.(design) ?? CAUSES[cause].mend;

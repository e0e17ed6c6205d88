import type { Figures } from '../assess';
import type { Planter } from '../planter';
import type { UnitSystem } from '../quantity';
import { deckOf, type Deck } from './deck';
import { feedingOf, type Feeding } from './amounts';
import { holesOf, type Hole } from './holes';
import { partsOf, type Part } from './parts';
import { piecesOf, type StockCuts } from './pieces';
import { sheetsOf, type SheetPiece } from './sheets';
import { stepsOf, type Step } from './steps';
import { templatesOf, type Template } from './templates';

/** Everything that is taken to the workbench, worked out from one design. */
export interface BuildSheet {
  parts: readonly Part[];
  cuts: readonly StockCuts[];
  sheets: readonly SheetPiece[];
  holes: readonly Hole[];
  steps: readonly Step[];
  feeding: Feeding;
  deck: Deck | null;
  templates: readonly Template[];
}

/**
 * Works out the build sheet of a planter.
 *
 * @param set metric or inch drills, and the units that templates are lettered in
 */
export function buildSheet(planter: Planter, figures: Figures, set: UnitSystem): BuildSheet {
  const deck = deckOf(planter, set);
  const cuts = piecesOf(planter);
  const sheets = sheetsOf(planter, deck);
  const holes = holesOf(planter, set, deck);
  const parts = partsOf(planter, figures, cuts, sheets);
  const steps = stepsOf({ planter, figures, deck, holes, parts, cuts, sheets });
  const templates = templatesOf(planter, figures, deck, holes, set);
  return {
    parts,
    cuts,
    sheets,
    holes,
    steps,
    feeding: feedingOf(planter.design, figures),
    deck,
    templates,
  };
}

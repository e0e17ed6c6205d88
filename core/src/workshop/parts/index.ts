import type { Figures } from '../../assess';
import type { Planter } from '../../planter';
import { deckOf } from '../deck';
import { piecesOf, type StockCuts } from '../pieces';
import { sheetsOf, type SheetPiece } from '../sheets';
import { baseParts } from './base';
import type { Making, Part } from './part';
import { soilParts } from './soil';
import { vesselParts } from './vessel';
import { waterParts } from './water';

export type { Part } from './part';

/** What a planter takes, in the order of the work. Every quantity follows from the design. */
export function partsOf(
  planter: Planter,
  figures: Figures,
  cuts: readonly StockCuts[] = piecesOf(planter),
  sheets: readonly SheetPiece[] = sheetsOf(planter, deckOf(planter, 'metric')),
): Part[] {
  const list: Part[] = [];
  const pieces = cuts.flatMap((stock) => stock.pieces);
  const making: Making = {
    planter,
    figures,
    cuts,
    length: (part) =>
      pieces
        .filter((piece) => piece.part === part)
        .reduce((sum, piece) => sum + piece.length * piece.count, 0),
    sheet: (part) => sheets.find((piece) => piece.part === part),
    add(id, what, amount, use, good = null, quantity = 0, ingredients = null) {
      const mixed = ingredients ? { ingredients } : {};
      list.push({ id, what, amount, use, good, quantity, ...mixed });
    },
  };
  vesselParts(making);
  baseParts(making);
  waterParts(making);
  soilParts(making);
  return list;
}

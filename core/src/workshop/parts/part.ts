import type { Figures } from '../../assess';
import type { Good } from '../goods';
import type { Planter } from '../../planter';
import { q, say, type Message } from '../../quantity';
import type { Ingredient } from '../amounts';
import type { StockCuts } from '../pieces';
import type { SheetPiece } from '../sheets';

/** Something that a planter takes. */
export interface Part {
  /** Stable, so that two planters' lists can stand side by side and steps can name it. */
  id: string;
  what: string;
  /** How many and how large, in words. */
  amount: Message;
  /** Where it goes. */
  use: string;
  /** What is bought for it, or null where it is made of something else on the list or at hand. */
  good: Good | null;
  /** How much of that, in the good's unit. */
  quantity: number;
  /** What it is mixed from: where one may mix it oneself, and where nobody sells it mixed. */
  ingredients?: readonly Ingredient[];
}

/** What the parts of a planter are made out from. */
export interface Making {
  planter: Planter;
  figures: Figures;
  cuts: readonly StockCuts[];
  /** Length that is cut for a part, all pieces together, metres. */
  length(part: string): number;
  /** The flat piece of a part. */
  sheet(part: string): SheetPiece | undefined;
  /** Puts a part on the list; without a good it is made of something else. */
  add(
    id: string,
    what: string,
    amount: Message,
    use: string,
    good?: Good | null,
    quantity?: number,
    ingredients?: readonly Ingredient[] | null,
  ): void;
}

/** Size of a flat piece in words, with how many of it. */
export const sized = ({ length, width, count }: SheetPiece): Message =>
  say`${count > 1 ? say`${q(count, 'count')} of ` : say``}${q(length, 'span')} by ${q(width, 'span')}`;

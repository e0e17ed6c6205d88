import type { LineContext, WaterLine } from '@huerta/core/document';
import { section, type Section } from '@huerta/core/drawing';
import {
  asShopper,
  shoppingFor,
  waterLineSheet,
  type PriceBook,
  type Shopper,
  type ShoppingList,
  type WaterLineSheet,
} from '@huerta/core/fabrication';
import {
  assessLine,
  lineFindings,
  type DesignsById,
  type LineAssessment,
  type LineFinding,
  type LinePlanter,
} from '@huerta/core/simulation/waterLine';
import { tell, type UnitSystem } from '@huerta/core/units';

/** A line of joined planters as a page shows it: what a worker works out, without what cannot be sent. */

export interface LineAsked {
  line: WaterLine;
  designs: DesignsById;
  /** The garden’s other lines. */
  others: readonly WaterLine[];
  units: UnitSystem;
  /** The price book; null where it is not there. */
  book: PriceBook | null;
}

/** One planter of it. Heights above its inside floor, metres; m³ and m³/s. */
export interface ShownPlanter extends Pick<LinePlanter, 'holds' | 'usable' | 'flow' | 'drop'> {
  id: string;
  floor: number;
  level: number;
  lip: number;
  takes: number;
  section: Section;
}

export interface LineShown extends Pick<
  LineAssessment,
  'level' | 'holds' | 'takes' | 'days' | 'valve' | 'follows'
> {
  line: WaterLine;
  planters: ShownPlanter[];
  findings: LineFinding[];
  sheet: WaterLineSheet;
  shopping: ShoppingList | null;
}

const shown = ({ joined, holds, usable, flow, drop }: LinePlanter): ShownPlanter => ({
  ...{ holds, usable, flow, drop },
  id: joined.member.planter,
  floor: joined.member.floor,
  level: joined.level,
  lip: joined.lip,
  takes: joined.takes.hot,
  section: section(joined.planter, joined.level),
});

const shopperOf = (name: string, sheet: WaterLineSheet, units: UnitSystem): Shopper =>
  asShopper(
    name,
    {
      parts: sheet.parts.map((part) => ({ ...part, what: tell(part.what, units), use: '' })),
      cuts: [],
    },
    { usable: 0 },
  );

/** What joining planters brings to a shopping list. */
export const lineShopper = ({ line, designs }: LineContext, units: UnitSystem): Shopper =>
  shopperOf(line.name, waterLineSheet(assessLine(line, designs)), units);

export function lineShown({ line, designs, others, units, book }: LineAsked): LineShown {
  const all = assessLine(line, designs);
  const { level, holds, takes, days, valve, follows } = all;
  const sheet = waterLineSheet(all);
  const shopper = shopperOf(line.name, sheet, units);
  return {
    ...{ line, level, holds, takes, days, valve, follows, sheet },
    planters: all.planters.map(shown),
    findings: lineFindings(all, designs, others),
    shopping: book && shoppingFor([shopper], book, units),
  };
}

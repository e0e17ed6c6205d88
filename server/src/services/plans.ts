import type { PlansResource } from '@huerta/contract';
import type { PriceBook } from '@huerta/core/fabrication';
import { siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import {
  buildWords,
  headingOf,
  impossible,
  kindOf,
  speaksAgainst,
  reasonFor,
  yearOfMonth,
  type PlansFound,
  type PlanWish,
} from '@huerta/core/planning/plans';
import { tell, type UnitSystem } from '@huerta/core/units';
import type { Documents } from './documents';
import * as kinds from './kinds';
import type { PdfRenderer } from './pdfRenderer';

/** Looks for whole plans in the garden's weather and by its price book. */
export interface PlanService {
  find(wish: PlanWish, units: UnitSystem): Promise<PlansResource>;
}

interface Needs {
  prices: Documents<PriceBook>;
  weather: Documents<WeatherChoice>;
  /** Where it is worked out, away from what else is asked. */
  thread: PdfRenderer;
  today(): string;
}

export function planService({ prices, weather, thread, today }: Needs): PlanService {
  return {
    async find(wish, units) {
      const [{ value: book }, { value: choice }] = await Promise.all([
        prices.get(kinds.ONLY),
        weather.get(kinds.ONLY),
      ]);
      const year = yearOfMonth(wish.month, today());
      const setting = { site: siteOf(choice), book, units, year };
      const result = await thread.draw({ what: 'plans', wish, setting });
      if (!result.ok) throw new Error('No plans came back');
      const found = JSON.parse(Buffer.from(result.file).toString('utf8')) as PlansFound;
      const blocked = impossible(found, wish);
      return {
        heading: tell(headingOf(found, wish), units),
        impossible: blocked && tell(blocked, units),
        currency: book.currency,
        plans: found.plans.map((plan) => {
          const against = speaksAgainst(plan, found.plans, wish);
          return {
            ...plan,
            lacks: [...plan.lacks],
            missing: [...plan.missing],
            title: kindOf(plan, found.plans),
            stands: tell(reasonFor(plan, found.plans, wish), units),
            against: against && tell(against, units),
            planters: plan.planters.map((planter) => ({
              ...planter,
              crops: [...planter.crops],
              built: buildWords(planter),
            })),
          };
        }),
      };
    },
  };
}

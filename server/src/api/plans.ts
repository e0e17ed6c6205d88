import { PLANS } from '@huerta/contract';
import type { Services } from '../services';
import { registerRoute, type Routing } from './registerRoute';

/** Whole plans for a wish. */
export function planRoutes(router: Routing, { plans }: Services): void {
  registerRoute(router, PLANS.ask, ({ body: { wish, units } }) => plans.find(wish, units));
}

import type { BatchView, OrderView } from '../../../contract';
import { guestPortions } from '../../../core/portions';

/** A dish for a service: what is on, and what an order was kept for. A base is no bowls. */
export interface BowlsFor {
  serviceAtMs: number;
  bowls: number;
}

/** What is on the range, in bowls by service; bases are none. */
export const bowlsOnTheRange = (open: readonly Pick<BatchView, 'snapshot'>[]): BowlsFor[] =>
  open
    // what was drawn off another pot is in that one's order
    .filter(({ snapshot }) => !snapshot.plan.base && !snapshot.origin)
    .map(({ snapshot: { plan, input } }) => ({ serviceAtMs: plan.serviceAtMs, bowls: guestPortions(input) }));

/**
 * What is kept for the days ahead, in bowls by service.
 * @param orders those not yet cooked; `exceptId` is the one that is open on the page
 * @param isBase whether an order's recipe is a base, which is no bowls
 */
export const bowlsKept = (
  orders: readonly OrderView[],
  isBase: (recipeId: string) => boolean,
  exceptId: string | null,
): BowlsFor[] =>
  orders
    .filter(({ id, request }) => id !== exceptId && !isBase(request.recipeId))
    .map(({ request }) => ({ serviceAtMs: request.serviceAtMs, bowls: guestPortions(request) }));

/** The bowls of all dishes of this plan's service, where they are more than it expects; else `null`. */
export function bowlsOver(
  covers: number,
  own: { serviceAtMs: number; portions: number },
  others: readonly BowlsFor[],
): { bowls: number; covers: number } | null {
  const more = others.filter((one) => one.serviceAtMs === own.serviceAtMs);
  const bowls = Math.round(more.reduce((sum, one) => sum + one.bowls, own.portions));
  return bowls > covers ? { bowls, covers } : null;
}

import { strongestBurner } from '../plan';
import type { OrderRequest, PlanningKitchen } from './order-request';
import type { PotOnBurner } from './split-order';

/**
 * Every pot that is free, on the strongest free burner that takes it; the order's own burner is its own pot's.
 *
 * @param busy pots and burners with something on them
 */
export function freePots(of: {
  kitchen: Pick<PlanningKitchen, 'pots' | 'burners'>;
  request: Pick<OrderRequest, 'potId' | 'burnerId'>;
  busy: { potIds: readonly string[]; burnerIds: readonly string[] };
}): PotOnBurner[] {
  const { kitchen, request, busy } = of;
  const burners = kitchen.burners.filter((one) => !busy.burnerIds.includes(one.id));
  return kitchen.pots
    .filter((pot) => pot.id === request.potId || !busy.potIds.includes(pot.id))
    .flatMap((pot): PotOnBurner[] => {
      const own = burners.filter((one) => (pot.id === request.potId) === (one.id === request.burnerId));
      const burner = strongestBurner(own, pot.id);
      return burner ? [{ pot, burner }] : [];
    });
}

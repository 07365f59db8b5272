import type { KitchenSeed } from '../contract';
import { BOOK } from './dishes/dishes';
import { BURNERS, DEMO_OPENS_AT, ITEMS, KITCHEN, POTS, PRICES_CENTS_PER_KG, SUPPLIERS } from './kitchen';
import { cookFortnight } from './past/fortnight';
import { keptOrders } from './past/kept-orders';

/** The Corrie Halt Buffet with its past fortnight: what a new demo file is filled with. */
export function seed(): KitchenSeed {
  const past = cookFortnight();
  return {
    kitchen: { ...KITCHEN, isDemo: true },
    items: {
      pot: POTS,
      burner: BURNERS.map(({ pots: potIds, ...burner }) => ({ ...burner, potIds: [...potIds] })),
      ...ITEMS,
    },
    prices: Object.entries(PRICES_CENTS_PER_KG).map(([ingredientId, centsPerKg]) => ({
      ingredientId,
      centsPerKg,
      supplier: SUPPLIERS[ingredientId] ?? null,
    })),
    recipes: BOOK.map((recipe) => ({ recipe, savedAtMs: DEMO_OPENS_AT - 20 * 86_400_000 })),
    batches: past.batches,
    larderEvents: past.larderEvents,
    lotIds: past.lotIds,
    orders: keptOrders(),
    clock: { mode: 'demo', speed: 1, kitchenFromMs: DEMO_OPENS_AT, realFromMs: Date.now() },
    by: 'Isla',
    device: 'demo',
  };
}

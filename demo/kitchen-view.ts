import type { WholeKitchen } from '../contract';
import { learnedHeatFactor } from '../core/batch';
import { BURNERS, KITCHEN, POTS, PRICES_CENTS_PER_KG } from './kitchen';

/** The kitchen as a browser sees it, a burner known by what earlier batches showed of it; the rest by first guesses. */
export function kitchenView(
  known: Readonly<Record<string, { mean: number; sd: number }[]>> = {},
): WholeKitchen {
  return {
    ...KITCHEN,
    services: [...KITCHEN.services],
    pots: [...POTS],
    burners: BURNERS.map(({ pots, ...burner }) => ({
      ...burner,
      potIds: [...pots],
      heatFactor: learnedHeatFactor(known[burner.id] ?? []),
    })),
    pricesCentsPerKg: { ...PRICES_CENTS_PER_KG },
    learned: [],
    suppliers: {},
    ownIngredients: [],
    limits: { dateMarkDays: 7, receivingC: 5, shellfishTagDays: 90 },
    notices: [],
    clock: { mode: 'demo', speed: 1, kitchenFromMs: 0, realFromMs: 0, serverNowMs: 0 },
  };
}

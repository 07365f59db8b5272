import { DEFAULT_LIMITS, type WholeKitchen } from '../contract';
import { learnedHeatFactor } from '../core/batch';
import { BURNERS, ITEMS, KITCHEN, POTS, PRICES_CENTS_PER_KG } from './kitchen';

/** The kitchen as a browser sees it, a burner known by what earlier batches showed of it; the rest by first guesses. */
export function kitchenView(
  known: Readonly<Record<string, { mean: number; sd: number }[]>> = {},
): WholeKitchen {
  return {
    ...KITCHEN,
    services: [...(ITEMS.service ?? [])],
    bowls: [...(ITEMS.bowl ?? [])],
    ladles: [...(ITEMS.ladle ?? [])],
    colds: [...(ITEMS.cold ?? [])],
    instruments: (ITEMS.instrument ?? []).map((one) => ({ ...one, checked: null })),
    people: [...(ITEMS.person ?? [])],
    supplierList: [...(ITEMS.supplier ?? [])],
    storePlaces: [...(ITEMS.storePlace ?? [])],
    retired: [],
    heatTests: [],
    isDemo: true,
    limitReasons: {},
    pots: [...POTS],
    burners: BURNERS.map(({ pots, ...burner }) => ({
      ...burner,
      potIds: [...pots],
      heatFactor: learnedHeatFactor(known[burner.id] ?? []),
    })),
    pricesCentsPerKg: { ...PRICES_CENTS_PER_KG },
    learned: { rates: [], shares: [], eye: null },
    suppliers: {},
    ownIngredients: [],
    limits: DEFAULT_LIMITS,
    notices: [],
    clock: { mode: 'demo', speed: 1, kitchenFromMs: 0, realFromMs: 0, serverNowMs: 0 },
  };
}

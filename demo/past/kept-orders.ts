import { type PlanRequest, zonedTimeMs } from '../../contract';
import { DISHES } from '../dishes/dishes';
import { DEMO_OPENS_AT, KITCHEN } from '../kitchen';

const ORDERS: readonly {
  recipeId: string;
  portions: number;
  daysOn: number;
  time: string;
  potId: string;
  burnerId: string;
}[] = [
  {
    recipeId: 'celeriac-veloute',
    portions: 50,
    daysOn: 1,
    time: '13:10',
    potId: 'stockpot-40',
    burnerId: 'gas-1',
  },
  {
    recipeId: 'beetroot-barley-broth',
    portions: 40,
    daysOn: 2,
    time: '18:05',
    potId: 'stockpot-40',
    burnerId: 'gas-1',
  },
];

/** What Corrie Halt means to cook in the days ahead. Invented. */
export function keptOrders(): { id: string; request: PlanRequest; createdAtMs: number }[] {
  return ORDERS.map(({ recipeId, portions, daysOn, time, potId, burnerId }, i) => {
    const recipe = DISHES.find((one) => one.id === recipeId)!;
    return {
      id: `00000000-0000-7000-c000-${String(i + 1).padStart(12, '0')}`,
      createdAtMs: DEMO_OPENS_AT - 12 * 3_600_000,
      request: {
        recipeId,
        portions,
        portionMl: recipe.portionMl,
        saltPercent: recipe.targetSaltPercent,
        band: recipe.targetBand,
        serviceAtMs: zonedTimeMs(time, KITCHEN.zone, DEMO_OPENS_AT, daysOn),
        potId,
        burnerId,
      },
    };
  });
}

import { type KitchenView, type PlanRequest, planInputOf } from '../../contract';
import { layLots, type ShelfLot } from '../../core/larder';
import { planBatch } from '../../core/plan';
import type { Recipe } from '../../core/recipe';

export interface PotChoice {
  potId: string;
  burnerId: string;
  name: string;
  fullestLitres: number;
  workingFillLitres: number;
  batches: number;
  startAtMs: number;
  /** a word on how it would go, or why not */
  word: string;
  isFit: boolean;
}

export interface ChoicesAsked {
  request: PlanRequest;
  kitchen: KitchenView;
  recipe: Recipe;
  book?: readonly Recipe[];
  lots: readonly ShelfLot[];
}

/** Plans the same order in every pot, each on a burner that takes it: what the cook compares. Runs in a worker. */
export function potChoices(asked: ChoicesAsked): PotChoice[] {
  return asked.kitchen.pots.flatMap((pot) => {
    const own = asked.kitchen.burners.find(
      (burner) => burner.id === asked.request.burnerId && burner.potIds.includes(pot.id),
    );
    const burner = own ?? asked.kitchen.burners.find((one) => one.potIds.includes(pot.id));
    if (!burner) return [];
    const request = { ...asked.request, potId: pot.id, burnerId: burner.id };
    const input = planInputOf(request, asked.kitchen, asked.recipe, asked.book);
    if (Array.isArray(input)) return [];
    try {
      const plan = planBatch(layLots(input, asked.lots));
      const isFit = plan.batches <= 1;
      return [
        {
          potId: pot.id,
          burnerId: burner.id,
          name: pot.name,
          fullestLitres: plan.fullest.litres,
          workingFillLitres: plan.workingFillLitres,
          batches: plan.batches,
          startAtMs: plan.startAtMs,
          isFit,
          word: isFit ? fitWord(plan.fullest.litres / plan.workingFillLitres) : `${plan.batches} batches`,
        },
      ];
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      const word = 'not on this burner';
      return [
        {
          potId: pot.id,
          burnerId: burner.id,
          name: pot.name,
          fullestLitres: 0,
          workingFillLitres: 0,
          batches: 0,
          startAtMs: 0,
          isFit: false,
          word,
        },
      ];
    }
  });
}

function fitWord(share: number): string {
  if (share > 0.92) return 'just fits, watch it';
  return share < 0.3 ? 'shallow, falls fast' : 'fits';
}

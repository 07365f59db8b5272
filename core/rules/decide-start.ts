import type { BatchSnapshot } from '../batch';
import { orderedRecipe } from '../book';
import type { ServicePattern } from '../demand';
import { planWithLots, type ShelfLot, type ShortLine } from '../larder';
import { cannotBeCooked, type OrderRequest, type PlanningKitchen, planInputOf } from '../order';
import { potInput } from '../plan';
import type { Recipe } from '../recipe';
import { type Decision, refused } from './decision';
import type { Refusal } from './refusal';

/** What the rules ask of the kitchen before a batch is started. */
export interface StartFacts {
  kitchen: PlanningKitchen;
  book: readonly Recipe[];
  /** the shelf */
  lots: readonly ShelfLot[];
  /** what is cooking in the pot, and on the burner, that the order names; null for nothing */
  inPot: string | null;
  onBurner: string | null;
  /** the service it is for, with what earlier ones have shown; null where the kitchen names none at that hour */
  service?: ServicePattern | null;
  nowMs: number;
}

export interface StartDecision {
  snapshot: BatchSnapshot;
}

/**
 * Whether an order may be cooked now, and everything that decides the batch: recipe, foods, prices, pot, burner and what
 * is known of it, plan, lots. A later edit changes nothing of it.
 *
 * @source docs/architecture.md, "A batch is its log"
 */
export function decideStart(facts: StartFacts, request: OrderRequest): Decision<StartDecision> {
  const { kitchen, book, lots } = facts;
  const recipe = orderedRecipe(request.recipeId, kitchen, book);
  if (!recipe) return refused({ field: 'recipeId', code: 'unknownRecipe', recipeId: request.recipeId });
  if (request.serviceAtMs <= facts.nowMs) return refused({ field: 'serviceAtMs', code: 'serviceInThePast' });
  const input = planInputOf(request, kitchen, recipe, book);
  if (Array.isArray(input)) return refused(...input);
  const { name: potName } = input.pot;
  if (facts.inPot !== null) return refused({ field: 'potId', code: 'potBusy', potName, by: facts.inPot });
  if (facts.onBurner !== null)
    return refused({
      field: 'burnerId',
      code: 'burnerBusy',
      burnerName: input.burner.name,
      by: facts.onBurner,
    });
  try {
    const { input: laid, plan, draws, shorts, holds } = planWithLots(input, lots, request.lotIds);
    const { fullest, workingFillLitres, batches } = plan;
    if (batches > 1)
      return refused({
        field: 'potId',
        code: 'tooFull',
        wantedLitres: fullest.litres * batches,
        workingFillLitres,
        batches,
        potName,
      });
    if (shorts.length > 0 && !request.overrideReason) return refused(shortOf(shorts));
    const service = facts.service ? { service: facts.service } : {};
    return { ok: true, snapshot: { input: potInput(laid, plan), plan, holds, draws, ...service } };
  } catch (error) {
    return refused(cannotBeCooked('burnerId', error));
  }
}

/** Whether an order may be kept for a day to come. */
export function decideOrder(
  facts: { kitchen: PlanningKitchen; book: readonly Recipe[]; nowMs: number },
  request: OrderRequest,
): Decision<object> {
  const { pots, burners } = facts.kitchen;
  const { recipeId } = request;
  if (!orderedRecipe(recipeId, facts.kitchen, facts.book))
    return refused({ field: 'recipeId', code: 'unknownRecipe', recipeId });
  if (request.serviceAtMs <= facts.nowMs) return refused({ field: 'serviceAtMs', code: 'serviceInThePast' });
  const { potId, burnerId } = request;
  const pot = pots.find((one) => one.id === potId);
  if (!pot) return refused({ field: 'potId', code: 'unknownPot', potId });
  const burner = burners.find((one) => one.id === burnerId);
  if (!burner) return refused({ field: 'burnerId', code: 'unknownBurner', burnerId });
  return burner.potIds.includes(potId)
    ? { ok: true }
    : refused({ field: 'burnerId', code: 'potNotOnBurner', potName: pot.name, burnerName: burner.name });
}

/** Planning never promises what is not there. */
function shortOf(shorts: readonly ShortLine[]): Refusal {
  return {
    field: 'overrideReason',
    code: 'larderShort',
    lines: shorts.map(({ name, wantedKg, shortKg, densityKgPerL }) => ({
      name,
      wantedLitres: wantedKg / densityKgPerL,
      thereLitres: (wantedKg - shortKg) / densityKgPerL,
    })),
  };
}

import { eq } from 'drizzle-orm';
import { type BatchView, orderedRecipe, planInputOf, type StartBatch } from '../../contract';
import type { BatchSnapshot } from '../../core/batch';
import { planWithLots, type ShortLine } from '../../core/larder';
import { potInput } from '../../core/plan';
import { lotViews } from '../larder/lot-views';
import { impossible, notFound, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { batches, orders } from '../storage/schema';
import { batchView, openBatchAt } from './batch-store';
import { kitchenView, latestRecipes } from './kitchen-store';

/**
 * Starts a batch: the plan is computed here, from the kitchen as it stands, and everything that decides it is taken
 * into the snapshot. The same start said again gives the same batch.
 */
export async function startBatch(
  context: ServerContext,
  wanted: StartBatch,
): Promise<{ batch: BatchView; isNew: boolean }> {
  const { id, orderId, ...request } = wanted;
  const started = await context.write(async () => {
    const [same] = await context.db.select().from(batches).where(eq(batches.id, id));
    if (same) {
      if (JSON.stringify(same.request) === JSON.stringify(request)) return false;
      throw new ProblemError(409, 'Said before, otherwise', [
        { field: 'id', sentence: `A batch “${id}” with another order has already been started.` },
      ]);
    }
    const snapshot = await snapshotFor(context, request);
    await context.db.insert(batches).values({
      id,
      recipeId: request.recipeId,
      potId: request.potId,
      burnerId: request.burnerId,
      createdAtMs: context.clock.nowMs(),
      request,
      snapshot,
    });
    if (orderId) await context.db.update(orders).set({ batchId: id }).where(eq(orders.id, orderId));
    return true;
  });
  if (started) context.live.publish({ kind: 'batch', batchId: id });
  if (started && orderId) context.live.publish({ kind: 'orders' });
  return { batch: await batchView(context.db, id), isNew: started };
}

async function snapshotFor(
  context: ServerContext,
  request: Omit<StartBatch, 'id' | 'orderId'>,
): Promise<BatchSnapshot> {
  const [kitchen, book, allLots] = await Promise.all([
    kitchenView(context),
    latestRecipes(context),
    lotViews(context),
  ]);
  const recipe = orderedRecipe(request.recipeId, kitchen, book);
  if (!recipe) throw notFound('recipe', request.recipeId);
  if (request.serviceAtMs <= context.clock.nowMs()) {
    throw impossible('serviceAtMs', 'That service is already past: choose one still to come.');
  }
  const input = planInputOf(request, kitchen, recipe, book);
  if (Array.isArray(input)) throw new ProblemError(422, 'That cannot be', input);
  const inPot = await openBatchAt(context.db, { potId: request.potId });
  if (inPot)
    throw impossible('potId', `The ${input.pot.name} is in use: ${inPot.snapshot.input.recipe.name}.`);
  const onBurner = await openBatchAt(context.db, { burnerId: request.burnerId });
  if (onBurner) {
    throw impossible('burnerId', `${input.burner.name} is taken: ${onBurner.snapshot.input.recipe.name}.`);
  }
  try {
    const { input: laid, plan, draws, shorts } = planWithLots(input, allLots);
    if (plan.fullest.litres > plan.workingFillLitres) {
      const sentence = `At its fullest it is ${plan.fullest.litres.toFixed(1)} L; the ${input.pot.name} boils over above ${plan.workingFillLitres.toFixed(1)} L. Take ${plan.batches} batches or a larger pot.`;
      throw impossible('potId', sentence);
    }
    if (shorts.length > 0 && !request.overrideReason) throw impossible('overrideReason', shortSentence(shorts));
    return { input: potInput(laid, plan), plan, draws };
  } catch (error) {
    if (error instanceof RangeError)
      throw impossible('burnerId', `This cannot be cooked so: ${error.message}.`);
    throw error;
  }
}

/** Planning never promises what is not there. */
function shortSentence(shorts: readonly ShortLine[]): string {
  const each = shorts.map(({ name, wantedKg, shortKg, densityKgPerL }) => {
    const litres = (kg: number) => `${(kg / densityKgPerL).toFixed(1)} L`;
    const there = wantedKg - shortKg;
    return `${name}: ${litres(wantedKg)} are wanted, ${there > 0.05 ? litres(there) : 'none'} in the larder`;
  });
  return `${each.join('; ')}. Make it first, let something stand in, or say where it comes from.`;
}

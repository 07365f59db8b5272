import { totalKg } from '../../matter';
import { own } from '../../own';
import { piecesGiveKg } from '../../plan';
import { drawFromPot, leaveFoodOut, putFoodIn, takeFatOff } from '../../pot';

import type { AddedItem } from '../batch-event';
import type { BatchState, PotItem } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { withMark, withMarkLifted } from './stage-acts';

/** What goes in. A stage's own lines set its mark anew; anything else lifts it. */
export function addFood(context: FoldContext, before: BatchState, event: EventOf<'added'>): BatchState {
  const { items } = event.payload;
  const state = withFrying(
    context,
    items.reduce(
      (next, item, i) => put(context, next, item, { id: `${event.id}.${i}`, atMs: event.actedAtMs }),
      before,
    ),
    items,
  );
  const { lines } = context.snapshot.input.recipe;
  const isOwn = items.some(
    (item) => lines.find((line) => line.id === item.lineId)?.stageId === state.currentStageId,
  );
  const running = state.stages.find((one) => one.stageId === state.currentStageId);
  if (isOwn || running?.targetKg == null) return withMark(context, state);
  return withMarkLifted(
    state,
    items.reduce((sum, item) => sum + item.kg, 0),
  );
}

/** What is fried gives up the share of its water that its stage drives off. */
function withFrying(context: FoldContext, state: BatchState, items: readonly AddedItem[]): BatchState {
  const stage = context.snapshot.input.recipe.stages.find((one) => one.id === state.currentStageId);
  if (!stage) return state;
  const put = items.map((item) => ({ ingredient: ingredientOf(context, item.ingredientId), kg: item.kg }));
  return { ...state, pot: { ...state.pot, piecesGiveKg: piecesGiveKg(stage, state.pot, put) } };
}

function put(
  context: FoldContext,
  state: BatchState,
  item: AddedItem,
  as: { id: string; atMs: number },
): BatchState {
  const { input } = context.snapshot;
  const ingredient = ingredientOf(context, item.ingredientId);
  const lies = ingredient.share === 'pieces' || item.comesOut !== undefined;
  const one: PotItem = {
    id: as.id,
    lineId: item.lineId ?? null,
    ingredientId: item.ingredientId,
    kg: item.kg,
    tag: item.comesOut ?? null,
    sinceMs: as.atMs,
  };
  const price = input.pricesCentsPerKg[item.ingredientId] ?? 0;
  return {
    ...state,
    pot: putFoodIn(state.pot, { ingredient, kg: item.kg, tempC: item.tempC, thickener: item.thickener }),
    addedLineIds: item.lineId ? [...state.addedLineIds, item.lineId] : state.addedLineIds,
    addedKgByIngredient: withMore(state.addedKgByIngredient, item.ingredientId, item.kg),
    addedKgByLine: item.lineId ? withMore(state.addedKgByLine, item.lineId, item.kg) : state.addedKgByLine,
    items: lies ? [...state.items, one] : state.items,
    costCents: state.costCents + (item.kg / ingredient.yield) * price,
  };
}

/**
 * A slip: the pot follows what really happened. Too much, or another pot's food, is in it and has to be counted;
 * the mark stays where it was. What was forgotten is not in it, and is wanted again.
 */
export function slipped(context: FoldContext, before: BatchState, event: EventOf<'slip'>): BatchState {
  const slip = event.payload;
  const state = {
    ...before,
    slips: [...before.slips, { eventId: event.id, atMs: event.actedAtMs, slip }],
  };
  switch (slip.kind) {
    case 'tooMuch':
    case 'wrongPot':
      return put(context, state, slip, { id: event.id, atMs: event.actedAtMs });
    case 'forgot': {
      const line = context.snapshot.plan.lines.find((one) => one.lineId === slip.lineId);
      if (!line || !state.addedLineIds.includes(slip.lineId)) return state;
      const ingredient = ingredientOf(context, line.ingredientId);
      const kg = own(state.addedKgByLine, slip.lineId) ?? line.edibleKg;
      const price = context.snapshot.input.pricesCentsPerKg[line.ingredientId] ?? 0;
      return {
        ...state,
        pot: leaveFoodOut(state.pot, ingredient, kg, thickenerOf(context, slip.lineId)),
        addedLineIds: state.addedLineIds.filter((id) => id !== slip.lineId),
        addedKgByLine: withMore(state.addedKgByLine, slip.lineId, -kg),
        addedKgByIngredient: withMore(state.addedKgByIngredient, line.ingredientId, -kg),
        items: state.items.filter((one) => one.lineId !== slip.lineId),
        costCents: state.costCents - (kg / ingredient.yield) * price,
      };
    }
    case 'trouble':
      return slip.lostKg ? { ...state, pot: drawFromPot(state.pot, slip.lostKg).pot } : state;
  }
}

/** Fat off the top, or liquid out of it. */
export function pourOff(state: BatchState, what: 'fat' | 'liquid', kg: number): BatchState {
  const pot =
    what === 'fat' ? takeFatOff(state.pot, kg) : drawFromPot(state.pot, Math.min(kg, potKg(state))).pot;
  return { ...state, pot };
}

function potKg(state: BatchState): number {
  return totalKg(state.pot.mixture.liquid) + totalKg(state.pot.mixture.pieces);
}

function ingredientOf(context: FoldContext, id: string) {
  const ingredient = context.snapshot.input.ingredients[id];
  if (!ingredient) throw new RangeError(`ingredientId is not in this batch, got ${id}`);
  return ingredient;
}

function thickenerOf(context: FoldContext, lineId: string) {
  return context.snapshot.input.recipe.lines.find((line) => line.id === lineId)?.thickener;
}

function withMore(before: Readonly<Record<string, number>>, id: string, kg: number): Record<string, number> {
  return { ...before, [id]: Math.max(0, (own(before, id) ?? 0) + kg) };
}

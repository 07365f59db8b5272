import { totalKg } from '../../matter';
import { own } from '../../own';
import { piecesGiveKg } from '../../plan';
import { drawFromPot, leaveFoodOut, putFoodIn, takeFatOff } from '../../pot';

import type { AddedItem } from '../batch-event';
import type { BatchState } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { withMark, withMarkLifted } from './stage-acts';

/** What goes in. A stage's own lines set its mark anew; anything else lifts it. */
export function addFood(
  context: FoldContext,
  before: BatchState,
  items: readonly AddedItem[],
  atMs: number,
): BatchState {
  const state = withFrying(
    context,
    items.reduce((next, item) => put(context, next, item, atMs), before),
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

function put(context: FoldContext, state: BatchState, item: AddedItem, atMs: number): BatchState {
  const { input } = context.snapshot;
  const ingredient = ingredientOf(context, item.ingredientId);
  const price = input.pricesCentsPerKg[item.ingredientId] ?? 0;
  return {
    ...state,
    pot: putFoodIn(state.pot, { ingredient, kg: item.kg, tempC: item.tempC, thickener: item.thickener }),
    addedLineIds: item.lineId ? [...state.addedLineIds, item.lineId] : state.addedLineIds,
    addedKgByIngredient: withKg(state, item.ingredientId, item.kg),
    toComeOut: item.comesOut ? [...state.toComeOut, { ...item.comesOut, sinceMs: atMs }] : state.toComeOut,
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
      return put(context, state, slip, event.actedAtMs);
    case 'forgot': {
      const line = context.snapshot.plan.lines.find((one) => one.lineId === slip.lineId);
      if (!line || !state.addedLineIds.includes(slip.lineId)) return state;
      const ingredient = ingredientOf(context, line.ingredientId);
      return {
        ...state,
        pot: leaveFoodOut(state.pot, ingredient, line.edibleKg),
        addedLineIds: state.addedLineIds.filter((id) => id !== slip.lineId),
        addedKgByIngredient: withKg(state, line.ingredientId, -line.edibleKg),
        toComeOut: state.toComeOut.filter((one) => one.word !== line.comesOut?.word),
        costCents: state.costCents - line.costCents,
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

function withKg(state: BatchState, ingredientId: string, kg: number): BatchState['addedKgByIngredient'] {
  const before = own(state.addedKgByIngredient, ingredientId) ?? 0;
  return { ...state.addedKgByIngredient, [ingredientId]: Math.max(0, before + kg) };
}

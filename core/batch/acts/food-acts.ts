import { type ThickenerKind, totalKg } from '../../matter';
import { piecesGiveKg } from '../../plan';
import { drawFromPot, foodLitres, leaveFoodOut, putFoodIn, takeFatOff, withDose } from '../../pot';
import { asPulp, bodyG, pulpMin, SOUR, THICKENERS } from '../../thickness';

import { acidIn } from '../acid-in';
import type { AddedItem } from '../batch-event';
import type { BatchState, Dosed, PotItem } from '../batch-state';
import { goneOf } from '../dosed';
import type { EventOf, FoldContext } from '../fold-context';
import { costGoingIn, rowGoingIn } from '../went-in';
import { floorCaught } from './heat-acts';
import { withMark, withMarkLifted } from './stage-acts';

/** What goes in. A stage's own lines set its mark anew; anything else lifts it. */
export function addFood(context: FoldContext, before: BatchState, event: EventOf<'added'>): BatchState {
  const { items } = event.payload;
  const isPulp = event.payload.purpose?.for === 'thickness';
  const filled = items.reduce(
    (next, item, i) =>
      put(context, next, item, { id: `${event.id}.${i}`, atMs: event.actedAtMs }, isPulp && !item.lineId),
    before,
  );
  const state = withDoses(context, withFrying(context, filled, items), event);
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

/** What goes in beside the recipe does what the table says; what it was for, and when it can be judged, is remembered. */
function withDoses(
  { snapshot }: FoldContext,
  state: BatchState,
  { id, actedAtMs, payload: { items, purpose } }: EventOf<'added'>,
): BatchState {
  const sour = acidIn(snapshot, state) / Math.max(0.1, foodLitres(state.pot)) >= SOUR.gPerL;
  const doses = items.flatMap((item): Dosed[] => {
    const own = rowGoingIn(snapshot, item);
    const row = purpose?.for === 'thickness' ? asPulp(own) : own;
    const kind = item.thickener ?? row.thickener;
    if (item.lineId || (!purpose && !kind)) return [];
    const isPulp = row !== own;
    return [
      {
        ...(purpose ?? { for: 'thickness' }),
        eventId: id,
        atMs: actedAtMs,
        ingredientId: item.ingredientId,
        kg: item.kg,
        bodyG: row.share === 'liquid' ? bodyG(row, item.kg, kind) : 0,
        ...cookingOut(kind, isPulp ? pulpMin(row) : 0, sour),
        hotMin: 0,
        goneKg: goneOf(state.pot),
      },
    ];
  });
  if (doses.length === 0) return state;
  const doseG = doses.reduce((sum, dose) => sum + dose.bodyG, 0);
  return { ...state, pot: withDose(state.pot, doseG), dosed: [...state.dosed, ...doses] };
}

/** What is fried gives up the share of its water that its stage drives off. */
function withFrying(context: FoldContext, state: BatchState, items: readonly AddedItem[]): BatchState {
  const stage = context.snapshot.input.recipe.stages.find((one) => one.id === state.currentStageId);
  if (!stage) return state;
  const put = items.map((item) => ({ ingredient: rowGoingIn(context.snapshot, item), kg: item.kg }));
  return { ...state, pot: { ...state.pot, piecesGiveKg: piecesGiveKg(stage, state.pot, put) } };
}

function put(
  { snapshot }: FoldContext,
  state: BatchState,
  item: AddedItem,
  as: { id: string; atMs: number },
  isPulp = false,
): BatchState {
  const { ingredientId, kg, tempC, thickener, lineId = null, lotId = null, drawn = null, row = null } = item;
  const own = rowGoingIn(snapshot, item);
  const ingredient = isPulp ? asPulp(own) : own;
  const lies = ingredient.share === 'pieces' || item.comesOut !== undefined;
  const one: PotItem = { id: as.id, lineId, ingredientId, kg, tag: item.comesOut ?? null, sinceMs: as.atMs };
  return {
    ...state,
    pot: putFoodIn(state.pot, { ingredient, kg, tempC, thickener }),
    wentIn: [...state.wentIn, { lineId, ingredientId, kg, lotId, drawn, row }],
    items: lies ? [...state.items, one] : state.items,
    costCents: state.costCents + costGoingIn(snapshot, item),
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
    case 'forgot':
      return forgotten(context, state, slip.lineId);
    case 'trouble': {
      const caught = slip.trouble === 'scorched' ? floorCaught(context, state) : state;
      return slip.lostKg ? { ...caught, pot: drawFromPot(caught.pot, slip.lostKg).pot } : caught;
    }
  }
}

/** All that was said to have gone in for a line never did: pot, cost and lots are as if it had not been said. */
function forgotten({ snapshot }: FoldContext, state: BatchState, lineId: string): BatchState {
  const thickener = snapshot.input.recipe.lines.find((line) => line.id === lineId)?.thickener;
  const missing = state.wentIn.filter((one) => one.lineId === lineId);
  return {
    ...state,
    pot: missing.reduce(
      (pot, one) => leaveFoodOut(pot, rowGoingIn(snapshot, one), one.kg, thickener),
      state.pot,
    ),
    wentIn: state.wentIn.filter((one) => one.lineId !== lineId),
    items: state.items.filter((one) => one.lineId !== lineId),
    costCents: missing.reduce((cents, one) => cents - costGoingIn(snapshot, one), state.costCents),
  };
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

/** How what was put in to thicken cooks out, and what is lost of it again. */
function cookingOut(kind: ThickenerKind | undefined, mashedMin: number, isSour: boolean) {
  if (!kind) return { swellsMin: mashedMin, swellsFromC: MASHED_FROM_C, thinsPerHour: 0, blendingLoss: 0 };
  const { cookOutMin: swellsMin, swellsFromC, thinsPerHour, blendingLoss } = THICKENERS[kind];
  return { swellsMin, swellsFromC, blendingLoss, thinsPerHour: thinsPerHour * (isSour ? SOUR.times : 1) };
}
/** What is mashed or grated in gives its starch from here on, °C. From memory. */
const MASHED_FROM_C = 80;

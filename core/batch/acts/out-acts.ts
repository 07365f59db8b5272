import { plus, times, totalKg } from '../../matter';
import { addToPot, liftFoodOut } from '../../pot';

import type { Fate } from '../batch-event';
import type { BatchState, Parked } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';

/** Where nobody has said where: by the pot. */
const BY_THE_POT = 'by the pot';

/** Takes out what was put in to come out, as heavy as it went in as far as the pieces still hold that. */
export function takeTagOut(context: FoldContext, state: BatchState, event: EventOf<'removed'>): BatchState {
  const { word, count, ...fate } = event.payload;
  const line = context.snapshot.input.recipe.lines.find((one) => one.comesOut?.word === word);
  let left = count;
  const toComeOut = state.toComeOut.flatMap((item) => {
    if (item.word !== word || left === 0) return [item];
    const gone = Math.min(left, item.count);
    left -= gone;
    return item.count > gone ? [{ ...item, count: item.count - gone }] : [];
  });
  const lifted = count - left;
  if (!line?.comesOut || lifted === 0) return { ...state, toComeOut };
  const kg = (lifted * line.comesOut.eachG) / 1000;
  return liftOut(
    context,
    { ...state, toComeOut },
    event,
    { ingredientId: line.ingredientId, kg, word },
    fate,
  );
}

/** Pieces without a tag: roots that are done before the rest, meat to be pulled, shells. */
export function liftPieces(context: FoldContext, state: BatchState, event: EventOf<'lifted'>): BatchState {
  const { ingredientId, kg, ...fate } = event.payload;
  const word = context.snapshot.input.ingredients[ingredientId]?.name.toLowerCase() ?? ingredientId;
  return liftOut(context, state, event, { ingredientId, kg, word }, fate);
}

function liftOut(
  context: FoldContext,
  state: BatchState,
  event: { id: string; actedAtMs: number },
  what: { ingredientId: string; kg: number; word: string },
  fate: Partial<Fate>,
): BatchState {
  const ingredient = context.snapshot.input.ingredients[what.ingredientId];
  if (!ingredient) throw new RangeError(`ingredientId is not in this batch, got ${what.ingredientId}`);
  const pot = liftFoodOut(state.pot, ingredient, what.kg);
  if (fate.fate !== 'parked') return { ...state, pot };
  const masses = plus(state.pot.mixture.pieces, pot.mixture.pieces, -1);
  const parked: Parked = {
    liftedId: event.id,
    name: what.word,
    ingredientId: what.ingredientId,
    kg: fate.weighedKg ?? totalKg(masses),
    masses,
    place: fate.place ?? BY_THE_POT,
    backStageId: fate.backStageId ?? null,
    sinceMs: event.actedAtMs,
  };
  return { ...state, pot, parked: [...state.parked, parked] };
}

/** What was parked goes back, all of it or a part by weight. */
export function giveBack(state: BatchState, event: EventOf<'returned'>): BatchState {
  const { liftedId, kg, tempC } = event.payload;
  const lying = state.parked.find((one) => one.liftedId === liftedId);
  if (!lying) return state;
  const share = lying.kg > 0 ? Math.min(1, kg / lying.kg) : 1;
  const masses = times(lying.masses, share);
  const parked = state.parked.flatMap((one) =>
    one !== lying
      ? [one]
      : share > 0.999
        ? []
        : [{ ...one, kg: one.kg * (1 - share), masses: plus(one.masses, masses, -1) }],
  );
  return { ...state, parked, pot: addToPot(state.pot, { masses, share: 'pieces', tempC }) };
}

import { type Ingredient, plus, times, totalKg } from '../../matter';
import { own } from '../../own';
import { addToPot, bonesOf, liftFoodOut, withBones } from '../../pot';

import type { Fate } from '../batch-event';
import type { BatchState, Parked, PotItem } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { edibleKgOf, type TakenItem, takeItems } from '../pot-items';
import { rowsInPot } from '../went-in';

/** Where nobody has said where: by the pot. */
const BY_THE_POT = 'by the pot';

/** Takes out what hangs by a tag, with what of it still lies in the pot. */
export function takeTagOut(context: FoldContext, state: BatchState, event: EventOf<'removed'>): BatchState {
  const { word, count, itemId, ...fate } = event.payload;
  const which = itemId === undefined ? { word } : { itemId };
  return liftOut(context, state, event, takeItems(state.items, which, { count }), fate);
}

/** Pieces lifted out: roots that are done before the rest, meat to be pulled, shells. What hangs by a tag takes it along. */
export function liftPieces(context: FoldContext, state: BatchState, event: EventOf<'lifted'>): BatchState {
  const { ingredientId, kg, itemId, share, ...fate } = event.payload;
  const which = itemId === undefined ? { ingredientId } : { itemId };
  const ingredient = ingredientOf(context, state, ingredientId);
  const much = share === undefined ? { kg: edibleKgOf(ingredient, kg) } : { share };
  const found = takeItems(state.items, which, much);
  // logs of before did not tell pieces apart: what is not found by its item is lifted by its food
  const taken =
    found.taken.length > 0 ? found.taken : [{ item: strayItem(event, ingredientId), kg, count: 0 }];
  return liftOut(context, state, event, { items: found.items, taken }, { weighedKg: kg, ...fate });
}

const strayItem = (event: { id: string; actedAtMs: number }, ingredientId: string): PotItem => ({
  id: event.id,
  lineId: null,
  ingredientId,
  kg: 0,
  tag: null,
  sinceMs: event.actedAtMs,
});

function liftOut(
  context: FoldContext,
  state: BatchState,
  event: { id: string; actedAtMs: number },
  { items, taken }: { items: PotItem[]; taken: TakenItem[] },
  fate: Partial<Fate>,
): BatchState {
  const pot = taken.reduce(
    (there, one) => liftFoodOut(there, ingredientOf(context, state, one.item.ingredientId), one.kg),
    state.pot,
  );
  const first = taken[0]?.item;
  if (fate.fate !== 'parked' || !first) return { ...state, pot, items };
  const ingredient = ingredientOf(context, state, first.ingredientId);
  const masses = plus(state.pot.mixture.pieces, pot.mixture.pieces, -1);
  const weighedKg = fate.weighedKg ?? null;
  const count = taken.reduce((sum, one) => sum + one.count, 0);
  const parked: Parked = {
    liftedId: event.id,
    name: first.tag?.word ?? ingredient.name.toLowerCase(),
    ingredientId: first.ingredientId,
    // off the bone it is what the model says lay on it; all else is what the scale said
    kg: ingredient.wholeInPot ? totalKg(masses) : (weighedKg ?? totalKg(masses)),
    weighedKg,
    tag: first.tag ? { word: first.tag.word, count } : null,
    masses,
    place: fate.place ?? BY_THE_POT,
    backStageId: fate.backStageId ?? null,
    sinceMs: event.actedAtMs,
  };
  return { ...state, pot, items, parked: [...state.parked, parked] };
}

/** What was parked goes back, all of it or a part by weight: picked off its bones, or whole with its tag. */
export function giveBack(context: FoldContext, state: BatchState, event: EventOf<'returned'>): BatchState {
  const { liftedId, kg, tempC, isWhole } = event.payload;
  const lying = state.parked.find((one) => one.liftedId === liftedId);
  if (!lying) return state;
  const ingredient = ingredientOf(context, state, lying.ingredientId);
  const ofKg = isWhole && ingredient.wholeInPot ? edibleKgOf(ingredient, kg) : kg;
  const share = lying.kg > 0 ? Math.min(1, ofKg / lying.kg) : 1;
  const masses = times(lying.masses, share);
  const parked = state.parked.flatMap((one) =>
    one !== lying
      ? [one]
      : share > 0.999 || ingredient.wholeInPot
        ? []
        : [{ ...one, kg: one.kg * (1 - share), masses: plus(one.masses, masses, -1) }],
  );
  const item: PotItem = {
    id: event.id,
    lineId: null,
    ingredientId: lying.ingredientId,
    kg: totalKg(masses),
    tag: isWhole ? lying.tag : null,
    sinceMs: event.actedAtMs,
  };
  return {
    ...state,
    parked,
    items: [...state.items, item],
    // whole as it came out it brings its bones again
    pot: withBones(
      addToPot(state.pot, { masses, share: 'pieces', tempC }),
      isWhole ? bonesOf(ingredient, totalKg(masses)) : 0,
    ),
  };
}

function ingredientOf({ snapshot }: FoldContext, state: BatchState, id: string): Ingredient {
  const ingredient = own(rowsInPot(snapshot, state), id);
  if (!ingredient) throw new RangeError(`ingredientId is not in this batch, got ${id}`);
  return ingredient;
}

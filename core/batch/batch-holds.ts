import { type Brings, bringsTo, DIETS, type Diet, type Holds, holdsOf } from '../matter';
import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';
import { rowGoingIn, type WentIn } from './went-in';

/** Something in the pot that the dish as it was ordered does not hold, and what brought it. */
export interface MoreThanOrdered {
  /** the food, or the lot it came out of */
  name: string;
  /** the number of that lot; null for none */
  lotNumber: number | null;
  brings: Brings;
}

/** What a batch holds: what it was ordered with, and whatever else went in. */
export interface BatchHolds extends Holds {
  more: MoreThanOrdered[];
  /** claims on the menu that the pot does not keep */
  brokenClaims: Diet[];
}

/** What is in the pot holds, and nothing that is still to come. */
export function holdsInPot(snapshot: BatchSnapshot, state: Pick<BatchState, 'wentIn'>): Holds {
  return holdsOf(state.wentIn.filter(isSome).map((one) => rowGoingIn(snapshot, one)));
}

/**
 * What a guest who eats of a batch is told: everything that the dish was ordered with, its garnish too, and everything
 * that went in beside it, of a lot what the lot held.
 *
 * @param lotsNow what is known today of lots it drew from, by their ids, where that is more than was known then
 */
export function batchHolds(
  snapshot: BatchSnapshot,
  state: Pick<BatchState, 'wentIn'>,
  lotsNow: Readonly<Record<string, Holds>> = {},
): BatchHolds {
  const ordered = holdsAsOrdered(snapshot);
  const foods = state.wentIn.filter(isSome).map((one) => {
    const row = rowGoingIn(snapshot, one);
    const now = one.lotId === null ? undefined : lotsNow[one.lotId];
    const lotNumber = one.drawn?.number ?? null;
    return {
      name: one.drawn?.contents.name ?? row.name,
      lotNumber,
      holds: holdsOf(now ? [row, now] : [row]),
    };
  });
  return heldBy(ordered, foods, snapshot.input.recipe.claims);
}

/** A food that goes in, by the name it is known by, with what it holds. */
export interface HeldFood {
  name: string;
  lotNumber: number | null;
  holds: Holds;
}

/**
 * What a dish holds with all that goes in, and what of it brings more than it was ordered with.
 *
 * @param claims the menu claim
 */
export function heldBy(ordered: Holds, foods: readonly HeldFood[], claims: readonly Diet[] = []): BatchHolds {
  const all = holdsOf([ordered, ...foods.map((food) => food.holds)]);
  const more = foods.flatMap(({ name, lotNumber, holds }) => {
    const brings = bringsTo(holds, ordered);
    return brings ? [{ name, lotNumber, brings }] : [];
  });
  return {
    ...all,
    more: more.filter((one, i) => more.findIndex((other) => isAlike(one, other)) === i),
    brokenClaims: claims.filter((claim) => DIETS.indexOf(all.diet) > DIETS.indexOf(claim)),
  };
}

/** What the dish was ordered with; batches of before did not write it down apart from the lots they drew. */
function holdsAsOrdered({ holds, input }: BatchSnapshot): Holds {
  return holds ?? holdsOf(input.recipe.lines.flatMap((line) => input.ingredients[line.ingredientId] ?? []));
}

const isSome = ({ kg }: WentIn): boolean => kg > 0;

const isAlike = (a: MoreThanOrdered, b: MoreThanOrdered): boolean =>
  a.name === b.name && a.lotNumber === b.lotNumber;

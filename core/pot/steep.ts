import {
  drawOut,
  type Gives,
  type Ingredient,
  type Masses,
  type Mixture,
  mapMasses,
  NO_MASSES,
  NO_SAVOUR,
  plus,
  plusSavour,
  type Savour,
  STEEPING_WAYS,
  savourOf,
  times,
  timesSavour,
} from '../matter';

/** One food lying in the pot that gives to the water: bones, kelp, roots. */
export interface Steeping {
  readonly ingredientId: string;
  readonly kg: number;
  readonly way: Gives['way'];
  readonly halfMin: number;
  /** what comes of it in the end, kg */
  readonly comes: Masses;
  readonly savour: Savour;
  /** share of that which has come, 0..1 */
  readonly drawn: number;
}

/** Minutes that count as minutes at 100 °C, by way. */
export type SteepedMin = Readonly<Record<Gives['way'], number>>;

/** Minutes at a temperature as minutes at 100 °C. */
export function steepingFactor(way: Gives['way'], tempC: number): number {
  return 10 ** ((tempC - 100) / STEEPING_WAYS[way].tenfoldK);
}

/** What a food will give, as it goes in; null for one that gives nothing. */
export function steepingOf(ingredient: Ingredient, kg: number): Steeping | null {
  const { gives } = ingredient;
  if (!gives || kg === 0) return null;
  const protein = (gives.protein ?? 0) * ingredient.perKg.protein * kg;
  const share = {
    ...NO_MASSES,
    protein: gives.protein ?? 0,
    sugars: gives.sugars ?? 0,
    other: gives.other ?? 0,
    fat: gives.fat ?? 0,
  };
  return {
    ingredientId: ingredient.id,
    kg,
    way: gives.way,
    halfMin: gives.halfMin,
    comes: mapMasses((component) => share[component] * ingredient.perKg[component] * kg),
    savour: {
      ...timesSavour(savourOf(ingredient, kg), gives.savour ?? 0),
      gelatin: protein * (gives.gelatin ?? 0),
    },
    drawn: 0,
  };
}

/**
 * Minutes go by: what water draws, it draws fast first and ever slower, half of the rest in each `halfMin`.
 *
 * @param mixture the pot's
 * @param steeping what lies in it
 * @param minutes at 100 °C, 0 or more, by way
 * @returns the mixture with what has come moved from the pieces to the liquid, and how far each has come
 * @source first-order extraction, from memory; times and shares in `matter/data/extraction.ts`
 */
export function steep(
  mixture: Mixture,
  steeping: readonly Steeping[],
  minutes: SteepedMin,
): { mixture: Mixture; steeping: readonly Steeping[] } {
  let moved = NO_MASSES;
  let savour = NO_SAVOUR;
  const after = steeping.map((one) => {
    const drawn = 1 - (1 - one.drawn) * 2 ** (-minutes[one.way] / one.halfMin);
    moved = plus(moved, one.comes, drawn - one.drawn);
    savour = plusSavour(savour, one.savour, drawn - one.drawn);
    return { ...one, drawn };
  });
  return { mixture: drawOut(mixture, moved, savour), steeping: after };
}

/** What is left lying when a share (0..1) of it has gone. */
export function lessSteeping(steeping: readonly Steeping[] | undefined, share: number): readonly Steeping[] {
  if (!steeping || share >= 1) return [];
  const stays = 1 - share;
  return steeping.map((one) => ({
    ...one,
    kg: one.kg * stays,
    comes: times(one.comes, stays),
    savour: timesSavour(one.savour, stays),
  }));
}

/** Savour still in the pieces. */
export function savourHeld(steeping: readonly Steeping[] | undefined): Savour {
  return (steeping ?? []).reduce((sum, one) => plusSavour(sum, one.savour, 1 - one.drawn), NO_SAVOUR);
}

/**
 * Takes kilograms of one food out of what lies in the pot.
 *
 * @returns what stays, and what those kilograms have given by now, kg of each
 */
export function liftSteeping(
  steeping: readonly Steeping[],
  ingredientId: string,
  kg: number,
): { steeping: readonly Steeping[]; given: Masses } {
  let left = kg;
  let given = NO_MASSES;
  const stays = steeping.flatMap((one) => {
    if (one.ingredientId !== ingredientId || left <= 0) return [one];
    const share = Math.min(1, left / one.kg);
    left -= one.kg * share;
    given = plus(given, one.comes, share * one.drawn);
    return lessSteeping([one], share);
  });
  return { steeping: stays, given };
}

import {
  drawOut,
  type Gives,
  type Ingredient,
  type Masses,
  type Mixture,
  mapMasses,
  massesOf,
  NO_MASSES,
  NO_SAVOUR,
  plus,
  plusSavour,
  type Savour,
  STEEPING_WAYS,
  savourOf,
  times,
  timesSavour,
  withWater,
} from '../matter';
import { pulpBodyG, type SoftBody, softBody } from '../thickness';

/** One food lying in the pot that gives to the water: bones, kelp, roots; and what softens and lends it body. */
export interface Steeping {
  readonly ingredientId: string;
  readonly kg: number;
  readonly way: Gives['way'] | 'softens';
  readonly halfMin: number;
  /** what comes of it in the end, kg */
  readonly comes: Masses;
  readonly savour: Savour;
  /** how far it has gone, 0..1: drawn out, or soft */
  readonly drawn: number;
  /** what softens only */
  readonly body?: SoftBody;
}

/** Minutes that count as minutes at 100 °C, by way. */
export type SteepedMin = Readonly<Record<Steeping['way'], number>>;

/** Soft to the bite is this share of all the softening there is, so that half of what falls apart has done so by then. */
const BITE = 0.6;

/** Minutes to soften of what has body and no time of its own: bread, crumbs. source: common practice, 5 to 10 */
const SOFT_MIN = 8;

/**
 * How much of what it gives has come: drawn by the water it comes as it goes; of what softens nothing falls apart
 * before it is soft, half by then, nine tenths in three times as long. source: common practice of peas and porridge;
 * the shape, a square, ours
 */
const come = (one: Steeping, drawn = one.drawn): number => (one.way === 'softens' ? drawn * drawn : drawn);

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
 * What a food will lend as it softens: a share of it falls apart, with what it has drunk, and thickens like pulp.
 * Null for what lends no body, and for what is no piece.
 */
export function softeningOf(ingredient: Ingredient, kg: number): Steeping | null {
  if (ingredient.share !== 'pieces' || ingredient.thickener) return null;
  const body = softBody(ingredient, kg);
  if (body.comesG === 0) return null;
  const own = massesOf(ingredient, kg);
  const swollen = withWater(own, own.water + kg * (ingredient.drinks ?? 0));
  return {
    ingredientId: ingredient.id,
    kg,
    way: 'softens',
    halfMin: BITE * (ingredient.softenMin ?? SOFT_MIN),
    comes: times(swollen, body.comesG / body.blendedG),
    savour: NO_SAVOUR,
    drawn: 0,
    body,
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
  let bodyG = 0;
  const after = steeping.map((one) => {
    const drawn = 1 - (1 - one.drawn) * 2 ** (-minutes[one.way] / one.halfMin);
    const more = come(one, drawn) - come(one);
    moved = plus(moved, one.comes, more);
    savour = plusSavour(savour, one.savour, more);
    bodyG += more * (one.body?.comesG ?? 0);
    return { ...one, drawn };
  });
  return { mixture: drawOut(mixture, moved, savour, bodyG), steeping: after };
}

/**
 * Grams of flour that pieces thicken like where a share (0..1) of them is blended: their pulp, less what is not soft
 * yet. That comes as it cooks on, and so stays in what is left lying.
 */
export function blend(
  pieces: Masses,
  steeping: readonly Steeping[] | undefined,
  share: number,
): { bodyG: number; steeping: readonly Steeping[] } {
  const lying = (steeping ?? []).filter((one) => one.kg > 0);
  const hard = lying.flatMap((one): Steeping[] => {
    if (!one.body) return [];
    const { comesG, blendedG, hardG } = one.body;
    const laterG = share * hardG * (1 - (comesG / blendedG) * come(one));
    const body = { comesG: laterG, blendedG: laterG, hardG: laterG };
    return [{ ...one, kg: 0, comes: NO_MASSES, body }];
  });
  const hardG = hard.reduce((sum, one) => sum + one.body!.comesG * (1 - come(one)), 0);
  return {
    bodyG: Math.max(0, share * pulpBodyG(pieces) - hardG),
    steeping: [...lessSteeping(lying, share), ...blended(steeping), ...hard],
  };
}

/** What was blended before it was soft, and thickens as it cooks on: it is in the liquid, and goes where that goes. */
export const blended = (steeping: readonly Steeping[] | undefined): readonly Steeping[] =>
  (steeping ?? []).filter((one) => one.kg === 0);

/** What is left lying when a share (0..1) of it has gone. */
export function lessSteeping(steeping: readonly Steeping[] | undefined, share: number): readonly Steeping[] {
  if (!steeping || share >= 1) return [];
  const stays = 1 - share;
  return steeping.map((one) => ({
    ...one,
    kg: one.kg * stays,
    comes: times(one.comes, stays),
    savour: timesSavour(one.savour, stays),
    ...(one.body ? { body: lessBody(one.body, stays) } : {}),
  }));
}

const lessBody = ({ comesG, blendedG, hardG }: SoftBody, stays: number): SoftBody => ({
  comesG: comesG * stays,
  blendedG: blendedG * stays,
  hardG: hardG * stays,
});

/** Savour still in the pieces. */
export function savourHeld(steeping: readonly Steeping[] | undefined): Savour {
  return (steeping ?? []).reduce((sum, one) => plusSavour(sum, one.savour, 1 - come(one)), NO_SAVOUR);
}

/** What a food has given the water by now: kg of each, savour, and grams of flour it thickens like. */
export interface Given {
  masses: Masses;
  savour: Savour;
  bodyG: number;
}

/**
 * Takes kilograms of one food out of what lies in the pot.
 *
 * @returns what stays, and what those kilograms have given by now
 */
export function liftSteeping(
  steeping: readonly Steeping[],
  ingredientId: string,
  kg: number,
): { steeping: readonly Steeping[]; given: Given } {
  const leftKg: Partial<Record<Steeping['way'], number>> = {};
  let given: Given = { masses: NO_MASSES, savour: NO_SAVOUR, bodyG: 0 };
  const stays = steeping.flatMap((one) => {
    const left = leftKg[one.way] ?? kg;
    if (one.ingredientId !== ingredientId || left <= 0 || one.kg === 0) return [one];
    const share = Math.min(1, left / one.kg);
    leftKg[one.way] = left - one.kg * share;
    const gone = share * come(one);
    given = {
      masses: plus(given.masses, one.comes, gone),
      savour: plusSavour(given.savour, one.savour, gone),
      bodyG: given.bodyG + gone * (one.body?.comesG ?? 0),
    };
    return lessSteeping([one], share);
  });
  return { steeping: stays, given };
}

import { type Ingredient, type Masses, plus, totalKg } from '../matter';
import { addToPot, liftFoodOut, type PotState } from '../pot';
import type { RecipeLine } from '../recipe';

/** What lies in the pot and has to come out, kg as it went in; `backStageId` where its meat goes in again. */
export interface Hanging {
  ingredientId: string;
  kg: number;
  lineId?: string | null;
  backStageId?: string;
}

/** Meat that lies picked beside the pot until its stage. */
export interface Picked {
  masses: Masses;
  backStageId: string;
  lineId?: string | null;
}

/** What has lain spread on a tray while it was picked is about this warm, °C. Common practice. */
export const PICKED_C = 25;

/** A line as it hangs in the pot; null for one that stays in. */
export function hangingOf(line: RecipeLine, kg: number): Hanging | null {
  const { comesOut, ingredientId } = line;
  if (!comesOut) return null;
  const { backStageId } = comesOut;
  return { ingredientId, kg, lineId: line.id, ...(backStageId ? { backStageId } : {}) };
}

/**
 * Lifts out what hangs: as heavy as it went in, as far as the pieces still hold that. Of what goes in again the edible part
 * is kept, bone and skin are not in the pot's masses anyway.
 */
export function liftHanging(
  pot: PotState,
  hanging: readonly Hanging[],
  ingredients: Readonly<Record<string, Ingredient>>,
): { pot: PotState; picked: Picked[] } {
  const picked: Picked[] = [];
  const left = hanging.reduce((here, { ingredientId, kg, backStageId, lineId }) => {
    const after = liftFoodOut(here, ingredients[ingredientId]!, kg);
    const masses = plus(here.mixture.pieces, after.mixture.pieces, -1);
    if (backStageId) picked.push({ masses, backStageId, lineId: lineId ?? null });
    return after;
  }, pot);
  return { pot: left, picked };
}

/** Puts back what was picked for this stage. */
export function putBack(pot: PotState, picked: readonly Picked[]): PotState {
  return picked.reduce(
    (here, { masses }) =>
      totalKg(masses) > 0 ? addToPot(here, { masses, share: 'pieces', tempC: PICKED_C }) : here,
    pot,
  );
}

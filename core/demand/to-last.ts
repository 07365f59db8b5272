import { positive } from '../check';
import type { Demand } from './demand';

/** It lasts where this chance is left of running out, and no more. Ours: one service in five. */
const RISK = 0.2;
/** No guest is given less than this share of a bowl, and no soup thinned by more than this. Ours. */
const LEAST_BOWL = 0.7;
const MOST_THINNED = 0.15;
/** A ladle is told to so many mL. */
const LADLE_STEP_ML = 5;

export interface ToLast {
  /** bowls that would be enough in four services of five */
  bowls: number;
  /** a smaller bowl for each, mL; null where it would be no bowl any more */
  ladleMl: number | null;
  /** hot liquid to put in, L, and the share by which salt and taste are thinned; null where that would be too much */
  dilute: { litres: number; thinnedBy: number } | null;
}

/**
 * What would make a pot last: smaller bowls, or more of it.
 *
 * @param of the food in the pot, L above 0; a bowl, mL above 0
 * @returns null where it lasts as it is
 */
export function toLast(demand: Demand, of: { litres: number; portionMl: number }): ToLast | null {
  const litres = positive('litres', of.litres);
  const portionL = positive('portionMl', of.portionMl) / 1000;
  const left = Math.floor(litres / portionL + 1e-6);
  if (demand.chanceOfMoreThan(left) <= RISK) return null;
  const bowls = enoughBowls(demand, left);
  const ladleMl = Math.floor((1000 * litres) / bowls / LADLE_STEP_ML) * LADLE_STEP_ML;
  const more = bowls * portionL - litres;
  return {
    bowls,
    ladleMl: ladleMl >= LEAST_BOWL * of.portionMl ? ladleMl : null,
    dilute: more <= MOST_THINNED * litres ? { litres: more, thinnedBy: more / (litres + more) } : null,
  };
}

/** The fewest bowls that are enough, above those that are not. */
function enoughBowls(demand: Demand, tooFew: number): number {
  let [low, high] = [tooFew, tooFew + 1];
  while (demand.chanceOfMoreThan(high) > RISK) [low, high] = [high, 2 * high];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (demand.chanceOfMoreThan(middle) > RISK) low = middle;
    else high = middle;
  }
  return high;
}

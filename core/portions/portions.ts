import { atLeast, positive, within } from '../check';

/** Percent of a pot that stays on its wall and the ladle. source: common practice */
export const CLING_PERCENT = 1;

/**
 * Portions a volume serves.
 *
 * @param litres in the pot, 0 or more
 * @param portionMl one portion, above 0
 * @param clingPercent what stays in the pot, 0..100, default 1
 * @returns portions, a real number
 * @throws RangeError naming the bad argument
 * @example portions({ litres: 15.3, portionMl: 250 }) // => 60.588
 * @source arithmetic; cling common practice
 */
export function portions(input: { litres: number; portionMl: number; clingPercent?: number }): number {
  const cling = within('clingPercent', input.clingPercent ?? CLING_PERCENT, 0, 100);
  const ml = atLeast('litres', input.litres, 0) * 1000 * (1 - cling / 100);
  return ml / positive('portionMl', input.portionMl);
}

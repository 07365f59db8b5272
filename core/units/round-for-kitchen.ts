import { finite } from '../check';

/**
 * Rounds grams to what a kitchen scale can show: 0.1 g under 10 g, 1 under 100, 5 under 1 kg, 10 under 5 kg, 50 above.
 * Only for the edge: nothing inside the model is rounded.
 *
 * @param grams any finite number of grams
 * @returns grams on the scale's grid
 * @example roundGrams(1532) // => 1530
 * @source common practice
 */
export function roundGrams(grams: number): number {
  return toStep(grams, gramStep(Math.abs(finite('grams', grams))));
}

/**
 * Rounds millilitres to what a kitchen measure can show: 5 mL under 100, 50 mL under 1 L, 0.1 L above.
 *
 * @param millilitres any finite number of mL
 * @returns mL on the measure's grid
 * @example roundMillilitres(6234) // => 6200
 * @source common practice
 */
export function roundMillilitres(millilitres: number): number {
  const size = Math.abs(finite('millilitres', millilitres));
  return toStep(millilitres, size < 100 ? 5 : size < 1000 ? 50 : 100);
}

function gramStep(grams: number): number {
  if (grams < 10) return 0.1;
  if (grams < 100) return 1;
  if (grams < 1000) return 5;
  return grams < 5000 ? 10 : 50;
}

function toStep(value: number, step: number): number {
  const perUnit = Math.round(1 / step);
  return step < 1 ? Math.round(value * perUnit) / perUnit : Math.round(value / step) * step;
}

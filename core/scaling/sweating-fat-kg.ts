import { positive } from '../check';

/** A pan is taken to be as wide as deep, and filled to this share, when a recipe is written. Common practice. */
const USUAL_FILL = 2 / 3;

/** Never under half the straight multiple, never over one and a half times it. Common practice. */
const BOUNDS = { low: 0.5, high: 1.5 } as const;

/**
 * Fat for sweating: enough for the pan's bottom, so it follows the pan and not the litres.
 *
 * @param kg written, 0 or more, for `writtenLitres` in a pan usual for them
 * @param areaM2 bottom of the pan it is cooked in, m²
 * @param factor plain multiple of the recipe, above 0
 * @returns kg
 * @throws RangeError naming a bad argument
 * @example sweatingFatKg({ kg: 0.1, writtenLitres: 2, areaM2: 0.1018, factor: 20 }) // => 1
 * @source common practice: a film on the bottom; the usual pan is as wide as deep and two thirds full
 */
export function sweatingFatKg(of: {
  kg: number;
  writtenLitres: number;
  areaM2: number;
  factor: number;
}): number {
  const { kg, writtenLitres, areaM2, factor } = of;
  positive('writtenLitres', writtenLitres);
  positive('areaM2', areaM2);
  positive('factor', factor);
  const diameterM = ((4 * writtenLitres) / 1000 / (Math.PI * USUAL_FILL)) ** (1 / 3);
  const usualM2 = (Math.PI / 4) * diameterM ** 2;
  const straight = kg * factor;
  return Math.min(straight * BOUNDS.high, Math.max(straight * BOUNDS.low, (kg * areaM2) / usualM2));
}

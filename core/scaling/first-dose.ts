import { positive } from '../check';

/** How a strength grows with the batch. source: common practice, exponents from memory */
export const DOSE_LAWS = {
  byTaste: { exponent: 0.85, floor: 2 / 3 },
  startLow: { exponent: 0.7, floor: 1 / 2 },
} as const;

/**
 * Share of the straight multiple to begin with, of what is dosed by taste: all of it as written or smaller, falling to
 * two thirds (strong herbs, spices, garlic) or half (chilli, spirit) in large batches.
 *
 * @param factor plain multiple of the recipe, above 0
 * @param law byTaste or startLow
 * @returns 0.5..1
 * @throws RangeError for a factor of 0 or less
 * @example firstDose({ factor: 20, law: 'byTaste' }) // => 0.667
 * @source common practice: two thirds of the straight multiple, then taste
 */
export function firstDose({ factor, law }: { factor: number; law: keyof typeof DOSE_LAWS }): number {
  const { exponent, floor } = DOSE_LAWS[law];
  if (positive('factor', factor) <= 1) return 1;
  return Math.max(floor, factor ** (exponent - 1));
}

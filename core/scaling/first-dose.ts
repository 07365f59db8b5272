import { positive } from '../check';

/** How a strength grows with the batch. source: common practice, exponents from memory */
export const DOSE_LAWS = {
  byTaste: { exponent: 0.85, floor: 2 / 3 },
  startLow: { exponent: 0.7, floor: 1 / 2 },
} as const;

/** Of what was right before so much goes in by itself. source: common practice, two thirds and taste */
const BY_SPOON = 2 / 3;

export type DoseLaw = keyof typeof DOSE_LAWS | 'bySpoon';

/** True for a line that begins under its multiple, the rest kept back for the palate. */
export const isDosed = (law: unknown): law is DoseLaw =>
  law === 'byTaste' || law === 'startLow' || law === 'bySpoon';

/**
 * Share of the straight multiple to begin with, of what is dosed by taste: all of it as written or smaller, falling to
 * two thirds (strong herbs, spices, garlic) or half (chilli, spirit) in large batches. What spoons have found right is
 * always begun with two thirds.
 *
 * @param of plain multiple of the recipe, above 0; and how the line is dosed
 * @returns 0.5..1
 * @throws RangeError for a factor of 0 or less
 * @example firstDose({ factor: 20, law: 'byTaste' }) // => 0.667
 * @source common practice: two thirds of the straight multiple, then taste
 */
export function firstDose({ factor, law }: { factor: number; law: DoseLaw }): number {
  positive('factor', factor);
  if (law === 'bySpoon') return BY_SPOON;
  if (factor <= 1) return 1;
  const { exponent, floor } = DOSE_LAWS[law];
  return Math.max(floor, factor ** (exponent - 1));
}

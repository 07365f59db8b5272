import { type Masses, NO_MASSES, totalKg } from './masses';

/**
 * What is in a pot: liquid, and the pieces in it. The thickening the liquid carries goes with it wherever it goes,
 * as grams of flour that would do the same.
 */
export interface Mixture {
  readonly liquid: Masses;
  readonly pieces: Masses;
  readonly flourEquivalentG: number;
}

export const EMPTY: Mixture = { liquid: NO_MASSES, pieces: NO_MASSES, flourEquivalentG: 0 };

/** Kilograms of liquid and pieces together. */
export function massKg(mixture: Mixture): number {
  return totalKg(mixture.liquid) + totalKg(mixture.pieces);
}

import { type Masses, NO_MASSES, totalKg } from './masses';
import { NO_SAVOUR, type Savour } from './savour';

/**
 * What is in a pot: liquid, and the pieces in it. The thickening the liquid carries goes with it wherever it goes, as
 * grams of flour that would do the same; so does its savour.
 */
export interface Mixture {
  readonly liquid: Masses;
  readonly pieces: Masses;
  readonly flourEquivalentG: number;
  readonly savour: Savour;
}

export const EMPTY: Mixture = {
  liquid: NO_MASSES,
  pieces: NO_MASSES,
  flourEquivalentG: 0,
  savour: NO_SAVOUR,
};

/** Kilograms of liquid and pieces together. */
export function massKg(mixture: Mixture): number {
  return totalKg(mixture.liquid) + totalKg(mixture.pieces);
}

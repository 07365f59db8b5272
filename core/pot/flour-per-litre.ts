import { bodyOfPot } from './body';
import type { PotState } from './pot';
import { liquidLitres } from './pot-litres';

/** Grams of flour that a litre of its liquid, measured cold, thickens like: what its band goes by; 0 where there is none. */
export function flourPerLitre(pot: PotState): number {
  const litres = liquidLitres(pot);
  return litres > 0 ? bodyOfPot(pot) / litres : 0;
}

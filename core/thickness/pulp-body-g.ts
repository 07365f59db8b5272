import type { Masses } from '../matter';

/** Grams of flour that a kilogram of each component of pulp does as much as. source: from memory, first guesses */
const PER_KG = { starch: 800, fibre: 1200, protein: 300 } as const;

/**
 * Grams of flour that pieces thicken like once they are puréed: by the starch they let go and the fibre they are.
 *
 * @param pieces kg of each component
 * @returns grams of flour equivalent
 * @source from memory: half a kilogram of root vegetable to the litre of purée coats the spoon (common practice)
 */
export function pulpBodyG(pieces: Masses): number {
  return pieces.starch * PER_KG.starch + pieces.other * PER_KG.fibre + pieces.protein * PER_KG.protein;
}

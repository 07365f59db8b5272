import type { Recipe } from '../recipe';

/**
 * A change of what goes in, by line. `swap` gives a share of a line to another food, weight for weight or by what that
 * food is strong in; `dairyFat` mixes the milk and cream of a recipe to a fat percent.
 */
export type Substitution =
  | { kind: 'swap'; lineId: string; byIngredientId: string; share: number; keep: SwapKeeps }
  /** water for a share of a base, its aromatics in the pot instead, lifted out again */
  | { kind: 'aromatics'; lineId: string; share: number }
  | { kind: 'bouillon'; lineId: string; share: number; gPerL: number }
  | { kind: 'dairyFat'; milkLineId: string; creamLineId: string; fatPercent: number }
  /** a liquid that makes up the litres, where the recipe has none to solve */
  | { kind: 'makeUp'; byIngredientId: string };

/** What the new food is measured by: weight, thickening strength, solids, dried for fresh, or umami. */
export const SWAP_KEEPS = ['weight', 'strength', 'solids', 'dried', 'umami'] as const;
export type SwapKeeps = (typeof SWAP_KEEPS)[number];

/** A recipe after a substitution, and what to know about it. */
export interface Substituted {
  recipe: Recipe;
  notes: SubstitutionNote[];
}

export type SubstitutionNote =
  /** a slurry takes the place of a roux */
  | { code: 'rouxFatGoes' }
  | { code: 'makesUp'; name: string }
  /** weight for weight */
  | { code: 'binds'; name: string; times: number }
  /** kg of the new for each of the old, and the water that comes or stays away with it, kg */
  | { code: 'bySolids'; kgPerKg: number; waterKgPerKg: number }
  | { code: 'freshForDried' }
  | { code: 'driedForFresh' }
  | { code: 'keepsUmami'; gPerKg: number }
  /** at the written size */
  | { code: 'bouillonSalt'; saltG: number; litres: number }
  /** so much would salt the dish past its target by itself */
  | { code: 'bouillonCapped'; askedGPerL: number; gPerL: number; saltPercent: number }
  | { code: 'aromatics' }
  | { code: 'dairyFat'; creamPercent: number; fatPercent: number };

import type { Allergen, Diet } from '../matter';
import type { Library } from './library';
import type { Recipe } from './recipe';
import { whatItHolds } from './what-it-holds';

/** A dish of which something else would be said than is said now. */
export interface HoldsMove {
  recipeId: string;
  name: string;
  /** allergens that would no longer be said of it, and that would be said of it anew */
  loses: Allergen[];
  gains: Allergen[];
  /** its diet before and after, where that is another; else null */
  diet: { before: Diet; after: Diet } | null;
}

/**
 * The dishes of which other foods, or other rows of the same foods, would have something else said.
 *
 * @param book the dishes
 * @returns one for each that moves, in the order of the book; what does not hold together in either is left out
 */
export function holdsMoves(book: readonly Recipe[], before: Library, after: Library): HoldsMove[] {
  return book.flatMap((recipe) => {
    const was = heldIn(recipe, before);
    const will = heldIn(recipe, after);
    if (!was || !will) return [];
    const loses = was.allergens.filter((one) => !will.allergens.includes(one));
    const gains = will.allergens.filter((one) => !was.allergens.includes(one));
    const diet = was.diet === will.diet ? null : { before: was.diet, after: will.diet };
    if (loses.length === 0 && gains.length === 0 && !diet) return [];
    return [{ recipeId: recipe.id, name: recipe.name, loses, gains, diet }];
  });
}

function heldIn(recipe: Recipe, library: Library): { allergens: Allergen[]; diet: Diet } | null {
  try {
    const { allergens, diet } = whatItHolds(recipe, library);
    return { allergens: allergens.map((one) => one.allergen), diet };
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

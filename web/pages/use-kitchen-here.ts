import { useMemo } from 'react';
import { useOutletContext } from 'react-router';
import { type KitchenView, orderedRecipe } from '../../contract';
import type { Recipe } from '../../core/recipe';
import { useRecipes } from '../data/queries';

/** The kitchen, known by the time any place is shown. */
export function useKitchenHere(): KitchenView {
  return useOutletContext<KitchenView>();
}

/** The recipe that an address names, one of the book or one brought back hot; the same one for as long as it holds. */
export function useOrderedRecipe(id: string | null): Recipe | undefined {
  const { ownIngredients, pricesCentsPerKg } = useKitchenHere();
  const { data: book } = useRecipes();
  return useMemo(
    () => (id && book ? orderedRecipe(id, { ownIngredients, pricesCentsPerKg }, book) : undefined),
    [id, book, ownIngredients, pricesCentsPerKg],
  );
}

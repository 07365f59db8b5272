import { useMemo } from 'react';
import { useOutletContext } from 'react-router';
import type { KitchenView } from '../../contract';
import { orderedRecipe } from '../../core/book';
import type { Recipe } from '../../core/recipe';
import { useFoods, useRecipes } from '../data/queries';

/** The kitchen, known by the time any place is shown. */
export function useKitchenHere(): KitchenView {
  return useOutletContext<KitchenView>();
}

/** The recipe that an address names, one of the book or one reheated; the same one for as long as it holds. */
export function useOrderedRecipe(id: string | null): Recipe | undefined {
  const { limits } = useKitchenHere();
  const { data: foods } = useFoods();
  const { data: book } = useRecipes();
  return useMemo(
    () => (id && book && foods ? orderedRecipe(id, { ...foods, limits }, book) : undefined),
    [id, book, foods, limits],
  );
}

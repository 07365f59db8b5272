import { useMemo } from 'react';
import { type KitchenView, libraryOf, rowsOf } from '../../contract';
import type { Ingredient } from '../../core/matter';
import { type ReadingTable, readingTable } from '../../core/reader';
import type { Library, Recipe } from '../../core/recipe';
import { useRecipes } from './queries';

/** The kitchen's book with everything it can be read and cooked with. */
export interface Book {
  recipes: readonly Recipe[];
  library: Library;
  /** foods, and each recipe as the food it makes */
  rows: Readonly<Record<string, Ingredient>>;
  table: ReadingTable;
}

/** The book, made once for a kitchen and its recipes; null while it is fetched. `except` is the recipe being written. */
export function useBook(kitchen: KitchenView, except?: string): Book | null {
  const { data: recipes } = useRecipes();
  const { ownIngredients, pricesCentsPerKg, units } = kitchen;
  return useMemo(() => {
    if (!recipes) return null;
    const library = libraryOf({ ownIngredients, pricesCentsPerKg }, recipes);
    const rows = rowsOf(library, except);
    return { recipes, library, rows, table: readingTable(rows, units) };
  }, [recipes, ownIngredients, pricesCentsPerKg, units, except]);
}

import { useMemo } from 'react';
import type { KitchenView } from '../../contract';
import { libraryOf, rowsOf } from '../../core/book';
import type { Ingredient } from '../../core/matter';
import { type ReadingTable, readingTable } from '../../core/reader';
import type { Library, Recipe } from '../../core/recipe';
import { useFoods, useRecipes } from './queries';

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
  const { data: foods } = useFoods();
  const system = kitchen.measures.volume;
  return useMemo(() => {
    if (!recipes || !foods) return null;
    const library = libraryOf({ ...foods, currency: kitchen.currency }, recipes);
    const rows = rowsOf(library, except);
    return { recipes, library, rows, table: readingTable(rows) };
  }, [recipes, foods, system, kitchen.currency, except]);
}

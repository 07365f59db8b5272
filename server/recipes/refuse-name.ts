import type { FoodsView } from '../../contract';
import { libraryOf } from '../../core/book';
import { nameTaken } from '../../core/reader';
import { type Recipe, recipeIdOf, recipeRowId } from '../../core/recipe';
import { impossible } from '../problem';

/**
 * A name that is said of something else already is no name: a line that says it would mean either.
 *
 * @param own ids of the rows that may have it: the food or recipe itself, the food a base is made for
 * @throws ProblemError 422
 */
export function refuseName(
  field: string,
  name: string,
  here: { foods: FoodsView; book: readonly Recipe[] },
  own: readonly string[],
): void {
  const rows = [
    ...Object.values(libraryOf(here.foods, []).ingredients),
    ...here.book.map((recipe) => ({ id: recipeRowId(recipe.id), name: recipe.name })),
  ].filter((row) => !own.includes(row.id));
  const taken = nameTaken(name, rows);
  if (!taken) return;
  const what = recipeIdOf(taken.id) === null ? 'a food' : 'a recipe';
  throw impossible(
    field,
    `There is ${what} “${taken.name}” that is called so already: give this another name, so that a line means one thing.`,
  );
}

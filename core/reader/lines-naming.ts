import type { Recipe } from '../recipe';
import { wordsOf } from './ingredient-names';

/** A written line of a recipe that says a name. */
export interface LineNaming {
  recipeId: string;
  recipeName: string;
  lineId: string;
  text: string;
}

/**
 * The written lines of a book that say a name, whatever food each was saved with: what a new food of that name would be
 * read in, were they read anew.
 *
 * @param name one word or more
 */
export function linesNaming(name: string, book: readonly Recipe[]): LineNaming[] {
  const wanted = wordsOf(name).join(' ');
  if (wanted === '') return [];
  return book.flatMap((recipe) =>
    (recipe.written ?? [])
      .filter((line) => ` ${wordsOf(line.text).join(' ')} `.includes(` ${wanted} `))
      .map(({ id, text }) => ({ recipeId: recipe.id, recipeName: recipe.name, lineId: id, text })),
  );
}

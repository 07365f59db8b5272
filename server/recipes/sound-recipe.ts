import { type FoodsView, readingDoubt } from '../../contract';
import { libraryOf, prepareRecipe, rowsOf } from '../../core/book';
import { linesAgain, readingTable } from '../../core/reader';
import type { Recipe } from '../../core/recipe';
import type { UnitSystem } from '../../core/units';
import { impossible } from '../problem';

/** What a recipe is held against: the kitchen's foods and units, and the rest of its book. */
export interface BookHere {
  units: UnitSystem;
  foods: FoodsView;
  /** the latest version of each recipe */
  book: readonly Recipe[];
}

/**
 * The recipe with its lines made from what is written, if it holds together with the rest of the book.
 *
 * @param was the version it is saved over, whose lines keep their foods; null for a new one
 * @param more recipes that come with it
 * @throws ProblemError 422 for what is not understood, or holds itself
 */
export function soundRecipe(
  here: BookHere,
  recipe: Recipe,
  was: Recipe | null = null,
  more: readonly Recipe[] = [],
): Recipe {
  const coming = new Set([recipe.id, ...more.map((one) => one.id)]);
  const others = [
    ...here.book.filter((one) => !coming.has(one.id)),
    ...more.filter((one) => one.id !== recipe.id),
  ];
  const library = libraryOf(here.foods, [...others, recipe]);
  const whole = recipe.written ? withLines(recipe, others, here, was) : recipe;
  if (whole.lines.length === 0) throw impossible('recipe.written', 'A recipe has at least one line.');
  try {
    prepareRecipe(whole, { ...library, recipes: { ...library.recipes, [whole.id]: whole } });
  } catch (error) {
    if (error instanceof RangeError)
      throw impossible('recipe', `This does not hold together: ${error.message}.`);
    throw error;
  }
  return whole;
}

function withLines(
  recipe: Recipe,
  others: readonly Recipe[],
  { foods, units }: BookHere,
  was: Recipe | null,
): Recipe {
  const written = recipe.written!;
  const table = readingTable(rowsOf(libraryOf(foods, others), recipe.id), units);
  const { lines, notUnderstood } = linesAgain(recipe, written, table, was);
  const [first] = notUnderstood;
  if (!first) return { ...recipe, lines };
  const at = written.findIndex((line) => line.id === first.line.id);
  const [doubt] = first.reading.warnings;
  const why = doubt ? readingDoubt(doubt) : 'its weight is not known: give grams.';
  throw impossible(`recipe.written.${at}`, `“${first.line.text}”: ${why}`);
}

import type { BookDifference, BookTaken, TakeBook } from '../../contract';
import { ProblemError } from '../problem';
import { canonical, once } from '../said-before';
import type { ServerContext } from '../server-context';
import { insertRecipe, setOwnIngredient } from '../storage';
import { bookHere } from './save-recipe';

/** So often it is read anew where the book here changed meanwhile. */
const TRIES = 3;

/**
 * Takes in a book whole or not at all: its foods, then its recipes, each new, or the next version of the one here, or
 * left alone where it is the same already. Foods whose label differs from what stands here are taken only as far as a
 * person has checked each.
 */
export async function takeBook(context: ServerContext, wanted: TakeBook, tries = TRIES): Promise<BookTaken> {
  const { id, checkedFoodIds, ...file } = wanted;
  const { storage, clock, live } = context;
  const here = bookHere(storage.db);
  const { difference, recipes, foods } = await context.files.intake(file, here);
  refuseUnchecked(difference, checkedFoodIds);
  const done = storage.transact((tx) => {
    if (canonical(bookHere(tx)) !== canonical(here)) return null;
    const atMs = clock.nowMs();
    return once(tx, { what: 'A book', id, content: { text: file.text, checkedFoodIds }, atMs }, () => {
      for (const row of foods) setOwnIngredient(tx, row);
      for (const recipe of recipes) insertRecipe(tx, recipe, atMs);
      return takenOf(difference);
    });
  });
  if (!done) {
    if (tries > 1) return takeBook(context, wanted, tries - 1);
    const sentence = 'The book here is being changed: try again in a moment.';
    throw new ProblemError(409, 'Changed meanwhile', [{ field: 'file', sentence }]);
  }
  if (done.isNew && foods.length > 0) live.publish({ kind: 'kitchen', part: 'foods' });
  if (done.isNew && recipes.length > 0)
    live.publish({ kind: 'recipes', recipeIds: recipes.map((recipe) => recipe.id) });
  return done.answer;
}

function refuseUnchecked({ foods }: BookDifference, checkedFoodIds: readonly string[]): void {
  const unchecked = foods.filter((food) => food.needsPerson && !checkedFoodIds.includes(food.id));
  if (unchecked.length === 0) return;
  throw new ProblemError(
    422,
    'Labels to check',
    unchecked.map(({ id, name }) => ({
      field: `foods.${id}`,
      sentence: `${name}: hold what the file says against the label on the packet, and check it off.`,
    })),
  );
}

function takenOf({ recipes, foods }: BookDifference): BookTaken {
  const names = (change: BookDifference['recipes'][number]['change']) =>
    recipes.filter((one) => one.change === change).map((one) => one.name);
  return {
    added: names('new'),
    newVersions: names('newVersion'),
    same: names('same'),
    foods: foods.filter((one) => one.change !== 'same').map((one) => one.name),
  };
}

import type { SaveRecipe } from '../../contract';
import { type Recipe, recipeRowId } from '../../core/recipe';
import type { CommandContext } from '../command-context';
import { foodsView, settingsOf } from '../kitchen/kitchen-view';
import { ProblemError } from '../problem';
import { canonical } from '../said-before';
import { type Db, insertRecipe, latestRecipe, latestRecipes } from '../storage';
import { refuseName } from './refuse-name';
import { type BookHere, soundRecipe } from './sound-recipe';

/** What stands here, as a recipe is held against it. */
export function bookHere(db: Db): BookHere {
  return { units: settingsOf(db).measures.volume, foods: foodsView(db), book: latestRecipes(db) };
}

/**
 * Saves a recipe as its next version. Its lines are made here from what is written, against the kitchen's own table;
 * what is not understood, or holds itself, is refused and nothing is changed. Saving over a version that is no longer
 * the latest is a conflict: both are kept only when the cook says so. The same save said again is done once.
 */
export function saveRecipe(context: CommandContext, { recipe, basedOn }: SaveRecipe): Recipe {
  const { saved, isNew } = context.storage.transact((tx) => {
    const latest = latestRecipe(tx, recipe.id);
    if (
      latest &&
      latest.version === (basedOn ?? 0) + 1 &&
      isSame(latest, soundRecipe(bookHere(tx), recipe, latest))
    )
      return { saved: latest, isNew: false };
    refuseConflict(recipe, basedOn, latest);
    const here = bookHere(tx);
    if (latest?.name !== recipe.name) refuseName('recipe.name', recipe.name, here, ownRows(recipe));
    const next = soundRecipe(here, { ...recipe, version: (latest?.version ?? 0) + 1 }, latest ?? null);
    insertRecipe(tx, next, context.clock.nowMs());
    return { saved: next, isNew: true };
  });
  if (isNew) context.live.publish({ kind: 'recipes', recipeIds: [saved.id] });
  return saved;
}

function refuseConflict(recipe: Recipe, basedOn: number | undefined, latest: Recipe | undefined): void {
  if (latest && basedOn === undefined) {
    const sentence = `There is a recipe “${latest.name}” already: give this one another name.`;
    throw new ProblemError(409, 'There is one already', [{ field: 'recipe.name', sentence }]);
  }
  if (basedOn !== undefined && latest?.version !== basedOn) {
    const sentence = latest
      ? `Version ${latest.version} has been saved meanwhile; yours is based on version ${basedOn}. Compare them before you save over it.`
      : `There is no recipe “${recipe.id}” to save over.`;
    throw new ProblemError(409, 'Saved meanwhile', [{ field: 'basedOn', sentence }]);
  }
}

/** Rows that may be called as a recipe is: its own, and the food a base is made for. */
export const ownRows = (recipe: Recipe): string[] => [
  recipeRowId(recipe.id),
  ...(recipe.stocksAs ? [recipe.stocksAs] : []),
];

/** The same but for its number. */
export function isSame(a: Recipe, b: Recipe): boolean {
  return canonical({ ...a, version: 0 }) === canonical({ ...b, version: 0 });
}

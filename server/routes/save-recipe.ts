import { desc, eq } from 'drizzle-orm';
import { libraryOf, rowsOf, type SaveRecipe } from '../../contract';
import { prepareRecipe } from '../../core/book';
import { linesOf, readingTable } from '../../core/reader';
import type { Recipe } from '../../core/recipe';
import { impossible, ProblemError } from '../problem';
import type { ServerContext } from '../server-context';
import { recipes } from '../storage/schema';
import { kitchenView, latestRecipes } from './kitchen-store';

/**
 * Saves a recipe as its next version. Its lines are made here from what is written, against the kitchen's own table;
 * what is not understood, or holds itself, is refused and nothing is changed. Saving over a version that is no longer
 * the latest is a conflict: both are kept only when the cook says so.
 */
export async function saveRecipe(context: ServerContext, { recipe, basedOn }: SaveRecipe): Promise<Recipe> {
  const saved = await context.write(async () => {
    const [latest] = await context.db
      .select()
      .from(recipes)
      .where(eq(recipes.id, recipe.id))
      .orderBy(desc(recipes.version))
      .limit(1);
    if (latest && basedOn === undefined) {
      throw new ProblemError(409, 'There is one already', [
        {
          field: 'recipe.name',
          sentence: `There is a recipe “${latest.doc.name}” already: give this one another name.`,
        },
      ]);
    }
    if (basedOn !== undefined && latest?.version !== basedOn) {
      const sentence = latest
        ? `Version ${latest.version} has been saved meanwhile; yours is based on version ${basedOn}. Compare them before you save over it.`
        : `There is no recipe “${recipe.id}” to save over.`;
      throw new ProblemError(409, 'Saved meanwhile', [{ field: 'basedOn', sentence }]);
    }
    const next = await soundRecipe(context, { ...recipe, version: (latest?.version ?? 0) + 1 });
    await context.db
      .insert(recipes)
      .values({ id: next.id, version: next.version, doc: next, savedAtMs: context.clock.nowMs() });
    return next;
  });
  context.live.publish({ kind: 'recipes' });
  return saved;
}

/** The recipe with its lines made from what is written, if it holds together with the rest of the book. */
export async function soundRecipe(
  context: ServerContext,
  recipe: Recipe,
  more: readonly Recipe[] = [],
): Promise<Recipe> {
  const [kitchen, book] = await Promise.all([kitchenView(context), latestRecipes(context)]);
  const others = [
    ...book.filter((one) => one.id !== recipe.id && !more.some((two) => two.id === one.id)),
    ...more,
  ];
  const library = libraryOf(kitchen, [...others, recipe]);
  const table = readingTable(rowsOf(libraryOf(kitchen, others), recipe.id), kitchen.units);
  let whole = recipe;
  if (recipe.written) {
    const { lines, notUnderstood } = linesOf(recipe, recipe.written, table);
    const [first] = notUnderstood;
    if (first) {
      const at = recipe.written.findIndex((line) => line.id === first.line.id);
      throw impossible(
        `recipe.written.${at}`,
        `“${first.line.text}”: ${first.reading.warnings[0]?.sentence ?? 'its weight is not known: give grams.'}`,
      );
    }
    whole = { ...recipe, lines };
  }
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

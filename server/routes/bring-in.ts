import { desc, eq } from 'drizzle-orm';
import type { Ingredient } from '../../core/matter';
import type { Recipe } from '../../core/recipe';
import type { ServerContext } from '../server-context';
import { ownIngredients, recipes } from '../storage/schema';
import { soundRecipe } from './save-recipe';

/** What came of bringing a book in. */
export interface BroughtIn {
  added: string[];
  newVersions: string[];
  same: string[];
}

/**
 * Takes in a book whole or not at all: its own foods, then its recipes, each new, or the next version of the one here,
 * or left alone where it is the same already.
 */
export async function bringInBook(
  context: ServerContext,
  book: { recipes: readonly Recipe[]; ingredients: readonly Ingredient[] },
): Promise<BroughtIn> {
  const result: BroughtIn = { added: [], newVersions: [], same: [] };
  await context.write(async () => {
    const rows: { id: string; version: number; doc: Recipe; savedAtMs: number }[] = [];
    const before = await context.db.select().from(ownIngredients);
    for (const row of book.ingredients) {
      await context.db
        .insert(ownIngredients)
        .values({ id: row.id, row })
        .onConflictDoUpdate({ target: ownIngredients.id, set: { row } });
    }
    try {
      for (const recipe of book.recipes) {
        const [latest] = await context.db
          .select()
          .from(recipes)
          .where(eq(recipes.id, recipe.id))
          .orderBy(desc(recipes.version))
          .limit(1);
        if (latest && isSame(latest.doc, recipe)) {
          result.same.push(recipe.name);
          continue;
        }
        const next = await soundRecipe(
          context,
          { ...recipe, version: (latest?.version ?? 0) + 1 },
          book.recipes,
        );
        rows.push({ id: next.id, version: next.version, doc: next, savedAtMs: context.clock.nowMs() });
        (latest ? result.newVersions : result.added).push(recipe.name);
      }
    } catch (error) {
      // not by halves: the foods go out again with the recipe that did not hold together
      await context.db.delete(ownIngredients);
      if (before.length > 0) await context.db.insert(ownIngredients).values(before);
      throw error;
    }
    if (rows.length > 0) await context.db.insert(recipes).values(rows);
  });
  context.live.publish({ kind: 'kitchen' });
  context.live.publish({ kind: 'recipes' });
  return result;
}

/** The same but for its number. */
function isSame(a: Recipe, b: Recipe): boolean {
  return JSON.stringify(sorted({ ...a, version: 0 })) === JSON.stringify(sorted({ ...b, version: 0 }));
}

/** Keys in one order, all the way down, so that what was written elsewhere compares. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([key, inside]) => [key, sorted(inside)]),
  );
}

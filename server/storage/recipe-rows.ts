import { and, asc, desc, eq } from 'drizzle-orm';
import type { Recipe } from '../../core/recipe';
import { recipeHeads } from './projection-schema';
import { recipes } from './schema';
import type { Db, Tx } from './storage';

const latest = and(eq(recipes.id, recipeHeads.id), eq(recipes.version, recipeHeads.version));

/** The latest version of each recipe. */
export function latestRecipes(db: Db): Recipe[] {
  return db
    .select({ doc: recipes.doc })
    .from(recipeHeads)
    .innerJoin(recipes, latest)
    .orderBy(asc(recipeHeads.id))
    .all()
    .map((row) => row.doc);
}

export function latestRecipe(db: Db, id: string): Recipe | undefined {
  return db
    .select({ doc: recipes.doc })
    .from(recipeHeads)
    .innerJoin(recipes, latest)
    .where(eq(recipeHeads.id, id))
    .get()?.doc;
}

/** Every saved version of a recipe, oldest first. */
export function recipeVersions(db: Db, id: string) {
  return db
    .select()
    .from(recipes)
    .where(eq(recipes.id, id))
    .orderBy(asc(recipes.version))
    .all()
    .map((row) => ({ version: row.version, savedAtMs: row.savedAtMs, recipe: row.doc }));
}

/** Saves a version, which is the latest from now on. */
export function insertRecipe(tx: Tx, recipe: Recipe, savedAtMs: number): void {
  const { id, version } = recipe;
  tx.insert(recipes).values({ id, version, doc: recipe, savedAtMs }).run();
  tx.insert(recipeHeads)
    .values({ id, version })
    .onConflictDoUpdate({ target: recipeHeads.id, set: { version } })
    .run();
}

/** Finds the latest version of each recipe anew. */
export function rebuildRecipeHeads(tx: Tx): void {
  tx.delete(recipeHeads).run();
  const rows = tx
    .select({ id: recipes.id, version: recipes.version })
    .from(recipes)
    .orderBy(asc(recipes.id), desc(recipes.version))
    .all();
  for (const [i, row] of rows.entries())
    if (rows[i - 1]?.id !== row.id) tx.insert(recipeHeads).values(row).run();
}

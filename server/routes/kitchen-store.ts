import { asc, desc, eq, isNotNull } from 'drizzle-orm';
import type { KitchenView } from '../../contract';
import { learnedHeatFactor, learnedRates } from '../../core/batch';
import type { Recipe } from '../../core/recipe';
import { notFound } from '../problem';
import type { ServerContext } from '../server-context';
import { batches, burners, kitchens, ownIngredients, pots, prices, recipes } from '../storage/schema';

/** The kitchen as it stands, each burner with what its closed batches have shown of it. */
export async function kitchenView({ db, clock }: Pick<ServerContext, 'db' | 'clock'>): Promise<KitchenView> {
  const [kitchen] = await db.select().from(kitchens).limit(1);
  if (!kitchen) throw notFound('kitchen', '1');
  const [potRows, burnerRows, priceRows, ownRows, closed] = await Promise.all([
    db.select().from(pots).orderBy(asc(pots.position)),
    db.select().from(burners).orderBy(asc(burners.position)),
    db.select().from(prices),
    db.select().from(ownIngredients),
    db
      .select({ burnerId: batches.burnerId, result: batches.result })
      .from(batches)
      .where(isNotNull(batches.result))
      .orderBy(asc(batches.closedAtMs)),
  ]);
  const { id: _row, ...settings } = kitchen;
  return {
    ...settings,
    pots: potRows.map(({ position: _, ...pot }) => pot),
    burners: burnerRows.map(({ position: _, ...burner }) => ({
      ...burner,
      heatFactor: learnedHeatFactor(
        closed.flatMap((one) => (one.burnerId === burner.id && one.result ? [one.result.heatFactor] : [])),
      ),
    })),
    learned: learnedRates(closed.flatMap((one) => one.result?.segments ?? [])),
    pricesCentsPerKg: Object.fromEntries(priceRows.map((row) => [row.ingredientId, row.centsPerKg])),
    suppliers: Object.fromEntries(
      priceRows.flatMap((row) => (row.supplier ? [[row.ingredientId, row.supplier]] : [])),
    ),
    ownIngredients: ownRows.map((own) => own.row),
    clock: clock.view(),
  };
}

/** The latest version of each recipe. */
export async function latestRecipes({ db }: Pick<ServerContext, 'db'>): Promise<Recipe[]> {
  const rows = await db.select().from(recipes).orderBy(asc(recipes.id), desc(recipes.version));
  return rows.filter((row, i) => rows[i - 1]?.id !== row.id).map((row) => row.doc);
}

export async function latestRecipe(context: Pick<ServerContext, 'db'>, id: string): Promise<Recipe> {
  const [row] = await context.db
    .select()
    .from(recipes)
    .where(eq(recipes.id, id))
    .orderBy(desc(recipes.version))
    .limit(1);
  if (!row) throw notFound('recipe', id);
  return row.doc;
}

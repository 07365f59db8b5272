import { asc, eq } from 'drizzle-orm';
import express, { Router } from 'express';
import {
  fileSchema,
  libraryOf,
  ownFoodSchema,
  priceChangeSchema,
  rowsOf,
  saveRecipeSchema,
} from '../../contract';
import { INGREDIENT_BY_ID, ownIngredient } from '../../core/matter';
import { readingTable } from '../../core/reader';
import { readBook, writeBook } from '../files/book-json';
import { writeJsonLd } from '../files/json-ld';
import { writePrices } from '../files/prices-csv';
import { readFile } from '../files/read-file';
import { writeRecipeText } from '../files/recipe-text';
import { checked, impossible, notFound } from '../problem';
import type { ServerContext } from '../server-context';
import { ownIngredients, prices, recipes } from '../storage/schema';
import { bringInBook } from './bring-in';
import { kitchenView, latestRecipe, latestRecipes } from './kitchen-store';
import { saveRecipe } from './save-recipe';

/** The book and the larder's table: recipes and their versions, foods, prices, and files in and out. */
export function bookRoutes(context: ServerContext): Router {
  const routes = Router();
  const files = express.json({ limit: '5mb' });

  routes.get('/recipes', async (_request, response) => {
    response.json(await latestRecipes(context));
  });
  routes.get('/recipes/:id', async (request, response) => {
    response.json(await latestRecipe(context, request.params.id));
  });
  routes.get('/recipes/:id/versions', async (request, response) => {
    const rows = await context.db
      .select()
      .from(recipes)
      .where(eq(recipes.id, request.params.id))
      .orderBy(asc(recipes.version));
    if (rows.length === 0) throw notFound('recipe', request.params.id);
    response.json(rows.map((row) => ({ version: row.version, savedAtMs: row.savedAtMs, recipe: row.doc })));
  });
  routes.post('/recipes', async (request, response) => {
    response.status(201).json(await saveRecipe(context, checked(saveRecipeSchema, request.body)));
  });

  routes.get('/recipes/:id/export/:format', async (request, response) => {
    const [recipe, table] = await Promise.all([latestRecipe(context, request.params.id), tableOf(context)]);
    const write = EXPORTS[request.params.format];
    if (!write) throw notFound('format', request.params.format);
    const kitchen = await kitchenView(context);
    response
      .type(write.type)
      .attachment(`${recipe.id}.${write.ending}`)
      .send(write.text(recipe, table, kitchen.ownIngredients));
  });
  routes.get('/book.json', async (_request, response) => {
    const [kitchen, all] = await Promise.all([kitchenView(context), latestRecipes(context)]);
    response.type('application/json').attachment('book.json').send(writeBook(all, kitchen.ownIngredients));
  });

  routes.post('/files/read', files, async (request, response) => {
    const kitchen = await kitchenView(context);
    const { ingredients } = libraryOf(kitchen, []);
    response.json(readFile(checked(fileSchema, request.body), await tableOf(context), ingredients));
  });
  routes.post('/files/book', files, async (request, response) => {
    const { text } = checked(fileSchema, request.body);
    response.json(await bringInBook(context, readBook(text)));
  });

  routes.post('/ingredients', async (request, response) => {
    const food = checked(ownFoodSchema, request.body);
    const { ingredients } = libraryOf(await kitchenView(context), []);
    const like = ingredients[food.like];
    if (!like) throw impossible('like', `There is no ingredient “${food.like}” to guess from.`);
    let row: ReturnType<typeof ownIngredient>;
    try {
      row = ownIngredient(food, like);
    } catch (error) {
      if (error instanceof RangeError) throw impossible('saltPercent', `${error.message}.`);
      throw error;
    }
    await context.write(() =>
      context.db
        .insert(ownIngredients)
        .values({ id: row.id, row })
        .onConflictDoUpdate({ target: ownIngredients.id, set: { row } }),
    );
    context.live.publish({ kind: 'kitchen' });
    response.status(201).json(row);
  });

  routes.get('/prices.csv', async (_request, response) => {
    const kitchen = await kitchenView(context);
    const { ingredients } = libraryOf(kitchen, []);
    response
      .type('text/csv')
      .attachment('prices.csv')
      .send(writePrices(Object.values(ingredients), kitchen.pricesCentsPerKg, kitchen.suppliers));
  });
  routes.patch('/prices', async (request, response) => {
    const { prices: rows } = checked(priceChangeSchema, request.body);
    const own = new Set((await kitchenView(context)).ownIngredients.map((row) => row.id));
    const unknown = rows.findIndex(
      (row) => !INGREDIENT_BY_ID[row.ingredientId] && !own.has(row.ingredientId),
    );
    if (unknown >= 0)
      throw impossible(
        `prices.${unknown}.ingredientId`,
        `There is no ingredient “${rows[unknown]!.ingredientId}”.`,
      );
    await context.write(() =>
      context.db.batch(
        rows.map(({ ingredientId, centsPerKg, supplier }) =>
          context.db
            .insert(prices)
            .values({ ingredientId, centsPerKg, supplier: supplier ?? null })
            .onConflictDoUpdate({
              target: prices.ingredientId,
              set: { centsPerKg, ...(supplier === undefined ? {} : { supplier: supplier || null }) },
            }),
        ) as never,
      ),
    );
    context.live.publish({ kind: 'kitchen' });
    response.json(await kitchenView(context));
  });

  return routes;
}

async function tableOf(context: ServerContext) {
  const [kitchen, book] = await Promise.all([kitchenView(context), latestRecipes(context)]);
  return readingTable(rowsOf(libraryOf(kitchen, book)), kitchen.units);
}

type Own = Parameters<typeof writeBook>[1];
type Recipe = Parameters<typeof writeJsonLd>[0];
type Table = Parameters<typeof writeJsonLd>[1];

const EXPORTS: Readonly<
  Record<string, { type: string; ending: string; text: (recipe: Recipe, table: Table, own: Own) => string }>
> = {
  book: {
    type: 'application/json',
    ending: 'json',
    text: (recipe, _table, own) =>
      writeBook(
        [recipe],
        own.filter((row) => recipe.lines.some((line) => line.ingredientId === row.id)),
      ),
  },
  jsonld: {
    type: 'application/ld+json',
    ending: 'jsonld',
    text: (recipe, table) => writeJsonLd(recipe, table),
  },
  text: { type: 'text/plain', ending: 'txt', text: (recipe, table) => writeRecipeText(recipe, table) },
};

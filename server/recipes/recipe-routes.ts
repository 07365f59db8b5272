import express, { Router } from 'express';
import { fileName, fileSchema, saveRecipeSchema, takeBookSchema } from '../../contract';
import { libraryOf, rowsOf, withParts } from '../../core/book';
import type { Ingredient } from '../../core/matter';
import { own } from '../../core/own';
import { type ReadingTable, readingTable } from '../../core/reader';
import type { Recipe } from '../../core/recipe';
import { writeBook } from '../files/book-json';
import { writeJsonLd } from '../files/json-ld';
import { writeRecipeText } from '../files/recipe-text';
import { checked, notFound } from '../problem';
import type { ServerContext } from '../server-context';
import { latestRecipe, latestRecipes, recipeVersions } from '../storage';
import { bookHere, saveRecipe } from './save-recipe';
import { takeBook } from './take-book';

/** The book: recipes and their versions, and files in and out. */
export function recipeRoutes(context: ServerContext): Router {
  const routes = Router();
  const { db } = context.storage;
  const files = express.json({ limit: '5mb' });

  routes.get('/recipes', (_request, response) => {
    response.json(latestRecipes(db));
  });
  routes.get('/recipes/:id', (request, response) => {
    response.json(recipeOf(request.params.id));
  });
  routes.get('/recipes/:id/versions', (request, response) => {
    const versions = recipeVersions(db, request.params.id);
    if (versions.length === 0) throw notFound('recipe', request.params.id);
    response.json(versions);
  });
  routes.post('/recipes', (request, response) => {
    response.status(201).json(saveRecipe(context, checked(saveRecipeSchema, request.body)));
  });
  routes.get('/recipes/:id/export/:format', (request, response) => {
    const { id, format } = request.params;
    const recipe = recipeOf(id);
    const write = own(EXPORTS, format);
    if (!write) throw notFound('format', format);
    const { foods, book, units } = bookHere(db);
    const table = readingTable(rowsOf(libraryOf(foods, book)), units);
    response
      .type(write.type)
      .attachment(`${fileName(recipe.name)}.${write.ending}`)
      .send(write.text(recipe, table, { book, ofKitchen: foods.ownIngredients }));
  });
  routes.get('/book.json', (_request, response) => {
    const { foods, book } = bookHere(db);
    response.type('application/json').attachment('book.json').send(writeBook(book, foods.ownIngredients));
  });
  routes.post('/files/read', files, async (request, response) => {
    response.json(await context.files.read(checked(fileSchema, request.body), bookHere(db)));
  });
  routes.post('/files/book', files, async (request, response) => {
    response.json(await takeBook(context, checked(takeBookSchema, request.body)));
  });
  return routes;

  function recipeOf(id: string): Recipe {
    const recipe = latestRecipe(db, id);
    if (!recipe) throw notFound('recipe', id);
    return recipe;
  }
}

interface Export {
  type: string;
  ending: string;
  text: (
    recipe: Recipe,
    table: ReadingTable,
    from: { book: readonly Recipe[]; ofKitchen: readonly Ingredient[] },
  ) => string;
}

const EXPORTS: Readonly<Record<string, Export>> = {
  book: {
    type: 'application/json',
    ending: 'json',
    text: (recipe, _table, { book, ofKitchen }) => {
      const recipes = withParts(recipe, book);
      const named = new Set(recipes.flatMap((one) => one.lines.map((line) => line.ingredientId)));
      return writeBook(
        recipes,
        ofKitchen.filter((row) => named.has(row.id)),
      );
    },
  },
  jsonld: { type: 'application/ld+json', ending: 'jsonld', text: writeJsonLd },
  text: { type: 'text/plain', ending: 'txt', text: writeRecipeText },
};

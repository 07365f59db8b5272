import * as v from 'valibot';
import { check, recipeSchema } from '../../contract';
import type { Ingredient } from '../../core/matter';
import type { Recipe } from '../../core/recipe';
import { fileProblem, parseJson } from './file-problem';

/** Slow Pot's own file: recipes whole, and the kitchen's own foods they name. Described in docs/formats.md. */
interface BookFile {
  format: typeof FORMAT;
  version: 1;
  recipes: Recipe[];
  ingredients: Ingredient[];
}

const FORMAT = 'slow-pot-book';

export function writeBook(recipes: readonly Recipe[], ingredients: readonly Ingredient[]): string {
  const file: BookFile = { format: FORMAT, version: 1, recipes: [...recipes], ingredients: [...ingredients] };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** True for a text that says it is such a file. */
export function isBook(text: string): boolean {
  return /"format"\s*:\s*"slow-pot-book"/.test(text.slice(0, 400));
}

/** Reads one whole; the first thing wrong in it is said, with its recipe and field, and nothing is taken. */
export function readBook(text: string): { recipes: Recipe[]; ingredients: Ingredient[] } {
  const file = parseJson(text);
  const head = check(
    v.object({
      format: v.literal(FORMAT),
      version: v.number(),
      recipes: v.array(v.unknown()),
      ingredients: v.optional(v.array(ingredientShape), []),
    }),
    file,
  );
  if (!head.ok) throw fileProblem(head.errors[0]!.field, head.errors[0]!.sentence);
  if (head.value.version !== 1) {
    throw fileProblem(
      'version',
      `This file is of version ${head.value.version}; only version 1 can be read here.`,
    );
  }
  const recipes = head.value.recipes.map((one, i) => {
    const checked = check(recipeSchema, one);
    if (checked.ok) return checked.value;
    const { field, sentence } = checked.errors[0]!;
    throw fileProblem(`recipes.${i}.${field}`, `Recipe ${i + 1}, ${field}: ${sentence}`);
  });
  return { recipes, ingredients: head.value.ingredients as unknown as Ingredient[] };
}

const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));
const ingredientShape = v.looseObject({
  id: v.string(),
  name: v.string(),
  kind: v.string(),
  perKg: v.object({
    water: share,
    fat: share,
    protein: share,
    sugars: share,
    starch: share,
    other: share,
    salt: share,
    alcohol: share,
  }),
  densityKgPerL: v.pipe(v.number(), v.minValue(0.1), v.maxValue(5)),
  looseKgPerL: v.pipe(v.number(), v.minValue(0.01), v.maxValue(5)),
  yield: share,
  share: v.picklist(['liquid', 'pieces']),
  allergens: v.array(v.string()),
  diet: v.picklist(['vegan', 'vegetarian', 'fish', 'meat']),
  store: v.string(),
  source: v.string(),
});

import * as v from 'valibot';
import { check, ingredientSchema, recipeSchema } from '../../contract';
import { type Ingredient, totalKg } from '../../core/matter';
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
/** What is in a kilogram is no more than that, but for rounding. */
const MOST_KG = 1.005;
/** A book is no larger than this. */
const MOST_ROWS = 2000;

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
      recipes: v.pipe(v.array(v.unknown()), v.maxLength(MOST_ROWS, `At most ${MOST_ROWS} recipes at once.`)),
      ingredients: v.optional(
        v.pipe(v.array(v.unknown()), v.maxLength(MOST_ROWS, `At most ${MOST_ROWS} foods at once.`)),
        [],
      ),
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
  const recipes = rows('recipes', 'Recipe', head.value.recipes, recipeSchema);
  const ingredients = rows('ingredients', 'Food', head.value.ingredients, ingredientSchema);
  for (const [i, { name, perKg }] of ingredients.entries()) {
    const kg = totalKg(perKg);
    if (kg > MOST_KG)
      throw fileProblem(
        `ingredients.${i}.perKg`,
        `Food ${i + 1}, ${name}: what a kilogram of it is made of comes to ${kg.toFixed(3)} kg.`,
      );
  }
  return { recipes, ingredients };
}

/** Each row held against its schema, and no id twice. */
function rows<T extends { id: string }>(
  list: string,
  what: string,
  found: readonly unknown[],
  schema: v.GenericSchema<unknown, T>,
): T[] {
  const seen = new Map<string, number>();
  return found.map((one, i) => {
    const row = check(schema, one);
    if (!row.ok) {
      const { field, sentence } = row.errors[0]!;
      throw fileProblem(`${list}.${i}.${field}`, `${what} ${i + 1}, ${field}: ${sentence}`);
    }
    const { id } = row.value;
    const before = seen.get(id);
    if (before !== undefined)
      throw fileProblem(
        `${list}.${i}.id`,
        `${what} ${i + 1}, id: “${id}” stands there as ${before + 1} too.`,
      );
    seen.set(id, i);
    return row.value;
  });
}

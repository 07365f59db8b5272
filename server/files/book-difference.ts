import type { BookDifference, FieldDifference, FoodDifference } from '../../contract';
import { INGREDIENT_BY_ID, type Ingredient } from '../../core/matter';
import { own } from '../../core/own';
import type { Recipe } from '../../core/recipe';
import { type BookHere, soundRecipe } from '../recipes/sound-recipe';
import { canonical } from '../said-before';

/** A book that was read, beside what stands here: what it would change, and the rows that would be written. */
export interface BookIntake {
  difference: BookDifference;
  recipes: Recipe[];
  foods: Ingredient[];
}

/** What a food's label says: a person answers for it, no file does. */
const LABEL: readonly (keyof Ingredient)[] = ['allergens', 'diet'];

/**
 * What taking a book in would change.
 *
 * @throws ProblemError for a recipe that does not hold together with its foods and the rest of the book
 */
export function bookIntake(
  read: { recipes: readonly Recipe[]; ingredients: readonly Ingredient[] },
  here: BookHere,
): BookIntake {
  const foods = read.ingredients.map((row) => ({ row, difference: foodDifference(row, here) }));
  const changed = foods.filter((one) => one.difference.change !== 'same').map((one) => one.row);
  const changedIds = new Set(changed.map((row) => row.id));
  const kept = here.foods.ownIngredients.filter((row) => !changedIds.has(row.id));
  const with_ = { ...here, foods: { ...here.foods, ownIngredients: [...kept, ...changed] } };
  const recipes = read.recipes.map((recipe) => recipeDifference(recipe, with_, read.recipes));
  return {
    difference: {
      recipes: recipes.map((one) => one.difference),
      foods: foods.map((one) => one.difference),
    },
    recipes: recipes.flatMap(({ next }) => next ?? []),
    foods: changed,
  };
}

function recipeDifference(recipe: Recipe, here: BookHere, more: readonly Recipe[]) {
  const latest = here.book.find((one) => one.id === recipe.id);
  const { id, name } = recipe;
  const fields = latest ? fieldsOf({ ...latest, version: 0 }, { ...recipe, version: 0 }) : [];
  if (latest && fields.length === 0) {
    const same = { id, name, change: 'same' as const, version: latest.version, fields: [] };
    return { difference: same, next: null };
  }
  const version = (latest?.version ?? 0) + 1;
  const change = latest ? ('newVersion' as const) : ('new' as const);
  const next = soundRecipe(here, { ...recipe, version }, more);
  return { difference: { id, name, change, version, fields: fields.map((one) => one.field) }, next };
}

function foodDifference(row: Ingredient, { foods }: BookHere): FoodDifference {
  const { id, name } = row;
  const ofKitchen = foods.ownIngredients.find((one) => one.id === id);
  const standing = ofKitchen ?? own(INGREDIENT_BY_ID, id);
  if (!standing) return { id, name, change: 'new', fields: fieldsOf({}, pick(row)), needsPerson: true };
  const fields = fieldsOf(standing, row);
  if (fields.length === 0) return { id, name, change: 'same', fields, needsPerson: false };
  const needsPerson = fields.some((one) => LABEL.includes(one.field as keyof Ingredient));
  return { id, name, change: ofKitchen ? 'own' : 'table', fields, needsPerson };
}

/** Of a new food its label is shown. */
function pick({ allergens, diet }: Ingredient): object {
  return { allergens, diet };
}

/** Fields in which two things differ, each as it reads. */
function fieldsOf(before: object, after: object): FieldDifference[] {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])].sort();
  const of = (thing: object, name: string) =>
    Object.hasOwn(thing, name) ? Reflect.get(thing, name) : undefined;
  return names
    .filter((name) => canonical(of(before, name)) !== canonical(of(after, name)))
    .map((field) => ({ field, before: said(of(before, field)), after: said(of(after, field)) }));
}

function said(value: unknown): string {
  if (value === undefined) return '';
  if (Array.isArray(value) && value.every((one) => typeof one === 'string')) return value.join(', ');
  if (typeof value !== 'object' || value === null) return String(value);
  const text = Object.entries(value)
    .map(([name, inside]) => `${name} ${typeof inside === 'object' ? '…' : inside}`)
    .join(', ');
  return text.length > 200 ? `${text.slice(0, 200)}…` : text;
}

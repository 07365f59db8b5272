import type { BookDifference, FieldDifference, FoodDifference } from '../../contract';
import { libraryOf } from '../../core/book';
import { INGREDIENT_BY_ID, type Ingredient } from '../../core/matter';
import { own } from '../../core/own';
import { holdsMoves, type Recipe } from '../../core/recipe';
import { refuseName } from '../recipes/refuse-name';
import { ownRows } from '../recipes/save-recipe';
import { type BookHere, soundRecipe } from '../recipes/sound-recipe';
import { canonical } from '../said-before';

/** A book that was read, beside what stands here: what it would change, and the rows that would be written. */
export interface BookIntake {
  difference: BookDifference;
  recipes: Recipe[];
  foods: Ingredient[];
}

/**
 * What a person answers for, and no file does: what its label says, what kind of food it is, what is left of it after
 * trim, what it is called, and what is minded where it goes in.
 */
const ANSWERED_FOR: readonly (keyof Ingredient)[] = [
  'allergens',
  'diet',
  'kind',
  'yield',
  'wholeInPot',
  'grainVaries',
  'name',
  'aliases',
  'checks',
  'isReady',
  'caution',
  'hides',
];

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
  refuseNames(read, changed, with_);
  const recipes = read.recipes.map((recipe) => recipeDifference(recipe, with_, read.recipes));
  const coming = recipes.map(({ next, standing }) => next ?? standing);
  const comingIds = new Set(coming.map((recipe) => recipe.id));
  return {
    difference: {
      recipes: recipes.map((one) => one.difference),
      foods: foods.map((one) => one.difference),
      dishes: holdsMoves(
        here.book,
        libraryOf(here.foods, here.book),
        libraryOf(with_.foods, [...here.book.filter((one) => !comingIds.has(one.id)), ...coming]),
      ),
    },
    recipes: recipes.flatMap(({ next }) => next ?? []),
    foods: changed,
  };
}

/** No food and no recipe of a file takes a name, its own or another it is written by, that is said of something else. */
function refuseNames(
  { recipes, ingredients }: Parameters<typeof bookIntake>[0],
  changed: readonly Ingredient[],
  here: BookHere,
): void {
  const ids = new Set(recipes.map((recipe) => recipe.id));
  const all = { ...here, book: [...here.book.filter((one) => !ids.has(one.id)), ...recipes] };
  for (const row of changed) {
    const standing = own(INGREDIENT_BY_ID, row.id);
    const known = [standing?.name, ...(standing?.aliases ?? [])];
    const at = ingredients.indexOf(row);
    for (const name of [row.name, ...(row.aliases ?? [])])
      if (!known.includes(name)) refuseName(`ingredients.${at}.name`, name, all, [row.id]);
  }
  for (const [i, recipe] of recipes.entries()) {
    const stands = here.book.find((one) => one.id === recipe.id);
    if (stands?.name !== recipe.name) refuseName(`recipes.${i}.name`, recipe.name, all, ownRows(recipe));
  }
}

function recipeDifference(recipe: Recipe, here: BookHere, more: readonly Recipe[]) {
  const latest = here.book.find((one) => one.id === recipe.id);
  const { id, name } = recipe;
  const fields = latest ? fieldsOf({ ...latest, version: 0 }, { ...recipe, version: 0 }) : [];
  if (latest && fields.length === 0) {
    const same = { id, name, change: 'same' as const, version: latest.version, fields: [] };
    return { difference: same, next: null, standing: latest };
  }
  const version = (latest?.version ?? 0) + 1;
  const change = latest ? ('newVersion' as const) : ('new' as const);
  const next = soundRecipe(here, { ...recipe, version }, latest ?? null, more);
  return {
    difference: { id, name, change, version, fields: fields.map((one) => one.field) },
    next,
    standing: next,
  };
}

function foodDifference(row: Ingredient, { foods }: BookHere): FoodDifference {
  const { id, name } = row;
  const ofKitchen = foods.ownIngredients.find((one) => one.id === id);
  const standing = ofKitchen ?? own(INGREDIENT_BY_ID, id);
  if (!standing) return { id, name, change: 'new', fields: fieldsOf({}, pick(row)), needsPerson: true };
  const fields = fieldsOf(standing, row);
  if (fields.length === 0) return { id, name, change: 'same', fields, needsPerson: false };
  const needsPerson = fields.some((one) => ANSWERED_FOR.includes(one.field as keyof Ingredient));
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
  const rank = (name: string) => {
    const at = ANSWERED_FOR.indexOf(name as keyof Ingredient);
    return at < 0 ? ANSWERED_FOR.length : at;
  };
  return names
    .sort((a, b) => rank(a) - rank(b))
    .filter((name) => canonical(of(before, name)) !== canonical(of(after, name)))
    .map((field) => ({ field, before: said(of(before, field)), after: said(of(after, field)) }));
}

function said(value: unknown): string {
  if (value === undefined) return '';
  if (Array.isArray(value) && value.every((one) => typeof one === 'string')) return value.join(', ');
  if (typeof value === 'number') return figure(value);
  if (typeof value !== 'object' || value === null) return String(value);
  const text = Object.entries(value)
    .map(([name, inside]) => {
      if (typeof inside === 'number') return `${name} ${figure(inside)}`;
      return `${name} ${typeof inside === 'object' ? '…' : inside}`;
    })
    .join(', ');
  return text.length > 200 ? `${text.slice(0, 200)}…` : text;
}

/** A figure as a label would print it. */
const figure = (value: number): string => String(Number(value.toPrecision(4)));

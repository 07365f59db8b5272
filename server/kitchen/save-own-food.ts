import { libraryOf } from '../../core/book';
import { type Ingredient, type OwnFood, ownIngredient } from '../../core/matter';
import { own } from '../../core/own';
import { impossible, saidOtherwise } from '../problem';
import { refuseName } from '../recipes/refuse-name';
import { canonical } from '../said-before';
import { latestRecipes, setOwnIngredient, type Tx } from '../storage';
import { foodsView } from './kitchen-view';

/**
 * Saves a food of the kitchen's own, or a label over a row of the table. A new food never takes the place of another: its
 * id is its own, and its name is said of nothing else.
 *
 * @throws ProblemError 422 for a name or figure that cannot be, 409 for an id that is taken
 */
export function saveOwnFood(tx: Tx, food: OwnFood): { row: Ingredient; isNew: boolean } {
  const foods = foodsView(tx);
  const { ingredients } = libraryOf(foods, []);
  const stands = own(ingredients, food.id);
  if (food.isLabel && !stands) throw impossible('id', `There is no food “${food.id}” to put a label on.`);
  const row = madeOf(food, ingredients);
  if (stands && !food.isLabel) {
    if (canonical(stands) === canonical(row)) return { row: stands, isNew: false };
    throw saidOtherwise('A food', food.id);
  }
  if (stands?.name !== food.name)
    refuseName('name', food.name, { foods, book: latestRecipes(tx) }, [food.id]);
  setOwnIngredient(tx, row);
  return { row, isNew: true };
}

function madeOf(food: OwnFood, ingredients: Readonly<Record<string, Ingredient>>): Ingredient {
  const like = own(ingredients, food.like);
  if (!like) throw impossible('like', `There is no ingredient “${food.like}” to guess from.`);
  try {
    return ownIngredient(food, like);
  } catch (error) {
    if (error instanceof RangeError) throw impossible('saltPercent', `${error.message}.`);
    throw error;
  }
}

import { v7 as uuid } from 'uuid';
import type { KitchenView } from '../../contract';
import { zonedTimeMs } from '../../contract';
import { EVENT_VERSIONS } from '../../core/batch';
import { LARDER_EVENT_VERSIONS } from '../../core/larder';
import type { Recipe } from '../../core/recipe';
import { recipeFrom } from '../../core/testing/book';
import type { LotView } from '../../core/views';
import type { testKitchen } from './test-kitchen';

type Ask = ReturnType<typeof testKitchen>['ask'];

/** An event of a pot as a browser says it. */
export const said = (type: string, payload: unknown, more: object = {}) => ({
  id: uuid(),
  type,
  v: EVENT_VERSIONS.get(type) ?? 1,
  payload,
  ...more,
});

/** An event of the shelf as a browser says it. */
export const saidOfShelf = (type: string, payload: unknown, more: object = {}) => ({
  ...said(type, payload),
  v: LARDER_EVENT_VERSIONS.get(type) ?? 1,
  ...more,
});

/** An order of trout chowder for a train of today or a day to come. */
export const chowderOrder = (kitchen: KitchenView, daysOn: number, change: object = {}) => ({
  id: uuid(),
  recipeId: 'trout-chowder',
  portions: 20,
  portionMl: 250,
  saltPercent: 0.9,
  band: 3,
  serviceAtMs: zonedTimeMs('13:10', kitchen.zone, kitchen.clock.kitchenFromMs, daysOn),
  potId: 'rondeau-24',
  burnerId: 'gas-1',
  ...change,
});

/** Every lot there is: those on the shelf, and the first page of those that are finished. */
export const lotsOf = async (ask: Ask): Promise<LotView[]> => [
  ...(await ask('GET', '/lots')).json,
  ...(await ask('GET', '/lots/finished')).json.rows,
];
export const bookOf = async (ask: Ask): Promise<Recipe[]> => (await ask('GET', '/recipes')).json;

/** What a problem says, field by field. */
export const sentences = (problem: { errors: { sentence: string }[] }) =>
  problem.errors.map((one) => one.sentence).join(' ');
export const fieldOf = (problem: { errors: { field: string }[] }) => problem.errors[0]!.field;

/** A soup no book holds, to be saved, taken out and brought in. */
export const someSoup = (name: string, change: Partial<Recipe> = {}): Recipe =>
  recipeFrom(
    `${name}\nServes 6\n50 g butter\n2 leeks, sliced\n500 g potatoes, 1.5 cm dice\n1.2 L chicken stock\n2 bay leaves\n150 ml double cream\nsalt to taste\n\nSweat the leeks in the butter for 10 minutes. Add the stock, potatoes and bay, bring to the boil and simmer until tender. Blend, stir in the cream, season and serve.`,
    change,
  );

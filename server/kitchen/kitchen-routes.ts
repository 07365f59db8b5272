import { Router } from 'express';
import { clockChangeSchema, kitchenChangeSchema, ownFoodSchema, priceChangeSchema } from '../../contract';
import { libraryOf } from '../../core/book';
import { own } from '../../core/own';
import { writePrices } from '../files/prices-csv';
import { checked, impossible } from '../problem';
import type { ServerContext } from '../server-context';
import { kitchenRow, newestKitchenLog, setPrices } from '../storage';
import { changeKitchen } from './change-kitchen';
import { kitchenFile } from './kitchen-file';
import { foodsView, kitchenView, learnedView } from './kitchen-view';
import { saveOwnFood } from './save-own-food';

/** So many of the newest changes are shown. */
const SHOWN_OF_LOG = 50;

/** The kitchen: what it says of itself, its clock, its foods and their prices, what its burners have shown. */
export function kitchenRoutes(context: ServerContext): Router {
  const routes = Router();
  const { storage, clock, live } = context;
  const { db } = storage;
  routes.get('/health', (_request, response) => {
    response.json({ ok: kitchenRow(db) !== undefined });
  });
  routes.get('/kitchen', (_request, response) => {
    response.json(kitchenView(context));
  });
  routes.get('/kitchen.json', (_request, response) => {
    response
      .type('application/json')
      .attachment('kitchen.json')
      .send(`${JSON.stringify(kitchenFile(db), null, 2)}\n`);
  });
  routes.get('/kitchen/log', (_request, response) => {
    response.json(
      newestKitchenLog(db, SHOWN_OF_LOG).map(({ id, type, payload, before, actedAtMs, by }) => ({
        id,
        type,
        payload,
        before,
        atMs: actedAtMs,
        by,
      })),
    );
  });
  routes.post('/kitchen/changes', (request, response) => {
    response.json(changeKitchen(context, checked(kitchenChangeSchema, request.body)));
  });
  routes.get('/kitchen/learned', (_request, response) => {
    response.json(learnedView(db));
  });
  routes.post('/clock', (request, response) => {
    const view = clock.change(checked(clockChangeSchema, request.body));
    live.publish({ kind: 'clock', clock: view });
    response.json(view);
  });
  routes.get('/foods', (_request, response) => {
    response.json(foodsView(db));
  });
  routes.post('/ingredients', (request, response) => {
    const food = checked(ownFoodSchema, request.body);
    const { row, isNew } = storage.transact((tx) => saveOwnFood(tx, food));
    if (isNew) live.publish({ kind: 'kitchen', part: 'foods' });
    response.status(isNew ? 201 : 200).json(row);
  });
  routes.get('/prices.csv', (_request, response) => {
    const foods = foodsView(db);
    const rows = Object.values(libraryOf(foods, []).ingredients);
    response
      .type('text/csv')
      .attachment('prices.csv')
      .send(writePrices(rows, foods.pricesCentsPerKg, foods.suppliers));
  });
  routes.patch('/prices', (request, response) => {
    const { prices } = checked(priceChangeSchema, request.body);
    storage.transact((tx) => {
      const { ingredients } = libraryOf(foodsView(tx), []);
      const unknown = prices.findIndex((row) => !own(ingredients, row.ingredientId));
      if (unknown >= 0)
        throw impossible(
          `prices.${unknown}.ingredientId`,
          `There is no ingredient “${prices[unknown]!.ingredientId}”.`,
        );
      setPrices(tx, prices);
    });
    live.publish({ kind: 'kitchen', part: 'foods' });
    response.json(foodsView(db));
  });
  return routes;
}

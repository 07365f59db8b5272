import { v7 as uuid } from 'uuid';
import { receivedFoodOf } from '../../core/larder';
import { ownIngredientRows, priceRows } from './kitchen-rows';
import { insertLarderEvent, lotsToBringOver, numberLot } from './larder-rows';
import { latestRecipes } from './recipe-rows';
import type { Tx } from './storage';

/**
 * Lots of a file that is older than the larder's log become what was found on the shelf, with their numbers and dates;
 * once. What batches drew from them stays drawn.
 */
export function bringOverLots(tx: Tx): void {
  const rows = lotsToBringOver(tx);
  if (rows.length === 0) return;
  const book = latestRecipes(tx);
  const foods = {
    ownIngredients: ownIngredientRows(tx),
    pricesCentsPerKg: Object.fromEntries(priceRows(tx).map((row) => [row.ingredientId, row.centsPerKg])),
  };
  for (const row of rows) {
    const food = receivedFoodOf(row.ingredientId, foods, book);
    if (!food) continue;
    const { perKg, densityKgPerL } = food.contents;
    const salt = row.saltPercent / 100;
    const water = Math.max(0, perKg.water + perKg.salt - salt);
    numberLot(tx, row.id, row.number);
    insertLarderEvent(tx, {
      id: uuid(),
      type: 'found',
      payload: {
        lotId: row.id,
        ingredientId: row.ingredientId,
        kg: row.litres * densityKgPerL,
        madeAtMs: row.madeAtMs,
        place: row.place,
        storage: 'chilled',
        note: 'from before the larder kept a log',
      },
      received: { ...food, contents: { ...food.contents, perKg: { ...perKg, salt, water } } },
      actedAtMs: row.madeAtMs,
      receivedAtMs: row.madeAtMs,
      clientAtMs: row.madeAtMs,
      by: null,
      device: null,
    });
  }
}

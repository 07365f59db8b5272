import { BENCH_INGREDIENTS, INGREDIENT_BY_ID, type Ingredient, type PlanInput, type Recipe } from '../core';
import type { PlanRequest } from './plan-request';
import type { FieldError } from './problem';
import type { KitchenView, LotView } from './views';

/** The order put together with the kitchen it is for; the browser and the server do it alike. */
export function planInputOf(
  request: PlanRequest,
  kitchen: KitchenView,
  recipe: Recipe,
  lot: Pick<LotView, 'ingredientId' | 'saltPercent'> | undefined,
): PlanInput | FieldError[] {
  const pot = kitchen.pots.find((one) => one.id === request.potId);
  const burner = kitchen.burners.find((one) => one.id === request.burnerId);
  const errors: FieldError[] = [];
  if (!pot) errors.push({ field: 'potId', sentence: `There is no pot “${request.potId}” in this kitchen.` });
  if (!burner) {
    errors.push({ field: 'burnerId', sentence: `There is no burner “${request.burnerId}” in this kitchen.` });
  }
  if (pot && burner && !burner.potIds.includes(pot.id)) {
    errors.push({ field: 'burnerId', sentence: `The ${pot.name} does not go on ${burner.name}.` });
  }
  if (!pot || !burner || errors.length > 0) return errors;
  const { id, name, powerW, efficiency, gain } = burner;
  return {
    recipe,
    ingredients: ingredientsFor(recipe, lot),
    pricesCentsPerKg: kitchen.pricesCentsPerKg,
    kitchen: {
      altitudeM: kitchen.altitudeM,
      airTempC: kitchen.airTempC,
      relativeHumidity: kitchen.relativeHumidity,
    },
    pot,
    burner: { id, name, powerW, efficiency, gain },
    portions: request.portions,
    portionMl: request.portionMl,
    saltPercent: request.saltPercent,
    band: request.band,
    serviceAtMs: request.serviceAtMs,
  };
}

/** The rows a batch may need: its recipe's and the bench's. A lot's own salt overrides the table's; the rest is water. */
function ingredientsFor(
  recipe: Recipe,
  lot: Pick<LotView, 'ingredientId' | 'saltPercent'> | undefined,
): Readonly<Record<string, Ingredient>> {
  const ids = new Set([...recipe.lines.map((line) => line.ingredientId), ...BENCH_INGREDIENTS]);
  const rows = [...ids].flatMap((id) => {
    const row = INGREDIENT_BY_ID[id];
    if (!row || lot?.ingredientId !== id) return row ? [row] : [];
    const salt = lot.saltPercent / 100;
    return [{ ...row, perKg: { ...row.perKg, salt, water: row.perKg.water + row.perKg.salt - salt } }];
  });
  return Object.fromEntries(rows.map((row) => [row.id, row]));
}

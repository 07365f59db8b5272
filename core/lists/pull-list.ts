import type { Ingredient, Store } from '../matter';
import { type Plan, pulledKg } from '../plan';

/** One thing to fetch, as purchased, for all the dishes that want it. */
export interface PullItem {
  ingredientId: string;
  name: string;
  store: Store;
  supplier: string | null;
  purchasedKg: number;
  /** where it is poured, litres; null where it is weighed */
  litres: number | null;
  costCents: number;
  /** dishes and how much each takes */
  dishes: { name: string; purchasedKg: number }[];
}

/** A plan with what it was planned from, for the lists. */
export interface ListedPlan {
  name: string;
  plan: Plan;
  ingredients: Readonly<Record<string, Ingredient>>;
}

/**
 * What to fetch for some dishes, added up by ingredient, in the order of the places it is kept and by supplier.
 *
 * @param plans any number
 * @param supplierOf who brings it, by ingredient id; none is none
 * @returns items with something in them; what comes out of the tap is left out
 */
export function pullList(
  plans: readonly ListedPlan[],
  supplierOf: Readonly<Record<string, string>> = {},
): PullItem[] {
  const items = new Map<string, PullItem>();
  for (const { name, plan, ingredients } of plans) {
    for (const line of plan.lines) {
      const ingredient = ingredients[line.ingredientId]!;
      const kg = pulledKg(line, ingredient);
      if (kg < 5e-5 || ingredient.store === 'tap') continue;
      const id = baseId(line.ingredientId);
      const before = items.get(id);
      const dishes = before?.dishes ?? [];
      const same = dishes.find((dish) => dish.name === name);
      items.set(id, {
        ingredientId: id,
        name: before?.name ?? ingredient.name,
        store: ingredient.store,
        supplier: supplierOf[id] ?? null,
        purchasedKg: (before?.purchasedKg ?? 0) + kg,
        litres: line.liquid ? (before?.litres ?? 0) + kg / ingredient.densityKgPerL : null,
        costCents: (before?.costCents ?? 0) + line.costCents,
        dishes: same
          ? dishes.map((dish) => (dish === same ? { ...dish, purchasedKg: dish.purchasedKg + kg } : dish))
          : [...dishes, { name, purchasedKg: kg }],
      });
    }
  }
  return [...items.values()].sort(
    (a, b) =>
      PLACES.indexOf(a.store) - PLACES.indexOf(b.store) ||
      Number(a.supplier === null) - Number(b.supplier === null) ||
      (a.supplier ?? '').localeCompare(b.supplier ?? '') ||
      a.name.localeCompare(b.name),
  );
}

/** The way through the kitchen that a pair of hands takes. Common practice: cold last. */
const PLACES: readonly Store[] = ['dry store', 'cellar', 'walk-in', 'freezer', 'tap'];

/** Meat in its brine is fetched as meat. */
function baseId(id: string): string {
  return id.split('~')[0]!;
}

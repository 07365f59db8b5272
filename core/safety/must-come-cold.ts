import type { IngredientKind } from '../matter';

/** Kinds of food that are kept cold for safety and not only for looks. */
const COLD_KINDS: readonly IngredientKind[] = [
  'meat',
  'poultry',
  'fish',
  'shellfish',
  'dairy',
  'egg',
  'stock',
];

/**
 * True for food that has to come in cold: what an animal gave, and what was cooked. Roots and leaves come in a crate.
 *
 * @source published: FDA Food Code 2022 § 3-202.11 (5 °C, or what the law of milk, eggs and live shellfish says);
 *   which kinds: common practice
 */
export function mustComeCold(food: { kind: IngredientKind; store: string }): boolean {
  return COLD_KINDS.includes(food.kind) && food.store === 'walk-in';
}

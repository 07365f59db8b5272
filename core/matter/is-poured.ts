import type { Ingredient } from './ingredient';

/** What thickens like this much flour a kilogram stands by itself: it is weighed. Common practice. */
const STANDS_G_PER_KG = 100;

/** True for what a cook measures by volume: wet and runny. Eggs are counted, pastes and soft cheese weighed. */
export function isPoured(ingredient: Ingredient): boolean {
  return (
    ingredient.share === 'liquid' &&
    ingredient.perKg.water > 0.5 &&
    ingredient.kind !== 'egg' &&
    (ingredient.bodyGPerKg ?? 0) < STANDS_G_PER_KG
  );
}

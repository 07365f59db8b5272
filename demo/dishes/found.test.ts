import { describe, expect, it } from 'vitest';
import { SETS_FROM_GELATIN_PERCENT } from '../../core/bases';
import { receivedFoodOf } from '../../core/larder';
import { recipeRowId } from '../../core/recipe';
import { kitchenView } from '../kitchen-view';
import { BOOK } from './dishes';

describe('house-made food found on the shelf is what its recipe makes', () => {
  const foundOf = (id: string) => receivedFoodOf(recipeRowId(id), kitchenView(), BOOK)!.contents;
  it('each of the book carries the salt it is salted to', () => {
    for (const recipe of BOOK.filter((one) => one.lines.some((line) => line.scaling === 'toSalt'))) expect(100 * foundOf(recipe.id).perKg.salt, recipe.name).toBeCloseTo(recipe.targetSaltPercent, 2);
  });
  it('a glaze has the gelatin of the stock it is reduced from, as many times as it is reduced', () => {
    const glaze = BOOK.find((one) => one.id === 'chicken-glaze')!;
    const stock = glaze.lines.find((line) => line.ingredientId === recipeRowId('roast-chicken-stock'))!;
    const per = foundOf('chicken-glaze').savourPerKg.gelatin;
    expect(100 * per).toBeGreaterThan(5 * SETS_FROM_GELATIN_PERCENT);
    const ratio = per / foundOf('roast-chicken-stock').savourPerKg.gelatin;
    const reduced = stock.kg / glaze.litres;
    expect(ratio / reduced).toBeGreaterThan(0.75);
    expect(ratio / reduced).toBeLessThan(1.15);
  });
  it('a stock that is strained sets as it does when it is cooked', () => {
    for (const id of ['roast-chicken-stock', 'white-fish-fumet']) expect(100 * foundOf(id).savourPerKg.gelatin).toBeGreaterThan(SETS_FROM_GELATIN_PERCENT);
    expect(foundOf('leek-top-stock').savourPerKg.gelatin).toBe(0);
  });
});

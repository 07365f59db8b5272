import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID, INGREDIENTS, ownIngredient } from '../core/matter';
import { check, ingredientSchema } from './index';

describe('a food in a file', () => {
  it('every row of the table, and a food made from one, passes as it is', () => {
    for (const row of INGREDIENTS)
      expect([row.id, check(ingredientSchema, row)]).toEqual([row.id, { ok: true, value: row }]);
    const own = ownIngredient(
      { id: 'house-bacon', name: 'House bacon', like: 'bacon', saltPercent: 3 },
      INGREDIENT_BY_ID.bacon!,
    );
    expect(check(ingredientSchema, own).ok).toBe(true);
  });
  const leek = INGREDIENT_BY_ID.leek!;
  const wrong: [string, object, RegExp][] = [
    ['a yield of nothing', { yield: 0 }, /trim must be from 0.01/],
    ['a yield in words', { yield: 'all' }, /trim must be a number/],
    ['a density below nothing', { densityKgPerL: -1 }, /density must be from/],
    ['allergens that are no list', { allergens: 'milk' }, /Allergens must be a list/],
    ['an allergen nobody knows', { allergens: ['moonlight'] }, /not on the list/],
    ['half a kilogram in a kilogram', { perKg: { ...leek.perKg, water: 0.1 } }, /add up to a kilogram/],
    ['more than all', { perKg: { ...leek.perKg, fat: 7 } }, /Fat must be from 0 to 1/],
    ['a field nobody knows', { magic: true }, /“magic” is not known/],
    ['softening for ever', { softenMin: Number.POSITIVE_INFINITY }, /finite|from 0 to/],
    ['an id of the language', { id: '__proto__' }, /small letters/],
  ];
  it.each(wrong)('%s is refused in words', (_name, change, sentence) => {
    const result = check(ingredientSchema, { ...leek, ...change });
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.errors.map((one) => one.sentence).join(' ')).toMatch(sentence);
  });
});

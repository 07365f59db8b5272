import { type Ingredient, type LotContents, savourOf } from '../matter';
import { bodyG } from '../thickness';

/** What a kilogram of a food of the table is, as a lot of it would be. */
export function contentsOfRow(
  row: Ingredient,
  satisfies: readonly string[] = [row.id],
  base?: string,
): LotContents {
  return {
    name: row.name,
    ingredientId: row.id,
    satisfies,
    ...(base ? { base } : {}),
    share: row.share,
    perKg: row.perKg,
    densityKgPerL: row.densityKgPerL,
    savourPerKg: savourOf(row, 1),
    bodyGPerKg: bodyG(row, 1),
    allergens: row.allergens,
    diet: row.diet,
  };
}

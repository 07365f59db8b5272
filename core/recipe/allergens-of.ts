import { ALLERGENS, type Allergen, type Ingredient } from '../matter';

/**
 * The allergens that some ingredients bring, each with the names of those that bring it, in the order of the list.
 *
 * @param ingredients any number
 * @returns one entry an allergen
 * @example allergensOf([{ name: 'Butter', allergens: ['milk'] }])[0].from[0] // => 'Butter'
 * @source allergens of each row: EU Regulation 1169/2011, Annex II
 */
export function allergensOf(
  ingredients: readonly Pick<Ingredient, 'name' | 'allergens'>[],
): { allergen: Allergen; name: string; from: string[] }[] {
  const known = Object.keys(ALLERGENS) as Allergen[];
  return known
    .map((allergen) => ({
      allergen,
      name: ALLERGENS[allergen].name,
      from: ingredients.filter((one) => one.allergens.includes(allergen)).map((one) => one.name),
    }))
    .filter((entry) => entry.from.length > 0);
}

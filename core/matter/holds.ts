import { ALLERGENS, type Allergen } from './data/allergens';
import { DIETS, type Diet } from './ingredient';

/** What a guest asks of a food: the allergens in it, and who eats it. */
export interface Holds {
  allergens: readonly Allergen[];
  diet: Diet;
}

const ALLERGEN_IDS = Object.keys(ALLERGENS) as Allergen[];

/**
 * What some foods together hold: every allergen of any of them, in the order of the list, and the diet of the strictest.
 *
 * @param foods any number; of none it is no allergen, and vegan
 * @example holdsOf([{ allergens: ['milk'], diet: 'vegetarian' }, { allergens: [], diet: 'meat' }]).diet // => 'meat'
 */
export function holdsOf(foods: Iterable<Holds>): Holds {
  const found = new Set<Allergen>();
  let strictest = 0;
  for (const { allergens, diet } of foods) {
    for (const allergen of allergens) found.add(allergen);
    strictest = Math.max(strictest, DIETS.indexOf(diet));
  }
  return { allergens: ALLERGEN_IDS.filter((one) => found.has(one)), diet: DIETS[strictest]! };
}

/** What a food would bring to others that they do not hold. */
export interface Brings {
  allergens: readonly Allergen[];
  /** its own diet, where fewer guests eat that than eat the others; else null */
  diet: Diet | null;
}

/**
 * What a food would bring to what is there; null where that is nothing.
 *
 * @param food that would go in
 * @param there what it would be added to
 */
export function bringsTo(food: Holds, there: Holds): Brings | null {
  const allergens = food.allergens.filter((one) => !there.allergens.includes(one));
  const diet = DIETS.indexOf(food.diet) > DIETS.indexOf(there.diet) ? food.diet : null;
  return allergens.length > 0 || diet ? { allergens, diet } : null;
}

import { type Ingredient, massesOf, NO_MASSES, type ThickenerKind } from '../matter';
import { bodyG } from './body-g';
import { pulpBodyG } from './pulp-body-g';

/** What pieces thicken like once they are soft, grams of flour: what falls apart by itself, and all of it blended. */
export interface SoftBody {
  readonly comesG: number;
  readonly blendedG: number;
  /** of that, what is nothing before it is soft: the starch of what is fresh, all of what is dry and has yet to swell */
  readonly hardG: number;
}

/** Less water than this and it is dry, kg/kg: between flour at 0.14 and bread at 0.36. */
const DRY_BELOW = 0.2;

/**
 * The body that pieces of a food lend as they soften and fall apart, and what they would if they were blended. What is
 * ground before it comes (semolina) falls apart wholly, and stronger than pulp.
 *
 * @param ingredient a food that lies in the pot in pieces
 * @param kg of it, 0 or more
 * @returns grams of flour that would do the same; `comesG` is 0 for what keeps to itself
 * @throws RangeError for a negative weight
 * @example softBody(INGREDIENT_BY_ID['split-pea'], 0.2).comesG // => 96
 * @source rows of the table and `pulpBodyG`, from memory
 */
export function softBody(ingredient: Ingredient, kg: number): SoftBody {
  const comesG = (ingredient.bodyGPerKg ?? 0) * kg;
  const masses = massesOf(ingredient, kg);
  const blendedG = Math.max(comesG, pulpBodyG(masses));
  const isDry = ingredient.perKg.water < DRY_BELOW;
  return { comesG, blendedG, hardG: isDry ? blendedG : pulpBodyG({ ...NO_MASSES, starch: masses.starch }) };
}

/**
 * Grams of flour that a food thickens like when its dish is done: cooked out, or soft and a share of it blended.
 *
 * @param blended share of the pieces that is blended, 0..1
 */
export function cookedBodyG(
  ingredient: Ingredient,
  kg: number,
  blended: number,
  asKind?: ThickenerKind,
): number {
  if (ingredient.share === 'liquid' || ingredient.thickener) return bodyG(ingredient, kg, asKind);
  const { comesG, blendedG } = softBody(ingredient, kg);
  return comesG + blended * (blendedG - comesG);
}

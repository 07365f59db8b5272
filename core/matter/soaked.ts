import type { Ingredient } from './ingredient';

/**
 * Of what a dry pulse or grain drinks in all until it is cooked, a full soak gives it so much: dry beans take up about
 * their own weight in water over night and reach a little over twice it cooked. Common practice.
 */
const SOAK_GIVES = 0.85;

/** A soak as long as the table says comes this near to a full one; water comes in ever more slowly. Common practice. */
const FULL_BY_THEN = 0.9;

/** What a soak is meant for where a line says nothing of it: dried mushrooms and kelp are soaked in what they cook in. */
const SOAKED_APART: ReadonlySet<Ingredient['kind']> = new Set(['pulse', 'grain']);

/** Hours a food stands in water of its own before it goes in: as its line says, or as its kind is always soaked. */
export function soakHours(line: { soakH?: number | undefined }, ingredient: Ingredient): number {
  return line.soakH ?? (SOAKED_APART.has(ingredient.kind) ? (ingredient.soakH ?? 0) : 0);
}

/**
 * Water a dry food takes up while it is soaked.
 *
 * @param hours soaked, 0 or more
 * @returns kg for each kg of it dry, 0 for what does not drink; of what a cook would call a full soak nine tenths are in
 *   by the hours the table says (8 where it says none)
 */
export function soakedUp(ingredient: Ingredient, hours: number): number {
  const fullH = ingredient.soakH ?? USUAL_H;
  return (ingredient.drinks ?? 0) * SOAK_GIVES * (1 - (1 - FULL_BY_THEN) ** (hours / fullH));
}

const USUAL_H = 8;

const kept = new WeakMap<Ingredient, Map<number, Ingredient>>();

/**
 * A dry food as it goes in soaked: all of it counted for each kilogram dry, so that what is bought, priced and planned
 * stays the dry weight. It brings its water along and drinks so much less from the pot.
 *
 * @param hours soaked; 0 for one that goes in dry
 */
export function soakedRow(ingredient: Ingredient, hours: number): Ingredient {
  const takenKg = hours > 0 ? soakedUp(ingredient, hours) : 0;
  if (takenKg === 0) return ingredient;
  const byHours = kept.get(ingredient) ?? new Map<number, Ingredient>();
  kept.set(ingredient, byHours);
  const before = byHours.get(hours);
  if (before) return before;
  const swells = (kgPerL: number) => 1 / (1 / kgPerL + takenKg);
  const row: Ingredient = {
    ...ingredient,
    perKg: { ...ingredient.perKg, water: ingredient.perKg.water + takenKg },
    drinks: (ingredient.drinks ?? 0) - takenKg,
    densityKgPerL: swells(ingredient.densityKgPerL),
    looseKgPerL: swells(ingredient.looseKgPerL),
  };
  byHours.set(hours, row);
  return row;
}

/** The row of a line as it goes in: soaked, where it is. */
export function rowOfLine<Line extends { ingredientId: string; soakH?: number | undefined }>(
  line: Line,
  ingredients: Readonly<Record<string, Ingredient>>,
): Ingredient {
  const row = ingredients[line.ingredientId]!;
  return soakedRow(row, soakHours(line, row));
}

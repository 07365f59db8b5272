import { baseMinutes } from '../book';
import { DIETS, type Diet, type Ingredient } from '../matter';
import type { Recipe, RecipeLine } from '../recipe';

import { BOUILLON_G_PER_L } from './substitute';
import type { Substitution } from './substitution';

/** A substitution worth offering. */
export interface Suggestion {
  change: Substitution;
  /** what a diet that does without it gains by it */
  avoids?: Diet;
  /** minutes to make it first, where it is a base that is made */
  makeMin?: number;
}

/** What stands in for what no vegetarian eats, by kind: brings salt, smoke or the sea with its umami. Common practice. */
const PLANT_FOR: Readonly<Record<string, readonly string[]>> = {
  anchovy: ['miso', 'soy-sauce'],
  bacon: ['smoked-paprika', 'miso'],
  'fish-sauce': ['soy-sauce', 'tamari'],
  'table-sauce': ['soy-sauce', 'tamari'],
  'oyster-sauce': ['soy-sauce'],
  'fish-flakes': ['shiitake-dried', 'dried-mushroom'],
  'chicken-stock': ['kelp-stock', 'mushroom-stock', 'vegetable-stock'],
  'beef-stock': ['dark-vegetable-stock', 'mushroom-stock'],
  'game-stock': ['dark-vegetable-stock', 'mushroom-stock'],
  'fish-fumet': ['kelp-stock', 'vegetable-stock'],
  'flake-stock': ['kelp-stock'],
  lard: ['rapeseed-oil'],
  dripping: ['rapeseed-oil'],
  suet: ['butter'],
};

/** The base that is made while the vegetables are cut: no bones, no hours. */
const KELP = 'kelp-stock';

function kelpMinutes(): number {
  return Math.round(baseMinutes('kelp-mushroom-stock'));
}

/** Swaps that a recipe's lines invite, in the order of its lines. */
export function suggestSubstitutions(
  recipe: Recipe,
  ingredients: Readonly<Record<string, Ingredient>>,
): Suggestion[] {
  return [...recipe.lines.flatMap((line) => forLine(line, ingredients)), ...forDairy(recipe, ingredients)];
}

function forLine(line: RecipeLine, ingredients: Readonly<Record<string, Ingredient>>): Suggestion[] {
  const row = ingredients[line.ingredientId];
  if (!row) return [];
  const found: Suggestion[] = [];
  const offer = (change: Substitution, more: Omit<Suggestion, 'change'> = {}) =>
    found.push({ change, ...more });
  const swap = (
    byIngredientId: string,
    share: number,
    keep: Extract<Substitution, { kind: 'swap' }>['keep'],
  ): Substitution => ({ kind: 'swap', lineId: line.id, byIngredientId, share, keep });
  if (row.kind === 'stock' && row.share === 'liquid' && row.perKg.water > 0.5) {
    offer(swap('water', 0.5, 'weight'));
    offer({ kind: 'aromatics', lineId: line.id, share: 1 });
    for (const share of [0.5, 1])
      offer({ kind: 'bouillon', lineId: line.id, share, gPerL: BOUILLON_G_PER_L });
    const isKelp = row.id === KELP || PLANT_FOR[row.id]?.includes(KELP);
    if (!isKelp && ingredients[KELP]) offer(swap(KELP, 1, 'weight'), { makeMin: kelpMinutes() });
  }
  if (row.thickener === 'flour')
    for (const starch of ['cornstarch', 'rice-flour']) offer(swap(starch, 1, 'strength'));
  const rows = Object.values(ingredients);
  const fresh = ingredients[row.tinnedOf ?? ''];
  if (fresh) offer(swap(fresh.id, 1, 'solids'));
  const tinned = rows.find((one) => one.tinnedOf === row.id);
  if (tinned) offer(swap(tinned.id, 1, 'solids'));
  if (row.driedOf && ingredients[row.driedOf]) offer(swap(row.driedOf, 1, 'dried'));
  const dried = rows.find((one) => one.driedOf === row.id);
  if (dried) offer(swap(dried.id, 1, 'dried'));
  if (DIETS.indexOf(row.diet) > DIETS.indexOf('vegetarian')) {
    for (const id of PLANT_FOR[row.id] ?? []) {
      const plant = ingredients[id];
      if (!plant) continue;
      const isSauce = ['seasoning', 'fish', 'vegetable'].includes(row.kind) && row.umami && plant.umami;
      offer(swap(id, 1, isSauce ? 'umami' : 'weight'), {
        avoids: row.diet,
        ...(id === KELP ? { makeMin: kelpMinutes() } : {}),
      });
    }
  }
  return found;
}

function forDairy(recipe: Recipe, ingredients: Readonly<Record<string, Ingredient>>): Suggestion[] {
  const milk = recipe.lines.find(
    (line) => /milk$/.test(line.ingredientId) && ingredients[line.ingredientId]?.kind === 'dairy',
  );
  const cream = recipe.lines.find((line) => /cream$/.test(line.ingredientId));
  if (!milk || !cream) return [];
  return [10, 15].map((fatPercent) => ({
    change: { kind: 'dairyFat', milkLineId: milk.id, creamLineId: cream.id, fatPercent },
  }));
}

import { baseMinutes } from '../book';
import { DIETS, type Ingredient } from '../matter';
import type { Recipe, RecipeLine } from '../recipe';

import { BOUILLON_G_PER_L } from './substitute';
import type { Substitution } from './substitution';

/** A substitution worth offering, in words. */
export interface Suggestion {
  sentence: string;
  change: Substitution;
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
  const name = row.name.toLowerCase();
  const offer = (sentence: string, change: Substitution, makeMin?: number) =>
    found.push({ sentence, change, ...(makeMin === undefined ? {} : { makeMin }) });
  const swap = (
    byIngredientId: string,
    share: number,
    keep: Extract<Substitution, { kind: 'swap' }>['keep'],
  ): Substitution => ({ kind: 'swap', lineId: line.id, byIngredientId, share, keep });
  if (row.kind === 'stock' && row.share === 'liquid' && row.perKg.water > 0.5) {
    offer(`Half of the ${name} as water`, swap('water', 0.5, 'weight'));
    offer(`Water for the ${name}, its aromatics in the pot`, {
      kind: 'aromatics',
      lineId: line.id,
      share: 1,
    });
    offer(`Half of the ${name} as bouillon`, {
      kind: 'bouillon',
      lineId: line.id,
      share: 0.5,
      gPerL: BOUILLON_G_PER_L,
    });
    offer(`All of the ${name} as bouillon`, {
      kind: 'bouillon',
      lineId: line.id,
      share: 1,
      gPerL: BOUILLON_G_PER_L,
    });
    const isKelp = row.id === KELP || PLANT_FOR[row.id]?.includes(KELP);
    if (!isKelp && ingredients[KELP])
      offer(`Kelp and mushroom stock for the ${name}`, swap(KELP, 1, 'weight'), kelpMinutes());
  }
  if (row.thickener === 'flour') {
    offer('Cornstarch for the flour, by strength', swap('cornstarch', 1, 'strength'));
    offer('Rice flour for the flour, by strength', swap('rice-flour', 1, 'strength'));
  }
  const fresh = ingredients[row.tinnedOf ?? ''];
  if (fresh) offer(`${fresh.name} for tinned, by solids`, swap(fresh.id, 1, 'solids'));
  const tinned = Object.values(ingredients).find((one) => one.tinnedOf === row.id);
  if (tinned) offer(`${tinned.name} for fresh, by solids`, swap(tinned.id, 1, 'solids'));
  if (row.driedOf && ingredients[row.driedOf])
    offer(`Fresh for dried ${row.driedOf}`, swap(row.driedOf, 1, 'dried'));
  const dried = Object.values(ingredients).find((one) => one.driedOf === row.id);
  if (dried) offer(`Dried for fresh ${name}`, swap(dried.id, 1, 'dried'));
  if (DIETS.indexOf(row.diet) > DIETS.indexOf('vegetarian')) {
    for (const id of PLANT_FOR[row.id] ?? []) {
      const plant = ingredients[id];
      if (!plant) continue;
      const isSauce = ['seasoning', 'fish', 'vegetable'].includes(row.kind) && row.umami && plant.umami;
      offer(
        `${plant.name} for the ${name}, no ${row.diet}`,
        swap(id, 1, isSauce ? 'umami' : 'weight'),
        id === KELP ? kelpMinutes() : undefined,
      );
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
    sentence: `Milk and cream to ${fatPercent} % fat`,
    change: { kind: 'dairyFat', milkLineId: milk.id, creamLineId: cream.id, fatPercent },
  }));
}

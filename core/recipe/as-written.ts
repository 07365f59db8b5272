import {
  type Ingredient,
  type Masses,
  massesOf,
  NO_MASSES,
  plus,
  rowOfLine,
  totalKg,
  volumeLitres,
} from '../matter';
import { cookedBodyG, softBody, thicknessBand } from '../thickness';

import type { Recipe } from './recipe';

/** Share of what goes in that a household pan boils away while a soup is made. Common practice, a first guess. */
const STEAMED = 0.07;

const SERVED_C = 80;

/** What a recipe comes to as it stands on paper, before it is planned in any pot. */
export interface AsWritten {
  litres: number;
  band: number;
  saltPercent: number;
}

/**
 * Litres, thickness and salt of a recipe as written: what is lifted out and what goes on the bowls left aside, a usual
 * share boiled away, what its stages purée gone into the liquid.
 *
 * @param recipe its lines name rows of `ingredients`
 * @returns litres; band 0..6; salt in kg per 100 kg, of what the lines say in weight
 */
export function asWritten(
  recipe: Pick<Recipe, 'lines' | 'stages'>,
  ingredients: Readonly<Record<string, Ingredient>>,
): AsWritten {
  let liquid: Masses = NO_MASSES;
  let pieces: Masses = NO_MASSES;
  let flourG = 0;
  const smooth = blendedShare(recipe);
  for (const line of recipe.lines) {
    const ingredient = ingredients[line.ingredientId] && rowOfLine(line, ingredients);
    const isAway = line.comesOut && !line.comesOut.backStageId;
    if (!ingredient || isAway || line.scaling === 'perBowl') continue;
    const masses = massesOf(ingredient, line.kg);
    flourG += cookedBodyG(ingredient, line.kg, smooth, line.thickener);
    if (ingredient.share === 'liquid') {
      liquid = plus(liquid, masses);
      continue;
    }
    const drunkKg = Math.min(line.kg * (ingredient.drinks ?? 0), liquid.water);
    liquid = { ...liquid, water: liquid.water - drunkKg };
    const swollen = { ...masses, water: masses.water + drunkKg };
    const { comesG, blendedG } = softBody(ingredient, line.kg);
    const apart = blendedG > 0 ? comesG / blendedG : 0;
    liquid = plus(liquid, swollen, apart);
    pieces = plus(pieces, swollen, 1 - apart);
  }
  const steamedKg = Math.min(liquid.water, (totalKg(liquid) + totalKg(pieces)) * STEAMED);
  liquid = { ...liquid, water: liquid.water - steamedKg };
  const liquidLitres = volumeLitres(plus(liquid, pieces, smooth), SERVED_C);
  const kg = totalKg(liquid) + totalKg(pieces);
  return {
    litres: volumeLitres(plus(liquid, pieces), SERVED_C),
    band: liquidLitres > 0 ? thicknessBand({ flourEquivalentGPerL: flourG / liquidLitres }) : 0,
    saltPercent: kg > 0 ? (100 * (liquid.salt + pieces.salt)) / kg : 0,
  };
}

/** The share of what lies in the pot that a recipe's stages blend, 0..1. */
export function blendedShare({ stages }: Pick<Recipe, 'stages'>): number {
  return stages.reduce(
    (share, stage) => (stage.does?.kind === 'puree' ? Math.max(share, stage.does.share) : share),
    0,
  );
}

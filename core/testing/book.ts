import { INGREDIENT_BY_ID } from '../matter';
import { linesOf, readingTable, readRecipeText } from '../reader';
import { asWritten, type Library, type Recipe } from '../recipe';

export const TABLE = readingTable(INGREDIENT_BY_ID);

/** A recipe off paper, for tests: read, its litres and thickness as its lines come to. */
export function recipeFrom(text: string, change: Partial<Recipe> = {}): Recipe {
  const draft = readRecipeText(text, TABLE);
  const shape = { litres: 2, portionMl: draft.portionMl ?? 250, stages: draft.stages };
  const first = linesOf(shape, draft.written, TABLE).lines;
  const { litres, band } = asWritten({ lines: first, stages: draft.stages }, INGREDIENT_BY_ID);
  const recipe: Recipe = {
    id: draft.name.toLowerCase().replace(/\W+/g, '-'),
    version: 1,
    name: draft.name,
    bowl: { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 },
    targetBand: Math.round(band * 10) / 10,
    targetSaltPercent: 0.9,
    colour: 'broth',
    ...shape,
    litres,
    written: draft.written,
    lines: [],
    ...change,
  };
  return { ...recipe, lines: change.lines ?? linesOf(recipe, recipe.written!, TABLE).lines };
}

export function libraryOf(
  recipes: readonly Recipe[],
  pricesCentsPerKg: Record<string, number> = {},
): Library {
  return {
    ingredients: INGREDIENT_BY_ID,
    recipes: Object.fromEntries(recipes.map((recipe) => [recipe.id, recipe])),
    pricesCentsPerKg,
  };
}

export const LEEK_SOUP = `Leek and potato soup
Serves 6

3 leeks, sliced
500 g potatoes, peeled, 1.5 cm dice
1 onion, chopped
50 g butter
1.2 L chicken stock
150 ml double cream
2 bay leaves
salt to taste

Sweat the onion and leeks in the butter for 10 minutes. Add the stock, potatoes and bay, bring to the boil and simmer until tender. Blend, stir in the cream, season and serve.`;

import type { Ingredient } from '../matter';
import { CODE_HOT_LIMITS, FOOD_CODE, type HotLimits, limitSource, topRuleOf } from '../safety';

import { recipeIdOf, recipeRowId } from './library';
import type { Recipe, Stage } from './recipe';

const PREFIX = 'reheat:';

/** From this thickness on a soup is reheated on half heat, or it catches. Common practice. */
const CATCHES_FROM_BAND = 2;
/** A dish with any body keeps its milk from splitting, as so much flour to the litre does, g. source: from memory */
const BOUND_G_PER_L = 30;

/** The id a dish is planned under when it is only reheated. */
export function reheatId(recipeId: string): string {
  return `${PREFIX}${recipeId}`;
}

/**
 * A recipe by its id: one of the book, or one of the book reheated.
 *
 * @param ingredients every row a line may name
 * @param limits the kitchen's own
 * @returns undefined where the book has none
 */
export function recipeIn(
  book: readonly Recipe[],
  id: string,
  ingredients: Readonly<Record<string, Ingredient>>,
  limits: HotLimits = CODE_HOT_LIMITS,
): Recipe | undefined {
  if (!id.startsWith(PREFIX)) return book.find((one) => one.id === id);
  const dish = book.find((one) => one.id === id.slice(PREFIX.length));
  return dish && reheatRecipe(dish, ingredients, book, limits);
}

/**
 * A dish that was made before and stored, reheated for a service: out of its lots, to the reheating temperature all
 * through, and held. What is in it sets the same top as on the day it was made.
 *
 * @param recipe the dish
 * @param ingredients rows its lines name; a row that is not there sets no top
 * @param book where the recipes stand that it is made of: what is in them counts
 * @param limits how hot, how soon and how it is held; the kitchen's own
 * @returns a recipe of one line, the dish itself as it lies in the larder
 * @source published: FDA Food Code 2022 § 3-403.11 for the temperature, its hold and the two hours; the rest common practice
 */
export function reheatRecipe(
  recipe: Recipe,
  ingredients: Readonly<Record<string, Ingredient>>,
  book: readonly Recipe[] = [],
  limits: HotLimits = CODE_HOT_LIMITS,
): Recipe {
  const top = topOf(recipe, ingredients, book);
  const { reheatC, reheatWithinH, hotHoldingC } = limits;
  const isThick = recipe.targetBand >= CATCHES_FROM_BAND;
  const warm: Stage = {
    id: 'warm',
    title: 'Reheat',
    act: isThick
      ? 'Half heat, lid on. Stir from the bottom: cold it is thicker than it will be, and it catches.'
      : 'Lid on, and stir now and then, so that it is hot all through.',
    method: isThick ? 'half heat' : 'full heat',
    methodReason: isThick ? 'thick soup burns before it is warm' : 'soon through the warm hours',
    heat: { kind: 'burner', fraction: isThick ? 0.5 : 1 },
    lid: 'on',
    ends: { rule: 'warm', tempC: reheatC },
    attention: { kind: 'lookIn', everyMin: isThick ? 3 : 6 },
    cue: `A thermometer in the middle shows ${reheatC} °C, for ${FOOD_CODE.reheatHoldS.value} s.`,
    trouble: 'Caught on the bottom: off the heat, another pot, do not scrape.',
    caution: `${reheatC} °C all through, within ${reheatWithinH} h of leaving the cold (${limitSource(limits, 'reheatC')}). The thermometer and the local code decide.${recipe.best ? ` Of it the recipe says: ${recipe.best.words}.` : ''}`,
    ...(top ? { topTempC: top.tempC, topFor: { because: top.because, why: top.why } } : {}),
  };
  const taste: Stage = {
    id: 'taste',
    title: 'Taste, and dilute',
    act: 'It has thickened and its salt has moved: stir, taste, thin with hot stock or water.',
    method: 'by taste',
    methodReason: 'a rested soup is another one',
    heat: { kind: 'burner', fraction: 0.15 },
    lid: 'on',
    ends: { rule: 'minutes', minutes: 3 },
    attention: { kind: 'handsOn' },
    cue: 'It tastes as it did.',
    trouble: 'Too thick: hot stock in splashes. Split: a stick blender, off the heat.',
    asksOut: true,
  };
  const serve: Stage = {
    id: 'serve',
    title: 'Serve',
    act: `Held at ${hotHoldingC} °C or above. Throw away what is left: it is reheated once.`,
    method: 'ladled',
    methodReason: 'hot, and soon',
    heat: { kind: 'burner', fraction: 0.1 },
    lid: 'on',
    ends: { rule: 'served' },
    attention: { kind: 'lookIn', everyMin: 10 },
    cue: 'Steam when it is stirred.',
    trouble: `Under ${hotHoldingC} °C: hotter, by the thermometer.`,
  };
  const { written: _written, base: _base, stocksAs: _stocksAs, pattern: _pattern, ...kept } = recipe;
  return {
    ...kept,
    id: reheatId(recipe.id),
    name: `${recipe.name}, reheated`,
    reheats: recipe.id,
    stages: [warm, taste, serve],
    lines: [
      {
        id: 'dish',
        ingredientId: recipeRowId(recipe.id),
        stageId: warm.id,
        kg: recipe.litres,
        scaling: 'toYield',
        tempC: FOOD_CODE.coolToC.value,
      },
      ...recipe.lines
        .filter((line) => line.scaling === 'perBowl')
        .map((line) => ({ ...line, stageId: serve.id })),
    ],
  };
}

/** A top, what asks for it, and why. */
interface Top {
  tempC: number;
  because: string;
  why: string;
}

/** The lowest top that anything in the dish asks for, down through what it is made of, or that its recipe sets. */
function topOf(
  recipe: Recipe,
  ingredients: Readonly<Record<string, Ingredient>>,
  book: readonly Recipe[],
): Top | null {
  const boundGPerL = recipe.targetBand >= 1 ? BOUND_G_PER_L : 0;
  const byFood = recipe.lines.flatMap((line): Top[] => {
    if (line.scaling === 'perBowl') return [];
    const part = book.find((one) => one.id === recipeIdOf(line.ingredientId));
    // a recipe is not made of itself; the book that it is looked for in gets smaller, so that no circle is walked
    const within =
      part &&
      topOf(
        part,
        ingredients,
        book.filter((one) => one !== part),
      );
    const ingredient = ingredients[line.ingredientId];
    const rule = ingredient && topRuleOf(ingredient, boundGPerL);
    return [
      ...(within ? [within] : []),
      ...(rule ? [{ tempC: rule.tempC, because: ingredient.name.toLowerCase(), why: rule.why }] : []),
    ];
  });
  const byStage = recipe.stages.flatMap((stage): Top[] =>
    stage.topTempC === undefined
      ? []
      : [{ tempC: stage.topTempC, because: recipe.name.toLowerCase(), why: 'its recipe sets it' }],
  );
  return [...byFood, ...byStage].sort((a, b) => a.tempC - b.tempC)[0] ?? null;
}

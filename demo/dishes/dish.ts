import { INGREDIENT_BY_ID, type Library, linesOf, newStage, type Recipe, readingTable, recipeAsIngredient, type Stage, type StageKind, type WrittenLine } from '../../core';

type Change = Partial<Omit<Stage, 'id' | 'kind'>>;

/** A stage of the house's own: a kind, a school, and what is different here. */
export function stage(id: string, kind: StageKind, methodId: string, change: Change): Stage {
  return { ...newStage(id, kind, methodId), ...change };
}

type Where = string | { [stageId: string]: number };
type Extra = Omit<WrittenLine, 'id' | 'text' | 'parts'>;

/** A recipe of the house as it is written, read against the table and the dishes it stands on. */
export function dish(of: Omit<Recipe, 'version' | 'lines' | 'written' | 'bowl'> & { bowl?: Recipe['bowl'] }, paper: readonly (readonly [text: string, where: Where, extra?: Extra])[], standsOn: readonly Recipe[] = []): Recipe {
  const library: Library = {
    ingredients: INGREDIENT_BY_ID,
    recipes: Object.fromEntries(standsOn.map((one) => [one.id, one])),
    pricesCentsPerKg: {},
  };
  const rows = Object.fromEntries(
    standsOn.map((one) => {
      const { ingredient } = recipeAsIngredient(one, library);
      return [ingredient.id, ingredient];
    }),
  );
  const table = readingTable({ ...rows, ...INGREDIENT_BY_ID });
  const written = paper.map(
    ([text, where, extra], i): WrittenLine => ({
      id: `w${i + 1}`,
      text,
      ...extra,
      parts: typeof where === 'string' ? [{ stageId: where, share: 1 }] : Object.entries(where).map(([stageId, share]) => ({ stageId, share })),
    }),
  );
  const recipe: Recipe = { bowl: BOWL, ...of, version: 1, written, lines: [] };
  const { lines, notUnderstood } = linesOf(recipe, written, table);
  if (notUnderstood.length > 0) throw new Error(`${of.name}: ${notUnderstood.map((one) => one.line.text).join('; ')}`);
  return { ...recipe, lines };
}

/** The buffet's own bowl. */
const BOWL = { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 };

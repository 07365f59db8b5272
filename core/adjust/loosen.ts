import { bodyOfPot, liquidLitres } from '../pot';
import type { AdjustWay } from './thicken';
import { outcomeOf, ownTasteWith, type ToMend, warningsOf, withItems } from './to-mend';

/** Warm, so that the pot keeps its heat, °C; stirred in within a few minutes. Common practice. */
const HOT_C = 85;
const STIRRED_MIN = 3;

/** Loosened with what the dish is made of, then with milk and cream where it holds them already, then with water. */
export function waysToLoosen(of: ToMend, wanted: number): AdjustWay[] {
  const { input } = of.snapshot;
  const litres = bodyOfPot(of.end) / wanted - liquidLitres(of.end);
  const own = input.recipe.lines.flatMap((line) => {
    const ingredient = input.ingredients[line.ingredientId];
    return line.scaling === 'toYield' && ingredient?.share === 'liquid' ? [line.ingredientId] : [];
  });
  const ids = [...new Set([...own, 'milk', 'water'])].filter((id) => input.ingredients[id]);
  return ids.map((ingredientId): AdjustWay => {
    const ingredient = input.ingredients[ingredientId]!;
    const items = [{ ingredientId, kg: litres * ingredient.densityKgPerL, tempC: HOT_C }];
    const { pot, costCents } = withItems(of, items);
    return {
      id: `loosen-${ingredientId}`,
      how: { code: 'loosen', name: ingredient.name, kind: ingredient.kind },
      items,
      isAddition: true,
      warns: warningsOf(of, items),
      after: outcomeOf(pot, {
        portionMl: input.portionMl,
        minutes: STIRRED_MIN,
        costCents,
        ownTaste: ownTasteWith(of, items),
      }),
    };
  });
}

import type { Ingredient } from '../matter';
import { own } from '../own';
import { bodyOfPot, liquidLitres, type PotState } from '../pot';
import type { Stage } from '../recipe';
import { topRuleOf } from '../safety';

/** A pot with a top temperature is held this far under it, K. Common practice. */
export const UNDER_THE_TOP_C = 3;

/** The hottest a pot may get, °C, why, and which food or stage asks for it. */
export interface AskedTop {
  tempC: number;
  why: string;
  because: string;
}

/**
 * The lowest top temperature that the food in a pot and the stages it has come to ask for; null where nothing minds.
 *
 * @param of what has gone in, kg by ingredient id, and the stages begun so far
 * @source rules in `safety/data/top-temperatures.ts`
 */
export function lowestTop(of: {
  ingredients: Readonly<Record<string, Ingredient>>;
  pot: PotState;
  kgById: Readonly<Record<string, number>>;
  begun: readonly Stage[];
}): AskedTop | null {
  const litres = liquidLitres(of.pot);
  const boundGPerL = litres > 0 ? bodyOfPot(of.pot) / litres : 0;
  const asked: AskedTop[] = [];
  for (const [id, kg] of Object.entries(of.kgById)) {
    const ingredient = own(of.ingredients, id);
    const rule = kg > 0 && ingredient ? topRuleOf(ingredient, boundGPerL) : null;
    if (rule && ingredient)
      asked.push({ tempC: rule.tempC, why: rule.why, because: ingredient.name.toLowerCase() });
  }
  for (const stage of of.begun) {
    if (stage.topTempC === undefined) continue;
    const why = stage.topFor ?? { why: 'the recipe sets it', because: stage.title.toLowerCase() };
    asked.push({ tempC: stage.topTempC, ...why });
  }
  return asked.sort((a, b) => a.tempC - b.tempC)[0] ?? null;
}

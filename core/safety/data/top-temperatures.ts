import type { Ingredient } from '../../matter';

/** The hottest a pot may get once something is in it, and what happens above. */
export interface TopRule {
  tempC: number;
  why: string;
  source: string;
}

/**
 * By food. Heavy cream alone boils safely and has no rule; lemon comes late for its colour and scent, not for the heat.
 * A rule of a family is found by the kind of food and, for dairy, by how lean it is.
 */
export const TOP_RULES = {
  yolk: {
    tempC: 82,
    why: 'the egg scrambles above it',
    source: 'common practice',
  },
  cheese: {
    tempC: 82,
    why: 'the cheese turns grainy and throws its fat above it',
    source: 'common practice, from memory: 80 to 85',
  },
  cultured: {
    tempC: 82,
    why: 'cultured dairy curdles above it, the leaner the sooner',
    source: 'common practice, from memory: 80 to 85',
  },
  leanDairy: {
    tempC: 88,
    why: 'lean milk and thin cream catch and split above it',
    source: 'common practice, from memory: just under a simmer',
  },
  miso: {
    tempC: 90,
    why: 'it goes flat above it',
    source: 'common practice: never boiled',
  },
} as const satisfies Record<string, TopRule>;

/** Dairy under this share of fat is lean; over it, it boils without harm. source: common practice: 30 % is safe */
const RICH_FROM_FAT = 0.25;

/** Dairy bound with flour or in this much starch keeps. source: common practice: flour protects milk in a chowder */
const PROTECTED_FROM_F = 12;

/**
 * The rule a food puts on the pot, or null.
 *
 * @param ingredient what goes in
 * @param flourEquivalentGPerL how bound the pot is: starch keeps lean milk from splitting
 */
export function topRuleOf(ingredient: Ingredient, flourEquivalentGPerL: number): TopRule | null {
  if (ingredient.heatHurts === 'flat') return TOP_RULES.miso;
  if (ingredient.heatHurts === 'curdles') return TOP_RULES.cultured;
  if (ingredient.kind === 'egg') return TOP_RULES.yolk;
  if (ingredient.kind !== 'dairy' || ingredient.share === 'pieces') return null;
  if (ingredient.perKg.protein > 0.15) return TOP_RULES.cheese;
  const isMilky = ingredient.perKg.protein > 0.015;
  const isLean = isMilky && ingredient.perKg.fat < RICH_FROM_FAT;
  return isLean && flourEquivalentGPerL < PROTECTED_FROM_F ? TOP_RULES.leanDairy : null;
}

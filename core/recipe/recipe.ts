import type { Lid } from '../evaporation/data/evaporation-constants';
import type { ThickenerKind } from '../thickness/data/thickeners';

/**
 * How a line follows the order. `straight` multiplies; `toYield` is the liquid that makes up the litres after what
 * boils away; `toThickness` and `toSalt` are solved for the target at the end; `sameAs` is equal weights with another
 * line; `perBowl` is garnish, kg a portion, never in the pot.
 */
export type Scaling = 'straight' | 'toYield' | 'toThickness' | 'toSalt' | 'perBowl' | { sameAs: string };

export interface RecipeLine {
  id: string;
  ingredientId: string;
  stageId: string;
  /** edible kg for the recipe's `litres`; for perBowl, kg a portion */
  kg: number;
  scaling: Scaling;
  /** as it goes in, °C */
  tempC: number;
  cut?: string;
  thickener?: ThickenerKind;
  /** one of what is lifted out again, in the words of its tag, and grams of one */
  comesOut?: { word: string; eachG: number };
}

/** How a pot simmers, in words; the temperature is under the boil at the kitchen's height. */
export const SIMMER_UNDER_BOIL_C = { justUnder: 7, barely: 3, steady: 1.5 } as const;
export type Simmer = keyof typeof SIMMER_UNDER_BOIL_C;

/** A stage's heat: a share of the burner, or whatever share holds a kind of simmer. */
export type StageHeat = { kind: 'burner'; fraction: number } | { kind: 'hold'; simmer: Simmer };

/** What ends a stage. Dice: `softenMin` is minutes at 100 °C once the centre is hot. */
export type StageEnd =
  | { rule: 'minutes'; minutes: number }
  | { rule: 'simmer' }
  | { rule: 'soft'; edgeCm: number; softenMin: number }
  | { rule: 'fall'; fractionGone: number }
  | { rule: 'served' };

export type Attention = { kind: 'handsOn' } | { kind: 'lookIn'; everyMin: number } | { kind: 'leave' };

export interface Stage {
  id: string;
  title: string;
  /** what the cook does, one sentence */
  act: string;
  method: string;
  methodReason: string;
  heat: StageHeat;
  lid: Lid;
  ends: StageEnd;
  attention: Attention;
  /** readiness, by eye, nose, mouth or hand */
  cue: string;
  trouble: string;
  caution?: string;
  /** nothing may be left in the pot that has to come out */
  asksOut?: boolean;
}

export interface Recipe {
  id: string;
  version: number;
  name: string;
  /** the litres that the straight lines are written for */
  litres: number;
  portionMl: number;
  bowl: { topDiameterCm: number; bottomDiameterCm: number; heightCm: number; headspaceCm: number };
  targetBand: number;
  targetSaltPercent: number;
  /** colour of the finished dish, by name in the theme */
  colour: string;
  stages: readonly Stage[];
  lines: readonly RecipeLine[];
}

/** Stages that happen in the pot before it is served. */
export function cookingStages(recipe: Recipe): readonly Stage[] {
  return recipe.stages.filter((stage) => stage.ends.rule !== 'served');
}

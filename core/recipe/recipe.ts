import type { Lid } from '../evaporation';
import type { Diet, ThickenerKind } from '../matter';
import type { StageDeed } from '../pot';
import type { Scale } from '../taste';

export const SCALINGS = [
  'straight',
  'toYield',
  'toThickness',
  'toSalt',
  'perBowl',
  'bySurface',
  'byTaste',
  'startLow',
  'bySpoon',
] as const;

/**
 * How a line follows the order. `straight` multiplies; `toYield` is the liquid that makes up the litres after what
 * boils away; `toThickness` and `toSalt` are solved for the target at the end; `sameAs` is as much as another line by
 * weight, or `times` as much; `perBowl` is garnish, kg a portion, never in the pot; `bySurface` is fat for a pan's bottom; `byTaste` and
 * `startLow` begin under the straight multiple, the rest kept back for the palate; of `bySpoon`, which spoons have found
 * right before, two thirds go in.
 */
export type Scaling = (typeof SCALINGS)[number] | { sameAs: string; times?: number };

/** Brined meat brings salt, soaked meat and fish leave some. */
export interface Cure {
  /** salt of the brine, kg per 100 kg; 0 is plain water */
  brinePercent: number;
  hours: number;
  /** kg of brine or water to a kg of meat */
  liquidPerKg: number;
  thicknessCm: number;
}

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
  /**
   * One of what is lifted out again, in the words of its tag, and grams of one; `backStageId` where its meat, picked, goes
   * in again.
   */
  comesOut?: { word: string; eachG: number; backStageId?: string };
  /** hours it is soaked before it goes in, where the page says so */
  soakH?: number;
  cure?: Cure;
  /** the written line this is the whole or a part of */
  writtenId?: string;
}

/** A line as it stands on paper, with what the cook has corrected in its reading. */
export interface WrittenLine {
  id: string;
  text: string;
  /** taken for this instead of what was read */
  ingredientId?: string;
  /** edible grams instead of what was read */
  edibleG?: number;
  comesOut?: boolean;
  /** lifted out, picked, and the meat back in at this stage; null where the page would have it so and the cook not */
  backStageId?: string | null;
  /** the words for which a cook has settled what was doubtful in them */
  settled?: string;
  /** hours it is soaked, instead of what was read; 0 not at all */
  soakH?: number;
  scaling?: Scaling;
  cure?: Cure;
  /** where it goes in, and how much of it; the shares add up to 1 */
  parts: readonly { stageId: string; share: number }[];
}

/** What a page left open in its method, until a cook has answered it. */
export type OpenDoubt =
  | { kind: 'portions' }
  /** a time that the page does not say; how far it reduces */
  | { kind: 'minutes' | 'mark'; stageId: string }
  /** a line that no sentence names: where it goes in is a guess */
  | { kind: 'place'; lineId: string };

/** How a pot simmers, in words; the temperature is under the boil at the kitchen's height. */
export const SIMMER_UNDER_BOIL_C = { justUnder: 7, barely: 3, steady: 1.5 } as const;
export type Simmer = keyof typeof SIMMER_UNDER_BOIL_C;

/** A stage's heat: a share of the burner, or whatever share holds a kind of simmer. */
export type StageHeat = { kind: 'burner'; fraction: number } | { kind: 'hold'; simmer: Simmer };

/** What ends a stage. Dice: `softenMin` is minutes at 100 °C once the centre is hot. */
export type StageEnd =
  | { rule: 'minutes'; minutes: number }
  | { rule: 'simmer' }
  /** up to °C and no hotter: below the boil */
  | { rule: 'warm'; tempC: number }
  | { rule: 'soft'; edgeCm: number; softenMin: number }
  | { rule: 'fall'; fractionGone: number }
  | { rule: 'served' };

export const STAGE_KINDS = [
  'start',
  'liquid',
  'simmer',
  'additions',
  'lift',
  'reduce',
  'puree',
  'thicken',
  'season',
  'finish',
  'serve',
  'keep',
] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

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
  kind?: StageKind;
  /** which of the schools in `METHODS`; none for the house's own */
  methodId?: string;
  does?: StageDeed;
  /** hottest it may get from here on, °C, and why */
  topTempC?: number;
  /** for what, and why; none where the recipe merely says so */
  topFor?: { because: string; why: string };
}

/** What may be swapped in a pattern: the lines that are this, and what role they play. */
export interface PatternSlot {
  role: 'vegetable' | 'starch' | 'liquid' | 'bone';
  writtenId: string;
}

/** What a pot tasted of when spoons said that it was right, in the measure of its scale, and how many said so. */
export interface RightTaste {
  value: number;
  verdicts: number;
}

/** What was right at closes, as far as it was accepted into the recipe. */
export interface TasteProfile {
  /** percent for salt and fat, g/L for acid, sugars and heat, g/100 g as glutamate for umami */
  right: Partial<Record<Scale, RightTaste>>;
  /** the batches that it comes from */
  fromBatchIds: readonly string[];
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
  /** the recipe as written on paper, where `lines` come from; none for one that was never written down so */
  written?: readonly WrittenLine[];
  /** what was open when it was saved */
  open?: readonly OpenDoubt[];
  /** the menu claim; held against what it holds */
  claims?: readonly Diet[];
  /** as a base in another recipe it is this row of the table, with this recipe’s allergens, diet and cost */
  stocksAs?: string;
  /** which kind of base it makes: its ratios, standard strength, life and rules are in `BASE_KINDS` */
  base?: string;
  /** as a base in another recipe it stays in pieces: dumplings, meatballs */
  staysPieces?: boolean;
  pattern?: readonly PatternSlot[];
  /** the dish that this one only brings back hot, out of the larder */
  reheats?: string;
  /** when it is at its best, hours from made, and in which words; how long it may be kept is another matter */
  best?: { fromH?: number; untilH: number; words: string };
  /** hours it keeps cold, where that is shorter than the house rule, and why */
  keeps?: { hours: number; advisory: string };
  profile?: TasteProfile;
  /** pieces must fit this spoon, cm */
  spoonCm?: number;
  note?: string;
}

/** Stages that happen in the pot before it is served. */
export function cookingStages(recipe: Recipe): readonly Stage[] {
  return recipe.stages.filter((stage) => stage.ends.rule !== 'served');
}

/** True for a stage that blends what is in the pot: nothing that has to come out may still be in it. */
export function purees(stage: Stage): boolean {
  return stage.does?.kind === 'puree' || stage.kind === 'puree';
}

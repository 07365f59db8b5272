import type { Ingredient, IngredientKind } from '../matter';
import type { RecipeLine, Stage } from '../recipe';
import { FOOD_CODE } from '../safety';

/** Ways to finish some portions in a pan of their own. */
export const FINISH_IDS = ['reduce', 'fish', 'shellfish', 'spirit'] as const;
export type FinishId = (typeof FINISH_IDS)[number];

/** What is cooked in it: a kind of food, and grams a portion that a cook begins with. Common practice. */
export const FINISH_FOODS: Readonly<Record<FinishId, { kind: IngredientKind; gEach: number } | null>> = {
  reduce: null,
  fish: { kind: 'fish', gEach: 90 },
  shellfish: { kind: 'shellfish', gEach: 120 },
  spirit: { kind: 'spirit', gEach: 10 },
};

/** A piece of fish is done through after so many minutes a centimetre, at a bare simmer. source: common practice: ten minutes an inch */
const FISH_MIN_PER_CM = 4;
/** Shellfish under a lid, min. Common practice. */
const SHELLFISH_MIN = 2;
/** Reduced in a pan till it coats, a share gone. Common practice. */
const REDUCED = 0.15;

export interface FinishOrder {
  finishId: FinishId;
  portions: number;
  /** what is cooked in it, and grams a portion; none where it is only reduced */
  food?: { row: Ingredient; gEach: number } | undefined;
  /** of fish, at its thickest, cm */
  thicknessCm?: number | undefined;
}

/** The stage that finishes some portions, and what goes in for it. */
export function finishOf({ finishId, portions, food, thicknessCm = 2 }: FinishOrder): {
  stages: Stage[];
  lines: RecipeLine[];
  rows: Record<string, Ingredient>;
} {
  const stage = stageOf(finishId, thicknessCm);
  if (!food) return { stages: [stage], lines: [], rows: {} };
  const { row, gEach } = food;
  const line: RecipeLine = {
    id: 'finish',
    ingredientId: row.id,
    stageId: stage.id,
    kg: (portions * gEach) / 1000,
    scaling: 'straight',
    tempC: finishId === 'spirit' ? 18 : FOOD_CODE.coolToC.value,
  };
  return { stages: [stage], lines: [line], rows: { [row.id]: row } };
}

const shared = {
  method: 'to order',
  methodReason: 'fresh for each guest',
  attention: { kind: 'handsOn' },
} as const;

function stageOf(finishId: FinishId, thicknessCm: number): Stage {
  switch (finishId) {
    case 'reduce':
      return {
        ...shared,
        id: 'reduce-in-a-pan',
        title: 'Reduce in a pan',
        act: 'Wide pan, full heat, no lid. Swirl it until it coats the spoon.',
        heat: { kind: 'burner', fraction: 1 },
        lid: 'off',
        ends: { rule: 'fall', fractionGone: REDUCED },
        cue: 'It coats the back of a spoon.',
        trouble: 'Too thick: a splash of stock.',
      };
    case 'fish':
      return {
        ...shared,
        id: 'poach-the-fish',
        title: 'Poach the fish in it',
        act: 'At a bare simmer, fish in one layer. Do not stir.',
        heat: { kind: 'hold', simmer: 'justUnder' },
        lid: 'ajar',
        ends: { rule: 'minutes', minutes: Math.max(1, Math.round(FISH_MIN_PER_CM * thicknessCm)) },
        cue: 'It flakes, and is opaque in the middle.',
        trouble: 'Still glassy in the middle: a minute more.',
        caution: `Fish ${FOOD_CODE.fishC.value} °C for 15 s (§ ${FOOD_CODE.fishC.section}): the thermometer decides. Look for pin bones.`,
      };
    case 'shellfish':
      return {
        ...shared,
        id: 'open-the-shellfish',
        title: 'Open the shellfish in it',
        act: 'Boiling, lid on, shake once.',
        heat: { kind: 'burner', fraction: 1 },
        lid: 'on',
        ends: { rule: 'minutes', minutes: SHELLFISH_MIN },
        cue: 'All are open.',
        trouble: 'Some stay shut: out with them.',
        caution: 'Broken or open ones are thrown away before, unopened ones after. Keep the tag.',
      };
    case 'spirit':
      return {
        ...shared,
        id: 'spirit-off-the-heat',
        title: 'Spirit in, off the heat',
        act: 'Pan off the burner and away from any flame, then the spirit.',
        heat: { kind: 'burner', fraction: 0 },
        lid: 'off',
        ends: { rule: 'minutes', minutes: 1 },
        cue: 'No sharp smell of raw spirit.',
        trouble: 'It flares: lid on, and wait.',
        caution:
          'Spirit catches fire: never pour it over a flame, nor from the bottle. It is not alcohol-free.',
      };
  }
}

import type { Ingredient } from '../matter';
import { leaveOven, type PotState } from '../pot';
import { methodById, type Stage } from '../recipe';

/** With less poured water than this share of what the pot holds, food is fried or sweated, not boiled. Common practice. */
const WET_FROM = 0.15;

/** Of the raw weight, what a stage without a method of its own drives off: as the open and the covered sweat do. */
const DRIVEN_OFF = { off: 0.25, ajar: 0.2, on: 0.1 } as const;

/** However long it is fried, a piece keeps this share of its water. source: from memory: dry crusts, moist inside */
const KEEPS_OF_ITS_WATER = 0.1;

/** Food put in the pot at a stage. */
export interface PutIn {
  ingredient: Ingredient;
  /** edible kg, 0 or more */
  kg: number;
}

/** Whether a stage fries or sweats what is in the pot: by the clock, on the burner’s heat, before there is liquid to boil. */
export function isFrying(stage: Stage, pot: PotState): boolean {
  if (stage.ends.rule !== 'minutes' || stage.heat.kind !== 'burner' || stage.heat.fraction === 0)
    return false;
  if (stage.kind !== undefined && stage.kind !== 'start' && stage.kind !== 'thicken') return false;
  const { liquid, pieces } = pot.mixture;
  return liquid.water <= WET_FROM * (liquid.water + pieces.water + liquid.fat + pieces.protein);
}

/**
 * The water that pieces may yet give up, once some food has gone in at a stage. What is fried gives up the share of its
 * raw weight that its method drives off, and browns on; what was fried before gives no more; in liquid there is no such
 * limit, as it is the liquid that boils.
 *
 * @returns kg for `PotState.piecesGiveKg`; undefined where the stage does not fry
 * @source shares: `recipe/data/methods.ts`
 */
export function piecesGiveKg(stage: Stage, pot: PotState, put: readonly PutIn[]): number | undefined {
  if (!isFrying(stage, pot)) return undefined;
  const share = methodById(stage.methodId ?? '')?.waterOff ?? DRIVEN_OFF[stage.lid];
  return put.reduce((sum, { ingredient, kg }) => {
    if (ingredient.share !== 'pieces') return sum;
    return sum + kg * Math.min(share, ingredient.perKg.water * (1 - KEEPS_OF_ITS_WATER));
  }, pot.piecesGiveKg ?? 0);
}

/** Done on trays, the burner idle. */
export function isInOven(stage: Stage): boolean {
  return methodById(stage.methodId ?? '')?.inOven === true;
}

/** What the oven does to the pieces by itself: as the stage ends the water it drives off is off. */
export function afterOven(stage: Stage, pot: PotState): PotState {
  return isInOven(stage) ? leaveOven(pot) : pot;
}

import { finite } from '../check';
import type { Ingredient } from '../matter';
import { minutesToCookDice, softeningFactor } from './minutes-to-cook-dice';

/** A centre this hot has begun to soften, °C; common practice. */
const CENTRE_C = 85;
/** Out of the walk-in and the hand, °C. */
const RAW_C = 15;

/** Minutes in simmering liquid that the trade goes by, where a food has a clock of its own. source: common practice */
const BY_THE_CLOCK: Readonly<Record<string, number>> = {
  prawn: 5,
  'prawn-shell-on': 5,
  mussel: 2,
  clam: 2,
  spinach: 2,
};

/** Fish: five minutes, and two and a half more for each centimetre over two; ten at four. source: common practice, 5 to 10 by thickness */
const FISH = { leastMin: 5, fromCm: 2, perCm: 2.5, mostMin: 10 } as const;

/** Acid slows softening of roots and pulses by about half. source: from memory: pectin holds below pH 4.5 */
const ACID_FACTOR = 1.5;

/**
 * How long one food wants in a pot that simmers: its pieces' heat-up and their softening, slower on a mountain and in
 * acid, or the trade's own clock for it. How long a cold load takes to come back to the simmer is another matter and
 * grows with the load.
 *
 * @param ingredient the food
 * @param edgeCm the cut's edge or the fish's thickness, cm, above 0 to 20
 * @param liquidC what it cooks in, 70..110 °C
 * @param isAcid true where tomato, wine or vinegar went in before it
 * @returns minutes, or null for what is not cooked by time: liquids, salt, fat
 * @throws RangeError unless numbers are finite
 * @example cookMinutes({ ingredient: INGREDIENT_BY_ID.prawn, edgeCm: 1.5, liquidC: 96, isAcid: false }) // => 5
 * @source dice law of docs/model.md § 4; common practice for fish, shellfish and greens
 */
export function cookMinutes(of: {
  ingredient: Ingredient;
  edgeCm: number;
  liquidC: number;
  isAcid: boolean;
}): number | null {
  const { ingredient } = of;
  const edgeCm = finite('edgeCm', of.edgeCm);
  const liquidC = finite('liquidC', of.liquidC);
  const clock = BY_THE_CLOCK[ingredient.id];
  if (clock !== undefined) return clock;
  if (ingredient.kind === 'fish')
    return Math.min(FISH.mostMin, FISH.leastMin + Math.max(0, edgeCm - FISH.fromCm) * FISH.perCm);
  if (ingredient.share !== 'pieces' || !ingredient.softenMin) return null;
  const heatUp = minutesToCookDice({
    edgeCm,
    startC: RAW_C,
    liquidC,
    centreC: Math.min(CENTRE_C, liquidC - 2),
  });
  const slowed = of.isAcid && ACID_MINDED.includes(ingredient.kind) ? ACID_FACTOR : 1;
  return heatUp + ingredient.softenMin * softeningFactor({ liquidC }) * slowed;
}

/** Kinds whose walls acid holds together. */
const ACID_MINDED: readonly Ingredient['kind'][] = ['vegetable', 'pulse', 'grain'];

import { FOOD_CODE } from './data/food-code';

/** Between these what an animal gave, and what is cooked, does not stay safe, °C. source: FDA Food Code 2022 § 3-501.16 */
export const WARM = { aboveC: FOOD_CODE.coldHoldingC.value, belowC: FOOD_CODE.hotHoldingC.value } as const;

/**
 * The share of a short time, 0..1, that food spends between 5 and 57 °C while it goes evenly from one temperature to
 * another.
 *
 * @param fromC °C at its start
 * @param toC °C at its end
 * @example
 * warmShare(57, 67) // 0
 * @example
 * warmShare(52, 62) // 0.5
 */
export function warmShare(fromC: number, toC: number): number {
  const { aboveC, belowC } = WARM;
  const isWarm = (tempC: number) => tempC > aboveC && tempC < belowC;
  if (fromC === toC) return isWarm(fromC) ? 1 : 0;
  const [low, high] = fromC < toC ? [fromC, toC] : [toC, fromC];
  return Math.max(0, Math.min(high, belowC) - Math.max(low, aboveC)) / (high - low);
}

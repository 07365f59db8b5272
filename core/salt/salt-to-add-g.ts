import { atLeast, within } from '../check';

/** The most salt water can hold, in percent by mass. source: published: solubility of NaCl, 26.4 at 20 °C */
export const SATURATED_SALT_PERCENT = 26.4;

/**
 * Grams of salt that bring a pot up to a percentage, the salt's own mass counted.
 *
 * @param massKg what is in the pot, 0 or more
 * @param nowPercent kg of salt per 100 kg now, 0..100
 * @param targetPercent wanted, 0 to 26.4: water holds no more
 * @returns grams; 0 when the target is at or under what is there
 * @throws RangeError naming the bad argument
 * @example saltToAddG({ massKg: 10, nowPercent: 0, targetPercent: 0.9 }) // => 90.817
 * @source mass balance: m (s₁ − s₀)/(1 − s₁)
 */
export function saltToAddG(input: { massKg: number; nowPercent: number; targetPercent: number }): number {
  const mass = atLeast('massKg', input.massKg, 0);
  const now = within('nowPercent', input.nowPercent, 0, 100) / 100;
  const target = within('targetPercent', input.targetPercent, 0, SATURATED_SALT_PERCENT) / 100;
  return target <= now ? 0 : (mass * 1000 * (target - now)) / (1 - target);
}

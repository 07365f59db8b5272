import { FOOD_CODE } from './data/food-code';
import { CODE_HOT_LIMITS, type HotLimits, limitSource } from './hot-limits';

/** A temperature that has to be reached all through, °C, and why, with its section of the code. */
export interface LeastTemperature {
  tempC: number;
  why: string;
}

/**
 * The highest minimum of what is cooked together: what it has to have reached, or to be held at while it is served.
 *
 * @param of the kinds of food that are in it; whether it is served already, and whether it was cooked before
 * @returns null where nothing in it has one
 * @source published: FDA Food Code 2022, by section
 */
export function leastTemperature(of: {
  kinds: readonly string[];
  isServed: boolean;
  isReheated: boolean;
  limits?: HotLimits;
}): LeastTemperature | null {
  const limits = of.limits ?? CODE_HOT_LIMITS;
  const has = (...kinds: readonly string[]) => of.kinds.some((kind) => kinds.includes(kind));
  const minima: LeastTemperature[] = [];
  const code = (key: keyof typeof FOOD_CODE, what: string) =>
    minima.push({ tempC: FOOD_CODE[key].value, why: `${what} (§ ${FOOD_CODE[key].section})` });
  const own = (key: keyof HotLimits, what: string) =>
    minima.push({ tempC: limits[key], why: `${what} (${limitSource(limits, key)})` });
  if (of.isServed) own('hotHoldingC', 'held hot');
  if (has('egg')) code('groundMeatC', 'egg held hot, for 17 s');
  if (of.isReheated && !of.isServed) own('reheatC', `reheated, for ${FOOD_CODE.reheatHoldS.value} s`);
  if (has('poultry')) code('poultryC', 'poultry');
  if (has('meat')) code('meatC', 'meat, for 15 s');
  if (has('fish', 'shellfish')) code('fishC', 'fish, for 15 s');
  return minima.sort((a, b) => b.tempC - a.tempC)[0] ?? null;
}

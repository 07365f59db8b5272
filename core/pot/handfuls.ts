import { positive } from '../check';
import type { Ingredient } from '../matter';
import type { PotState } from './pot';
import { putFoodIn } from './put-food-in';

/** What each handful of something cold does to a pot: how warm it is after each, °C, in their order. */
export interface Handfuls {
  eachKg: number;
  afterC: readonly number[];
}

/** More than this is not put in by the hand. */
const MOST_HANDFULS = 200;

/**
 * Cheese, cold cream or miso put in by the handful, with nothing lost or gained between: the flame makes it good while
 * each melts.
 *
 * @param pot as it stands
 * @param of kg in all and of one handful, above 0; its temperature, -25..90 °C
 * @returns the temperature after each; the last is what is over
 * @throws RangeError naming what is out of range, or that there would be more than 200
 * @source heat balance, docs/model.md § 4
 */
export function handfuls(
  pot: PotState,
  of: { ingredient: Ingredient; kg: number; handfulKg: number; tempC: number },
): Handfuls {
  const kg = positive('kg', of.kg);
  const eachKg = Math.min(kg, positive('handfulKg', of.handfulKg));
  const count = Math.ceil(kg / eachKg - 1e-9);
  if (count > MOST_HANDFULS)
    throw new RangeError(`handfulKg must be at least ${kg / MOST_HANDFULS}, got ${of.handfulKg}`);
  const afterC: number[] = [];
  let at = pot;
  for (let n = 0; n < count; n++) {
    const each = Math.min(eachKg, kg - n * eachKg);
    at = putFoodIn(at, { ingredient: of.ingredient, kg: each, tempC: of.tempC });
    afterC.push(at.tempC);
  }
  return { eachKg, afterC };
}

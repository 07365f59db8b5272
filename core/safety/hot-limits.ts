import { FOOD_CODE } from './data/food-code';

/** What a kitchen holds hot and brings back by: the code's figures, or stricter or laxer ones of its own. */
export interface HotLimits {
  /** held at this or above, °C */
  hotHoldingC: number;
  /** reheated to this all through, °C */
  reheatC: number;
  /** and within so long of leaving the cold, hours */
  reheatWithinH: number;
}

/** The limits of a kitchen that has said nothing of its own. source: published: FDA Food Code 2022 */
export const CODE_HOT_LIMITS: HotLimits = {
  hotHoldingC: FOOD_CODE.hotHoldingC.value,
  reheatC: FOOD_CODE.reheatC.value,
  reheatWithinH: FOOD_CODE.reheatWithinH.value,
};

/** Where a limit comes from: the section of the code that has this very figure, or the kitchen itself. */
export function limitSource(limits: HotLimits, name: keyof HotLimits): string {
  const { value, section } = FOOD_CODE[name];
  return limits[name] === value ? `§ ${section}` : 'this kitchen’s own limit';
}

/** Of all that a kitchen limits, what a batch takes along. */
export function hotLimitsOf({ hotHoldingC, reheatC, reheatWithinH }: HotLimits): HotLimits {
  return { hotHoldingC, reheatC, reheatWithinH };
}

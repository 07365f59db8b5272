export { type CoolingAct, type CoolingPlace, coolingActs } from './cooling-acts';
export {
  CODE_COOLING_LIMITS,
  COLD_C,
  type CoolingForecast,
  type CoolingLimits,
  type CoolingMoment,
  coolingCurve,
  coolingForecast,
  FIRST_STEP_C,
} from './cooling-forecast';
export { type CoolingHow, depthOf, isStirred, litresIn } from './cooling-how';
export {
  type CoolingKnown,
  type CoolingSaid,
  coolingKnown,
  FILM_UNKNOWN,
  type FilmShown,
  POURED_SD_C,
} from './cooling-run';
export { type CoolingAir, FILM_DAY_LOG_SD, FILM_WM2K, PAN_AREA_M2, SOUP_KJ_PER_KG_K } from './data/films';
export { type HeldBackIce, heldBackIce, iceBathKg, iceForWaterKg } from './ice';
export { thawHours } from './thaw-hours';
export { type CoolingWay, type ToCool, waysToCool, withPans } from './ways-to-cool';

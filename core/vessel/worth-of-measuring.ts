import { positive } from '../check';
import { depthAtLitres } from './depth-at-litres';
import { litresAtDepth } from './litres-at-depth';
import type { Vessel } from './vessel';
import { workingFillLitres } from './working-fill-litres';

/** What a wrong shape would have cost. */
export interface WorthOfMeasuring {
  /** the assumed pot's litres at half the true pot's height less the true ones */
  litresOffAtHalf: number;
  /** a third gone by the assumed pot's stick: so many minutes before it is true; negative for too late */
  minutesEarly: number;
}

/**
 * What knowing a pot's true shape is worth to a cook who lets it reduce from its working fill by a third.
 *
 * @param vessel the pot as it is
 * @param assumed the pot as it was taken to be, as high
 * @param litresPerHour what leaves it, above 0
 * @source geometry
 */
export function worthOfMeasuring(vessel: Vessel, assumed: Vessel, litresPerHour: number): WorthOfMeasuring {
  positive('litresPerHour', litresPerHour);
  const half = vessel.heightCm / 2;
  const startLitres = workingFillLitres(vessel, false);
  const startAssumed = litresAtDepth(assumed, depthAtLitres(vessel, startLitres));
  const calledAt = litresAtDepth(vessel, depthAtLitres(assumed, (2 / 3) * startAssumed));
  return {
    litresOffAtHalf: litresAtDepth(assumed, half) - litresAtDepth(vessel, half),
    minutesEarly: (60 * (calledAt - (2 / 3) * startLitres)) / litresPerHour,
  };
}

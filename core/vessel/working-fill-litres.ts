import { litresAtDepth } from './litres-at-depth';
import type { Vessel } from './vessel';

/** Share of the brim a pot may hold while it boils. source: common practice */
export const WORKING_FILL = { plain: 0.8, foaming: 0.75 } as const;

/**
 * The most a pot should hold while it boils: 80 % of its brim, 75 % with dairy or starch in it, which foam.
 *
 * @param vessel inside dimensions, cm
 * @param foaming true when dairy or starch is in the pot
 * @returns litres
 * @throws RangeError naming a bad dimension
 * @example workingFillLitres({ shape: 'cylinder', diameterCm: 36, heightCm: 39.3 }, true) // => 30.0019
 * @source common practice
 */
export function workingFillLitres(vessel: Vessel, foaming: boolean): number {
  return litresAtDepth(vessel, vessel.heightCm) * (foaming ? WORKING_FILL.foaming : WORKING_FILL.plain);
}

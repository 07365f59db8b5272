import { surfaceM2 } from './surface-m2';
import type { Vessel } from './vessel';

/**
 * The bottom of a pan as a thing to brown or sweat on: what a shallow heap in it covers.
 *
 * @param vessel inside dimensions
 * @returns m²; of a kettle what its bowl offers a quarter of the way up, at most 10 cm
 * @example panBottomM2({ shape: 'cylinder', diameterCm: 36, heightCm: 39.3 }) // => 0.1018
 * @source geometry; how far up a kettle's bowl is used: common practice
 */
export function panBottomM2(vessel: Vessel): number {
  return surfaceM2(vessel, Math.min(vessel.heightCm / 4, 10));
}

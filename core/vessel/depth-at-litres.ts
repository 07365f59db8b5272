import { within } from '../check';
import { litresAtDepth } from './litres-at-depth';
import { surfaceM2 } from './surface-m2';
import type { Vessel } from './vessel';

/**
 * Depth of a given volume: the inverse of `litresAtDepth`. Straight walls divide; others take Newton's
 * method kept inside a shrinking bracket.
 *
 * @param vessel inside dimensions, cm, each above 0
 * @param litres 0..brim
 * @returns centimetres from the lowest inside point, unrounded
 * @throws RangeError naming a bad dimension, or litres outside 0..brim
 * @example depthAtLitres({ shape: 'kettle', diameterCm: 60, heightCm: 50 }, 56.5487) // => 30
 * @source geometry
 */
export function depthAtLitres(vessel: Vessel, litres: number): number {
  const brim = litresAtDepth(vessel, vessel.heightCm);
  within('litres', litres, 0, brim);
  if (vessel.shape === 'cylinder' || vessel.shape === 'box') return (vessel.heightCm * litres) / brim;
  let low = 0;
  let high = vessel.heightCm;
  let depth = (vessel.heightCm * litres) / brim;
  for (let round = 0; round < 60; round++) {
    const excess = litresAtDepth(vessel, depth) - litres;
    if (excess > 0) high = depth;
    else low = depth;
    const litresPerCm = surfaceM2(vessel, depth) * 10;
    const step = litresPerCm > 0 ? excess / litresPerCm : Number.POSITIVE_INFINITY;
    const newton = depth - step;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - depth) < 1e-12 * vessel.heightCm) return next;
    depth = next;
  }
  return depth;
}

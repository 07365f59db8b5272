import { within } from '../check';
import { curveOf } from './measured';
import { checkVessel, type Vessel } from './vessel';

/**
 * Litres in a vessel filled to a depth.
 *
 * @param vessel inside dimensions, cm, each above 0
 * @param depthCm depth of the liquid from the lowest inside point, 0..heightCm
 * @returns geometric litres, unrounded
 * @throws RangeError naming a bad dimension, or a depth outside 0..heightCm
 * @example litresAtDepth({ shape: 'cylinder', diameterCm: 36, heightCm: 36 }, 20) // => 20.3575
 * @source geometry: cylinder, conical frustum, spherical cap, prism; a measured pot as `monotoneCurve`
 */
export function litresAtDepth(vessel: Vessel, depthCm: number): number {
  checkVessel(vessel);
  const depth = within('depthCm', depthCm, 0, vessel.heightCm);
  return cubicCm(vessel, depth) / 1000;
}

function cubicCm(vessel: Vessel, depth: number): number {
  switch (vessel.shape) {
    case 'cylinder':
      return Math.PI * (vessel.diameterCm / 2) ** 2 * depth;
    case 'tapered': {
      const bottom = vessel.bottomDiameterCm / 2;
      const atDepth = bottom + ((vessel.topDiameterCm / 2 - bottom) * depth) / vessel.heightCm;
      return (Math.PI / 3) * depth * (bottom ** 2 + bottom * atDepth + atDepth ** 2);
    }
    case 'kettle': {
      const radius = vessel.diameterCm / 2;
      const bowl = Math.min(depth, radius);
      return (Math.PI * bowl ** 2 * (3 * radius - bowl)) / 3 + Math.PI * radius ** 2 * (depth - bowl);
    }
    case 'box':
      return vessel.lengthCm * vessel.widthCm * depth;
    case 'measured':
      return curveOf(vessel).at(depth);
  }
}

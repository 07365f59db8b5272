import { within } from '../check';
import { curveOf } from './measured';
import { checkVessel, type Vessel } from './vessel';

/**
 * Free surface of the liquid at a depth: what steam leaves from.
 *
 * @param vessel inside dimensions, cm, each above 0
 * @param depthCm depth from the lowest inside point, 0..heightCm; 0 gives the base area, for a kettle 0
 * @returns square metres, unrounded
 * @throws RangeError naming a bad dimension, or a depth outside 0..heightCm
 * @example surfaceM2({ shape: 'cylinder', diameterCm: 36, heightCm: 36 }, 20) // => 0.101788
 * @source geometry; of a measured pot, how fast its litres grow with depth
 */
export function surfaceM2(vessel: Vessel, depthCm: number): number {
  checkVessel(vessel);
  const depth = within('depthCm', depthCm, 0, vessel.heightCm);
  switch (vessel.shape) {
    case 'cylinder':
      return (Math.PI * (vessel.diameterCm / 2) ** 2) / 1e4;
    case 'tapered': {
      const bottom = vessel.bottomDiameterCm / 2;
      const radius = bottom + ((vessel.topDiameterCm / 2 - bottom) * depth) / vessel.heightCm;
      return (Math.PI * radius ** 2) / 1e4;
    }
    case 'kettle': {
      const radius = vessel.diameterCm / 2;
      const bowl = Math.min(depth, radius);
      return (Math.PI * bowl * (2 * radius - bowl)) / 1e4;
    }
    case 'box':
      return (vessel.lengthCm * vessel.widthCm) / 1e4;
    case 'measured':
      return curveOf(vessel).slopeAt(depth) / 1e4;
  }
}

import { surfaceM2 } from './surface-m2';
import type { MeasuredVessel, Vessel } from './vessel';

/**
 * Wetted wall of a vessel filled to a depth: what loses heat to the kitchen air. The bottom stands on the burner
 * and is left out, except a kettle's bowl, which is jacketed and left out too.
 *
 * @param vessel inside dimensions, cm, each above 0
 * @param depthCm depth from the lowest inside point, 0..heightCm
 * @returns square metres, unrounded
 * @throws RangeError as `surfaceM2`
 * @example wallM2({ shape: 'cylinder', diameterCm: 36, heightCm: 36 }, 20) // => 0.226195
 * @source geometry; a measured pot is taken as round, in rings
 */
export function wallM2(vessel: Vessel, depthCm: number): number {
  const top = surfaceM2(vessel, depthCm);
  if (vessel.shape === 'box') return (2 * (vessel.lengthCm + vessel.widthCm) * depthCm) / 1e4;
  if (vessel.shape === 'measured') return roundWallM2(vessel, depthCm);
  const radiusTop = Math.sqrt((top * 1e4) / Math.PI);
  if (vessel.shape === 'tapered') {
    const radiusBottom = vessel.bottomDiameterCm / 2;
    return (Math.PI * (radiusTop + radiusBottom) * Math.hypot(depthCm, radiusTop - radiusBottom)) / 1e4;
  }
  const wallCm = vessel.shape === 'kettle' ? Math.max(0, depthCm - vessel.diameterCm / 2) : depthCm;
  return (2 * Math.PI * radiusTop * wallCm) / 1e4;
}

/** Rings that a measured pot's wall is cut into. */
const RINGS = 12;

function roundWallM2(vessel: MeasuredVessel, depthCm: number): number {
  const ring = depthCm / RINGS;
  const radiusCm = (n: number) => Math.sqrt((surfaceM2(vessel, Math.min(depthCm, n * ring)) * 1e4) / Math.PI);
  let cm2 = 0;
  let below = radiusCm(0);
  for (let n = 1; n <= RINGS; n++) {
    const above = radiusCm(n);
    cm2 += Math.PI * (below + above) * Math.hypot(ring, above - below);
    below = above;
  }
  return cm2 / 1e4;
}

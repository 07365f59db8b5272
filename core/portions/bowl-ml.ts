import { within } from '../check';
import { litresAtDepth } from '../vessel';

/**
 * What a bowl holds under its headspace, taken as a frustum.
 *
 * @param topDiameterCm,bottomDiameterCm,heightCm inside dimensions, above 0
 * @param headspaceCm left free below the rim, 0..heightCm
 * @returns mL
 * @throws RangeError naming the bad dimension
 * @example bowlMl({ topDiameterCm: 14, bottomDiameterCm: 8, heightCm: 6, headspaceCm: 1 }) // => 441.1
 * @source geometry: conical frustum
 */
export function bowlMl(input: {
  topDiameterCm: number;
  bottomDiameterCm: number;
  heightCm: number;
  headspaceCm: number;
}): number {
  const headspace = within('headspaceCm', input.headspaceCm, 0, input.heightCm);
  const { topDiameterCm, bottomDiameterCm, heightCm } = input;
  return (
    litresAtDepth({ shape: 'tapered', topDiameterCm, bottomDiameterCm, heightCm }, heightCm - headspace) *
    1000
  );
}

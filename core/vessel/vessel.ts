import { positive } from '../check';

/**
 * Inside dimensions of a pot in centimetres. A kettle is a hemisphere of `diameterCm` under a cylinder and its
 * `heightCm` includes the bowl; lower than its radius, it is a cap of that sphere.
 */
export type Vessel =
  | { shape: 'cylinder'; diameterCm: number; heightCm: number }
  | { shape: 'tapered'; topDiameterCm: number; bottomDiameterCm: number; heightCm: number }
  | { shape: 'kettle'; diameterCm: number; heightCm: number }
  | { shape: 'box'; lengthCm: number; widthCm: number; heightCm: number };

/** Throws a RangeError naming the first dimension that is not a finite number above zero, or an unknown shape. */
export function checkVessel(vessel: Vessel): void {
  positive('heightCm', vessel.heightCm);
  switch (vessel.shape) {
    case 'cylinder':
    case 'kettle':
      positive('diameterCm', vessel.diameterCm);
      return;
    case 'tapered':
      positive('topDiameterCm', vessel.topDiameterCm);
      positive('bottomDiameterCm', vessel.bottomDiameterCm);
      return;
    case 'box':
      positive('lengthCm', vessel.lengthCm);
      positive('widthCm', vessel.widthCm);
      return;
    default:
      throw new RangeError(
        `shape must be cylinder, tapered, kettle or box, got ${(vessel as { shape: string }).shape}`,
      );
  }
}

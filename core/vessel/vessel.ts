import { positive } from '../check';

/**
 * Inside dimensions of a pot in centimetres. A kettle is a hemisphere of `diameterCm` under a cylinder and its
 * `heightCm` includes the bowl; lower than its radius, it is a cap of that sphere. A measured pot is whatever it is: water
 * was poured in and the stick read, and its litres follow a monotone curve through those levels, straight on to the rim.
 */
export type Vessel =
  | { shape: 'cylinder'; diameterCm: number; heightCm: number }
  | { shape: 'tapered'; topDiameterCm: number; bottomDiameterCm: number; heightCm: number }
  | { shape: 'kettle'; diameterCm: number; heightCm: number }
  | { shape: 'box'; lengthCm: number; widthCm: number; heightCm: number }
  | MeasuredVessel;

export interface MeasuredVessel {
  shape: 'measured';
  /** at least two, both rising from one to the next, none above the rim */
  levels: readonly WaterLevel[];
  heightCm: number;
}

/** So much water in all, and what the stick shows then. */
export interface WaterLevel {
  litres: number;
  depthCm: number;
}

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
    case 'measured':
      checkLevels(vessel);
      return;
    default:
      throw new RangeError(
        `shape must be cylinder, tapered, kettle, box or measured, got ${(vessel as { shape: string }).shape}`,
      );
  }
}

function checkLevels({ levels, heightCm }: MeasuredVessel): void {
  if (levels.length < 2) throw new RangeError(`levels must be at least 2, got ${levels.length}`);
  for (const [i, level] of levels.entries()) {
    const before = levels[i - 1] ?? { litres: 0, depthCm: 0 };
    if (!(level.litres > before.litres && level.depthCm > before.depthCm && level.depthCm <= heightCm))
      throw new RangeError(
        `levels must rise and stay under the rim, got ${level.litres} L at ${level.depthCm} cm`,
      );
  }
}

export { depthAtLitres } from './depth-at-litres';
export {
  brimSdWithLevel,
  type FittedVessel,
  fitVessel,
  type ShapeFit,
  STICK_SD_CM,
} from './fit-vessel';
export { litresAtDepth } from './litres-at-depth';
export { panBottomM2 } from './pan-bottom-m2';
export { surfaceM2 } from './surface-m2';
export type { MeasuredVessel, Vessel, WaterLevel } from './vessel';
export { wallM2 } from './wall-m2';
export { workingFillLitres } from './working-fill-litres';
export { type WorthOfMeasuring, worthOfMeasuring } from './worth-of-measuring';

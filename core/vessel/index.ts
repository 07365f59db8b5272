export { depthAtLitres } from './depth-at-litres';
export { litresAtDepth } from './litres-at-depth';
export { panBottomM2 } from './pan-bottom-m2';
export { surfaceM2 } from './surface-m2';
export type { Vessel } from './vessel';
export { wallM2 } from './wall-m2';
export { workingFillLitres } from './working-fill-litres';

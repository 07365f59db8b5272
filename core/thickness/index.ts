export { asPulp, pulpMin } from './as-pulp';
export { bodyG } from './body-g';
export {
  BAND_VISCOSITY_MM2_PER_S,
  BANDS_PER_K,
  HOT_C,
  LADLE_LOOKS,
  type LadleLook,
  SPOON_LOOKS,
  type SpoonLook,
  TEST_DOUBT_BANDS,
} from './data/kitchen-tests';
export { BANDS, SOUR, THICKENERS } from './data/thickeners';
export { flourEquivalentGPerL } from './flour-equivalent-g-per-l';
export {
  bandAt,
  measuredBody,
  spreadCm,
  TEST_RANGES,
  type ThicknessTest,
  viscosityOfSpread,
} from './kitchen-test';
export { pulpBodyG } from './pulp-body-g';
export { cookedBodyG, type SoftBody, softBody } from './soft-body';
export { bandName, flourEquivalentOfBand, thicknessBand } from './thickness-band';

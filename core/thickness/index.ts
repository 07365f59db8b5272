export { bodyG } from './body-g';
export { BANDS, THICKENERS } from './data/thickeners';
export { flourEquivalentGPerL } from './flour-equivalent-g-per-l';
export { pulpBodyG } from './pulp-body-g';
export { cookedBodyG, type SoftBody, softBody } from './soft-body';
export { bandName, flourEquivalentOfBand, thicknessBand } from './thickness-band';

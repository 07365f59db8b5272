export { neutralised } from './acid';
export { UMAMI } from './data/umami-constants';
export { type DoseTried, nextDose } from './next-dose';
export { SCALES, type Scale, VERDICTS, type Verdict } from './scales';
export { type Differing, type Spoon, tastersDiffer } from './tasters-differ';
export { umamiGPer100g } from './umami-g-per-100g';

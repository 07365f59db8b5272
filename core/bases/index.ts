export { BASE_FAMILIES, type BaseFamily, type BaseKind } from './base-kind';
export { BASE_KINDS, baseKind, baseRecipe } from './base-recipe';
export { SETS_FROM_GELATIN_PERCENT, timesStandard } from './strength';
export { type TrimHeap, useItUp } from './use-it-up';

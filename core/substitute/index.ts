export { comparePlans, type PlanChange } from './compare-plans';
export { FREE_SWAPS } from './data/free-swaps';
export { substitute } from './substitute';
export { type Substitution, type SubstitutionNote, SWAP_KEEPS } from './substitution';
export { type Suggestion, suggestSubstitutions } from './suggest';

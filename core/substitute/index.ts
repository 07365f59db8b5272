export { comparePlans, type PlanChange } from './compare-plans';
export { substitute } from './substitute';
export { type Substitution, SWAP_KEEPS } from './substitution';
export { type Suggestion, suggestSubstitutions } from './suggest';

export { comparePlans, type PlanChange } from './compare-plans';
export { substitute } from './substitute';
export { type Substitution, type SubstitutionNote, SWAP_KEEPS } from './substitution';
export { type Suggestion, suggestSubstitutions } from './suggest';

export { FOOD_CODE } from './data/food-code';
export { topRuleOf } from './data/top-temperatures';
export { mustComeCold } from './must-come-cold';

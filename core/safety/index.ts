export { FOOD_CODE } from './data/food-code';
export { TOP_RULES, topRuleOf } from './data/top-temperatures';
export { CODE_HOT_LIMITS, type HotLimits, hotLimitsOf, limitSource } from './hot-limits';
export { type LeastTemperature, leastTemperature } from './least-temperature';
export { mustComeCold } from './must-come-cold';
export { WARM, warmShare } from './warm';

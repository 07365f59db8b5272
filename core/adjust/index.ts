export { type AdjustHow, type Adjustments, type AdjustWarning, type AdjustWay, adjustments } from './adjust';

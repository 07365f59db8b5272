export { type AdjustWay, adjustments } from './adjust';

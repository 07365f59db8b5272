export {
  type Arrival,
  type ArrivalCurve,
  arrivedBy,
  CURVE_PARTS,
  curveSaid,
  FLAT_CURVE,
  learnedCurve,
  whenArrived,
} from './arrival-curve';
export { type Demand, demand, type Expected, type SoFar } from './demand';
export { expectedOf } from './expected-of';
export { chanceOfMore } from './negative-binomial';
export { type ToLast, toLast } from './to-last';

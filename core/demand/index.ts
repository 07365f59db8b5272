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
export { type DemandOfKinds, demandOfKinds, type KindAsked } from './demand-of-kinds';
export { expectedOf } from './expected-of';
export { chanceOfMore } from './negative-binomial';
export {
  askedInService,
  curveOf,
  expectedFor,
  NOTHING_SEEN,
  type ServiceAsked,
  type ServicePattern,
  type ServicesSeen,
} from './service-pattern';
export { type ToLast, toLast } from './to-last';

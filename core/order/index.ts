export { type BaseDemand, type BaseNeed, baseDemand, type StandingLot } from './base-demand';
export {
  type BaseAhead,
  type BasesAhead,
  type BasesAsked,
  basesAhead,
  type KeptOrder,
  type Making,
  type MakingRefusal,
  type RefusedOrder,
} from './bases-ahead';
export { freePots } from './free-pots';
export { openingPlace, type Place } from './opening-place';
export { type AmountAnswer, answerAmount, type OrderAmount } from './order-amount';
export { cannotBeCooked, type OrderRefusal } from './order-refusal';
export {
  type KitchenBurner,
  type Known,
  type KnownRate,
  NOTHING_KNOWN,
  type OrderRequest,
  type PlanningKitchen,
} from './order-request';
export { burnerFor, planInputOf, potFor } from './plan-input';
export { type PotChoice, type PotFit, potChoices } from './pot-choices';
export type { ClockNote, DoseNote, RouxNote, ScalingNote } from './scaling-note';
export { scalingNotes } from './scaling-notes';
export { type PotOnBurner, type Split, splitOrder } from './split-order';
export { type StillInTime, stillInTime } from './still-in-time';
export { heapsOfOrders } from './trim-heaps';

export { type BaseDemand, type BaseNeed, baseDemand, type StandingLot } from './base-demand';
export { type AmountAnswer, answerAmount, type OrderAmount } from './order-amount';
export { type ScalingNote, scalingNotes } from './scaling-notes';
export { type PotOnBurner, type Split, splitOrder } from './split-order';

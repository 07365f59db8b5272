export { asRead } from './as-read';
export {
  type Blend,
  type BlendLimit,
  type BlendPart,
  type BlendWanted,
  blendLots,
  outcomeOf,
  umamiOfContents,
} from './blend';
export { concentrate, letDown, type Strengthened } from './concentrate';
export { contentsOfRow } from './contents-of-row';
export { type Draw, type Drawable, drawLots, oldestFirst } from './draw-lots';
export { foldLarder } from './fold-larder';
export { itemsFromLots } from './items-from-lots';
export type { LarderEvent, LarderEventBody, ReceivedFood } from './larder-event';
export type { Larder, LotDraw, LotMade } from './ledger';
export type { Lot, LotContents, LotLife } from './lot';
export { drawsOfBatch, lifeOf, lotsOfBatch } from './lots-of-batch';
export { mixContents } from './mix-contents';
export {
  isBaseRow,
  layLots,
  lotsFor,
  type PlanWithLots,
  planWithLots,
  type ShelfLot,
  type ShortLine,
} from './plan-with-lots';
export { type TraceStep, traceLot } from './trace-lot';
export { atItsBest, type KeepingRules, useByMs } from './use-by';

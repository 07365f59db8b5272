export { asRead } from './as-read';
export { type Blend, blendLots } from './blend';
export {
  type BlendLimit,
  type BlendPart,
  type BlendWanted,
  outcomeOf,
  umamiOfContents,
} from './blend-parts';
export { concentrate, letDown, type Strengthened } from './concentrate';
export { contentsOfRow } from './contents-of-row';
export { type Draw, type Drawable, drawLots, oldestFirst } from './draw-lots';
export { foldLarder, type Larder } from './fold-larder';
export { itemsFromLots } from './items-from-lots';
export type { LarderEvent, LarderEventBody, LarderEventType, ReceivedFood } from './larder-event';
export {
  type Arrow,
  type BornLot,
  batchKey,
  drawnEntry,
  type FoldedLot,
  type LotDraw,
  type LotEntry,
  type LotMade,
  lotKey,
  lotsBornBy,
  lotsNamed,
  madeEntry,
  shelfEntries,
  type TraceKey,
} from './ledger';
export type { LooserLimit } from './loosen-blend';
export type { Lot, LotBirth, LotDate, LotLife, LotReading } from './lot';
export {
  clockBeforePouring,
  cooledBy,
  filmSeen,
  isCooling,
  type LotCooling,
  saidOfCooling,
  standsHot,
} from './lot-cooling';
export { EMPTY_TUB_KG, isEmptyTub, isOverdrawn, isPastUse, SCALE_KG } from './lot-state';
export { lotWarmMs } from './lot-warm';
export {
  type DrawnItem,
  drawnItems,
  drawsOfBatch,
  kgOffTheShelf,
  lifeOf,
  lotsOfBatch,
} from './lots-of-batch';
export { mixContents } from './mix-contents';
export {
  drawnLotOf,
  holdsAsWritten,
  isBaseRow,
  layLots,
  lotsFor,
  lotsThatFit,
  type OfferedLot,
  type PlanWithLots,
  planHolds,
  planWithLots,
  type ShelfLot,
  type ShortLine,
} from './plan-with-lots';
export { readingFarOff } from './reading-far-off';
export { receivedFoodOf } from './received-food';
export { type LedgerStore, lotAt, settleLots } from './settle-lots';
export { type LotTrace, type TraceStep, traceArrows } from './trace-lot';
export { atItsBest, type KeepingRules, type UseBy, useBy } from './use-by';
export {
  LARDER_EVENT_VERSIONS,
  upcastLarderEvent,
  upcastReceivedFood,
} from './versions/upcast-larder-event';

export { answerRow, insertAnswer } from './answer-rows';
export {
  type BatchRow,
  batchRow,
  eventOf,
  eventRows,
  insertBatch,
  insertEvent,
  nextSeq,
  openBatchIds,
  openPlaces,
  writtenEvent,
  writtenEvents,
} from './batch-rows';
export { type ChainedEntry, chainedBetween, chainedEntry, chainHash, chainHead } from './chain-rows';
export {
  type ClockSegment,
  clockJumps,
  insertClockSegment,
  lastClockSegment,
  latestReceivedMs,
} from './clock-rows';
export { FileProblem, type FileProblemCode } from './file-problem';
export {
  type BrokenBatch,
  brokenRows,
  type Checkpoint,
  checkpointOf,
  closedHeads,
  headRow,
  lastServed,
  mostCooked,
  setBroken,
  setCheckpoint,
} from './head-rows';
export { type BatchKept, keepBatch, setAside } from './keep-batch';
export { keepHead, keepLots } from './keep-lots';
export {
  allItemRows,
  heatTests,
  insertKitchenLog,
  itemRow,
  itemRows,
  type KitchenLogRow,
  kitchenLogOf,
  kitchenLogRow,
  mergedId,
  newestKitchenLog,
  putItem,
  retiredItems,
  setItem,
} from './kitchen-items';
export {
  type KitchenRow,
  kitchenRow,
  ownIngredientRows,
  priceRows,
  setOwnIngredient,
  setPrices,
  updateKitchen,
} from './kitchen-rows';
export {
  insertLarderEvent,
  type LoggedLarderEvent,
  larderEventRow,
  larderEventsOf,
  nextLarderSeq,
  numberLot,
  numbersOf,
  undosOf,
} from './larder-rows';
export {
  burnerSums,
  lastForecasts,
  learnedAll,
  learnTest,
  mergeLearned,
  startRatesAnew,
  unlearn,
} from './learned-rows';
export {
  arrowsAround,
  drawsByEvent,
  finishedLots,
  keptLot,
  keptLotsOf,
  ledgerStore,
  lotsNamedBy,
  setEntries,
  shelfLots,
  strayEventIds,
} from './ledger-rows';
export { openStorage, type StorageOptions } from './open-storage';
export {
  cancelOrder,
  insertOrder,
  type OrderRow,
  openOrderRows,
  orderCookedAs,
  orderRow,
} from './order-rows';
export { keepParts, partIdsOf } from './part-rows';
export { insertPhoto, lastPhotoOf, photoRow, photosOf } from './photo-rows';
export { isOutOfDate, PROJECTIONS, rebuild } from './rebuild';
export { insertRecipe, latestRecipe, latestRecipes, recipeVersions } from './recipe-rows';
export { insertRehearsal, lastRehearsals, rehearsalRow } from './rehearsal-rows';
export { countSamples, insertSamples, type SampleRow, samplesOf, spansOf, thinSamples } from './sample-rows';
export { seedKitchen } from './seed-kitchen';
export { servicesSeen } from './service-rows';
export { type Db, type Storage, StorageError, type StorageTrouble, type Tx } from './storage';

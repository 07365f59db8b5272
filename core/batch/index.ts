export { acidIn, hotIn } from './acid-in';
export { additionTimes } from './addition-times';
export { advanceBatch } from './advance-batch';
export { blenderFills, renderedFat } from './at-hand';
export {
  ADJUST_INGREDIENTS,
  type AddedItem,
  type AskedItem,
  type Asking,
  type BatchEvent,
  type BatchEventBody,
  type BatchEventType,
  type BatchSnapshot,
  DISCARD_REASONS,
  type DiscardReason,
  type Fate,
  FLOORS_FOUND,
  type FloorFound,
  type HeldIn,
  type LineDraw,
  type PartOrigin,
  type Slip,
  TROUBLES,
  type Trouble,
} from './batch-event';
export { type BatchHolds, batchHolds, heldBy, holdsInPot, type MoreThanOrdered } from './batch-holds';
export { type BatchResult, batchResult, type Outcome, type YieldReason } from './batch-result';
export type {
  AskedOrder,
  BatchState,
  GrillLoad,
  HeatSegment,
  HeldHot,
  Parked,
  PortionsOut,
  PotItem,
  Question,
  ReheatedHot,
  ServiceState,
  StoredLot,
} from './batch-state';
export { type BoilingAway, boilingAway } from './boiling-away';
export { type DayCosts, dayCosts, type Waste } from './day-costs';
export { type Judged, judgedWhen, yetToSwellG } from './dosed';
export type { DrawnPart } from './drawn-part';
export { evidenceOf, TESTED_BELOW } from './evidence-of';
export { FINISH_FOODS, FINISH_IDS, type FinishId, finishOf } from './finishes';
export { applyEvent, foldBatch, openBatch } from './fold-batch';
export { foldContext } from './fold-context';
export { FoldError } from './fold-error';
export { type FoldedLog, foldedAt, foldOn, foldWith, resumeFold } from './fold-on';
export { HOLD_CHECK_MIN, type HoldClock, holdClock, type TooCold } from './hold-clock';
export { honesty, type KeptForecast, keptForecasts } from './kept-forecasts';
export { kindNow, kindsNow, trueMl } from './kind-now';
export { EVERYBODY, FIRST_GUESS_LADLE, ladleShown } from './ladle-shown';
export {
  type BurnerSums,
  heatFactorOf,
  learnedHeatFactor,
  UNKNOWN_BURNER,
  withBatch,
  withTest,
} from './learned-heat-factor';
export {
  bestKnownFirst,
  type LearnedRate,
  learnedRates,
  NO_STRETCHES,
  type RateKey,
  type RateSums,
  rateKey,
  rateOf,
  type Stretch,
  withStretch,
} from './learned-rates';
export { betweenSdOf, floorShown, type LearnedShare, type ShareKey, shareOf } from './learned-shares';
export { forecastBand, levelAhead, levelTrace } from './level-trace';
export { type Covered, type FreeRange, type Lever, levers, minutesAfter, saves } from './levers';
export { lookFromMs } from './look-every';
export { mayNeverFinish } from './may-never-finish';
export { type LaterLine, type NextAction, nextAction } from './next-action';
export { PART_LINE, type PartOrder, partOfBatch } from './part-of-batch';
export { placeAfter } from './place-after';
export { inPotKgOf, type ToComeOut, toComeOut } from './pot-items';
export { type Call, callOf, dueSinceMs, rangeWalk } from './range-walk';
export { type RescueStep, rescueOf } from './rescue';
export { type ServiceTally, serviceTallies } from './service-tallies';
export { lossKgPerHour, type StageClock, stageClock, wantedHeat } from './stage-clock';
export { leftOut, loadStillToAdd, potAtEnd, stillToAdd } from './still-to-add';
export { topTemperature } from './top-temperature';
export { EVENT_STEPS, EVENT_VERSIONS, upcastBatchEvent } from './versions/upcast-batch-event';
export {
  RESULT_VERSION,
  SNAPSHOT_VERSION,
  upcastResult,
  upcastSnapshot,
} from './versions/upcast-snapshot';
export { wantedSinceMs } from './wanted-since';
export { hasGoneIn, kgByFood, kgOfLine, rowGoingIn, rowsInPot, type WentIn } from './went-in';
export { type YieldStep, type YieldStepName, yieldWalk } from './yield-walk';

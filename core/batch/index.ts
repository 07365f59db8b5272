export { additionTimes } from './addition-times';
export { advanceBatch } from './advance-batch';
export { blenderFills, renderedFat } from './at-hand';
export {
  ADJUST_INGREDIENTS,
  type AddedItem,
  type BatchEvent,
  type BatchEventBody,
  type BatchEventType,
  type BatchSnapshot,
  type Fate,
  type LineDraw,
  type Slip,
  TROUBLES,
  type Trouble,
} from './batch-event';
export { type BatchResult, batchResult, type YieldReason } from './batch-result';
export type { BatchState, HeatSegment, Question, StoredLot } from './batch-state';
export { applyEvent, foldBatch, openBatch } from './fold-batch';
export { foldContext } from './fold-context';
export { type FoldedLog, foldOn } from './fold-on';
export { honesty, type KeptForecast, keptForecasts } from './kept-forecasts';
export { learnedHeatFactor } from './learned-heat-factor';
export { type LearnedRate, learnedRates } from './learned-rates';
export { forecastBand, levelAhead, levelTrace } from './level-trace';
export { CATCHES_UNDER, type FreeRange, type Lever, levers, minutesAfter, saves } from './levers';
export { lookEveryMin, lookFromMs } from './look-every';
export { type LaterLine, linesToAdd, type NextAction, nextAction } from './next-action';
export { type Call, callOf, dueSinceMs, rangeWalk } from './range-walk';
export { rescueOf } from './rescue';
export { lossKgPerHour, type StageClock, stageClock, wantedHeat } from './stage-clock';
export { topTemperature } from './top-temperature';

export { CannotCook, type CookingTrouble } from './cannot-cook';
export {
  type CookedThrough,
  cookRest,
  cookThrough,
  type HalfCooked,
  softNeed,
  stageTarget,
  warmTo,
} from './cook-through';
export { afterOven, isFrying, isInOven, piecesGiveKg } from './frying';
export { browningLoads, browningM2, jarFills } from './hands-minutes';
export { PICKED_C } from './lifted';
export { litresToCool } from './litres-to-cool';
export {
  MODEL_VERSION,
  type Plan,
  type PlanInput,
  type PlannedBase,
  type PlannedBurner,
  type PlannedLine,
  type PlannedRun,
  type Pot,
  type SlowReheat,
  type UnmetWish,
} from './plan';
export { planBatch, TURNAROUND_MIN } from './plan-batch';
export { potInput } from './pot-input';
export { pulledKg } from './pulled-kg';
export { setupOf } from './setup-of';
export { lookEveryMin, stirEveryMin } from './stirring';
export { heatDeliveredW, strongestBurner } from './strongest-burner';
export { timesLine } from './times-line';
export { type AskedTop, lowestTop, UNDER_THE_TOP_C } from './top-asked';
export { unlearned } from './unlearned';
export { waterToHoldBack } from './water-to-hold-back';
export type { FigureName, Sureness, Working, WorkingLine, WorkingSource } from './working';

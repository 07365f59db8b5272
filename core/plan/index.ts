export { type CookedThrough, cookThrough, softNeed, stageTarget, warmTo } from './cook-through';
export { browningLoads, browningM2, jarFills } from './hands-minutes';
export {
  MODEL_VERSION,
  type Plan,
  type PlanInput,
  type PlannedBase,
  type PlannedBurner,
  type PlannedLine,
  type Pot,
} from './plan';
export { planBatch, setupOf } from './plan-batch';
export { potInput } from './pot-input';
export { heatDeliveredW, strongestBurner } from './strongest-burner';
export type { FigureName, Sureness, Working, WorkingLine, WorkingSource } from './working';

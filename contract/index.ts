// The one door between server and web: schemas of what crosses the wire, and the views that come back.
export { batchEventBodySchema, type Envelope, envelopeSchema, type SubmittedEvent } from './batch-event';
export {
  type ClockChange,
  clockChangeSchema,
  type KitchenSettings,
  kitchenSettingsSchema,
} from './kitchen-settings';
export { kitchenTimeMs, nextServiceAtMs, zonedTimeMs } from './kitchen-time';
export { planInputOf } from './plan-input';
export {
  ORDER_LIMITS,
  type PlanRequest,
  planRequestSchema,
  type StartBatch,
  startBatchSchema,
} from './plan-request';
export { type Checked, check, type FieldError, type Problem } from './problem';
export type {
  BatchSummary,
  BatchView,
  BurnerView,
  ClockView,
  KitchenView,
  LiveMessage,
  LoggedEvent,
  LotView,
  PlanView,
  RecipeView,
  ServiceView,
} from './views';

// The one door between server and web: schemas of what crosses the wire, and the views that come back.
export { batchEventBodySchema, type Envelope, envelopeSchema, type SubmittedEvent } from './batch-event';
export {
  type DeviceStatus,
  type DeviceView,
  FAULTS,
  type Fault,
  MEASURES,
  registerDeviceSchema,
  type SampleLine,
  sampleLineSchema,
  startSimulatedDeviceSchema,
} from './device';
export { keepingRules, receivedFoodOf } from './keeping';
export {
  type ClockChange,
  clockChangeSchema,
  type KitchenSettings,
  kitchenSettingsSchema,
} from './kitchen-settings';
export { kitchenTimeMs, nextServiceAtMs, zonedTimeMs } from './kitchen-time';
export { larderEventBodySchema } from './larder-event';
export {
  type FileToRead,
  fileSchema,
  ownFoodSchema,
  type PriceChange,
  priceChangeSchema,
} from './larder-schema';
export { burnerFor, libraryOf, orderedRecipe, planInputOf, rowsOf } from './plan-input';
export {
  type KeepOrder,
  keepOrderSchema,
  ORDER_LIMITS,
  type PlanRequest,
  planRequestSchema,
  type StartBatch,
  startBatchSchema,
} from './plan-request';
export { type Checked, check, type FieldError, type Problem } from './problem';
export { recipeSchema, type SaveRecipe, saveRecipeSchema } from './recipe-schema';
export { type KeepRehearsal, keepRehearsalSchema, type RehearsalView } from './rehearsal';
export { substitutionSchema } from './substitution-schema';
export type {
  BatchSummary,
  BatchView,
  BurnerView,
  ClockView,
  FileReading,
  KeepingLimits,
  KitchenView,
  LarderStray,
  LiveMessage,
  LoggedEvent,
  LotDetail,
  LotStory,
  LotView,
  OrderView,
  PlanView,
  RecipeVersionView,
  RecipeView,
  ServiceView,
  TracedBatch,
  TracedStep,
} from './views';

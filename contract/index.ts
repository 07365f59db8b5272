// The one door between server and web: schemas of what crosses the wire, and the views that come back.
export { batchCommandSchema, type Envelope, envelopeSchema, writtenSchema } from './batch-event';
export {
  type DeviceStand,
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
export {
  type GuestOrder,
  type GuestOrderOpen,
  type GuestOrderTaken,
  guestOrderSchema,
  type OrdersRead,
  readOrdersSchema,
  simulatedTillSchema,
} from './guest-order';
export { ingredientSchema } from './ingredient-schema';
export { coolingPlaces, keepingRules } from './keeping';
export {
  type ClockChange,
  clockChangeSchema,
  type HeatTestSaid,
  heatTestSchema,
  type KitchenChange,
  type KitchenChangeName,
  kitchenChangeSchema,
} from './kitchen/changes';
export {
  AIR_KINDS,
  ARRIVALS,
  COLD_KINDS,
  equipmentSchema,
  HEAT_KINDS,
  INSTRUMENT_KINDS,
  ITEM_KINDS,
  ITEM_SCHEMAS,
  type Item,
  type ItemKind,
  type ItemOf,
  type KitchenPot,
  MARKS,
  ROLES,
  type ServiceView,
  vesselSchema,
} from './kitchen/items';
export { KITCHEN_FORMAT, type KitchenFile, kitchenFileSchema } from './kitchen/kitchen-file';
export {
  CODE_LIMITS,
  DEFAULT_LIMITS,
  isLaxer,
  type KeepingLimits,
  LIMIT_NAMES,
  type LimitName,
  limitsSchema,
} from './kitchen/limits';
export { altitudeField, placeSchema } from './kitchen/place';
export type { KitchenSeed, SeedBatch } from './kitchen-seed';
export {
  dayBounds,
  dayOf,
  daysAhead,
  isOnDay,
  kitchenTimeMs,
  nextServiceAtMs,
  weekdayOf,
  zonedTimeMs,
} from './kitchen-time';
export { larderEventBodySchema } from './larder-event';
export {
  type FileToRead,
  fileSchema,
  ownFoodSchema,
  type PriceChange,
  priceChangeSchema,
  type TakeBook,
  takeBookSchema,
} from './larder-schema';
export { countField, numberField, signedBy, tellRangesIn, textField } from './number-field';
export { isJpeg, PHOTO_MOST_BYTES, PHOTOS_MOST, photoIdSchema } from './photo';
export {
  type DrawPart,
  drawPartSchema,
  type KeepOrder,
  keepOrderSchema,
  ORDER_LIMITS,
  type PlanRequest,
  planRequestSchema,
  portionKind,
  type StartBatch,
  startBatchSchema,
} from './plan-request';
export { type Checked, check, type FieldError, type Problem } from './problem';
export { recipeSchema, type SaveRecipe, saveRecipeSchema } from './recipe-schema';
export { type CopyFound, type RecordLineView, type RecordView, recordFileSchema } from './record';
export { type KeepRehearsal, keepRehearsalSchema, type RehearsalView } from './rehearsal';
export { substitutionSchema } from './substitution-schema';
export type {
  BatchView,
  BookDifference,
  BookTaken,
  BurnerView,
  ClockView,
  FieldDifference,
  FileReading,
  FoodDifference,
  FoodsView,
  InstrumentView,
  KitchenNotice,
  KitchenView,
  LarderStray,
  LearnedView,
  LiveMessage,
  LoggedEvent,
  LotDetail,
  LotLabel,
  LotStory,
  OrderView,
  PageOf,
  PhotosView,
  PhotoView,
  PlanView,
  PriceDifference,
  RecipeVersionView,
  RecipeView,
  RetiredItem,
  TracedBatch,
  TracedStep,
  WholeKitchen,
  WrittenEventView,
} from './views';
export {
  day,
  dayAndHour,
  decimal,
  depth,
  dose,
  hourMinute,
  litres,
  minutes,
  money,
  percent,
  portion,
  sentenceCase,
  span,
  temperature,
  thePot,
  typedNumber,
  volume,
  weight,
} from './words/amounts';
export { fileName } from './words/file-name';
export { readingDoubt } from './words/reading';
export { fieldErrors, refusalSentence, type SaidIn } from './words/refusals';

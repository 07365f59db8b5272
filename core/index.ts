// The public face of the model: the rest of the house imports core only through here.

export {
  type BaseDemand,
  type BaseNeed,
  baseDemand,
  type DemandPart,
  type StandingLot,
} from './bases/base-demand';
export {
  BASE_FAMILIES,
  type BaseFamily,
  type BaseKind,
  type BaseRule,
} from './bases/base-kind';
export { baseMinutes } from './bases/base-minutes';
export { BASE_KINDS, baseKind, baseRecipe } from './bases/base-recipe';
export {
  type Blend,
  type BlendLimit,
  type BlendOutcome,
  type BlendPart,
  type BlendWanted,
  blendLots,
  outcomeOf,
  umamiOfContents,
} from './bases/blend';
export { concentrate, letDown, type Strengthened } from './bases/concentrate';
export { cookOnPaper } from './bases/cook-on-paper';
export { SETS_FROM_GELATIN_PERCENT, timesStandard } from './bases/strength';
export { type TrimHeap, type Trimming, type TrimmingUse, useItUp } from './bases/use-it-up';
export { activeEvents, undoneIds } from './batch/active-events';
export { additionTimes } from './batch/addition-times';
export { advanceBatch } from './batch/advance-batch';
export { type BlenderFills, blenderFills, type RenderedFat, renderedFat } from './batch/at-hand';
export {
  type AddedItem,
  type BatchEvent,
  type BatchEventBody,
  type BatchEventType,
  type BatchSnapshot,
  BENCH_INGREDIENTS,
  type Fate,
  type LineDraw,
  type Slip,
  TROUBLES,
  type Trouble,
} from './batch/batch-event';
export { type BatchResult, batchResult, type Outcome } from './batch/batch-result';
export type {
  BatchState,
  HeatSegment,
  Parked,
  PutBy,
  Question,
  SaidSlip,
  StageProgress,
  TakenReading,
  ToComeOut,
} from './batch/batch-state';
export { applyEvent, foldBatch, openBatch } from './batch/fold-batch';
export { foldContext } from './batch/fold-context';
export { type FoldedLog, foldOn } from './batch/fold-on';
export { type Honesty, honesty, type KeptForecast, keptForecasts } from './batch/kept-forecasts';
export { learnedGain } from './batch/learned-gain';
export { type LearnedRate, learnedRates } from './batch/learned-rates';
export {
  type ForecastBand,
  forecastBand,
  type LevelPoint,
  levelAhead,
  levelTrace,
} from './batch/level-trace';
export {
  CATCHES_UNDER,
  type FreeRange,
  type Lever,
  levers,
  marginOf,
  minutesAfter,
  saves,
} from './batch/levers';
export { lookEveryMin, lookFromMs } from './batch/look-every';
export { type LaterLine, linesToAdd, nextWant, type Want } from './batch/next-want';
export {
  CALLS,
  type Call,
  callOf,
  dueSinceMs,
  type RangePot,
  type RangeWalk,
  rangeWalk,
} from './batch/range-walk';
export { type Rescue, rescueOf } from './batch/rescue';
export { lossKgPerHour, type StageClock, stageClock, wantedHeat } from './batch/stage-clock';
export { type TopTemperature, topTemperature } from './batch/top-temperature';
export { type Bench, type BenchOutcome, type BenchWay, bench } from './bench/bench';
export { coolingHours } from './cooling/cooling-hours';
export { condense, DEVICE_KINDS, type DeviceKind, type Sample } from './devices/condense';
export { lastDisturbedMs } from './devices/last-disturbed-ms';
export { boilOffKgPerHour } from './evaporation/boil-off-kg-per-hour';
export type { Lid } from './evaporation/data/evaporation-constants';
export { surfaceLossKgPerHour } from './evaporation/surface-loss-kg-per-hour';
export { type Forecast, forecast, type MassReading } from './forecast/forecast';
export { airPressureKPa } from './heat/air-pressure-kpa';
export { boilingPointC } from './heat/boiling-point-c';
export { cookMinutes } from './heat/cook-minutes';
export { latentHeatKJPerKg } from './heat/latent-heat-kj-per-kg';
export { minutesToCookDice, softeningFactor } from './heat/minutes-to-cook-dice';
export { minutesToHeat } from './heat/minutes-to-heat';
export { mixTempC } from './heat/mix-temp-c';
export { saturationPressureKPa } from './heat/saturation-pressure-kpa';
export { asRead } from './larder/as-read';
export { contentsOfRow } from './larder/contents-of-row';
export {
  type Draw,
  type Drawable,
  drawLots,
  oldestFirst,
  type PassedOver,
} from './larder/draw-lots';
export { foldLarder } from './larder/fold-larder';
export { itemsFromLots } from './larder/items-from-lots';
export type {
  LarderEvent,
  LarderEventBody,
  LarderEventType,
  TakenIn,
} from './larder/larder-event';
export type { Larder, LotDraw, LotMade, LotPour } from './larder/ledger';
export {
  LOT_STORAGES,
  type Lot,
  type LotBirth,
  type LotContents,
  type LotLife,
  type LotOrigin,
  type LotReading,
  type LotStorage,
} from './larder/lot';
export { drawsOfBatch, lifeOf, lotsOfBatch } from './larder/lots-of-batch';
export { type ContentsPart, mixContents } from './larder/mix-contents';
export {
  isBaseRow,
  layLots,
  lotsFor,
  type PlanWithLots,
  planWithLots,
  type ShelfLot,
  type ShortLine,
} from './larder/plan-with-lots';
export { type LotTrace, type TraceStep, traceLot } from './larder/trace-lot';
export { atItsBest, type KeepingRules, useByMs } from './larder/use-by';
export { BOARDS, type Board, type MiseItem, miseList } from './lists/mise-list';
export { type ListedPlan, type PullItem, pullList } from './lists/pull-list';
export { alcoholLeftByBoilOff, alcoholLeftByMinutes } from './matter/alcohol-left';
export { brixOf } from './matter/brix-of';
export { INGREDIENTS } from './matter/data/ingredients';
export {
  DIETS,
  type Diet,
  INGREDIENT_KINDS,
  type Ingredient,
  type IngredientKind,
  massesOf,
  STORES,
  type Store,
} from './matter/ingredient';
export { INGREDIENT_BY_ID } from './matter/ingredient-by-id';
export { isPoured } from './matter/is-poured';
export { COMPONENTS, type Component, type Masses, mapMasses, NO_MASSES, totalKg } from './matter/masses';
export { EMPTY, type Mixture, massKg } from './matter/mixture';
export * as operations from './matter/operations';
export { type OwnFood, ownIngredient } from './matter/own-ingredient';
export { NO_SAVOUR, plusSavour, type Savour, savourOf, timesSavour } from './matter/savour';
export { specificHeatKJ } from './matter/specific-heat-kj';
export { volumeLitres } from './matter/volume-litres';
export { waterDensityKgPerL } from './matter/water-density-kg-per-l';
export {
  type FigureName,
  type LetDown,
  MODEL_VERSION,
  type Plan,
  type PlanInput,
  type PlannedBase,
  type PlannedBurner,
  type PlannedLine,
  type PlannedStage,
  type Pot,
  type Working,
} from './plan/plan';
export { planBatch, setupOf } from './plan/plan-batch';
export { potInput } from './plan/pot-input';
export { bowlMl } from './portions/bowl-ml';
export { CLING_PERCENT, portions } from './portions/portions';
export { advancePot } from './pot/advance-pot';
export { addToPot, drawFromPot, openPot, setHeat, takeOutOfPot } from './pot/change-pot';
export { type ColdLoad, coldLoad } from './pot/cold-load';
export { type FallTarget, fallTo } from './pot/fall-target';
export { forecastPot, type PotTarget, type When } from './pot/forecast-pot';
export { fractionToHold } from './pot/heat-balance';
export { type KitchenAir, kitchenAir } from './pot/kitchen-air';
export {
  arrivingAt,
  type Burner,
  FIRST_GUESS_GAIN,
  type Instrument,
  type PotSetup,
  type PotState,
} from './pot/pot';
export { liquidLitres, litresAtMass, massAtLitres, potLitres } from './pot/pot-litres';
export { type MeasuredMass, measuredMass, type PotReading, readPot } from './pot/read-pot';
export { scorchMargin } from './pot/scorch-margin';
export { steepingFactor } from './pot/steep';
export { type TemperStep, temper } from './pot/temper';
export type { WrittenUnit } from './reader/data/measures';
export { minutesIn, stageKindOf } from './reader/method-sentences';
export { type ReadingTable, readingTable, readLine } from './reader/read-line';
export { type RecipeDraft, readRecipeText } from './reader/read-recipe-text';
export type { Doubt, Reading, UnitSystem } from './reader/reading';
export { writeLine, writtenName } from './reader/write-line';
export { allergensOf } from './recipe/allergens-of';
export { type AsWritten, asWritten } from './recipe/as-written';
export { chooseMethod, methodById, methodsFor } from './recipe/choose-method';
export { compareRecipes, type RecipeDifference } from './recipe/compare-recipes';
export { curedSaltPercent } from './recipe/cure';
export { METHODS, type Method } from './recipe/data/methods';
export { STAGE_KIND_DATA } from './recipe/data/stage-kinds';
export { USUAL } from './recipe/data/usual';
export { type Library, recipeIdOf, recipeRowId } from './recipe/library';
export { linesOf, type Understood, understandLine } from './recipe/lines-of';
export { newStage } from './recipe/new-stage';
export { type PaperLine, paperRecipe, paperStage } from './recipe/paper-recipe';
export { fitsRole, fromPattern } from './recipe/pattern';
export {
  type MadeRow,
  type PreparedRecipe,
  prepareRecipe,
  recipeAsIngredient,
} from './recipe/prepare-recipe';
export { type Ratio, ratioParts, ratiosOf, setRatioKg, setRatioPart } from './recipe/ratios';
export {
  type Attention,
  type Cure,
  cookingStages,
  type PatternSlot,
  purees,
  type Recipe,
  type RecipeLine,
  SCALINGS,
  type Scaling,
  SIMMER_UNDER_BOIL_C,
  type Simmer,
  STAGE_KINDS,
  type Stage,
  type StageDeed,
  type StageEnd,
  type StageHeat,
  type StageKind,
  type WrittenLine,
} from './recipe/recipe';
export { type PriceMove, priceMoves, recipeCostPerPortionCents } from './recipe/recipe-cost';
export { recipeIn, reheatId, reheatRecipe } from './recipe/reheat-recipe';
export { SPOON_CM, tooBigForSpoon } from './recipe/spoon-fit';
export {
  type Advisory,
  advisoriesOf,
  type Bringer,
  type BrokenClaim,
  brokenClaims,
  type Holdings,
  whatItHolds,
} from './recipe/what-it-holds';
export { rewritten, writtenOf } from './recipe/written-of';
export {
  callsFor,
  type EyeScore,
  eyeScore,
  REHEARSAL_CALLS,
  type Rehearsal,
  type RehearsalCall,
  type RehearsalTruth,
  rehearsalAt,
  type ScoredCall,
  scoreCalls,
  startRehearsal,
} from './rehearse/rehearsal';
export { ALLERGENS, type Allergen } from './safety/data/allergens';
export { FOOD_CODE } from './safety/data/food-code';
export { topRuleOf } from './safety/data/top-temperatures';
export { mustComeCold } from './safety/must-come-cold';
export { dilutionKg } from './salt/dilution-kg';
export { SATURATED_SALT_PERCENT, saltToAddG } from './salt/salt-to-add-g';
export { type Equipment, HOT_FILL } from './scaling/data/equipment';
export { firstDose } from './scaling/first-dose';
export { garlicStrength } from './scaling/garlic-strength';
export { type AmountAnswer, answerAmount, type OrderAmount } from './scaling/order-amount';
export { type ScalingNote, scalingNotes } from './scaling/scaling-notes';
export { type Berth, type Split, type SplitPart, splitOrder } from './scaling/split-order';
export { sweatingFatKg } from './scaling/sweating-fat-kg';
export { comparePlans, type PlanChange, umamiOf } from './substitute/compare-plans';
export { BOUILLON_G_PER_L, substitute } from './substitute/substitute';
export { type Substituted, type Substitution, SWAP_KEEPS } from './substitute/substitution';
export { type Suggestion, suggestSubstitutions } from './substitute/suggest';
export { umamiGPer100g } from './taste/umami-g-per-100g';
export { bodyG } from './thickness/body-g';
export { BANDS, THICKENERS, type ThickenerKind } from './thickness/data/thickeners';
export { flourEquivalentGPerL } from './thickness/flour-equivalent-g-per-l';
export { bandName, flourEquivalentOfBand, thicknessBand } from './thickness/thickness-band';
export { convert } from './units/convert';
export type { Unit } from './units/data/units';
export { roundGrams, roundMillilitres } from './units/round-for-kitchen';
export { depthAtLitres } from './vessel/depth-at-litres';
export { litresAtDepth } from './vessel/litres-at-depth';
export { panBottomM2 } from './vessel/pan-bottom-m2';
export { surfaceM2 } from './vessel/surface-m2';
export type { Vessel } from './vessel/vessel';
export { wallM2 } from './vessel/wall-m2';
export { WORKING_FILL, workingFillLitres } from './vessel/working-fill-litres';

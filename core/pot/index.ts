export { advancePot, leaveOven } from './advance-pot';
export { type Body, bodyOfPot, bodySd, FIRST_GUESS_BODY, readBody, withDose } from './body';
export { type MayNever, mayNever } from './chance-of-meeting';
export {
  addToPot,
  broughtTo,
  changeBurner,
  changeVessel,
  coverPot,
  drawFromPot,
  foundAt,
  keepAt,
  openPot,
  setHeat,
  takeFatOff,
} from './change-pot';
export { coldLoad } from './cold-load';
export { covarianceOf, variance } from './covariance';
export { EYE, FIRST_GUESS_SURFACE } from './data/estimator';
export { driftPot } from './drift-pot';
export { type FallTarget, fallTo } from './fall-target';
export { finishStage } from './finish-stage';
export {
  bandNow,
  CATCHES_UNDER,
  FIRST_GUESS_FLOOR,
  floorMargin,
  isFriedIn,
  type KnownFloor,
  lawMargin,
  mostHeat,
} from './floor';
export { flourPerLitre } from './flour-per-litre';
export {
  crossingMs,
  forecastPot,
  MIDDLE_DAY,
  type PotTarget,
  quantilesMs,
} from './forecast-pot';
export { type Handfuls, handfuls } from './handfuls';
export { exits, fractionToHold, fullKW, heatStep, potWays, steamHeat, waysOut } from './heat-balance';
export { kitchenAir } from './kitchen-air';
export {
  arrivingAt,
  type Burner,
  FIRST_GUESS_HEAT_FACTOR,
  type Insulation,
  type PotSetup,
  type PotState,
} from './pot';
export {
  BONE_KG_PER_L,
  bonesOf,
  foodLitres,
  liquidLitres,
  litresAtMass,
  massAtLitres,
  potLitres,
} from './pot-litres';
export { leaveFoodOut, liftFoodOut, putFoodIn, withBones } from './put-food-in';
export { measuredMass, type PotReading, readPot } from './read-pot';
export type { StageDeed } from './stage-deed';
export { lessSteeping, steepingFactor } from './steep';
export { temper } from './temper';
export { type ShareShown, whatReadingsShow } from './what-readings-show';

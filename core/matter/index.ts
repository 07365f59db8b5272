export { alcoholLeftByBoilOff, alcoholLeftByMinutes } from './alcohol-left';
export { brixOf, dissolvedKg, solutionKg } from './brix-of';
export { type DrawnLot, type LotContents, rowOfLot } from './contents';
export { ALLERGENS, type Allergen } from './data/allergens';
export { type Gives, STEEPING_WAYS } from './data/extraction';
export { INGREDIENTS } from './data/ingredients';
export { type Brings, bringsTo, type Holds, holdsOf } from './holds';
export {
  DIETS,
  type Diet,
  INGREDIENT_KINDS,
  type Ingredient,
  type IngredientKind,
  massesOf,
  type ServingCheck,
  STORES,
  type Store,
} from './ingredient';
export { INGREDIENT_BY_ID } from './ingredient-by-id';
export { isPoured } from './is-poured';
export { LOT_STORAGES, type LotStorage } from './lot-storage';
export {
  COMPONENTS,
  type Masses,
  mapMasses,
  NO_MASSES,
  plus,
  times,
  totalKg,
  withSalt,
  withWater,
} from './masses';
export { EMPTY, type Mixture, massKg } from './mixture';
export * as operations from './operations';
export {
  absorb,
  add,
  condense,
  drain,
  drawOff,
  drawOut,
  evaporate,
  exchangeSalt,
  puree,
  saltPercent,
  skimFat,
  strain,
  takeOut,
  whole,
} from './operations';
export { type OwnFood, ownIngredient } from './own-ingredient';
export { NO_SAVOUR, plusSavour, type Savour, savourOf, timesSavour } from './savour';
export { rowOfLine, soakedRow, soakedUp, soakHours } from './soaked';
export { specificHeatKJ } from './specific-heat-kj';
export { THICKENER_KINDS, type ThickenerKind } from './thickener-kind';
export { volumeLitres } from './volume-litres';
export { waterDensityKgPerL } from './water-density-kg-per-l';

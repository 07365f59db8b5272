export { type Advisory, advisoriesOf } from './advisories-of';
export { allergensOf } from './allergens-of';
export { asWritten, blendedShare } from './as-written';
export { chooseMethod, methodById, methodsFor } from './choose-method';
export { compareRecipes } from './compare-recipes';
export { curedIngredient, curedSaltPercent } from './cure';
export { METHODS, type Method } from './data/methods';
export { STAGE_KIND_DATA } from './data/stage-kinds';
export { USUAL } from './data/usual';
export { type FilledStage, filledByStage } from './filled-by-stage';
export { type HoldsMove, holdsMoves } from './holds-moves';
export { type Library, recipeIdOf, recipeRowId } from './library';
export { newStage } from './new-stage';
export { type Ratio, ratioParts, ratiosOf, setRatioKg, setRatioPart } from './ratios';
export {
  type Cure,
  cookingStages,
  type OpenDoubt,
  type PatternSlot,
  purees,
  type Recipe,
  type RecipeLine,
  type RightTaste,
  SCALINGS,
  type Scaling,
  SIMMER_UNDER_BOIL_C,
  STAGE_KINDS,
  type Stage,
  type StageEnd,
  type StageKind,
  type TasteProfile,
  type WrittenLine,
} from './recipe';
export { recipeIn, reheatId, reheatRecipe } from './reheat-recipe';
export {
  type Bringer,
  type BrokenClaim,
  brokenClaims,
  type Holdings,
  holdingsOf,
  makersOf,
  whatItHolds,
} from './what-it-holds';

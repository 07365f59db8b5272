export { baseMinutes } from './base-minutes';
export { type KitchenFoods, libraryOf, orderedRecipe, rowsOf } from './kitchen-library';
export { prepareRecipe, recipeAsIngredient } from './prepare-recipe';
export { priceMoves, recipeCostPerPortionCents } from './recipe-cost';
export { recipesAsRows } from './recipes-as-rows';
export { withParts } from './with-parts';

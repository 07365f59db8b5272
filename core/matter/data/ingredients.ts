import type { Ingredient } from '../ingredient';
import { DAIRY_AND_EGGS } from './ingredients/dairy-and-eggs';
import { FATS_AND_THICKENERS } from './ingredients/fats-and-thickeners';
import { FISH_AND_SHELLFISH } from './ingredients/fish-and-shellfish';
import { HERBS_AND_SPICES } from './ingredients/herbs-and-spices';
import { MEAT } from './ingredients/meat';
import { PULSES_AND_GRAINS } from './ingredients/pulses-and-grains';
import { STOCKS_AND_SEASONINGS } from './ingredients/stocks-and-seasonings';
import { VEGETABLES } from './ingredients/vegetables';

/** The generic foods of this trade, a file a family; a kitchen's own labels and additions go over them. */
export const INGREDIENTS: readonly Ingredient[] = [...VEGETABLES, ...PULSES_AND_GRAINS, ...FATS_AND_THICKENERS, ...DAIRY_AND_EGGS, ...FISH_AND_SHELLFISH, ...MEAT, ...STOCKS_AND_SEASONINGS, ...HERBS_AND_SPICES];

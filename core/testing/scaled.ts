import { prepareRecipe } from '../book';
import type { Recipe } from '../recipe';
import { libraryOf } from './book';
import { orderOf } from './broth';

/** What a kitchen has beside its pots. */
export const EQUIPMENT = {
  blenderJarLitres: 4,
  hasStickBlender: true,
  ovenTrays: 3,
  trayAreaM2: 0.17,
  fryingPanCm: 28,
};
export const KETTLE = {
  id: 'kettle',
  name: '60 L kettle',
  vessel: { shape: 'kettle' as const, diameterCm: 60, heightCm: 31.2 },
  emptyMassKg: 38,
};
export const JACKET = {
  ...orderOf().burner,
  id: 'jacket',
  name: 'kettle jacket',
  powerW: 9000,
  efficiency: 0.85,
};

/** An order for a recipe of its own book. */
export function inputOf(recipe: Recipe, change: Parameters<typeof orderOf>[0] = {}) {
  const prepared = prepareRecipe(recipe, libraryOf([recipe]));
  return orderOf({ ...prepared, band: recipe.targetBand, equipment: EQUIPMENT, ...change });
}

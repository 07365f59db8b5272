import type { Allergen } from '../safety/data/allergens';
import type { ThickenerKind } from '../thickness/data/thickeners';
import { type Masses, mapMasses } from './masses';

/** One food of this trade. Composition is kg per kg of edible food. */
export interface Ingredient {
  id: string;
  name: string;
  perKg: Masses;
  /** kg/L packed without air: what it takes up in the pot */
  densityKgPerL: number;
  /** kg/L as it lies when cut raw and loaded: what it takes up going in */
  looseKgPerL: number;
  /** edible kg from a kg as purchased, 0..1 */
  yield: number;
  /** g of one as purchased, where it is counted */
  pieceG?: number;
  /** pieces stay pieces; anything else joins the liquid */
  share: 'liquid' | 'pieces';
  /** dry starch or flour, by its strength */
  thickener?: ThickenerKind;
  /** grams of flour that a cooked kilogram thickens like, by what it lets go */
  bodyGPerKg?: number;
  allergens: readonly Allergen[];
  diet: 'vegan' | 'vegetarian' | 'fish' | 'meat';
  /** foams or catches: the pot is filled less */
  foams?: boolean;
  source: string;
}

/** The masses of some kilograms of an ingredient. */
export function massesOf(ingredient: Ingredient, kg: number): Masses {
  return mapMasses((component) => ingredient.perKg[component] * kg);
}

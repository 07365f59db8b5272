import { atLeast } from '../check';
import type { Allergen } from './data/allergens';
import type { Gives } from './data/extraction';
import { type Masses, mapMasses } from './masses';
import type { ThickenerKind } from './thickener-kind';

export const INGREDIENT_KINDS = [
  'vegetable',
  'pulse',
  'grain',
  'meat',
  'poultry',
  'fish',
  'shellfish',
  'dairy',
  'egg',
  'fat',
  'thickener',
  'stock',
  'water',
  'salt',
  'seasoning',
  'acid',
  'fruit',
  'nut',
  'wine',
  'spirit',
  'herb',
  'spice',
] as const;
export type IngredientKind = (typeof INGREDIENT_KINDS)[number];

export const DIETS = ['vegan', 'vegetarian', 'fish', 'meat'] as const;
/** Who eats it: each of the list is eaten by those further on too. */
export type Diet = (typeof DIETS)[number];

export const STORES = ['walk-in', 'dry store', 'freezer', 'cellar', 'tap'] as const;
export type Store = (typeof STORES)[number];

/** Free glutamate and aspartate, and 5'-nucleotides, g per 100 g. */
export interface UmamiPer100G {
  glutamate?: number;
  aspartate?: number;
  imp?: number;
  gmp?: number;
  amp?: number;
}

/** What a hand or an eye must look for before it is served. */
export type ServingCheck = 'pinBones' | 'shell' | 'splinters';

/** One food of this trade. Composition is kg per kg of edible food. */
export interface Ingredient {
  id: string;
  name: string;
  kind: IngredientKind;
  perKg: Masses;
  /** kg/L packed without air: what it takes up in the pot */
  densityKgPerL: number;
  /** sold in grains that lie loose in very different ways, so that a spoon of it is no weight */
  grainVaries?: true;
  /** kg/L as it lies when cut raw and loaded or spooned: what it takes up going in, and what a cup of it weighs */
  looseKgPerL: number;
  /** edible kg from a kg as purchased, 0..1 */
  yield: number;
  /** goes in with the bone, skin or shell that `yield` leaves out, and comes out with it */
  wholeInPot?: true;
  /** g of a middling one as purchased, where it is counted */
  pieceG?: number;
  /** g of one of its own measures as purchased: clove, sprig, bunch, stick, tin … */
  measures?: Readonly<Record<string, number>>;
  /** other names it is written by, singular, small letters */
  aliases?: readonly string[];
  /** pieces stay pieces; anything else joins the liquid */
  share: 'liquid' | 'pieces';
  /** dry starch or flour, by its strength */
  thickener?: ThickenerKind;
  /** grams of flour that a cooked kilogram thickens like, by what it lets go */
  bodyGPerKg?: number;
  allergens: readonly Allergen[];
  diet: Diet;
  /** why it holds an allergen or is no plant food, where nobody would think so */
  hides?: string;
  /** foams or catches: the pot is filled less */
  foams?: boolean;
  /** where it is kept */
  store: Store;
  /** minutes at 100 °C that a 1.5 cm piece takes to soften once its centre is hot */
  softenMin?: number;
  /** kg of water a dry kg drinks while it cooks */
  drinks?: number;
  soakH?: number;
  rinse?: string;
  /** grams of anhydrous citric acid that a kilogram is as sour as. source of the rows: from memory, as titrated */
  acidGPerKg?: number;
  umami?: UmamiPer100G;
  /** kg of gelatin in a kg: what a stock sets by */
  gelatin?: number;
  /** what water draws out of it */
  gives?: Gives;
  /** how it scales: pungent by cut and standing, strong and hot by taste from a low start */
  strength?: 'pungent' | 'strong' | 'hot';
  /** woody herb: tied or stripped */
  woody?: boolean;
  /** what it does to the pot's colour */
  colour?: string;
  /** turns brown in air once cut */
  browns?: boolean;
  /** loses its green when kept hot */
  green?: boolean;
  /** has to come out by its nature, in the word of its tag */
  out?: string;
  /** the fresh food this is out of a tin */
  tinnedOf?: string;
  /** what the heat does to it beyond its kind: curdles like cultured dairy, goes flat like fermented paste */
  heatHurts?: 'curdles' | 'flat';
  /** the fresh herb this is the dried of */
  driedOf?: string;
  /** cooked, hot-smoked or cured before it came: safe as it is, and cut where nothing raw is */
  isReady?: true;
  /** where nothing is said of it, it goes in at the seasoning, with the salt: pepper */
  goesWithSalt?: true;
  checks?: readonly ServingCheck[];
  /** a danger of its own, said where it goes in */
  caution?: string;
  /** composition taken over from this one: a guess, and shown as one */
  guessedFrom?: string;
  /** what the product's own label overrides */
  label?: string;
  source: string;
}

/** The masses of some kilograms of an ingredient, 0 or more. */
export function massesOf(ingredient: Ingredient, kg: number): Masses {
  atLeast('kg', kg, 0);
  return mapMasses((component) => ingredient.perKg[component] * kg);
}

import type { Ingredient, IngredientKind } from '../../ingredient';
import { NO_MASSES, totalKg } from '../../masses';
import { EXTRACTION } from '../extraction';

type Per100G = Partial<Record<'water' | 'fat' | 'protein' | 'sugars' | 'starch' | 'salt' | 'alcohol', number>>;
type Rest = Partial<Omit<Ingredient, 'id' | 'name' | 'kind' | 'perKg'>>;

const TABLE = 'from memory: rounded typical values of public food-composition tables';
export const SOLIDS = 'common practice; solids from memory';
export const GUESSED = 'common practice; composition from memory';
export const LABEL = 'common practice; read the label';

/** Where each kind of food is kept; common practice. */
const STORE: Record<IngredientKind, Ingredient['store']> = {
  vegetable: 'walk-in',
  pulse: 'dry store',
  grain: 'dry store',
  meat: 'walk-in',
  poultry: 'walk-in',
  fish: 'walk-in',
  shellfish: 'walk-in',
  dairy: 'walk-in',
  egg: 'walk-in',
  fat: 'dry store',
  thickener: 'dry store',
  stock: 'walk-in',
  water: 'tap',
  salt: 'dry store',
  seasoning: 'dry store',
  acid: 'dry store',
  fruit: 'walk-in',
  nut: 'dry store',
  wine: 'cellar',
  spirit: 'cellar',
  herb: 'walk-in',
  spice: 'dry store',
};

/**
 * A row of the table: grams per 100 g edible; what is left to 100 is "other" (fibre, ash, acids). Composition:
 * USDA-style values from memory, checked against an open data set in the tests; yields, loose densities, piece weights
 * and softening times: common practice; bodyGPerKg and umami: from memory, first guesses.
 */
export function row(id: string, name: string, kind: IngredientKind, grams: Per100G, rest: Rest): Ingredient {
  const named = { ...NO_MASSES, ...grams };
  const other = 100 - totalKg(named);
  if (other < -1e-9) throw new RangeError(`${id}: components must not pass 100 g, got ${totalKg(named)}`);
  const of = (g: number) => g / 100;
  return {
    id,
    name,
    kind,
    perKg: {
      water: of(named.water),
      fat: of(named.fat),
      protein: of(named.protein),
      sugars: of(named.sugars),
      starch: of(named.starch),
      other: of(Math.max(0, other)),
      salt: of(named.salt),
      alcohol: of(named.alcohol),
    },
    densityKgPerL: 1.03,
    looseKgPerL: rest.densityKgPerL ?? 0.6,
    yield: 1,
    share: 'pieces',
    allergens: [],
    diet: 'vegan',
    store: STORE[kind],
    source: TABLE,
    ...(EXTRACTION[id] ? { gives: EXTRACTION[id] } : {}),
    ...rest,
  };
}

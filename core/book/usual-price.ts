import type { Ingredient, IngredientKind } from '../matter';

/**
 * What a food of a kind costs a kg as purchased, in hundredths of a currency whose unit buys about what a pound, a euro or a
 * dollar does. A stand-in until the kitchen has said its own price, always marked as a guess.
 *
 * source: from memory: wholesale lists of the 2020s, to a factor of about two
 */
const BY_KIND: Readonly<Record<IngredientKind, number>> = {
  water: 0,
  stock: 150,
  vegetable: 170,
  fruit: 250,
  herb: 1500,
  spice: 1800,
  salt: 70,
  seasoning: 700,
  acid: 350,
  fat: 650,
  thickener: 130,
  pulse: 220,
  grain: 170,
  nut: 1200,
  dairy: 400,
  egg: 350,
  meat: 950,
  poultry: 600,
  fish: 1500,
  shellfish: 1500,
  wine: 600,
  spirit: 1900,
} as Readonly<Record<IngredientKind, number>>;

/** What stands far from its kind. source: as above */
const BY_FOOD: Readonly<Record<string, number>> = {
  potato: 90,
  onion: 95,
  carrot: 90,
  milk: 110,
  'skimmed-milk': 105,
  'ham-hock': 380,
  'beef-mince': 750,
  'pork-mince': 600,
  saffron: 300_000,
};

/** Bones are what is left over. */
const BONES = 150;

/** Currencies whose unit buys about so much. */
const ABOUT_ALIKE: ReadonlySet<string> = new Set(['GBP', 'EUR', 'USD', 'CHF', 'CAD', 'AUD', 'NZD']);

/**
 * A first guess at a price, hundredths a kg as purchased; null in a currency of which nothing is known.
 *
 * @param currency its three letters
 */
export function usualCentsPerKg(food: Ingredient, currency: string): number | null {
  if (!ABOUT_ALIKE.has(currency)) return null;
  return BY_FOOD[food.id] ?? (food.out === 'bones' ? BONES : (BY_KIND[food.kind] ?? null));
}

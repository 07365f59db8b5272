import type { Ingredient } from '../ingredient';
import { NO_MASSES, totalKg } from '../masses';

type Per100G = Partial<Record<'water' | 'fat' | 'protein' | 'sugars' | 'starch' | 'salt' | 'alcohol', number>>;
type Rest = Partial<Omit<Ingredient, 'id' | 'name' | 'perKg' | 'yield'>> & { yield?: number };

const TABLE = 'from memory: rounded typical values of public food-composition tables';
const TRADE = 'common practice';

/** A row: grams per 100 g edible; what is left to 100 is "other" (fibre, ash, acids). */
function row(id: string, name: string, grams: Per100G, rest: Rest): Ingredient {
  const named = { ...NO_MASSES, ...grams };
  const other = 100 - totalKg(named);
  if (other < -1e-9) throw new RangeError(`${id}: components must not pass 100 g, got ${totalKg(named)}`);
  const of = (g: number) => g / 100;
  return {
    id,
    name,
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
    source: TABLE,
    ...rest,
  };
}

/**
 * The foods of this slice. Composition: USDA-style values from memory, checked against an open data set in the tests;
 * yields, loose densities and piece weights: common practice; bodyGPerKg: from memory, a first guess.
 */
export const INGREDIENTS: readonly Ingredient[] = [
  // vegetables
  row('onion', 'Onion', { water: 89.1, fat: 0.1, protein: 1.1, sugars: 4.2, starch: 0, salt: 0.01 }, { looseKgPerL: 0.5, yield: 0.88, pieceG: 280 }),
  row('leek', 'Leek', { water: 83, fat: 0.3, protein: 1.5, sugars: 3.9, starch: 5, salt: 0.05 }, { looseKgPerL: 0.35, yield: 0.55, pieceG: 250 }),
  row('carrot', 'Carrot', { water: 88.3, fat: 0.2, protein: 0.9, sugars: 4.7, starch: 1.4, salt: 0.18 }, { looseKgPerL: 0.62, yield: 0.82, pieceG: 120 }),
  row('celery', 'Celery stalk', { water: 95.4, fat: 0.2, protein: 0.7, sugars: 1.3, salt: 0.2 }, { looseKgPerL: 0.48, yield: 0.75, pieceG: 60, allergens: ['celery'] }),
  row('celeriac', 'Celeriac', { water: 88, fat: 0.3, protein: 1.5, sugars: 1.6, starch: 4, salt: 0.25 }, { looseKgPerL: 0.6, yield: 0.75, pieceG: 800, allergens: ['celery'], bodyGPerKg: 8 }),
  row('potato', 'Potato', { water: 79.3, fat: 0.1, protein: 2, sugars: 0.8, starch: 15.3, salt: 0.02 }, { densityKgPerL: 1.08, looseKgPerL: 0.66, yield: 0.84, pieceG: 180, bodyGPerKg: 12 }),
  row('sweet-potato', 'Sweet potato', { water: 77.3, fat: 0.1, protein: 1.6, sugars: 4.2, starch: 12.7, salt: 0.14 }, { densityKgPerL: 1.06, looseKgPerL: 0.64, yield: 0.8, pieceG: 250, bodyGPerKg: 12 }),
  row('parsnip', 'Parsnip', { water: 79.5, fat: 0.3, protein: 1.2, sugars: 4.8, starch: 8, salt: 0.03 }, { looseKgPerL: 0.6, yield: 0.83, pieceG: 150, bodyGPerKg: 8 }),
  row('swede', 'Swede', { water: 89.4, fat: 0.2, protein: 1.1, sugars: 4.5, starch: 1, salt: 0.03 }, { looseKgPerL: 0.6, yield: 0.85, pieceG: 700 }),
  row('turnip', 'Turnip', { water: 91.9, fat: 0.1, protein: 0.9, sugars: 3.8, starch: 0.6, salt: 0.17 }, { looseKgPerL: 0.6, yield: 0.79, pieceG: 150 }),
  row('beetroot', 'Beetroot', { water: 87.6, fat: 0.2, protein: 1.6, sugars: 6.8, starch: 0, salt: 0.2 }, { looseKgPerL: 0.62, yield: 0.77, pieceG: 150 }),
  row('garlic', 'Garlic', { water: 63, fat: 0.5, protein: 6.4, sugars: 1, starch: 18, salt: 0.04 }, { looseKgPerL: 0.6, yield: 0.87, pieceG: 5 }),
  row('tomato', 'Tomato, ripe', { water: 94.5, fat: 0.2, protein: 0.9, sugars: 2.6, salt: 0.01 }, { looseKgPerL: 0.65, yield: 0.91, pieceG: 110, bodyGPerKg: 6 }),
  row('tomato-tinned', 'Tomato, tinned whole', { water: 93.9, fat: 0.2, protein: 0.9, sugars: 2.5, salt: 0.3 }, { share: 'liquid', looseKgPerL: 1.02, bodyGPerKg: 8 }),
  row('tomato-paste', 'Tomato paste', { water: 73.5, fat: 0.5, protein: 4.3, sugars: 12.2, starch: 0.3, salt: 0.15 }, { share: 'liquid', densityKgPerL: 1.1, looseKgPerL: 1.1, bodyGPerKg: 120 }),
  row('red-pepper', 'Red pepper', { water: 92.2, fat: 0.3, protein: 1, sugars: 4.2, salt: 0.01 }, { looseKgPerL: 0.4, yield: 0.82, pieceG: 170 }),
  row('fennel', 'Fennel bulb', { water: 90.2, fat: 0.2, protein: 1.2, sugars: 3.9, salt: 0.13 }, { looseKgPerL: 0.42, yield: 0.72, pieceG: 300 }),
  row('cabbage', 'Cabbage, white', { water: 92.2, fat: 0.1, protein: 1.3, sugars: 3.2, salt: 0.05 }, { looseKgPerL: 0.3, yield: 0.8, pieceG: 1200 }),
  row('kale', 'Kale', { water: 89.6, fat: 1.5, protein: 2.9, sugars: 0.8, salt: 0.13 }, { looseKgPerL: 0.15, yield: 0.7 }),
  row('spinach', 'Spinach', { water: 91.4, fat: 0.4, protein: 2.9, sugars: 0.4, salt: 0.2 }, { looseKgPerL: 0.12, yield: 0.8 }),
  row('mushroom', 'Mushroom', { water: 92.4, fat: 0.3, protein: 3.1, sugars: 2, salt: 0.01 }, { looseKgPerL: 0.35, yield: 0.97, pieceG: 20 }),
  row('cauliflower', 'Cauliflower', { water: 92.1, fat: 0.3, protein: 1.9, sugars: 1.9, salt: 0.08 }, { looseKgPerL: 0.38, yield: 0.6, pieceG: 900 }),
  row('pumpkin', 'Pumpkin', { water: 91.6, fat: 0.1, protein: 1, sugars: 2.8, starch: 1.5, salt: 0 }, { looseKgPerL: 0.55, yield: 0.72, pieceG: 3000, bodyGPerKg: 4 }),
  row('sweetcorn', 'Sweetcorn kernels', { water: 76, fat: 1.4, protein: 3.3, sugars: 6.3, starch: 9, salt: 0.04 }, { densityKgPerL: 1.06, looseKgPerL: 0.68, bodyGPerKg: 4 }),
  row('peas', 'Green peas', { water: 78.9, fat: 0.4, protein: 5.4, sugars: 5.7, starch: 3.5, salt: 0.01 }, { looseKgPerL: 0.62 }),
  // pulses and grains
  row('red-lentil', 'Red lentils, dry', { water: 8.5, fat: 1.5, protein: 24.5, sugars: 2, starch: 47 }, { densityKgPerL: 1.35, looseKgPerL: 0.82, bodyGPerKg: 60, foams: true }),
  row('white-bean', 'White beans, dry', { water: 11.3, fat: 0.9, protein: 23.4, sugars: 2.1, starch: 40, salt: 0.04 }, { densityKgPerL: 1.35, looseKgPerL: 0.8, bodyGPerKg: 40, foams: true }),
  row('pearl-barley', 'Pearl barley', { water: 10.1, fat: 1.2, protein: 9.9, sugars: 0.8, starch: 61, salt: 0.02 }, { densityKgPerL: 1.35, looseKgPerL: 0.83, bodyGPerKg: 60, allergens: ['otherGluten'], foams: true }),
  row('rice', 'White rice', { water: 11.6, fat: 0.7, protein: 7.1, sugars: 0.1, starch: 78, salt: 0.01 }, { densityKgPerL: 1.4, looseKgPerL: 0.85, bodyGPerKg: 60, foams: true }),
  // thickeners
  row('flour', 'Plain flour', { water: 11.9, fat: 1, protein: 10.3, sugars: 0.3, starch: 73, salt: 0.01 }, { share: 'liquid', densityKgPerL: 1.45, looseKgPerL: 0.53, thickener: 'flour', allergens: ['wheat'], foams: true }),
  row('cornstarch', 'Cornstarch', { water: 8.3, fat: 0.1, protein: 0.3, starch: 91, salt: 0.02 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.54, thickener: 'cornstarch', foams: true }),
  row('arrowroot', 'Arrowroot', { water: 11.4, fat: 0.1, protein: 0.3, starch: 85 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.54, thickener: 'arrowroot', foams: true }),
  row('potato-starch', 'Potato starch', { water: 18, protein: 0.1, starch: 81 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.65, thickener: 'potatoStarch', foams: true }),
  row('rice-flour', 'Rice flour', { water: 11.9, fat: 1.4, protein: 6, sugars: 0.1, starch: 78 }, { share: 'liquid', densityKgPerL: 1.45, looseKgPerL: 0.66, thickener: 'riceFlour', foams: true }),
  row('tapioca', 'Tapioca starch', { water: 11, protein: 0.2, starch: 87 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.6, thickener: 'tapioca', foams: true }),
  // fats
  row('butter', 'Butter, unsalted', { water: 16, fat: 82, protein: 0.9, sugars: 0.1, salt: 0.03 }, { share: 'liquid', densityKgPerL: 0.91, allergens: ['milk'], diet: 'vegetarian' }),
  row('rapeseed-oil', 'Rapeseed oil', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.92 }),
  row('olive-oil', 'Olive oil', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.91 }),
  row('lard', 'Lard', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.92, diet: 'meat' }),
  row('bacon', 'Smoked bacon', { water: 44, fat: 37, protein: 13, sugars: 1, salt: 2.6 }, { densityKgPerL: 1.0, looseKgPerL: 0.6, yield: 0.95, diet: 'meat' }),
  // dairy and eggs
  row('milk', 'Whole milk', { water: 87.8, fat: 3.5, protein: 3.3, sugars: 4.7, salt: 0.1 }, { share: 'liquid', densityKgPerL: 1.03, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 2 }),
  row('cream', 'Cream, 36 % fat', { water: 58, fat: 36, protein: 2.1, sugars: 2.9, salt: 0.07 }, { share: 'liquid', densityKgPerL: 1.0, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 30 }),
  row('creme-fraiche', 'Soured cream, 30 % fat', { water: 63.5, fat: 30, protein: 2.4, sugars: 2.8, salt: 0.08 }, { share: 'liquid', densityKgPerL: 1.0, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 60 }),
  row('hard-cheese', 'Hard cheese, mature', { water: 36, fat: 34, protein: 25, sugars: 0.1, salt: 1.8 }, { share: 'liquid', densityKgPerL: 1.08, looseKgPerL: 0.45, yield: 0.97, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 80 }),
  row('egg-yolk', 'Egg yolk', { water: 52, fat: 27, protein: 16, sugars: 0.6, salt: 0.12 }, { share: 'liquid', densityKgPerL: 1.03, pieceG: 18, allergens: ['eggs'], diet: 'vegetarian', bodyGPerKg: 150 }),
  // fish and shellfish
  row('smoked-trout', 'Smoked trout, flaked', { water: 69, fat: 6.5, protein: 21.4, salt: 1.9 }, { densityKgPerL: 1.06, looseKgPerL: 0.65, yield: 0.92, allergens: ['fish'], diet: 'fish' }),
  row('white-fish', 'White fish fillet', { water: 81.2, fat: 0.7, protein: 17.5, salt: 0.15 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.95, allergens: ['fish'], diet: 'fish' }),
  row('prawn', 'Prawns, peeled', { water: 78.5, fat: 0.8, protein: 19, salt: 0.6 }, { densityKgPerL: 1.05, looseKgPerL: 0.65, allergens: ['crustaceans'], diet: 'fish' }),
  row('mussel', 'Mussel meat', { water: 80.6, fat: 2.2, protein: 11.9, sugars: 3.7, salt: 0.73 }, { densityKgPerL: 1.04, looseKgPerL: 0.65, yield: 0.27, allergens: ['molluscs'], diet: 'fish' }),
  // meat
  row('chicken', 'Chicken thigh, no skin', { water: 76, fat: 4.1, protein: 19, salt: 0.22 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, diet: 'meat' }),
  row('beef', 'Stewing beef', { water: 70, fat: 9, protein: 20.5, salt: 0.15 }, { densityKgPerL: 1.06, looseKgPerL: 0.75, yield: 0.9, diet: 'meat' }),
  row('venison', 'Venison shoulder', { water: 74, fat: 2.5, protein: 22.5, salt: 0.15 }, { densityKgPerL: 1.06, looseKgPerL: 0.75, yield: 0.88, diet: 'meat' }),
  row('mutton', 'Mutton shoulder', { water: 66, fat: 15, protein: 18, salt: 0.16 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.8, diet: 'meat' }),
  // liquids and stocks
  row('water', 'Water', { water: 100 }, { share: 'liquid', densityKgPerL: 0.998, source: 'definition' }),
  row('fish-fumet', 'Fish fumet', { water: 97.4, fat: 0.1, protein: 2, salt: 0.12 }, { share: 'liquid', densityKgPerL: 1.003, allergens: ['fish', 'celery'], diet: 'fish', source: `${TRADE}; solids from memory` }),
  row('chicken-stock', 'Chicken stock', { water: 96.5, fat: 0.4, protein: 2.5, salt: 0.1 }, { share: 'liquid', densityKgPerL: 1.004, allergens: ['celery'], diet: 'meat', source: `${TRADE}; solids from memory` }),
  row('vegetable-stock', 'Vegetable stock', { water: 98.6, fat: 0, protein: 0.3, sugars: 0.6, salt: 0.1 }, { share: 'liquid', densityKgPerL: 1.003, allergens: ['celery'], source: `${TRADE}; solids from memory` }),
  row('bouillon-powder', 'Bouillon powder', { water: 3, fat: 8, protein: 12, sugars: 15, starch: 8, salt: 48 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.8, allergens: ['celery'], source: `${TRADE}; read the label` }),
  // seasonings
  row('salt', 'Fine salt', { water: 0.2, salt: 99.8 }, { share: 'liquid', densityKgPerL: 2.16, looseKgPerL: 1.22, source: 'published: food-grade salt 97 to 99.9 % NaCl, Codex Stan 150' }),
  row('sugar', 'Sugar', { sugars: 100 }, { share: 'liquid', densityKgPerL: 1.59, looseKgPerL: 0.85 }),
  row('miso', 'Miso, red', { water: 43, fat: 6, protein: 12.8, sugars: 6.2, starch: 13, salt: 12.5 }, { share: 'liquid', densityKgPerL: 1.15, allergens: ['soybeans'], bodyGPerKg: 20 }),
  row('soy-sauce', 'Soy sauce', { water: 67, protein: 8, sugars: 1.5, salt: 14.5, alcohol: 1.5 }, { share: 'liquid', densityKgPerL: 1.17, allergens: ['soybeans', 'wheat'] }),
  row('lemon-juice', 'Lemon juice', { water: 92.3, fat: 0.2, protein: 0.4, sugars: 2.5 }, { share: 'liquid', densityKgPerL: 1.03 }),
  row('wine-vinegar', 'Wine vinegar', { water: 93.5, sugars: 0.3 }, { share: 'liquid', densityKgPerL: 1.01, allergens: ['sulphites'] }),
  row('red-wine', 'Red wine', { water: 86.5, protein: 0.1, sugars: 0.6, alcohol: 10.6 }, { share: 'liquid', densityKgPerL: 0.994, allergens: ['sulphites'] }),
  row('white-wine', 'White wine', { water: 87, protein: 0.1, sugars: 1, alcohol: 10.3 }, { share: 'liquid', densityKgPerL: 0.992, allergens: ['sulphites'] }),
  row('cider', 'Dry cider', { water: 92, sugars: 2.6, alcohol: 4 }, { share: 'liquid', densityKgPerL: 1.0, allergens: ['sulphites'] }),
  // herbs and spices
  row('bay-leaf', 'Bay leaf, fresh', { water: 55, fat: 4, protein: 4 }, { looseKgPerL: 0.1, pieceG: 0.5, source: `${TRADE}; composition from memory` }),
  row('thyme', 'Thyme, fresh', { water: 65.1, fat: 1.7, protein: 5.6, salt: 0.02 }, { looseKgPerL: 0.1, pieceG: 1 }),
  row('herb-bundle', 'Herb bundle, tied', { water: 75, fat: 1, protein: 3.5 }, { looseKgPerL: 0.2, pieceG: 25, source: `${TRADE}; composition from memory` }),
  row('parsley', 'Parsley', { water: 87.7, fat: 0.8, protein: 3, sugars: 0.9, salt: 0.14 }, { looseKgPerL: 0.15, yield: 0.65 }),
  row('chives', 'Chives', { water: 90.7, fat: 0.7, protein: 3.3, sugars: 1.9, salt: 0.01 }, { looseKgPerL: 0.25, yield: 0.95 }),
  row('dill', 'Dill', { water: 86, fat: 1.1, protein: 3.5, salt: 0.15 }, { looseKgPerL: 0.12, yield: 0.7 }),
  row('white-pepper', 'White pepper, ground', { water: 11.4, fat: 2.1, protein: 10.4, starch: 50, salt: 0.01 }, { share: 'liquid', densityKgPerL: 1.3, looseKgPerL: 0.5 }),
  row('juniper', 'Juniper berries', { water: 45, fat: 6, protein: 4, sugars: 20 }, { looseKgPerL: 0.5, pieceG: 0.12, source: `${TRADE}; composition from memory` }),
];

import type { Ingredient } from '../../ingredient';
import { row } from './row';

/** Fats, flours and starches. Sources: see `row`. */
export const FATS_AND_THICKENERS: readonly Ingredient[] = [
  row(
    'flour',
    'Plain flour',
    'thickener',
    { water: 11.9, fat: 1, protein: 10.3, sugars: 0.3, starch: 73, salt: 0.01 },
    { share: 'liquid', densityKgPerL: 1.45, looseKgPerL: 0.53, thickener: 'flour', allergens: ['wheat'], foams: true, aliases: ['plain flour', 'flour', 'all-purpose flour', 'white flour', 'wheat flour'] },
  ),
  row('cornstarch', 'Cornstarch', 'thickener', { water: 8.3, fat: 0.1, protein: 0.3, starch: 91, salt: 0.02 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.54, thickener: 'cornstarch', foams: true, aliases: ['cornflour', 'corn starch', 'corn flour'] }),
  row('arrowroot', 'Arrowroot', 'thickener', { water: 11.4, fat: 0.1, protein: 0.3, starch: 85 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.54, thickener: 'arrowroot', foams: true }),
  row('potato-starch', 'Potato starch', 'thickener', { water: 18, protein: 0.1, starch: 81 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.65, thickener: 'potatoStarch', foams: true, aliases: ['potato flour'] }),
  row('rice-flour', 'Rice flour', 'thickener', { water: 11.9, fat: 1.4, protein: 6, sugars: 0.1, starch: 78 }, { share: 'liquid', densityKgPerL: 1.45, looseKgPerL: 0.66, thickener: 'riceFlour', foams: true }),
  row('tapioca', 'Tapioca starch', 'thickener', { water: 11, protein: 0.2, starch: 87 }, { share: 'liquid', densityKgPerL: 1.5, looseKgPerL: 0.6, thickener: 'tapioca', foams: true, aliases: ['tapioca flour', 'cassava starch'] }),
  row('butter', 'Butter, unsalted', 'fat', { water: 16, fat: 82, protein: 0.9, sugars: 0.1, salt: 0.03 }, { share: 'liquid', densityKgPerL: 0.91, allergens: ['milk'], diet: 'vegetarian', measures: { stick: 113, knob: 15 }, looseKgPerL: 0.95, store: 'walk-in', aliases: ['butter', 'unsalted butter', 'sweet butter'] }),
  row('rapeseed-oil', 'Rapeseed oil', 'fat', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.92, aliases: ['oil', 'vegetable oil', 'cooking oil', 'neutral oil', 'canola oil', 'sunflower oil'] }),
  row('olive-oil', 'Olive oil', 'fat', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.91, aliases: ['extra virgin olive oil', 'extra-virgin olive oil'] }),
  row('lard', 'Lard', 'fat', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.92, diet: 'meat', aliases: ['pork fat'] }),
  row('salted-butter', 'Butter, salted', 'fat', { water: 16, fat: 80.5, protein: 0.9, sugars: 0.1, salt: 1.6 }, { share: 'liquid', densityKgPerL: 0.92, looseKgPerL: 0.95, allergens: ['milk'], diet: 'vegetarian', store: 'walk-in', measures: { stick: 113, knob: 15 }, aliases: ['salted butter'] }),
  row('ghee', 'Clarified butter', 'fat', { water: 0.2, fat: 99.5, protein: 0.3 }, { share: 'liquid', densityKgPerL: 0.91, looseKgPerL: 0.91, allergens: ['milk'], diet: 'vegetarian', aliases: ['ghee', 'clarified butter'] }),
  row('sesame-oil', 'Sesame oil, toasted', 'fat', { fat: 100 }, { share: 'liquid', densityKgPerL: 0.92, allergens: ['sesame'], strength: 'strong', aliases: ['sesame oil', 'toasted sesame oil'] }),
  row('duck-fat', 'Duck fat', 'fat', { water: 0.2, fat: 99.8 }, { share: 'liquid', densityKgPerL: 0.92, diet: 'meat', aliases: ['goose fat', 'duck fat'] }),
  row('dripping', 'Beef dripping', 'fat', { water: 0.5, fat: 99, protein: 0.5 }, { share: 'liquid', densityKgPerL: 0.92, diet: 'meat', aliases: ['dripping', 'beef fat', 'tallow'] }),
  row('chicken-fat', 'Chicken fat', 'fat', { water: 0.2, fat: 99.8 }, { share: 'liquid', densityKgPerL: 0.92, diet: 'meat', aliases: ['schmaltz', 'chicken fat'] }),
  row('wholemeal-flour', 'Wholemeal flour', 'thickener', { water: 10.7, fat: 2.5, protein: 13.2, sugars: 0.4, starch: 60, salt: 0.01 }, { share: 'liquid', densityKgPerL: 1.45, looseKgPerL: 0.51, thickener: 'wholemealFlour', allergens: ['wheat'], foams: true, aliases: ['wholemeal flour', 'whole wheat flour'] }),
  row('gelatine', 'Gelatine', 'thickener', { water: 11, protein: 86, salt: 0.5 }, { share: 'liquid', densityKgPerL: 1.35, looseKgPerL: 0.65, diet: 'meat', measures: { leaf: 2, sheet: 2 }, aliases: ['gelatine', 'gelatin', 'gelatine leaf'] }),
  row('bicarbonate', 'Bicarbonate of soda', 'seasoning', {}, { share: 'liquid', densityKgPerL: 2.2, looseKgPerL: 0.95, measures: { pinch: 0.4 }, aliases: ['bicarbonate of soda', 'baking soda', 'bicarb', 'bicarbonate'] }),
  row('baking-powder', 'Baking powder', 'seasoning', { water: 5, starch: 28 }, { share: 'liquid', densityKgPerL: 2, looseKgPerL: 0.85, measures: { pinch: 0.4 } }),
  row('sassafras', 'Sassafras leaf, ground', 'thickener', { water: 8, fat: 4, protein: 9, sugars: 2, starch: 10, salt: 0.05 }, { share: 'liquid', densityKgPerL: 1.3, looseKgPerL: 0.4, bodyGPerKg: 1500, strength: 'strong', aliases: ['ground sassafras', 'file powder', 'filé powder'] }),
];

import type { Ingredient } from '../../ingredient';
import { row } from './row';

/** Dairy, what stands in for it, and eggs. Sources: see `row`. */
export const DAIRY_AND_EGGS: readonly Ingredient[] = [
  row('milk', 'Whole milk', 'dairy', { water: 87.8, fat: 3.5, protein: 3.3, sugars: 4.7, salt: 0.1 }, { acidGPerKg: 1.5, share: 'liquid', densityKgPerL: 1.03, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 2, aliases: ['milk', 'full-fat milk', 'full fat milk', 'full cream milk'] }),
  row('cream', 'Cream, 36 % fat', 'dairy', { water: 58, fat: 36, protein: 2.1, sugars: 2.9, salt: 0.07 }, { acidGPerKg: 1.2, share: 'liquid', densityKgPerL: 1.0, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 30, aliases: ['cream', 'heavy cream', 'whipping cream', 'heavy whipping cream'] }),
  row('double-cream', 'Double cream, 48 % fat', 'dairy', { water: 47.4, fat: 48, protein: 1.6, sugars: 2.4, salt: 0.06 }, { acidGPerKg: 1, share: 'liquid', densityKgPerL: 0.98, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 60, aliases: ['double cream'], label: 'fat' }),
  row(
    'creme-fraiche',
    'Soured cream, 30 % fat',
    'dairy',
    { water: 63.5, fat: 30, protein: 2.4, sugars: 2.8, salt: 0.08 },
    { acidGPerKg: 7, share: 'liquid', densityKgPerL: 1.0, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 60, aliases: ['crème fraîche', 'creme fraiche', 'soured cream', 'sour cream'] },
  ),
  row(
    'hard-cheese',
    'Hard cheese, mature',
    'dairy',
    { water: 36, fat: 34, protein: 25, sugars: 0.1, salt: 1.8 },
    { share: 'liquid', densityKgPerL: 1.08, looseKgPerL: 0.45, yield: 0.97, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 80, aliases: ['hard cheese', 'mature hard cheese', 'cheddar', 'mature cheddar', 'cheese'], umami: { glutamate: 0.3 } },
  ),
  row('egg-yolk', 'Egg yolk', 'egg', { water: 52, fat: 27, protein: 16, sugars: 0.6, salt: 0.12 }, { share: 'liquid', densityKgPerL: 1.03, pieceG: 18, allergens: ['eggs'], diet: 'vegetarian', bodyGPerKg: 150, aliases: ['yolk'] }),
  row('skimmed-milk', 'Skimmed milk', 'dairy', { water: 90.8, fat: 0.1, protein: 3.4, sugars: 5, salt: 0.1 }, { share: 'liquid', densityKgPerL: 1.035, allergens: ['milk'], diet: 'vegetarian', foams: true, aliases: ['skimmed milk', 'skim milk', 'semi-skimmed milk', 'low-fat milk'] }),
  row('single-cream', 'Cream, 18 % fat', 'dairy', { water: 74, fat: 18, protein: 2.9, sugars: 4, salt: 0.09 }, { acidGPerKg: 1.3, share: 'liquid', densityKgPerL: 1.01, allergens: ['milk'], diet: 'vegetarian', foams: true, bodyGPerKg: 10, aliases: ['single cream', 'light cream', 'half and half', 'pouring cream'] }),
  row(
    'yoghurt',
    'Whole yoghurt',
    'dairy',
    { water: 87.9, fat: 3.3, protein: 3.5, sugars: 4.7, salt: 0.12 },
    { acidGPerKg: 8, heatHurts: 'curdles', share: 'liquid', densityKgPerL: 1.03, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 20, aliases: ['yogurt', 'plain yoghurt', 'natural yoghurt', 'whole-milk yoghurt'] },
  ),
  row('buttermilk', 'Buttermilk', 'dairy', { water: 89.5, fat: 1, protein: 3.3, sugars: 4.8, salt: 0.4 }, { acidGPerKg: 6, heatHurts: 'curdles', share: 'liquid', densityKgPerL: 1.03, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 5 }),
  row(
    'aged-cheese',
    'Aged grating cheese',
    'dairy',
    { water: 29, fat: 28, protein: 36, sugars: 0.8, salt: 1.6 },
    { share: 'liquid', densityKgPerL: 1.15, looseKgPerL: 0.4, yield: 0.95, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 80, measures: { handful: 20 }, aliases: ['parmesan', 'grating cheese', 'aged cheese', 'parmesan cheese'], umami: { glutamate: 1.2 } },
  ),
  row(
    'cheese-rind',
    'Rind of aged cheese',
    'dairy',
    { water: 25, fat: 25, protein: 40, sugars: 0.8, salt: 2.5 },
    { densityKgPerL: 1.15, looseKgPerL: 0.5, allergens: ['milk'], diet: 'vegetarian', pieceG: 60, measures: { piece: 60 }, out: 'rind', aliases: ['cheese rind', 'parmesan rind', 'parmesan-style cheese rind', 'rind of hard cheese'], umami: { glutamate: 1.2 } },
  ),
  row('blue-cheese', 'Blue cheese', 'dairy', { water: 42.4, fat: 28.7, protein: 21.4, sugars: 0.5, salt: 2.9 }, { share: 'liquid', densityKgPerL: 1.07, looseKgPerL: 0.5, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 60, umami: { glutamate: 0.6 } }),
  row('soft-cheese', 'Fresh soft cheese', 'dairy', { water: 55, fat: 34, protein: 6, sugars: 4, salt: 0.8 }, { share: 'liquid', densityKgPerL: 1.02, allergens: ['milk'], diet: 'vegetarian', bodyGPerKg: 100, aliases: ['cream cheese', 'soft cheese', 'mascarpone'] }),
  row('brined-cheese', 'Brined white cheese', 'dairy', { water: 55, fat: 21, protein: 14, sugars: 4, salt: 2.8 }, { densityKgPerL: 1.06, looseKgPerL: 0.55, allergens: ['milk'], diet: 'vegetarian', aliases: ['feta', 'brined cheese'] }),
  row('coconut-milk', 'Coconut milk, tinned', 'dairy', { water: 73, fat: 21, protein: 2, sugars: 3, salt: 0.04 }, { share: 'liquid', densityKgPerL: 0.98, foams: true, bodyGPerKg: 15, measures: { tin: 400, can: 400 }, store: 'dry store', aliases: ['coconut milk', 'tinned coconut milk', 'coconut cream'] }),
  row('oat-drink', 'Oat drink', 'dairy', { water: 90, fat: 1.5, protein: 1, sugars: 4, starch: 1.5, salt: 0.1 }, { share: 'liquid', densityKgPerL: 1.03, allergens: ['otherGluten'], foams: true, bodyGPerKg: 4, aliases: ['oat milk', 'oat drink'] }),
  row('egg', 'Egg', 'egg', { water: 76, fat: 9.5, protein: 12.6, sugars: 0.4, salt: 0.36 }, { share: 'liquid', densityKgPerL: 1.03, pieceG: 57, yield: 0.88, allergens: ['eggs'], diet: 'vegetarian', bodyGPerKg: 80, aliases: ['egg', 'whole egg', 'hen egg', 'free-range egg'] }),
  row('egg-white', 'Egg white', 'egg', { water: 87.6, fat: 0.2, protein: 10.9, sugars: 0.7, salt: 0.42 }, { share: 'liquid', densityKgPerL: 1.04, pieceG: 33, allergens: ['eggs'], diet: 'vegetarian', aliases: ['egg white'] }),
];

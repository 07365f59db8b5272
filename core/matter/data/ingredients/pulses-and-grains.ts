import type { Ingredient } from '../../ingredient';
import { row } from './row';

/** Pulses, grains, pasta and bread. Sources: see `row`. */
export const PULSES_AND_GRAINS: readonly Ingredient[] = [
  row('red-lentil', 'Red lentils, dry', 'pulse', { water: 8.5, fat: 1.5, protein: 24.5, sugars: 2, starch: 47 }, { densityKgPerL: 1.35, looseKgPerL: 0.82, bodyGPerKg: 60, foams: true, softenMin: 18, rinse: 'until the water runs clear', drinks: 2.2, aliases: ['red lentil', 'split red lentil', 'masoor dal'] }),
  row(
    'white-bean',
    'White beans, dry',
    'pulse',
    { water: 11.3, fat: 0.9, protein: 23.4, sugars: 2.1, starch: 40, salt: 0.04 },
    { densityKgPerL: 1.35, looseKgPerL: 0.8, bodyGPerKg: 40, foams: true, softenMin: 70, soakH: 10, drinks: 1.2, aliases: ['dried white bean', 'dried haricot bean', 'dried cannellini bean', 'white bean', 'haricot bean', 'butter bean'] },
  ),
  row('pearl-barley', 'Pearl barley', 'grain', { water: 10.1, fat: 1.2, protein: 9.9, sugars: 0.8, starch: 61, salt: 0.02 }, { densityKgPerL: 1.35, looseKgPerL: 0.83, bodyGPerKg: 60, allergens: ['otherGluten'], foams: true, softenMin: 35, rinse: 'once', drinks: 2.5, aliases: ['pearl barley', 'barley'] }),
  row(
    'rice',
    'White rice',
    'grain',
    { water: 11.6, fat: 0.7, protein: 7.1, sugars: 0.1, starch: 78, salt: 0.01 },
    { densityKgPerL: 1.4, looseKgPerL: 0.85, bodyGPerKg: 60, foams: true, softenMin: 14, rinse: 'until the water runs clear', drinks: 1.8, aliases: ['white rice', 'long-grain rice', 'basmati rice', 'rice', 'round rice'] },
  ),
  row('green-lentil', 'Green lentils, dry', 'pulse', { water: 8.3, fat: 1.1, protein: 24.6, sugars: 2, starch: 45, salt: 0.01 }, { densityKgPerL: 1.35, looseKgPerL: 0.82, bodyGPerKg: 20, foams: true, softenMin: 25, rinse: 'once', drinks: 1.4, aliases: ['green lentil', 'brown lentil', 'puy lentil', 'lentil'] }),
  row(
    'split-pea',
    'Split peas, dry',
    'pulse',
    { water: 8.6, fat: 1.2, protein: 24, sugars: 8, starch: 45, salt: 0.04 },
    { densityKgPerL: 1.35, looseKgPerL: 0.82, bodyGPerKg: 60, foams: true, softenMin: 50, rinse: 'until the water runs clear', drinks: 1.8, aliases: ['split pea', 'yellow split pea', 'green split pea'] },
  ),
  row('chickpea', 'Chickpeas, dry', 'pulse', { water: 7.7, fat: 6, protein: 20.5, sugars: 10.7, starch: 40, salt: 0.06 }, { densityKgPerL: 1.35, looseKgPerL: 0.8, bodyGPerKg: 20, foams: true, softenMin: 75, soakH: 10, drinks: 1.1, aliases: ['dried chickpea', 'chickpea', 'garbanzo bean'] }),
  row('chickpea-tinned', 'Chickpeas, tinned', 'pulse', { water: 69, fat: 2.6, protein: 7.1, sugars: 4, starch: 13, salt: 0.6 }, { looseKgPerL: 0.68, yield: 0.6, bodyGPerKg: 10, measures: { tin: 400, can: 400, jar: 570 }, aliases: ['tinned chickpea', 'canned chickpea', 'tin chickpea'] }),
  row(
    'white-bean-tinned',
    'White beans, tinned',
    'pulse',
    { water: 70, fat: 0.4, protein: 7, sugars: 0.5, starch: 14, salt: 0.6 },
    { looseKgPerL: 0.68, yield: 0.6, bodyGPerKg: 12, measures: { tin: 400, can: 400, jar: 570 }, aliases: ['tinned white bean', 'canned white bean', 'tinned haricot bean', 'tinned cannellini bean', 'canned cannellini bean', 'cannellini bean', 'tinned butter bean'] },
  ),
  row(
    'kidney-bean',
    'Red kidney beans, dry',
    'pulse',
    { water: 11.8, fat: 0.8, protein: 23.6, sugars: 2.2, starch: 37, salt: 0.03 },
    { densityKgPerL: 1.35, looseKgPerL: 0.8, bodyGPerKg: 25, foams: true, softenMin: 70, soakH: 10, drinks: 1.2, aliases: ['kidney bean', 'red kidney bean', 'dried kidney bean'], caution: 'Boil hard for 10 min before any slow simmer: raw kidney beans are poisonous.' },
  ),
  row('black-bean', 'Black beans, dry', 'pulse', { water: 11, fat: 1.4, protein: 21.6, sugars: 2.1, starch: 40, salt: 0.01 }, { densityKgPerL: 1.35, looseKgPerL: 0.8, bodyGPerKg: 25, foams: true, softenMin: 70, soakH: 10, drinks: 1.2, colour: 'lends black', aliases: ['black bean', 'dried black bean'] }),
  row('bulgur', 'Bulgur', 'grain', { water: 9, fat: 1.3, protein: 12.3, sugars: 0.4, starch: 62, salt: 0.04 }, { densityKgPerL: 1.35, looseKgPerL: 0.75, bodyGPerKg: 30, softenMin: 12, drinks: 1.8, allergens: ['wheat'], aliases: ['bulgur wheat', 'cracked wheat'] }),
  row('quinoa', 'Quinoa', 'grain', { water: 13.3, fat: 6.1, protein: 14.1, sugars: 2, starch: 52, salt: 0.01 }, { densityKgPerL: 1.3, looseKgPerL: 0.72, bodyGPerKg: 15, softenMin: 13, rinse: 'until it no longer froths', drinks: 1.7 }),
  row('oats', 'Rolled oats', 'grain', { water: 10.8, fat: 6.5, protein: 13.2, sugars: 1, starch: 57, salt: 0.01 }, { densityKgPerL: 1.3, looseKgPerL: 0.38, bodyGPerKg: 90, softenMin: 5, drinks: 2.5, allergens: ['otherGluten'], aliases: ['oat', 'rolled oat', 'oatmeal', 'porridge oat', 'pinhead oatmeal'] }),
  row('pasta', 'Small pasta, dry', 'grain', { water: 9.9, fat: 1.5, protein: 13, sugars: 2.7, starch: 70, salt: 0.02 }, { densityKgPerL: 1.4, looseKgPerL: 0.5, bodyGPerKg: 30, softenMin: 9, drinks: 1.2, allergens: ['wheat'], aliases: ['pasta', 'small pasta', 'soup pasta', 'macaroni', 'ditalini', 'orzo'] }),
  row('egg-noodle', 'Egg noodles, dry', 'grain', { water: 9, fat: 4.4, protein: 14.2, sugars: 1.9, starch: 65, salt: 0.05 }, { densityKgPerL: 1.35, looseKgPerL: 0.35, bodyGPerKg: 20, softenMin: 5, drinks: 1.3, allergens: ['wheat', 'eggs'], diet: 'vegetarian', aliases: ['egg noodle', 'noodle'] }),
  row('rice-noodle', 'Rice noodles, dry', 'grain', { water: 11.9, fat: 0.6, protein: 6, sugars: 0.1, starch: 78, salt: 0.4 }, { densityKgPerL: 1.35, looseKgPerL: 0.35, bodyGPerKg: 10, softenMin: 4, drinks: 1.3, aliases: ['rice noodle', 'rice vermicelli'] }),
  row(
    'bread',
    'White bread',
    'grain',
    { water: 36, fat: 3.2, protein: 9, sugars: 5, starch: 43, salt: 1.1 },
    { densityKgPerL: 0.9, looseKgPerL: 0.22, bodyGPerKg: 100, pieceG: 800, measures: { slice: 40, loaf: 800 }, allergens: ['wheat'], store: 'dry store', aliases: ['bread', 'stale bread', 'white bread', 'day-old bread'] },
  ),
  row('rye-bread', 'Rye bread', 'grain', { water: 37, fat: 3.3, protein: 8.5, sugars: 3.9, starch: 42, salt: 1.3 }, { densityKgPerL: 0.95, looseKgPerL: 0.3, bodyGPerKg: 90, measures: { slice: 45 }, allergens: ['otherGluten', 'wheat'], aliases: ['rye bread'] }),
  row('breadcrumbs', 'Dry breadcrumbs', 'grain', { water: 6.5, fat: 5.3, protein: 13.4, sugars: 6.2, starch: 61, salt: 1.8 }, { densityKgPerL: 1.2, looseKgPerL: 0.42, bodyGPerKg: 150, allergens: ['wheat'], measures: { handful: 20 }, aliases: ['breadcrumb', 'dried breadcrumb'] }),
  row('semolina', 'Semolina', 'grain', { water: 12.7, fat: 1.1, protein: 12.7, sugars: 0.3, starch: 69 }, { densityKgPerL: 1.4, looseKgPerL: 0.7, bodyGPerKg: 500, softenMin: 6, allergens: ['wheat'] }),
];

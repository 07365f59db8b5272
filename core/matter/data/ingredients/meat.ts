import type { Ingredient } from '../../ingredient';
import { row } from './row';

/** Meat, poultry and bones. Sources: see `row`. */
export const MEAT: readonly Ingredient[] = [
  row(
    'bacon',
    'Smoked bacon',
    'meat',
    { water: 44, fat: 37, protein: 13, sugars: 1, salt: 2.6 },
    { densityKgPerL: 1.0, looseKgPerL: 0.6, yield: 0.95, diet: 'meat', measures: { rasher: 30, slice: 30, strip: 30 }, aliases: ['bacon', 'streaky bacon', 'smoked streaky bacon', 'back bacon', 'lardon', 'bacon lardon', 'pancetta'], umami: { glutamate: 0.1, imp: 0.03 } },
  ),
  row(
    'chicken',
    'Chicken thigh, no skin',
    'poultry',
    { water: 76, fat: 4.1, protein: 19, salt: 0.22 },
    { densityKgPerL: 1.05, looseKgPerL: 0.75, diet: 'meat', softenMin: 18, checks: ['splinters'], aliases: ['chicken', 'chicken thigh', 'boneless chicken thigh', 'skinless chicken thigh', 'chicken leg meat'], umami: { glutamate: 0.02, imp: 0.2 } },
  ),
  row('beef', 'Stewing beef', 'meat', { water: 70, fat: 9, protein: 20.5, salt: 0.15 }, { densityKgPerL: 1.06, looseKgPerL: 0.75, yield: 0.9, diet: 'meat', softenMin: 75, aliases: ['beef', 'braising beef', 'chuck', 'beef chuck', 'beef shin', 'stewing steak', 'braising steak'], umami: { glutamate: 0.01, imp: 0.09 } }),
  row('venison', 'Venison shoulder', 'meat', { water: 74, fat: 2.5, protein: 22.5, salt: 0.15 }, { densityKgPerL: 1.06, looseKgPerL: 0.75, yield: 0.88, diet: 'meat', softenMin: 85, checks: ['splinters'], aliases: ['venison', 'diced venison', 'stewing venison', 'venison neck'], umami: { glutamate: 0.01, imp: 0.09 } }),
  row(
    'mutton',
    'Mutton shoulder',
    'meat',
    { water: 66, fat: 15, protein: 18, salt: 0.16 },
    { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.8, diet: 'meat', softenMin: 80, checks: ['splinters'], aliases: ['mutton', 'mutton neck', 'lamb', 'lamb shoulder', 'lamb neck', 'diced lamb', 'stewing lamb'], umami: { glutamate: 0.01, imp: 0.09 } },
  ),
  row('chicken-breast', 'Chicken breast, no skin', 'poultry', { water: 74.5, fat: 2.6, protein: 22.5, salt: 0.11 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, diet: 'meat', softenMin: 8, pieceG: 180, aliases: ['chicken breast', 'chicken breast fillet'], umami: { glutamate: 0.02, imp: 0.2 } }),
  row('chicken-whole', 'Whole chicken', 'poultry', { water: 66, fat: 15, protein: 18.6, salt: 0.18 }, { densityKgPerL: 1.03, looseKgPerL: 0.7, yield: 0.48, diet: 'meat', softenMin: 32, pieceG: 1600, checks: ['splinters'], aliases: ['whole chicken', 'boiling fowl'], umami: { imp: 0.2 } }),
  row(
    'chicken-bones',
    'Chicken bones',
    'poultry',
    { water: 62, fat: 14, protein: 17, salt: 0.2 },
    { densityKgPerL: 1.1, looseKgPerL: 0.45, diet: 'meat', checks: ['splinters'], out: 'bones', pieceG: 100, aliases: ['chicken bone', 'chicken carcass', 'chicken wing', 'raw chicken bone', 'carcass'], umami: { glutamate: 0.02, imp: 0.025 } },
  ),
  row('turkey', 'Turkey, dark meat', 'poultry', { water: 74.5, fat: 4.4, protein: 20, salt: 0.2 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, diet: 'meat', softenMin: 25, checks: ['splinters'], aliases: ['turkey', 'turkey thigh'] }),
  row('duck', 'Duck leg meat', 'poultry', { water: 73, fat: 6, protein: 19, salt: 0.19 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.6, diet: 'meat', softenMin: 45, pieceG: 220, checks: ['splinters'], aliases: ['duck', 'duck leg'] }),
  row('beef-mince', 'Minced beef, 15 % fat', 'meat', { water: 66, fat: 15, protein: 18.6, salt: 0.17 }, { densityKgPerL: 1.04, looseKgPerL: 0.85, diet: 'meat', softenMin: 30, aliases: ['minced beef', 'ground beef', 'beef mince', 'mince'], umami: { imp: 0.08 } }),
  row('pork-mince', 'Minced pork', 'meat', { water: 61, fat: 21, protein: 17, salt: 0.14 }, { densityKgPerL: 1.03, looseKgPerL: 0.85, diet: 'meat', softenMin: 28, aliases: ['minced pork', 'ground pork'] }),
  row('beef-bones', 'Beef bones', 'meat', { water: 50, fat: 20, protein: 18, salt: 0.2 }, { densityKgPerL: 1.3, looseKgPerL: 0.55, diet: 'meat', checks: ['splinters'], out: 'bones', pieceG: 300, aliases: ['beef bone', 'marrow bone', 'veal bone', 'shin bone'], umami: { glutamate: 0.02, imp: 0.025 } }),
  row('oxtail', 'Oxtail', 'meat', { water: 68, fat: 11, protein: 20, salt: 0.18 }, { densityKgPerL: 1.1, looseKgPerL: 0.6, yield: 0.5, diet: 'meat', softenMin: 110, checks: ['splinters'] }),
  row('pork-shoulder', 'Pork shoulder', 'meat', { water: 67, fat: 14, protein: 18, salt: 0.16 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.85, diet: 'meat', softenMin: 65, aliases: ['pork shoulder', 'diced pork', 'pork', 'stewing pork'], umami: { imp: 0.13 } }),
  row('pork-belly', 'Pork belly', 'meat', { water: 37, fat: 53, protein: 9.3, salt: 0.08 }, { densityKgPerL: 0.98, looseKgPerL: 0.7, yield: 0.9, diet: 'meat', softenMin: 60 }),
  row('ham-hock', 'Ham hock, cured', 'meat', { water: 62, fat: 14, protein: 19, salt: 3.2 }, { densityKgPerL: 1.06, looseKgPerL: 0.6, yield: 0.55, diet: 'meat', softenMin: 85, pieceG: 1000, checks: ['splinters'], aliases: ['ham hock', 'gammon hock', 'gammon', 'ham'], umami: { glutamate: 0.2, imp: 0.05 } }),
  row('smoked-sausage', 'Smoked sausage', 'meat', { water: 53.4, fat: 27, protein: 14, sugars: 1, starch: 2, salt: 2.3 }, { densityKgPerL: 1.02, looseKgPerL: 0.65, diet: 'meat', pieceG: 120, softenMin: 5, aliases: ['smoked sausage', 'smoked pork sausage'], umami: { glutamate: 0.1 } }),
  row('cured-sausage', 'Cured paprika sausage', 'meat', { water: 34, fat: 38, protein: 22, sugars: 1, salt: 3 }, { densityKgPerL: 1, looseKgPerL: 0.65, diet: 'meat', softenMin: 5, colour: 'lends red', aliases: ['chorizo', 'paprika sausage', 'cured sausage', 'cooking chorizo'], umami: { glutamate: 0.15 } }),
  row('rabbit', 'Rabbit, jointed', 'meat', { water: 73, fat: 5.6, protein: 20, salt: 0.1 }, { densityKgPerL: 1.05, looseKgPerL: 0.65, yield: 0.62, diet: 'meat', softenMin: 45, checks: ['splinters'], pieceG: 1300 }),
  row('pheasant', 'Pheasant', 'poultry', { water: 73, fat: 3.6, protein: 23, salt: 0.1 }, { densityKgPerL: 1.05, looseKgPerL: 0.65, yield: 0.55, diet: 'meat', softenMin: 36, pieceG: 900, checks: ['splinters'] }),
  row('lamb-bones', 'Lamb and mutton bones', 'meat', { water: 52, fat: 22, protein: 17, salt: 0.2 }, { densityKgPerL: 1.3, looseKgPerL: 0.55, diet: 'meat', checks: ['splinters'], out: 'bones', pieceG: 250, aliases: ['lamb bone', 'mutton bone'], umami: { glutamate: 0.02, imp: 0.08 } }),
  row('venison-bones', 'Venison bones', 'meat', { water: 52, fat: 14, protein: 20, salt: 0.2 }, { densityKgPerL: 1.3, looseKgPerL: 0.55, diet: 'meat', checks: ['splinters'], out: 'bones', pieceG: 250, aliases: ['venison bone', 'game bone'], umami: { glutamate: 0.02, imp: 0.025 } }),
  row('suet', 'Beef suet, shredded', 'fat', { water: 4, fat: 94, protein: 1.5, salt: 0.02 }, { share: 'pieces', densityKgPerL: 0.92, looseKgPerL: 0.5, diet: 'meat', aliases: ['suet', 'shredded suet', 'beef suet'] }),
];

import type { BookTaken, FieldDifference } from '../../../contract';
import { ALLERGENS, type Allergen } from '../../../core/matter';
import { weight } from '../amounts';
import { plural } from './plural';

/** Fields of a food that a file may change, as a cook calls them. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  allergens: 'Allergens',
  diet: 'Diet',
  kind: 'Kind',
  wholeInPot: 'Goes in with its bones',
  grainVaries: 'A spoon of it weighs by its grain',
  checks: 'Looked for before serving',
  caution: 'Caution',
  isReady: 'Safe as it comes',
  hides: 'What it hides',
  share: 'Weight going in',
  label: 'Its label',
  guessedFrom: 'Guessed from',
  name: 'Name',
  perKg: 'What it is made of',
  densityKgPerL: 'Its density',
  looseKgPerL: 'What a cup of it weighs',
  yield: 'Left after trim',
  pieceG: 'One of it',
  measures: 'Its measures',
  aliases: 'Other names',
  store: 'Stored in',
  umami: 'Umami',
  gelatin: 'Gelatin',
  softenMin: 'Softens in',
  source: 'Source',
  bodyGPerKg: 'Thickens like flour, g a kg',
  drinks: 'Drinks while it cooks',
  foams: 'Foams',
  soakH: 'Soaked, hours',
  rinse: 'Rinsed',
  thickener: 'Thickener',
  gives: 'What water draws out of it',
  strength: 'Strength',
  out: 'Comes out as',
  colour: 'Colour',
};

/** One field of a food before and after. */
export function foodChangeWords({ field, before, after }: FieldDifference): string {
  const words = field === 'allergens' ? allergenWords : said;
  return `${FIELD_WORDS[field] ?? field}: ${words(before)} → ${words(after)}`;
}

/** Allergens by their ids as they are called. */
const allergenWords = (ids: string): string =>
  said(
    ids
      .split(', ')
      .map((id) => ALLERGENS[id as Allergen]?.name ?? id)
      .join(', '),
  );

const said = (text: string) => (text === '' ? 'none' : text);

/** Parts of a recipe that a file may change. */
const RECIPE_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  litres: 'what it makes',
  portionMl: 'bowl',
  bowl: 'bowl',
  targetBand: 'thickness',
  targetSaltPercent: 'salt',
  stages: 'stages',
  lines: 'amounts',
  written: 'lines',
  claims: 'the menu claim',
  note: 'note',
};

export function recipeFieldsWords(fields: readonly string[]): string {
  return [...new Set(fields.map((field) => RECIPE_WORDS[field] ?? field))].join(', ');
}

/** What came of taking a book in. */
export function bookTakenWords({ added, newVersions, same, foods }: BookTaken): string {
  const parts = [
    added.length > 0 ? `${added.length} new` : '',
    newVersions.length > 0 ? `${newVersions.length} as new versions` : '',
    same.length > 0 ? `${same.length} the same already` : '',
    foods.length > 0 ? `${foods.length === 1 ? '1 food' : `${foods.length} foods`} taken over` : '',
  ].filter(Boolean);
  return `${parts.join(', ')}.`;
}

/** What comes out again is counted while it is little, and weighed from here on: bones. */
const WEIGHED_FROM_KG = 1;

/** What comes out again by the piece, the rest by weight: nine bay leaves are no 4.3 g. */
export function countedOrWeighed(kg: number, comesOut: { eachG: number | undefined } | null): string {
  if (!comesOut?.eachG || kg >= WEIGHED_FROM_KG) return weight(kg);
  return pieces(Math.max(1, Math.round((kg * 1000) / comesOut.eachG)));
}

export const pieces = (count: number): string => `${count} ${plural(count, 'pc', 'pcs')}`;

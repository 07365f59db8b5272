import { sentenceCase } from '../../../contract';
import type { BatchHolds, MoreThanOrdered } from '../../../core/batch';
import { ALLERGENS, type Allergen, type Brings, type Diet, type Holds } from '../../../core/matter';
import type { HoldsMove } from '../../../core/recipe';

/** What a guest is told of a dish, a pot or a lot, the same on every screen and label. */

const DIET: Readonly<Record<Diet, string>> = {
  vegan: 'nothing of any animal',
  vegetarian: 'no meat, no fish',
  fish: 'fish, no meat',
  meat: 'meat',
};

/** What a food of a diet brings to a dish that does without it. */
const BROUGHT: Readonly<Record<Diet, string>> = {
  vegan: '',
  vegetarian: 'food of an animal',
  fish: 'fish',
  meat: 'meat',
};

const list = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');

export const allergenNames = (allergens: readonly Allergen[]): string =>
  allergens.map((one) => ALLERGENS[one].name).join(', ');

/** “Contains milk, celery” or that there is none of the fourteen. */
export function containsWords({ allergens }: Pick<Holds, 'allergens'>): string {
  return allergens.length > 0 ? `Contains ${allergenNames(allergens)}` : 'None of the fourteen allergens';
}

export const dietWords = (diet: Diet): string => DIET[diet];

/** What it brings: “fish, sulphites”, “meat”. */
export function bringsWords({ allergens, diet }: Brings): string {
  const names: string[] = allergens.map((one) => ALLERGENS[one].name);
  const eaten = diet && !allergens.some((one) => isSaidBy(one, diet)) ? [BROUGHT[diet]] : [];
  return list([...names, ...eaten]);
}

/** Fish that is named is not named once more for those who eat none. */
const isSaidBy = (allergen: Allergen, diet: Diet): boolean =>
  diet === 'fish'
    ? ['fish', 'crustaceans', 'molluscs'].includes(allergen)
    : diet === 'vegetarian' && ['milk', 'eggs'].includes(allergen);

/** “Fish came in with stock with fumet, lot 32” */
export function broughtWords({ name, lotNumber, brings }: MoreThanOrdered): string {
  const from = lotNumber === null ? name.toLowerCase() : `${name.toLowerCase()}, lot ${lotNumber}`;
  return `${sentenceCase(bringsWords(brings))} came in with ${from}.`;
}

/** All that was not ordered and is in it, and the claims it breaks; empty where nothing is to be said. */
export function notAsOrdered({ more, brokenClaims }: BatchHolds): string[] {
  return [...more.map(broughtWords), ...brokenClaims.map((claim) => `Not ${claim}: take it off the menu.`)];
}

/** The same in a few words for the range: “now with fish, not vegan”; empty where it is as ordered. */
export function newInIt({ more, brokenClaims }: BatchHolds): string {
  const brought = [...new Set(more.map(({ brings }) => bringsWords(brings)))];
  const parts = [
    ...(brought.length > 0 ? [`now with ${list(brought)}`] : []),
    ...brokenClaims.map((claim) => `not ${claim}`),
  ];
  return parts.join(', ');
}

/** What would be said of a dish that is not said now: “no longer milk; now celery; vegetarian, was meat”. */
export function holdsMoveWords({ loses, gains, diet }: HoldsMove): string {
  const parts = [
    loses.length > 0 ? `no longer ${allergenNames(loses)}` : '',
    gains.length > 0 ? `now ${allergenNames(gains)}` : '',
    diet ? `${DIET[diet.after]}; it was ${DIET[diet.before]}` : '',
  ].filter(Boolean);
  return parts.join('; ');
}

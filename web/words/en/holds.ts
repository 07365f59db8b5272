import { sentenceCase } from '../../../contract';
import type { BatchHolds, MoreThanOrdered } from '../../../core/batch';
import { ALLERGENS, type Allergen, type Brings, type Diet, type Holds } from '../../../core/matter';
import type { Advisory, Bringer, BrokenClaim, HoldsMove } from '../../../core/recipe';
import { temperature } from '../amounts';
import { inMeasures } from '../in-measures';

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

/** Where an allergen comes from, through every sub-recipe: “stock ← anchovies (in the sauce)”. */
export const bringerWords = ({ path, hides }: Bringer): string =>
  `${path.join(' ← ')}${hides ? ` (${hides})` : ''}`;

/** What breaks a menu claim. */
export const brokenClaimWords = ({ claim, from }: BrokenClaim): string =>
  `The menu claim is ${claim}, and it contains ${from.map(bringerWords).join('; ')}.`;

/** What to look for, keep cold or say on the menu. */
export function advisoryWords(advisory: Advisory): string {
  switch (advisory.kind) {
    case 'pinBones':
      return `Run a finger over every fillet for pin bones (${advisory.from.join(', ')}).`;
    case 'shell':
      return `Look for bits of shell; throw away what stays shut (${advisory.from.join(', ')}).`;
    case 'splinters':
      return `Look for splinters of bone; strain where it was chopped (${advisory.from.join(', ')}).`;
    case 'caution':
      return inMeasures(advisory.text);
    case 'rawEgg':
      return `Raw egg (${advisory.from.join(', ')}): keep it at ${temperature(5)} or below, use it today, say so on the menu.`;
    case 'rawFish':
      return `Raw fish or shellfish (${advisory.from.join(', ')}): say so on the menu. Only fish that was frozen against parasites.`;
    case 'rawMeat':
      return `Raw meat (${advisory.from.join(', ')}): say so on the menu, or cook it through.`;
    case 'garlicOil':
      return `${advisory.name}: garlic or herbs in oil. At ${temperature(5)} or below, ${advisory.hours} h at the most, never on the shelf.`;
    case 'shortLife':
      return `${advisory.name} keeps ${advisory.hours} h: ${inMeasures(advisory.advisory)}`;
  }
}

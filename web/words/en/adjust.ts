import type { AdjustHow, AdjustWarning } from '../../../core/adjust';
import { ALLERGENS } from '../../../core/matter';
import { bandName } from '../../../core/thickness';
import { dose, litres, strength, temperature } from '../amounts';

/** What Adjust says. */
export const adjustWords = {
  nothingInThePotYet: 'Nothing in the pot yet',
  saltAndThicknessAreWorked: 'Salt and thickness are worked out here once something is in it.',
  salt: 'Salt',
  inTheLiquidNow: 'In the liquid now',
  inTheWholePotOnce: 'In the whole pot, once even',
  atTheEndIfNone: 'At the end, if none is added',
  wantedAtTheEnd: 'Wanted at the end',
  thickness: 'Thickness',
  now: 'now',
  atTheEnd: 'at the end',
  wanted: 'wanted',
  nowItWithGOf: (
    verb: string,
    flourEquivalentGPerL: number,
    bandAtEnd: string,
    targetBand: number,
    comingWords: string,
  ) =>
    `Now it ${verb}${flourEquivalentGPerL < 1 ? '' : `, with ${strength(flourEquivalentGPerL)} of flour or the like in its liquid`}. At the end it will be band ${bandAtEnd}; wanted is ${targetBand}. ${comingWords}`,
  itWillBeThereNothing: 'It will be there. Nothing to do; press another band to see what it would take.',
  waysToTheThicknessWanted: 'Ways to the thickness wanted',
  aWayThereAndWhat: 'A way there, and what it does',
  amount: 'Amount',
  readyIn: 'Ready in',
  bowls: 'Bowls',
  costs: 'Costs',
  twoThirdsFirstLetIt: 'Two thirds first, let it cook out, test again. Too thick can only be thinned.',
  addNoSaltItWill: (weight: string) =>
    `Add no salt: it will be too salty. ${weight} of unsalted liquid would bring it back, and thin it.`,
  g: (grams: number) => `${dose(grams)}`,
  toAddInAllLast: (twoThirds: number) =>
    ` to add in all, last. First ${dose(twoThirds)}, stir, a clean spoon, taste.`,
  saltPutIn: 'Salt put in',
  itIsIn: 'It is in',
  nothing: 'nothing',
  itIsIn2: (title: string) => `${title}: it is in`,
  isThinAsWater: 'is thin as water',
  hasALittleBody: 'has a little body',
  stillToComeTheyAre: (left: string) => `Still to come: ${left}; they are counted in.`,
};

/** What speaks against a way of adjusting a pot. */
export function adjustWarningWords(warning: AdjustWarning): string {
  switch (warning.code) {
    case 'addsAllergen':
      return `brings ${ALLERGENS[warning.name].name}, which is not in it.`;
    case 'breaksDiet':
      return `with ${warning.name.toLowerCase()} it is no longer ${warning.diet}.`;
    case 'noRoom':
      return `does not fit: ${litres(warning.litres)} in a pot that brims at ${litres(warning.brimLitres)}.`;
    case 'notOver':
      return `no hotter than ${temperature(warning.topC)} from then on, or it scrambles.`;
    case 'fallsShort':
      return `it only comes to “${bandName(warning.band)}”.`;
  }
}

const STARCHES = {
  cornstarch: 'Cornstarch, slaked',
  arrowroot: 'Arrowroot, slaked',
  potatoStarch: 'Potato starch, slaked',
  riceFlour: 'Rice flour, slaked',
  flour: 'Flour, slaked',
} as const;

/** A way of adjusting a pot: its name, and how it is done. */
export function adjustHowWords(how: AdjustHow): { title: string; how: string } {
  switch (how.code) {
    case 'kneadedButter':
      return {
        title: 'Kneaded butter',
        how: 'Soft butter and flour in equal weights, whisked in by the lump.',
      };
    case 'roux':
      return how.colour === 'rouxBlond'
        ? {
            title: 'Blond roux',
            how: 'Cooked apart and cooled: cold roux into the hot soup, whisked smooth.',
          }
        : { title: 'Brown roux', how: 'Cooked brown and cooled. It colours, and thickens less than blond.' };
    case 'slurry':
      return {
        title: STARCHES[how.starch],
        how:
          how.starch === 'flour'
            ? 'In twice its weight of cold water, sieved in; it must boil the raw taste out.'
            : 'In twice its weight of cold water, poured in a thread while you stir.',
      };
    case 'potato':
      return { title: 'Potato, grated in', how: 'Raw and fine, simmered until it is gone.' };
    case 'bread':
      return { title: 'Bread', how: 'Without crust, soaked in a ladle of the soup and beaten in.' };
    case 'beans':
      return { title: 'White beans, mashed', how: 'Out of a tin, drained, mashed with a ladle of the soup.' };
    case 'liaison':
      return {
        title: 'Yolks and cream',
        how: 'Beaten, a ladle of hot soup into them first, then all back in.',
      };
    case 'cream':
      return { title: 'Double cream', how: 'Warmed and stirred in; it rounds more than it thickens.' };
    case 'puree':
      return {
        title: 'Blend some of it',
        how: `${Math.round(100 * how.share)} % of the pieces: about ${litres(how.litres)}, ${how.fills === 1 ? 'one jar' : `${how.fills} jars`}. Fill a hot jar a third.`,
      };
    case 'reduce':
      return {
        title: 'Reduce, lid off',
        how: 'Nothing goes in, and the salt climbs. Stir along the bottom.',
      };
    case 'loosen':
      return { title: `Loosen with ${how.name.toLowerCase()}`, how: loosenWords(how.kind) };
  }
}

function loosenWords(kind: string): string {
  if (kind === 'water') return 'Hot, a ladle at a time: cheapest, and it thins the taste most.';
  if (kind === 'dairy') return 'Warmed, a ladle at a time; it stays under a simmer.';
  return 'Hot, a ladle at a time, stirring; taste for salt again.';
}

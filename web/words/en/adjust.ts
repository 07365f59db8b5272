import type { AdjustHow, AdjustWarning } from '../../../core/adjust';
import { ALLERGENS } from '../../../core/matter';
import { bandName } from '../../../core/thickness';
import { depth, dose, litres, percent, strength, temperature } from '../amounts';

/** What Adjust says. */
export const adjustWords = {
  nothingInThePotYet: 'Nothing in the pot yet',
  saltAndThicknessAreWorked: 'Salt and thickness are worked out here once something is in it.',
  taste: 'Taste',
  howDoesItTaste: 'How does it taste?',
  sayWhatTheSpoonSays: 'A clean spoon, at serving warmth. Press what it says; the dose comes here.',
  notSaid: '',
  itIsFlat: 'It is flat',
  notFlatAfterAll: 'Not flat after all',
  theDose: 'The dose',
  aDoseThenASpoon: (nth: number, hour: string) =>
    `${nth === 1 ? 'First dose' : `Dose ${nth}`}, then a clean spoon at ${hour}`,
  nothingToAdd: 'Nothing to add.',
  saveTheVerdict: 'Save the verdict',
  theseAreIn: 'These are in',
  otherAmounts: 'Other amounts',
  forScale: (scale: string) => `For ${scale}`,
  moves: (name: string, from: string, to: string) => `${name} ${from} → ${to}`,
  gPerL: (value: number) => strength(value, 1),
  sugars: 'sugars',
  fat: 'fat',
  savouryBy: (share: number) => `savoury +${share} %`,
  inAllWanted: (grams: string) => `${grams} in all to the salt wanted`,
  gasAndSalt: (litres: string, salt: string) =>
    `fizzes ${litres} L of gas, leaves as much sodium as ${salt} of salt`,
  bowlsThen: (bowls: number) => `${bowls} bowls then`,
  lastTasted: (hour: string, doses: readonly string[]) =>
    doses.length === 0
      ? `Tasted at ${hour}. Press what the spoon says now.`
      : `Tasted at ${hour}, then ${doses.join(', ')} went in. A clean spoon: what does it say now?`,
  saltCalculated: 'Salt, calculated',
  saltByMeter: 'Salt by a meter',
  save: 'Save',
  pictures: 'Pictures',
  takeAPicture: 'Take a picture',
  sameLight: 'A white spoon or bowl in the picture, in the same light as last time.',
  thisPot: (hour: string) => `This pot, ${hour}`,
  theLastOne: (when: string) => `The last one, ${when}`,
  meters: 'Meters',
  acidByMeter: 'pH',
  brixByMeter: 'Dissolved, by a refractometer',
  saveMeter: (label: string) => `Save: ${label}`,
  readTwiceItIsSo: 'Read twice: it is so',
  meterTaken: (value: string, expected: string) =>
    `Last ${value}, where ${expected} was calculated: both count.`,
  whoTastes: 'Who tastes (a second cook tastes blind)',
  twoTasted: (first: string, second: string) =>
    `${first} and ${second} tasted it, one not knowing of the other.`,
  ofOneMind: 'They say the same.',
  theyDiffer: (scale: string, first: string, one: string, second: string, other: string) =>
    `${scale}: ${first} “${one}”, ${second} “${other}”.`,
  aSampleDiluted: 'Of the strained liquid. Diluted ten times for the meter, type ten times what it shows.',
  meterFarOff: (read: string, expected: string) =>
    `The meter said ${read}, ${expected} was expected: not used. Rinse it, and measure again.`,
  wantedIs: (band: string) => `Wanted: ${band}`,
  testIt: 'Test the thickness',
  testedWith: 'Tested with',
  whatTheSpoonShows: 'Dip a cold spoon, lift it, draw a finger across its back.',
  howItLeavesTheLadle: 'Held high over the pot, how does it fall?',
  takenAsHotAsThePot: (tempC: number) => `Taken as hot as the pot, ${temperature(tempC)}.`,
  leftInTheSyringe: 'Left in the syringe',
  itsRadius: 'Its radius',
  itsWarmth: 'Its warmth',
  howToFlow: 'Ten millilitres in a syringe, let run for ten seconds: what is left?',
  howToSpread: 'Fifty millilitres on a flat plate: from the middle to the edge after half a minute.',
  notTestedYet: 'Calculated; not tested yet',
  testedAt: (hour: string, tempC: number, words: string) => `Tested ${hour}, ${temperature(tempC)}: ${words}`,
  testNotBelieved: (hour: string, words: string) =>
    `Tested ${hour}: ${words}. Too far off to be used: test again.`,
  flourLike: (gPerL: string, bands: string) =>
    `${gPerL} of flour or the like, give or take ${bands} of a band.`,
  wasCalculated: (gPerL: string) => `Calculated: ${gPerL}.`,
  stillSwelling: (hour: string) => `What went in still swells: judge it at ${hour}.`,
  tooCoolToSwell: (least: string) =>
    `What went in does not swell under ${least}: bring the pot up, then judge it.`,
  potatoTakes: (share: number) =>
    `boiled in it and eaten. Lifted out again it takes ${share} % of the salt, as so much soup would`,
  atTheEndItIs: (band: string, coming: string) =>
    coming === '' ? `At the end: ${band}.` : `At the end, with ${coming} in: ${band}.`,
  colderItIs: (table: string, tomorrow: string) =>
    table === tomorrow
      ? `In the bowl and tomorrow: ${table}.`
      : `In the bowl: ${table}; tomorrow, cold: ${tomorrow}.`,
  partIsIn: (inKg: string, when: string, rest: string | null) =>
    `${inKg} is in. ${when}${rest === null ? '.' : `; the rest would be ${rest}.`}`,
  testNow: 'Test it now',
  testAt: (hour: string) => `Test at ${hour}`,
  testOnceHot: (least: string) => `Test it once the pot has been over ${least}`,
  twoThirdsIn: 'Two thirds in',
  first: 'first',
  blendedNow: 'It is blended',
  itIsBlended: (title: string) => `${title}: it is blended`,
  judgeAt: 'judge at',
  ownTaste: 'of its own taste',
  orBlendWith: 'Or blend it with a lot',
  pourALot: (litres: string, name: string, lot: number, salt: string) =>
    `${litres} of ${name}, lot ${lot}: ${salt} salt.`,
  allThatIsLeft: 'It is all there is.',
  itDoesNotFit: 'It does not fit.',
  offTheShelf: 'off the shelf',
  kgOfLot: (weight: string, lot: number) => `${weight} of lot ${lot}`,
  tooLateFor: (hour: string) => `too late for ${hour}.`,
  salt: 'Salt',
  inTheLiquidNow: 'In the liquid now',
  inTheWholePotOnce: 'In the whole pot, once even',
  ofOurSalt: (spoons: string) => `${spoons} of our salt, level`,
  twoThirdsOfOurSalt: (spoons: string) => `That is ${spoons} of our salt, level.`,
  inTheBowlWithGarnish: 'In the bowl, with its garnish',
  atTheEndIfNone: 'At the end, if none is added',
  wantedAtTheEnd: 'Wanted at the end',
  thickness: 'Thickness',
  itWillBeThereNothing: 'It will be there. Nothing to do; press another band to see what it would take.',
  waysToTheThicknessWanted: 'Ways to the thickness wanted',
  amount: 'amount',
  bowls: 'bowls',
  costs: 'costs',
  twoThirdsFirstLetIt: 'Two thirds first, let it cook out, test again. Too thick can only be thinned.',
  addNoSaltItWill: (weight: string) =>
    `Add no salt: it will be too salty. ${weight} of unsalted liquid would bring it back, and thin it.`,
  g: (grams: number) => `${dose(grams)}`,
  toAddInAllLast: (twoThirds: number) =>
    ` to add in all, last. First ${dose(twoThirds)}, stir, a clean spoon, taste.`,
  saltPutIn: 'Salt put in',
  itIsIn: 'It is in',
  itIsIn2: (title: string) => `${title}: it is in`,
};

const QUARTERS = ['', '¼', '½', '¾'] as const;

/** Level spoons to the nearest quarter: three teaspoons are a tablespoon. */
export function saltSpoons(teaspoons: number): string {
  const quarters = Math.round(teaspoons * 4);
  if (quarters < 1) return 'less than ¼ tsp';
  const tablespoons = quarters >= 12 ? Math.floor(quarters / 12) : 0;
  const rest = quarters - 12 * tablespoons;
  const whole = Math.floor(rest / 4);
  const tsp = `${whole > 0 ? whole : ''}${QUARTERS[rest % 4]}`;
  return [tablespoons > 0 ? `${tablespoons} tbsp` : '', tsp ? `${tsp} tsp` : ''].filter(Boolean).join(' ');
}

/** What speaks against a way of adjusting a pot. */
export function adjustWarningWords(warning: AdjustWarning): string {
  switch (warning.code) {
    case 'addsAllergen':
      return `brings ${ALLERGENS[warning.name].name}, which is not in it.`;
    case 'breaksDiet':
      return `with ${warning.name.toLowerCase()} it is no longer ${warning.diet}.`;
    case 'noRoom':
      return `does not fit: ${litres(warning.litres)} in a pot that brims at ${litres(warning.brimLitres)}.`;
    case 'stillSalty':
      return `still ${percent(warning.percent)} salt then: not enough by itself.`;
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
    case 'reduceApart':
      return {
        title: 'Boil part of it down beside it',
        how: `${litres(how.litres)} of the liquid to half in a pan of ${depth(how.panCm)}${how.pans > 1 ? `, ${how.pans} pans of it` : ''}, then back in.`,
      };
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

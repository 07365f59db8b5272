import type { KitchenView } from '../../../contract';
import { bowlsFor, ladling, underRimMl } from '../../../core/portions';
import { depth, portion, temperature, weight } from '../amounts';

/** What the pass says. */
export const passWords = {
  aStillWalkIn: 'a still walk-in',
  itWasReheatedWhatIs: 'It was reheated: what is left is thrown away, not stored again.',
  forTheLarder: 'For the larder',
  stored: (litres: string, place: string) => `${litres} stored, ${place}: `,
  lotItsLabel: (number: number) => `lot ${number}, its label`,
  itsLot: 'its lot',
  storeSome: 'Store some…',
  calculatedBrix: (brix: string) => `Calculated: ${brix} °Brix, `,
  timesTheUsualSaltIt: (percent: string, isGelatin: boolean) =>
    ` times the usual; ${percent} salt; ${isGelatin ? 'it will set' : 'it will not set'} in the cold.`,
  whatIsStored: 'What is stored',
  thePlace: 'The place',
  storedForTheLarder: 'Stored for the larder',
  orSayWhyItStays: 'Or say why it stays in',
  amountAsItIsCold: 'Amount, as it is cold',
  whereItIsKept: 'Where it is kept',
  storeIt: 'Store it',
  toCWithinHTo: (
    hotHoldingC: number,
    value: number,
    coolFirstWithinH: number,
    value2: number,
    coolWithinH: number,
  ) =>
    `${hotHoldingC} to ${temperature(value)} within ${coolFirstWithinH} h, to ${temperature(value2)} within ${coolWithinH} h in all, by the thermometer.`,
  cmDeepTakesH: (depthCm: number, hours: string) => `${depth(depthCm)} deep takes ${hours} h`,
  inForTheFirstStep: (n: string, pans: string) =>
    `In ${n} ${pans} for the first step. Deeper wants ice or stirring.`,
  serviceIn: (span: string) => `service in ${span}`,
  servingFor: (span: string) => `serving for ${span}`,
  willItLast: 'Will it last?',
  stillToCome: (mean: number, sd: number) => `Still to be asked for: about ${mean}, give or take ${sd}.`,
  itLasts: (chance: number) => `It lasts: ${chance} chances in 100 that it runs out.`,
  runsOutAt: (when: string, from: string, to: string | null) =>
    to === null
      ? `It may run out at ${when}, from ${from} on, or not at all.`
      : `It runs out at ${when}, between ${from} and ${to}.`,
  mayRunOutFrom: (from: string) => `It may run out, from ${from} on.`,
  chancesInAHundred: (chance: number) => `${chance} chances in 100 that it runs out before the end.`,
  ladleSmaller: (ml: string, bowls: number) => `Bowls of ${ml} from now: it makes ${bowls} of them.`,
  diluteSome: (litres: string, percent: number, salt: string) =>
    `${litres} more of hot stock or milk: ${percent} % thinner, salt ${salt}. Taste it.`,
  nextPotBy: (when: string, minutes: string) => `Another pot takes ${minutes}: light it by ${when}.`,
  offTheBoard: (when: string) => `Or take it off the board at ${when}.`,
  fromCovers: (bowls: number, minutes: string) =>
    `From ${bowls} ordered over ${minutes}, and from what has gone so far.`,
  bowlsInThePot: 'bowls in the pot',
  served: 'served',
  discarded: 'discarded',
  ordered: 'ordered',
  volume: 'volume',
  wantedIn: (span: string) => `wanted in ${span}`,
  wantedAgo: (span: string) => `wanted ${span} ago`,
  inThePot: 'in the pot',
  stored2: 'stored',
  planned: 'planned',
  steamedOff: 'steamed off',
  kg: (evaporatedKg: number) => `${weight(evaporatedKg)}`,
  bowls: (left: number) => `, ${left} bowls`,
  inSection: (thePot: string, litres: string, n: string) => `${thePot} in section: ${litres}${n}.`,
  bowls2: 'Bowls',
  out: (n: number) => `${n} out`,
  orAnotherNumber: 'Or another number',
  served2: 'Served',
  discarded2: 'Discarded',
  beforeTheFirstBowl: 'Before the first bowl',
  allOfItIsOut: 'All of it is out.',
  serve: 'Serve ',
  orSayWhyItIs: 'Or say why it is served with them in it',
  serveAllTheSame: 'Serve all the same',
  whatIsLeft: 'What is left',
  closeTheBatch: 'Close the batch…',
  closeTheBatch2: 'Close the batch',
  bowlsServedDiscardedCalculatedAre: (served: number, discarded: number, litres: string) =>
    `${served} bowls served, ${discarded} discarded. Calculated: ${litres} are left: check, and enter the real figure.`,
  leftInThePot: 'Left in the pot',
  theFloorOfThePot: 'The floor of the pot',
  floors: { unseen: 'Not looked at', clean: 'Came clean', caught: 'It caught' },
  closeIt: 'Close it',
  whatIsKeptIsCooled: (
    hotHoldingC: number,
    value: number,
    coolFirstWithinH: number,
    value2: number,
    coolWithinH: number,
  ) =>
    `cool what is kept: ${hotHoldingC} to ${temperature(value)} within ${coolFirstWithinH} h, ${temperature(value2)} within ${coolWithinH} h in all. Use shallow pans or ice, never the pot.`,
};

/** What is said at the pass. */

/** How a portion is ladled; null for a kitchen that has not said what its ladles hold. */
export function ladleWords(portionMl: number, { ladles }: Pick<KitchenView, 'ladles'>) {
  const way = ladling(portionMl, ladles);
  if (!way) return null;
  const wanted = portion(portionMl);
  const comes = portion(way.ml);
  const half = way.fills % 1 === 0.5;
  const fills = `${Math.floor(way.fills) || ''}${half ? '½' : ''}`;
  const name = way.ladle.name.toLowerCase();
  return `${fills} × the ${name}${comes === wanted ? '' : `: ${comes}`}, for ${wanted}.`;
}

/** Which bowl takes a portion, or that none does; null for a kitchen without bowls. */
export function bowlWords(portionMl: number, { bowls }: Pick<KitchenView, 'bowls'>) {
  const largest = [...bowls].sort((a, b) => underRimMl(b) - underRimMl(a))[0];
  if (!largest) return null;
  const [fits] = bowlsFor(portionMl, bowls);
  if (fits) return `It goes into the ${fits.name.toLowerCase()}.`;
  const takes = portion(underRimMl(largest));
  return `No bowl takes ${portion(portionMl)}: the ${largest.name.toLowerCase()} takes ${takes}.`;
}

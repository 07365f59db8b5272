import type { KitchenView } from '../../../contract';
import { bowlsFor, ladling, underRimMl } from '../../../core/portions';
import type { Moments } from '../../../core/service';
import { hourMinute, portion, temperature, weight } from '../amounts';

/** What the pass says. */
export const passWords = {
  coolItNow: 'Cool it now.',
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
  fromCovers: (bowls: number, minutes: string, services: number) =>
    `From ${bowls} ordered over ${minutes}${services > 0 ? `, ${services} services before` : ''}, and from what has gone so far.`,
  useIt: 'Use it',
  toAdjust: 'To Adjust',
  planIt: 'Plan it',
  servedOf: (served: number, covers: number, size: string) => `${served} of ${covers} served, ${size} each`,
  keptUntil: (hour: string) => `kept for ${hour}`,
  outOf: (n: number, name: string) => `${n} out: ${name}`,
  somethingElse: 'Another number, or something else…',
  somethingElseTitle: 'Portions',
  ofWhat: 'Of what',
  whatBecameOfThem: 'What became of them',
  fates: { served: 'served', discarded: 'discarded' },
  hadBeenServed: 'They were counted as served before',
  howMany: 'How many',
  saveThem: 'Save',
  lastOut: 'The last that went out',
  oneNeverLeft: 'One less',
  oneNeverLeftOf: (n: number, name: string) => `One less of ${n} ${name}`,
  undo: 'Undo',
  undoOut: (n: number, name: string) => `Undo ${n} ${name}`,
  covers: 'Covers',
  expectedNow: (covers: number, name: string) => `${covers} ${name} are expected in all.`,
  expectedInAll: 'Expected in all',
  turnedAway: 'Turned away',
  whyTurnedAway: 'Guests who asked when there was none left: it teaches the next forecast.',
  turnedAwaySoFar: (n: number) => `${n} so far. More can be added.`,
  guestsTurnedAway: 'Guests turned away',
  notFromThisPot: (what: string) => `Not from this pot: ${what} in it.`,
  serveFrom: (name: string) => `Serve from ${name}`,
  askTheGuest: 'No other pot serves them: ask the guest.',
  ownLadle: 'A ladle, a board and a cloth of their own.',
  drawOffFirst: 'Draw off first',
  partsTitle: 'Drawn off',
  drawOff: 'Draw some off…',
  drawItOff: 'Draw it off',
  drawOffTitle: 'Draw some off into another pot',
  partIs: (name: string, litres: string, hour: string) => `${name}: ${litres} at ${hour}`,
  cameFrom: (name: string) => `Drawn off from ${name}`,
  parentTrouble: (name: string, what: string, hour: string) =>
    `${name} went wrong at ${hour}: ${what}. Taste this too.`,
  itBecomes: 'What it is called',
  howMuchIsDrawn: 'How much',
  intoPot: 'Into',
  onBurner: 'On',
  forWhom: 'For',
  forNobody: 'nobody in particular',
  doesNotGoIn: 'Does not go in here',
  thenWhat: 'Then',
  finishWords: {
    goOn: 'as the recipe goes on',
    reduce: 'reduced in a pan',
    fish: 'fish poached in it',
    shellfish: 'shellfish opened in it',
    spirit: 'spirit, off the heat',
  },
  whichFood: 'Which',
  gramsEach: 'A portion of it',
  howThick: 'How thick the fish is',
  noPotIsFree: 'No pot or burner is free: put one away first.',
  withoutName: (name: string, what: string) => `${name} without ${what}`,
  partName: (name: string) => `${name}, a part`,
  lastMoment: (litres: string, who: string, stage: string, what: string) =>
    `Draw off ${litres} for ${who} before “${stage}”: ${what} goes in then.`,
  orders: 'Orders',
  newOrder: 'New order…',
  newOrderTitle: 'An order',
  orderWords: 'Whose it is',
  addOrder: 'Save the order',
  changeOrder: 'Change…',
  takeOffOrder: 'Delete it',
  serveOrder: 'Serve it',
  orderFor: (words: string) => `Serve it: ${words}`,
  waitingSince: (minutes: string) => `waits ${minutes}`,
  ordersDone: (n: number) => `${n} done`,
  without: (what: string) => `without ${what}`,
  fromTill: 'from the till',
  fromFile: 'from a file',
  tillRuns: 'Orders come in by themselves.',
  startTill: 'Start the simulated till',
  stopTill: 'Stop the simulated till',
  readOrders: 'Orders from a file…',
  garnish: 'Garnish',
  garnishRow: (each: string, ready: string) => `${each} on one; ready: ${ready}`,
  nothingReady: 'none said to be ready',
  garnishLasts: (bowls: number, toCome: number) => `enough for ${bowls}, about ${toCome} to come`,
  garnishShort: (more: string) => `Make ${more} more, or put less on each.`,
  garnishReady: (name: string) => `${name} ready now`,
  saveReady: 'Ready',
  grill: 'Under the grill',
  grillPlan: (loads: number, perLoad: number, minutes: string, first: string, last: string) =>
    `${loads} loads of ${perLoad}, ${minutes} each: the first in at ${first}, the last out at ${last}.`,
  grillOven: (names: string) => `Only bowls that stand the heat: ${names}.`,
  grillNoBowl: 'No bowl of this kitchen is said to stand the heat. Set it in Kitchen.',
  grillUnset: 'Set in Kitchen how many bowls go under the grill at once, and for how long.',
  grillHot: 'Bowls and handles come out hot: cloth and board.',
  grillIn: (n: number) => `Put ${n} in`,
  grillOutAt: (n: number, hour: string) => `${n} bowls: out at ${hour}`,
  grillOutNow: (n: number) => `${n} bowls: out now`,
  lookFor: (what: string) => `Before it goes out, look for ${what}.`,
  checkWords: { pinBones: 'pin bones', shell: 'shell', splinters: 'bone splinters' },
  costOfService: 'What it cost',
  costRow: (name: string, served: number, cost: string, each: string) =>
    `${served} ${name}: ${cost}, ${each} each`,
  wasteRow: (litres: string, cost: string) => `Given to nobody: ${litres}, ${cost}`,
  ladleGives: (ml: string, meant: string, services: number) =>
    `Your ladles give ${ml} where ${meant} is meant (${services} services measured).`,
  moreWait: (n: number) => `${n} more wait behind them.`,
  ordersFromFile: 'Orders from a file',
  andMore: (n: number) => `and ${n} more`,
  takeThemIn: (n: number) => `Import ${n} orders`,
  mayNotEat: 'May not eat',
  nothingAskedFor: 'Type how many of something.',
  howMuchIsReady: 'What is ready',
  beyond: (hour: string, what: string, why: string) => `${hour}, ${what}: ${why}.`,
  keptLater: 'spoken for',
  whoLadled: 'Who ladled',
  severalOfUs: 'several of us',
  iMeasured: 'This was measured, with a stick or a jug',
  leftOf: (word: string) => `${word} left`,
  expected: 'expected',
  served: 'served',
  discarded: 'discarded',
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
  served2: 'Served',
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

/** When a pot runs out, as far as it does. */
export function runsOutWords({ p10Ms, p50Ms, p90Ms }: Moments, zone: string): string {
  const at = (ms: number) => hourMinute(ms, zone);
  if (p10Ms === null) return '';
  if (p50Ms === null) return passWords.mayRunOutFrom(at(p10Ms));
  return passWords.runsOutAt(at(p50Ms), at(p10Ms), p90Ms === null ? null : at(p90Ms));
}

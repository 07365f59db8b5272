import { type ItemKind, type ItemOf, type KitchenView, sentenceCase } from '../../../contract';
import { boilingPointC } from '../../../core/heat';
import { litresAtDepth, type ShapeFit, type Vessel } from '../../../core/vessel';
import { depth, dose, altitude as height, litres, portion, temperature, weight } from '../amounts';
import { plural } from './plural';

/** Colours that people are marked by. */
export const MARK_WORDS: Readonly<Record<ItemOf<'person'>['mark'], string>> = {
  clay: 'clay',
  mustard: 'mustard',
  leek: 'leek',
  slate: 'slate',
  plum: 'plum',
  rust: 'rust',
  sand: 'sand',
  ink: 'ink',
};

/** What the kitchen’s pages say. */
export const kitchenWords = {
  cooks: 'cooks',
  helps: 'helps',
  floods: 'floods',
  sending: 'sending',
  quiet: 'quiet',
  trays: 'trays',
  pans: 'pans',
  bowls: 'bowls',
  place: 'Place',
  pots: 'Pots',
  heat: 'Heat',
  service: 'Service',
  coldAndIce: 'Cold and ice',
  tools: 'Tools',
  people: 'People',
  limits: 'Limits',
  withReasons: 'with reasons',
  asTheCode: 'as the code',
  firstRecipes: 'First recipes',
  whenAPotCallsOn: 'When a pot calls, on this device',
  withSound: 'with sound',
  onScreenOnly: 'on screen only',
  noticesComeWhenThisPage: 'Notices come when this page is hidden.',
  theBrowserAllowsNoNotices: 'The browser allows no notices here. The call shows on the page and sounds.',
  alsoShowNotices: 'Also show notices',
  clock: 'Clock',
  realTime: (dayAndHour: string) => `Real time: ${dayAndHour}.`,
  theDemosOwnClock: 'The demo’s own clock',
  itOpensOnAWorking: (dayAndHour: string) =>
    `${dayAndHour}. It opens on a working morning, so that there is a service ahead.`,
  howFastItRuns: 'How fast it runs',
  onToTheNextMorning: 'On to the next morning',
  switchToRealTime: 'Switch to real time',
  worksWell: 'works well',
  driftsAway: 'drifts away',
  dropsOut: 'drops out',
  standsStill: 'stands still',
  sendsNonsense: 'sends nonsense',
  nothingYet: 'nothing yet',
  cannotBeRight: 'cannot be right',
  tooMuchOfIt: 'too much of it',
  aClosedBatch: 'a closed batch',
  probesAndScales: 'Probes and scales',
  removeThe: (name: string) => `Remove the ${name}`,
  remove: 'Remove',
  aSimulatedDeviceNeedsA: 'A simulated device needs a pot that is on. No pot is on.',
  simulatedDevice: 'Simulated device',
  probeInThePot: 'probe in the pot',
  scaleUnderIt: 'scale under it',
  at: 'At',
  which: 'Which',
  addIt: 'Add it',
  aRealDeviceSendsJson:
    'A real device sends JSON lines over HTTP, as docs/devices.md says. Every few minutes one of its values becomes a reading.',
  kg: (value: number) => `${weight(value)}`,
  generalBases: 'General bases',
  dishesOfAnInventedKitchen: 'Dishes of an invented kitchen, as examples',
  nothingIsInTheBook: 'Nothing is in the book yet.',
  recipeIsInTheBook: (count: number) => `${count} ${plural(count, 'recipe is', 'recipes are')} in the book.`,
  typeOneFromPaper: 'Type one from paper',
  importAFile: 'Import a file',
  inTheBook: (name: string, isSo: boolean) => `${name}${isSo ? ' (in the book)' : ''}`,
  addToTheBook: (count: number) => `Add ${count} to the book`,
  moveUp: (name: string) => `Move ${name} up`,
  up: 'Up',
  edit: (name: string) => `Edit ${name}`,
  edit2: 'Edit',
  retire: (name: string) => `Retire ${name}`,
  retire2: 'Retire',
  retired: 'Retired: ',
  bringBack: (name: string) => `Bring back ${name}`,
  retire3: (name: string) => `Retire ${name}?`,
  noNewPlanUsesIt: 'No new plan uses it. The log keeps every batch that was cooked with it.',
  calibration: 'Calibration',
  nothingYetEachClosedBatch: 'Nothing yet: each closed batch adds what its pot showed at a steady heat.',
  hasDriftedAtItGives: (name: string, heatWords: string, drifted: number, isDrifted: boolean) =>
    `${name} has drifted: at ${heatWords} it gives ${drifted} % ${isDrifted ? 'less' : 'more'} than it did. Look at its jets, or at its tap.`,
  burnerPot: 'Burner, pot',
  settingLid: 'Setting, lid',
  seen: 'Seen',
  heatDeliveredOfRated: 'Heat delivered, % of rated',
  times: (segments: number) => (segments === 1 ? 'once' : `${segments} times`),
  yourEye: (leans: number, isEarly: boolean, sd: number) =>
    `By rehearsals your eye takes ${leans} % too ${isEarly ? 'much' : 'little'} for gone, give or take ${sd}.`,
  surfacesFloorsDishes: 'Surfaces, floors, dishes',
  potOrDish: 'Pot, or dish',
  pot: 'Pot',
  whatWasSeen: 'What was seen',
  besideTheUsual: 'Beside the usual',
  steamsOffLid: (lid: string) => `what steams off, lid ${lid}`,
  floorUnder: (dish: string) => `heat its floor bears under ${dish}`,
  theLadles: 'The ladles',
  whatTheyGive: 'what leaves the pot for a portion, over what is meant',
  howFastItCools: 'how fast it cools what stands in it',
  howItThickens: 'how it thickens',
  oneHundredIsTheUsual:
    '100 % is the usual. Under it, less steams off, the floor catches sooner, the dish ends thinner.',
  theBestKnownFirstA:
    'The best known first. A setting is a share of full. What is not here yet is estimated from the burner as a whole.',
  shelfLifeInDaysDay: 'Shelf life in days (day made = 1)',
  coldDeliveriesAtMost: 'Cold deliveries, at most',
  shellfishTagsAreKept: 'Shellfish tags are kept',
  hotHoldingAtLeast: 'Hot holding, at least',
  reheatingAtLeastTo: 'Reheating, at least to',
  reheatingWithin: 'Reheating, within',
  coolingToWithin: (toC: number) => `Cooling to ${temperature(toC)}, within`,
  theyBeginAsTheFda:
    'They begin as the FDA Food Code 2022 has them. Your local code and the person in charge decide.',
  giveTheReasonBelow: ': give the reason below.',
  laxerThan: (value: number, section: string, n: string) => `Laxer than ${value} (§ ${section})${n}`,
  thisIsLaxerThanThe: 'this is laxer than the code. The person in charge answers for it.',
  theReason: 'The reason',
  personInCharge: 'Person in charge',
  theDatesOfLotOn: (count: number) =>
    `The dates of ${count} ${plural(count, 'lot', 'lots')} on the shelf follow. Labels already printed do not.`,
  saveTheLimits: 'Save the limits',
  savedEveryDateOnThe: 'Saved. Every date on the shelf follows.',
  moveThisKitchen: 'Move this kitchen',
  oneFileWithItsPlace:
    'One file with its place, pots, heat, services, people and limits. The log stays here.',
  exportTheKitchen: 'Export the kitchen',
  importAKitchen: 'Import a kitchen',
  aKitchen: 'A kitchen',
  whatHasTheSameId: (name: string, countsOf: string) =>
    `${name}: ${countsOf}. What has the same id here is replaced, the rest is added.`,
  batchesThatAreCookingKeep: 'Batches that are cooking keep what they began with.',
  importIt: 'Import it',
  theKitchensName: 'The kitchen’s name',
  theKitchenAir: 'The kitchen air',
  nameOfTheKitchen: 'Name of the kitchen',
  altitude: 'Altitude',
  onePlannedOrderIs: 'One planned order is',
  plannedOrdersAre: (count: number) => `${count} planned orders are`,
  workedOutAnewPotsAlready: (n: string) =>
    `${n} worked out anew. Pots already cooking keep the altitude they began with.`,
  weighIn: 'Weigh in',
  gramsAndKilograms: 'grams, kilograms',
  ouncesAndPounds: 'ounces, pounds',
  pourIn: 'Pour in, and the stick',
  litresAndCentimetres: 'litres, cm',
  usQuartsAndInches: 'US quarts, inches',
  imperialPintsAndInches: 'imperial pints, inches',
  thermometersRead: 'Thermometers read',
  currencyAsEurOrUsd: 'Currency, as EUR or USD',
  timeZone: 'Time zone',
  languageOfDatesAndMoney: 'Language of dates and money, as en-GB',
  saveThePlace: 'Save the place',
  savedPotsAlreadyCookingKeep: 'Saved. Pots already cooking keep what they began with.',
  iDontKnowFindIt: 'I don’t know: find it by boiling water',
  boilingWaterShows: 'Boiling water shows',
  waterBoilsBetween: (leastC: number, mostC: number) =>
    `Water boils between ${temperature(leastC)} and ${temperature(mostC)}: check the thermometer on ice.`,
  aboutMGiveOrTake: (altitudeM: number, sdM: number) =>
    `About ${height(altitudeM)}, give or take ${height(sdM)}: the weather moves the boil, and so does the thermometer.`,
  useThat: 'Use that',
  save: 'Save',
  cancel: 'Cancel',
  ifYouKnowIt: (label: string) => `${label} (if you know it)`,
  check: (name: string) => `Check ${name}`,
  fillAJugWithCrushed:
    'Fill a jug with crushed ice, top up with water, stir, wait a minute. Then try it in boiling water.',
  inIceAndWaterIt: 'In ice and water it shows',
  inBoilingWaterItShows: 'In boiling water it shows',
  onIce: (off: string) => `On ice ${off}. `,
  atTheBoil: (off: string) => `At the boil ${off}. `,
  waterBoilsAtCHere: (boilsAtC: number, thermometerWithinC: number) =>
    `Water boils at ${temperature(boilsAtC, 1)} here; the weather moves that by half a degree. Further off than ${temperature(thermometerWithinC)} at either point, it is out of use for the record (§ 4-203.11).`,
  saveTheCheck: 'Save the check',
  name: 'Name',
  hourAs1230: 'Hour, as 12:30',
  usualCovers: 'Usual covers',
  on: 'On',
  lasts: 'Lasts',
  theyCome: 'They come',
  allAtOnce: 'all at once',
  steadily: 'steadily',
  inAPeak: 'in a peak',
  holdsToTheRimFill: 'Holds to the rim (fill it with water on a scale: 1 g is 1 mL)',
  leftFreeUnderTheRim: 'Left free under the rim',
  mayGoUnderTheGrill: 'May go under the grill',
  trulyHoldsTenLadlesOf: 'Truly holds (ten ladles of water on a scale, over ten)',
  itIs: 'It is',
  aWalkIn: 'a walk-in',
  aBlastChiller: 'a blast chiller',
  aFreezer: 'a freezer',
  ice: 'ice',
  itsAir: 'Its air',
  isMovedByAFan: 'is moved by a fan',
  blasts: 'blasts',
  takesInOneGoOr: 'Takes in one go, or ice on hand',
  aScale: 'a scale',
  aThermometer: 'a thermometer',
  aRefractometer: 'a refractometer',
  aPhMeter: 'a pH meter',
  aSalinityMeter: 'a salinity meter',
  aStick: 'a stick',
  weighsAtMost: 'Weighs at most',
  inStepsOf: 'In steps of',
  may: 'May',
  beInCharge: 'be in charge',
  cook: 'cook',
  help: 'help',
  colour: 'Colour',
  services: 'Services',
  aServiceIsTheHour: 'A service is the hour bowls must be ready by. Plans are worked back from it.',
  covers: (covers: number) => `${covers} covers`,
  min: (lastsMin: number) => `${lastsMin} min`,
  bowlsAndCups: 'Bowls and cups',
  whatABowlTrulyHolds: 'What a bowl truly holds decides how many come out of a pot.',
  mlFilled: (ml: number) => `, ${portion(ml)} filled`,
  mlToTheRimOven: (ml: number, n: string, isOvenProof: boolean) =>
    `${portion(ml)} to the rim${n}${isOvenProof ? ', oven-proof' : ''}`,
  ladles: 'Ladles',
  mostLadlesHoldALittle: 'Most ladles hold a little more than they say.',
  blastChiller: 'blast chiller',
  stillAir: 'still air',
  aFan: 'a fan',
  blastingAir: 'blasting air',
  whereFoodIsCooledAnd: 'Where food is cooled and kept: its air decides how fast a pan cools.',
  kg2: (kg: number) => `, ${weight(kg)}`,
  inCharge: 'in charge',
  theLogNamesWhoTakes: 'The log names who takes a reading or answers for a limit.',
  suppliers: 'Suppliers',
  namedOnceHereTheyNeed: 'Named once here, they need not be typed at each delivery.',
  placesInTheStore: 'Places in the store',
  shelvesBasketsTheDryStore: 'Shelves, baskets, the dry store: where a lot is put.',
  scalesThermometersMeters: 'Scales, thermometers, meters',
  aReadingIsOnlyAs: 'A reading is only as good as its instrument.',
  check2: 'Check',
  phMeter: 'pH meter',
  toKg: (mostKg: number) => `to ${weight(mostKg)}`,
  inStepsOfG: (stepG: number) => `in steps of ${dose(stepG)}`,
  thermometerNotCheckedYetNot: 'thermometer, not checked yet: not for the record',
  thermometerCheckedGoodForThe: (format: string, hourMinute: string, isForRecords: boolean) =>
    `thermometer, checked ${format} ${hourMinute}: ${isForRecords ? 'good for the record' : 'out of use for the record'}`,
  traysInTheOvenAt: 'Trays in the oven at once',
  floorOfATray: 'Floor of a tray',
  blenderJarToItsBrim: 'Blender jar to its brim, 0 for none',
  widestFryingPan: 'Widest frying pan',
  bowlsUnderTheGrillAt: 'Bowls under the grill at once',
  minutesUnderTheGrill: 'Minutes under the grill',
  aSieveTakes: 'A sieve takes',
  pansInTheBainMarie: 'Pans in the bain-marie',
  temperatureEvery: 'Held hot: a thermometer every',
  pansToCoolIn: '1/1 pans to cool in',
  aTeaspoonOfOurSalt: 'A level teaspoon of our salt',
  oneOfThemHolds: 'One of them holds',
  stickBlender: 'Stick blender',
  thereIsOne: 'there is one',
  none: 'none',
  saveTheTools: 'Save the tools',
  saved: 'Saved.',
  partsOfTheKitchen: 'Parts of the kitchen',
  allPartsOfTheKitchen: '‹ All parts of the kitchen',
  settingUpYourKitchen: 'Setting up your kitchen',
  aboutMinLeftEverythingCan: (minutes: number) => `about ${minutes} min left; everything can wait`,
  waterBoilsAtCHere2: (boilingPointC: number) => `Water boils at ${temperature(boilingPointC, 1)} here.`,
  clockDevicesLight: 'Clock, devices, light',
  youCanCookAfterOne: 'You can cook after one pot and one burner. The rest makes the answers better.',
  planABatch: 'Plan a batch',
  lightOnThisDevice: 'Light on this device',
  day: 'Day',
  dimKitchen: 'Dim kitchen',
};

/** What a kitchen has, in words. */

export const HEAT_WORDS: Readonly<Record<ItemOf<'burner'>['kind'], string>> = {
  gas: 'gas',
  electric: 'electric plate',
  induction: 'induction',
  steam: 'steam jacket',
  oven: 'oven',
};

export const SHAPE_WORDS: Readonly<Record<Vessel['shape'], string>> = {
  cylinder: 'straight',
  tapered: 'tapered',
  kettle: 'round bottom',
  box: 'with corners',
  measured: 'measured',
};

/** Inside measures of a pot, as they were typed or found. */
export function sizeWords(vessel: Vessel): string {
  switch (vessel.shape) {
    case 'cylinder':
      return `straight, ${depth(vessel.diameterCm)} across, ${depth(vessel.heightCm)} high`;
    case 'tapered':
      return `tapered, ${depth(vessel.bottomDiameterCm)} to ${depth(vessel.topDiameterCm)} across, ${depth(vessel.heightCm)} high`;
    case 'kettle':
      return `round bottom, ${depth(vessel.diameterCm)} across, ${depth(vessel.heightCm)} high`;
    case 'box':
      return `${depth(vessel.lengthCm)} × ${depth(vessel.widthCm)}, ${depth(vessel.heightCm)} high`;
    case 'measured':
      return `measured by water at ${vessel.levels.length} levels, ${depth(vessel.heightCm)} to the rim`;
  }
}

export const brimLitres = (vessel: Vessel): number => litresAtDepth(vessel, vessel.heightCm);

/** Which days of the week a service is on. */
export function weekdayWords(weekdays: readonly number[] | undefined, locale: string): string {
  if (!weekdays || weekdays.length === 7) return 'every day';
  return new Intl.ListFormat(locale, { type: 'conjunction' }).format(
    weekdays.map((day) => dayName(day, locale)),
  );
}

/** A day of the week by its number, 1 for Monday, short. */
export function dayName(day: number, locale: string): string {
  // the 5th of January 2026 was a Monday
  return new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' }).format(
    Date.UTC(2026, 0, 4 + day),
  );
}

/** Where water boils here. */
export function boilWords(altitudeM: number): string {
  return `Water boils at ${temperature(boilingPointC({ altitudeM }), 1)} here.`;
}

/** How a level came out beside what the stick showed. */
export function levelWords(fit: ShapeFit, straight: ShapeFit, i: number, shownCm: number): string {
  if (fit.vessel.shape === 'measured') {
    const expected = shownCm - straight.missesCm[i]!;
    return Math.abs(straight.missesCm[i]!) < 0.15
      ? 'as a straight pot would show'
      : `a straight pot would show ${depth(expected)}`;
  }
  const off = Math.abs(fit.missesCm[i]!);
  return off < 0.05 ? 'fits' : `fits within ${depth(off)}`;
}

/** Names of the parts of a kitchen, for headings and buttons. */
export const KIND_WORDS: Readonly<Record<ItemKind, { one: string; add: string }>> = {
  pot: { one: 'pot', add: 'Add a pot' },
  burner: { one: 'burner', add: 'Add a burner' },
  service: { one: 'service', add: 'Add a service' },
  bowl: { one: 'bowl', add: 'Add a bowl' },
  ladle: { one: 'ladle', add: 'Add a ladle' },
  cold: { one: 'cold place', add: 'Add a cold place' },
  instrument: { one: 'instrument', add: 'Add an instrument' },
  person: { one: 'person', add: 'Add a person' },
  supplier: { one: 'supplier', add: 'Add a supplier' },
  storePlace: { one: 'place', add: 'Add a place' },
};

/** What a pot or a burner still lacks before anything can be cooked; null where nothing does. */
export function missingWords(kitchen: KitchenView): string | null {
  if (kitchen.pots.length === 0) return 'Add a pot first: then a batch can be planned in it.';
  if (kitchen.burners.length === 0) return 'Add a burner first: then a batch can be planned on it.';
  return null;
}

export const litresWords = (value: number): string => litres(value);

/** What a change of a thing leaves as it is, and what it plans anew; null where nothing names it. */
export function touchedWords(
  kind: ItemKind,
  { cooking, planned }: { cooking: readonly string[]; planned: number },
): string | null {
  const one = planned === 1;
  const goesOn =
    cooking.length > 0 &&
    `${cooking.join(' and ')} ${cooking.length === 1 ? 'goes on as it began' : 'go on as they began'}`;
  const isPlanned =
    planned > 0 &&
    (kind === 'service'
      ? `${planned} planned ${one ? 'order is for it and keeps its hour' : 'orders are for it and keep their hour'}`
      : `${planned} planned ${one ? 'order names it and is' : 'orders name it and are'} planned anew when opened`);
  const parts = [goesOn, isPlanned].filter((part) => part !== false);
  return parts.length > 0 ? `${sentenceCase(parts.join('; '))}.` : null;
}

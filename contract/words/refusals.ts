import { ALLERGENS } from '../../core/matter';
import type { CookingTrouble } from '../../core/plan';
import type { LotUse, Refusal } from '../../core/rules';
import type { Measures } from '../../core/units';
import type { FieldError } from '../problem';
import { dayAndHour, depth, sentenceCase, temperature, thePot, volume, weight } from './amounts';

/** What a sentence needs to know of the kitchen it is said in. */
export interface SaidIn {
  measures: Measures;
  zone: string;
}

/** Refusals as they cross the wire and stand on the screen: each with its field and its sentence. */
export function fieldErrors(refusals: readonly Refusal[], said: SaidIn): FieldError[] {
  return refusals.map((refusal) => {
    const { field, code, ...values } = refusal;
    return { field, code, values, sentence: refusalSentence(refusal, said) };
  });
}

const BEFORE = { serving: 'served', storing: 'stored', blending: 'blended' } as const;

const MARK_OUT_OF_REACH: Readonly<Record<Extract<Refusal, { code: 'markOutOfReach' }>['mark'], string>> = {
  gone: 'So much cannot boil away.',
  litres: 'That level is not in this pot.',
  depth: 'That depth is not in this pot.',
  weight: 'That weight is not in this pot.',
  brix: 'Nothing is dissolved in it yet that a refractometer could show.',
  salt: 'There is no salt in it yet.',
  band: 'Nothing in it binds yet.',
};

const ITEM_WORDS: Readonly<Record<string, string>> = {
  cold: 'cold place',
  storePlace: 'place in the store',
};
const itemWord = (kind: string): string => ITEM_WORDS[kind] ?? kind;

const LIMIT_UNITS: Readonly<Record<string, string>> = {
  dateMarkDays: 'days',
  shellfishTagDays: 'days',
  reheatWithinH: 'h',
  coolFirstWithinH: 'h',
  coolWithinH: 'h',
};
const limitValue = (limit: string, value: number): string => `${value} ${LIMIT_UNITS[limit] ?? '°C'}`;

const TEST_WORDS: Readonly<Record<string, string>> = {
  litres: 'So much water does not go into that pot.',
  toC: 'The water must end at least 10 °C warmer than it began, and below the boil.',
  minutes: 'A test takes at least one minute.',
};

/** Why something was refused, in one sentence: what is wrong, and what would be right. */
export function refusalSentence(refusal: Refusal, { measures, zone }: SaidIn): string {
  const litres = (value: number) => volume(value, measures);
  const kg = (value: number) => weight(value, measures);
  const degrees = (value: number) => temperature(value, measures, Number.isInteger(value) ? 0 : 1);
  const lotName = (lot: { name: string; number: number }) => `${lot.name}, lot ${lot.number},`;
  switch (refusal.code) {
    case 'longAgo':
      return `That is ${hoursWords(refusal.hours)} ago. More than ${refusal.mostHours} h back has to be confirmed.`;
    case 'beforeStart':
      return `That is before this batch was started, ${dayAndHour(refusal.startedAtMs, zone)}.`;
    case 'serviceInThePast':
      return 'That service is already past: choose one still to come.';
    case 'madeInTheFuture':
      return 'It cannot have been made in time to come.';
    case 'useByInThePast':
      return 'Its use-by date is past already: send it back, or throw it away.';
    case 'unknownStage':
      return `The recipe has no stage “${refusal.stageId}”.`;
    case 'unknownFood':
      return `“${refusal.ingredientId}” is not among this batch’s ingredients.`;
    case 'unknownLine':
      return `The recipe has no line “${refusal.lineId}”.`;
    case 'overTheBrim':
      return `That would make ${litres(refusal.litres)}; ${thePot(refusal.potName)} brims at ${litres(refusal.brimLitres)}.`;
    case 'depthOverTheBrim':
      return `${depth(refusal.cm, measures)} is above the brim: ${thePot(refusal.potName)} is ${depth(refusal.heightCm, measures)} deep.`;
    case 'levelOverTheBrim':
      return `${litres(refusal.litres)} is more than ${thePot(refusal.potName)} holds: it brims at ${litres(refusal.brimLitres)}.`;
    case 'weightOverTheBrim':
      return `${kg(refusal.kg)} is more than ${thePot(refusal.potName)} can hold, without the pot’s own weight.`;
    case 'leftOverTheBrim':
      return `${litres(refusal.litres)} is more than ${thePot(refusal.potName)} holds: ${litres(refusal.brimLitres)}.`;
    case 'noStageRunning':
      return 'No stage is running that could reduce to a mark.';
    case 'markOutOfReach':
      return MARK_OUT_OF_REACH[refusal.mark];
    case 'nothingToTaste':
      return 'There is nothing in the pot to taste or to test yet.';
    case 'notParked':
      return 'Nothing of that name lies parked: it is back already, or was undone.';
    case 'moreFatThanThere':
      return `${kg(refusal.kg)} of fat cannot be poured off: about ${kg(refusal.thereKg)} is in the liquid.`;
    case 'notIn':
      return 'The log does not say that it is in: there is nothing to correct.';
    case 'nothingToTakeOut':
      return `There is no ${refusal.word} left in the pot to take out.`;
    case 'keptTooCold':
      return `${degrees(refusal.keptC)} is too cold to hold at: keep it at ${degrees(refusal.leastC)} or more.`;
    case 'nothingToHold':
      return 'There is nothing in the pot to hold hot.';
    case 'notServed':
      return 'It is held hot once it is ready to serve: begin serving first.';
    case 'doesNotHold':
      return `${litres(refusal.litres)} does not go into ${thePot(refusal.potName)}: it brims at ${litres(refusal.brimLitres)}.`;
    case 'bowlsOverTheBrim':
      return `${refusal.portions} bowls are ${litres(refusal.litres)}, more than ${thePot(refusal.potName)} holds.`;
    case 'moreThanThere':
      return `${litres(refusal.litres)} cannot be stored: ${thePot(refusal.potName)} holds ${litres(refusal.thereLitres)}.`;
    case 'nothingToDraw':
      return 'This batch is closed: nothing can be drawn off it.';
    case 'partInUse':
      return `What was drawn off has gone on as ${refusal.name.toLowerCase()}. Undo there first.`;
    case 'unknownKind':
      return 'This order has no portions of that kind.';
    case 'unknownOrder':
      return 'There is no such order: it was taken off, or belongs to another batch.';
    case 'moreThanServed':
      return `${refusal.portions} is more than went out: ${refusal.served}.`;
    case 'guestCannotEat': {
      const what = refusal.allergens.map((one) => ALLERGENS[one].name).join(', ');
      return `Not for this guest: ${what} in it (${refusal.in.join(', ').toLowerCase()}). Serve from another pot, or ask the guest.`;
    }
    case 'reheatedNotKept':
      return 'It was reheated: what is left of it is thrown away, and not stored again.';
    case 'stillInThePot': {
      const items = refusal.items.map((one) => `${one.count} ${one.word}`).join(', ');
      return `Still in the pot: ${items}. Take it out first, or say why it is ${BEFORE[refusal.before]} all the same.`;
    }
    case 'unknownEvent':
      return `There is no event “${refusal.eventId}” in this batch.`;
    case 'notAReading':
      return 'Only a reading can be answered for.';
    case 'batchBroken':
      return 'This batch is set aside: its log does not go through. Undo the entry it stops at.';
    case 'wouldBreak':
      return refusal.isItself
        ? 'With this in its place the batch could not be worked out. Check the amount and the time.'
        : `With this in its place a later entry would not go${refusal.atMs === null ? '' : `, that of ${dayAndHour(refusal.atMs, zone)}`}. Undo that one first.`;
    case 'unknownItem':
      return `There is no ${itemWord(refusal.kind)} “${refusal.itemId}” in this kitchen.`;
    case 'itemNameTaken':
      return `Another ${itemWord(refusal.kind)} is called “${refusal.name}”: give this one a name of its own.`;
    case 'itemBusy':
      return `${sentenceCase(refusal.name)} is in use for ${refusal.by.toLowerCase()}: wait until that batch is closed.`;
    case 'mergedWithItself':
      return `${sentenceCase(refusal.name)} cannot be merged with itself: choose the other one.`;
    case 'itemMerged':
      return `${sentenceCase(refusal.name)} was merged with ${refusal.into} and is counted as that.`;
    case 'laxerThanCode':
      return `${limitValue(refusal.limit, refusal.value)} is laxer than ${limitValue(refusal.limit, refusal.allowed)} (§ ${refusal.section}). Give the reason and the name of the person in charge.`;
    case 'testCannotBe':
      return TEST_WORDS[refusal.argument] ?? `That test cannot be: ${refusal.why}.`;
    case 'testFarOff':
      return `That would be ${refusal.kW.toFixed(2)} kW into the pot, from ${refusal.ratedKW.toFixed(2)} kW rated. Check the minutes and the litres.`;
    case 'nothingChecked':
      return 'Type what it shows in ice and water, or in boiling water.';
    case 'notAThermometer':
      return `${sentenceCase(refusal.name)} is no thermometer.`;
    case 'notInCharge':
      return `“${refusal.by}” is not in charge here. A day is signed by ${refusal.people.join(' or ')}.`;
    case 'noDay':
      return `“${refusal.day}” is no day.`;
    case 'dayToCome':
      return 'That day has not come yet: sign it when it is over.';
    case 'unknownTest':
      return `There is no test “${refusal.testId}” in this kitchen.`;
    case 'unknownPot':
      return `There is no pot “${refusal.potId}” in this kitchen.`;
    case 'unknownBurner':
      return `There is no burner “${refusal.burnerId}” in this kitchen.`;
    case 'potNotOnBurner':
      return `${sentenceCase(thePot(refusal.potName))} does not go on ${refusal.burnerName}.`;
    case 'potBusy':
      return `${sentenceCase(thePot(refusal.potName))} is in use${refusal.by ? `: ${refusal.by}` : ''}.`;
    case 'burnerBusy':
      return `${sentenceCase(refusal.burnerName)} is in use${refusal.by ? `: ${refusal.by}` : ''}.`;
    case 'cannotBeCooked':
      return refusal.trouble
        ? cookingTroubleWords(refusal.trouble, measures)
        : `This cannot be cooked so: ${refusal.why}.`;
    case 'unknownLot':
      return `There is no lot “${refusal.lotId}” in the larder.`;
    case 'lotExists':
      return `There is a lot “${refusal.lotId}” already.`;
    case 'beforeLot':
      return `${lotName(refusal.lot)} came into the larder ${dayAndHour(refusal.cameAtMs, zone)}, after this is said to have been done. Say it with a later time.`;
    case 'lotPastDate':
      return refusal.act === 'draw'
        ? `${lotName(refusal.lot)} is past its date. The person in charge says in the larder why it is used, or it is not.`
        : `${lotName(refusal.lot)} is past its date: the person in charge says first why it is used.`;
    case 'lotFrozen':
      return `${lotName(refusal.lot)} is frozen: thaw it first.`;
    case 'alreadyFrozen':
      return `${lotName(refusal.lot)} is frozen already.`;
    case 'notFrozen':
      return `${lotName(refusal.lot)} is not frozen.`;
    case 'notEnoughLeft':
      return `${lotName(refusal.lot)} has ${kg(Math.max(0, refusal.leftKg))} left, not ${kg(refusal.kg)}. If there is more, count it first.`;
    case 'lotInUse': {
      const uses = refusal.uses.map((one) => lotUseWords(one, kg));
      return `${lotName(refusal.lot)} came of this, and more has been done with it: ${uses.join('; ')}. Undo that first, or count the lot.`;
    }
    case 'lotReadingFarOff': {
      if (refusal.kind === 'temperature')
        return `${degrees(refusal.value)} is far from the ${degrees(Math.round(refusal.expected))} expected. Read it again; if it is right, keep it.`;
      const unit = refusal.kind === 'brix' ? '°Brix' : '% salt';
      return `${refusal.value} ${unit} is far from the ${refusal.expected.toFixed(refusal.kind === 'brix' ? 1 : 2)} expected. Read it again; if it is right, keep it.`;
    }
    case 'colderThanItsPlace':
      return `It is at ${degrees(refusal.tempC)}, colder than ${refusal.place} at ${degrees(refusal.airC)}: nothing to cool.`;
    case 'notCooled':
      return `${lotName(refusal.lot)} was not being cooled.`;
    case 'notHotEnough':
      return `${degrees(refusal.tempC)} is not enough: heat it to ${degrees(refusal.leastC)} all through.`;
    case 'unknownPerson':
      return `“${refusal.by}” does not work here. Sign as one of: ${refusal.people.join(', ')}.`;
    case 'moreLotFatThanThere':
      return `${kg(refusal.kg)} of fat cannot come off ${lotName(refusal.lot)} which has about ${kg(refusal.thereKg)} in it.`;
    case 'lotNamedTwice':
      return 'The same lot is named twice.';
    case 'unknownLarderFood':
      return `There is no food “${refusal.ingredientId}” in the table.`;
    case 'tagMissing':
      return `${refusal.name} comes with a tag: put down its number, it is kept ${refusal.keptDays} days.`;
    case 'unknownLarderEvent':
      return `There is no event “${refusal.eventId}” in the larder.`;
    case 'unknownRecipe':
      return `There is no recipe “${refusal.recipeId}”.`;
    case 'tooFull':
      return `At its fullest it is about ${litres(refusal.wantedLitres)}; ${thePot(refusal.potName)} boils over above ${litres(refusal.workingFillLitres)}. Take ${refusal.batches} batches or a larger pot.`;
    case 'larderShort': {
      const each = refusal.lines.map(
        ({ name, wantedLitres, thereLitres }) =>
          `${name}: ${litres(wantedLitres)} are wanted, ${thereLitres > 0.05 ? litres(thereLitres) : 'none'} in the larder`,
      );
      return `${each.join('; ')}. Make it first, substitute it, or say where it comes from.`;
    }
  }
}

/** What was done with some of a lot. */
function lotUseWords({ what, into, kg }: LotUse, weightOf: (kg: number) => string): string {
  switch (what) {
    case 'drawn':
      return `${weightOf(kg)} into ${into ?? 'a batch'}`;
    case 'split':
      return `${weightOf(kg)} split off`;
    case 'blended':
      return `${weightOf(kg)} poured into another lot`;
    case 'discarded':
      return `${weightOf(kg)} thrown away`;
    case 'fatLifted':
      return `${weightOf(kg)} of fat lifted`;
    case 'counted':
      return `counted at ${weightOf(kg)}`;
  }
}

function hoursWords(hours: number): string {
  return hours < 72 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`;
}

/** Why an order cannot be cooked in its pot, and what would help. */
export function cookingTroubleWords(trouble: CookingTrouble, measures: Measures): string {
  switch (trouble.code) {
    case 'boilsDry':
      return `“${trouble.stageTitle}” would boil dry, ${weight(trouble.kg, measures)} left: more liquid, a smaller pot, or less heat.`;
    case 'neverEnds':
      return `“${trouble.stageTitle}” would not be done in ${trouble.hours} hours on this burner: a stronger one, or a smaller batch.`;
  }
}

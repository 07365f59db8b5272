import type { CoolingAct, CoolingHow, HeldBackIce } from '../../../core/cooling';
import { depth, temperature, volume, weight } from '../amounts';

const pansOf = (pans: number): string => (pans === 1 ? '1 pan' : `${pans} pans`);

/** Nobody weighs ice finer than to half a kilogram. */
const halves = (kg: number): number => Math.ceil(kg * 2) / 2;
const iceOf = (kg: number): string => `${weight(halves(kg))} of ice`;

/** What is said while hot food is cooled. */
export const coolingWords = {
  cooling: 'Cooling',
  nothingIsCooling: 'Nothing is cooling',
  whatIsStoredHot: 'What is stored hot stands here, until a thermometer shows that it is cold.',
  toThePass: 'To the pots on Today',
  coolIt: 'Cool it…',
  thenToCool: (litresOf: number) => `Then to cool: ${volume(litresOf)}`,
  coolThis: (litresOf: number) => `How ${volume(litresOf)} can be cooled`,
  leftThePotAt: (tempC: number, hour: string) => `left the pot at ${temperature(tempC)}, ${hour}`,
  coolItSo: 'Cool it so',
  anotherWay: 'Another number of pans',
  pans: 'Pans',
  where: 'Where',
  temperatureNow: 'Its temperature now, if you read it',
  howMany: 'How many 1/1 pans',
  noPlaces: 'This kitchen has no cold place yet. Kitchen, Cold and ice takes them.',
  noneIsInTime: 'Nothing here cools so much in time. Cool less at once, add ice, or use more pans.',
  wayOf: ({ pans, depthCm }: CoolingHow) => `${pansOf(pans)}, ${depth(depthCm)} deep`,
  inPlace: (place: string, air: CoolingHow['air'], airC: number) =>
    air === 'ice'
      ? `in ${place.toLowerCase()} and water, stirred each 5 min`
      : `${place.toLowerCase()}, ${{ still: 'still air', fan: 'moving air', blast: 'blast' }[air]} of ${temperature(airC)}`,
  iceOf,
  handsOf: (minutes: number) => `about ${Math.round(minutes)} min of hands`,
  heldBack: ({ iceKg, endsAtC }: HeldBackIce) =>
    `Or hold back ${volume(halves(iceKg))} of its water, and stir in ${iceOf(iceKg)} when it is done: ${temperature(endsAtC)} at once.`,
  heldBackIce: 'Ice of drinking water, from a clean scoop. The thermometer decides.',
  loadsOf: (loads: number) => `in ${loads} loads: too much at once`,
  coldBy: (first: string, cold: string) => `${temperature(21)} at ${first}, ${temperature(5)} at ${cold}`,
  neverCold: 'never cold enough',
  inTime: 'in time',
  mayMiss: (chance: number) => `misses the limit ${oddsOf(chance)}`,
  willMiss: (tempC: number) => `Will miss ${temperature(tempC)}`,
  inTimeFor: (tempC: number) => `In time for ${temperature(tempC)}`,
  about: (hour: string, from: string, to: string) => `About ${hour} (${from} to ${to}).`,
  notHere: (place: string) => `Not in ${place.toLowerCase()}.`,
  limitIs: (hour: string) => `The limit is ${hour}.`,
  odds: (chance: number) => `It misses ${oddsOf(chance)}.`,
  leftHot: (tempC: number, hour: string) => `It left ${temperature(tempC)} at ${hour}.`,
  stillHot: (tempC: number) => `The clock starts at ${temperature(tempC)}.`,
  actBefore: 'Act before',
  afterThat: (tempC: number) => `After that: reheat it to ${temperature(tempC)} at once, or throw it away.`,
  tooLate: 'No act here is in time any more',
  missed: 'The limit is past',
  missedActs: (tempC: number) =>
    `Reheat it to ${temperature(tempC)} at once and cool it again, or throw it away.`,
  actOf: ({ act, how }: CoolingAct) =>
    act === 'pour'
      ? `Pour into ${pansOf(how.pans)}, ${depth(how.depthCm)}`
      : act === 'ice'
        ? `Stand in ${how.place.toLowerCase()}, stir each 5 min`
        : `Into ${how.place.toLowerCase()}`,
  needsOf: ({ act, pans, iceKg, overKg }: CoolingAct) =>
    act === 'pour'
      ? `takes ${pansOf(pans)} more`
      : act === 'ice'
        ? `${iceOf(iceKg ?? 0)}${overKg > 0 ? `, ${weight(halves(overKg))} more than there is` : ''}`
        : overKg > 0
          ? `${weight(overKg)} more than it takes`
          : '',
  until: (hour: string) => `until ${hour}`,
  tooLateNow: 'too late',
  doneLogIt: 'Done: log it',
  takeATemperature: 'Take a temperature',
  inTheMiddle: 'In the middle of the deepest pan',
  withWhich: 'Thermometer',
  anyThermometer: 'not named',
  notChecked: (name: string) => `${name} has no good check on ice and at the boil. The record will say so.`,
  save: 'Save',
  itIsRight: 'It is right: save it',
  labels: 'Label',
  openTheLot: 'Open the lot',
  reheated: 'Reheated…',
  reheatedTitle: 'Reheated, to be cooled again',
  reheatedTo: 'Hot all through, by thermometer',
  whoSigns: 'Who signs',
  thrownAway: 'Thrown away…',
  thrownAwayTitle: 'Thrown away',
  why: 'Why',
  coolingMissed: 'not cooled in time',
  signed: 'Sign',
  the: (name: string, number: number) => `${name}, lot ${number}`,
  now: (tempC: number, low: number, high: number) =>
    `${temperature(tempC)} in the middle (${temperature(low)} to ${temperature(high)})`,
  learned: (percent: number) => `Its air takes ${percent} % of the usual heat, by its readings.`,
  guessed: 'A first guess until two temperatures were read.',
  code: (hotC: number, firstH: number, coldH: number) =>
    `${temperature(hotC)} to ${temperature(21)} within ${firstH} h, ${temperature(5)} within ${coldH} h (FDA Food Code 2022 § 3-501.14). The local code decides. A thermometer overrules this.`,
  inSection: (pans: number, depthOf: string, tempC: number) =>
    `A pan in section: ${pansOf(pans)}, ${depthOf} deep, ${temperature(tempC)} in the middle`,
  chart: (first: string) => `Temperature in the middle over time, forecast to ${temperature(21)} at ${first}`,
  limitAt: (hour: string) => `${temperature(21)} by ${hour}`,
  willMissActBefore: (tempC: number, hour: string) => `will miss ${temperature(tempC)}: act before ${hour}`,
  willMissTooLate: (tempC: number) => `will miss ${temperature(tempC)}`,
  limitIsPast: 'the cooling limit is past: reheat it or throw it away',
  readIt: 'take its temperature',
  standsHot: 'stands hot: say how it is cooled',
  nowC: (tempC: number, place: string) => `about ${temperature(tempC)}, ${place.toLowerCase()}`,
  coldAt: (tempC: number, hour: string) => `${temperature(tempC)} about ${hour}`,
  toTheCooling: 'To the cooling',
  aCoolingCalls: 'A cooling calls',
  again: (times: number) => (times === 1 ? 'reheated once before' : `reheated ${times} times before`),
};

/** A chance as a cook says it. */
function oddsOf(chance: number): string {
  if (chance > 0.97) return 'almost surely';
  if (chance < 0.03) return 'hardly ever';
  return `${Math.round(chance * 20)} times in 20`;
}

import type { Roux, RouxColour, RouxFat } from '../../../core/roux';
import { temperature } from '../amounts';

/** A roux is browned in an oven as hot as this, °C. Common practice. */
const OVEN_C = [175, 180] as const;

/** What is said of a roux made for so much liquid. */
export const rouxWords = {
  roux: 'Roux',
  of: (weight: string, colour: string) => `${weight} of ${colour} roux`,
  forLiquid: 'For',
  nowIsIt: 'It is now',
  wanted: 'It should be',
  fat: 'Fat',
  rendered: 'Fat in the pan already',
  pan: 'Across the pan',
  burner: 'On',
  where: 'Made',
  onTheFlame: 'on the flame',
  inTheOven: () => `in the oven, at ${temperature(OVEN_C[0])} to ${temperature(OVEN_C[1])}`,
  rouxAt: 'The roux, when they meet',
  liquidAt: 'The liquid, when they meet',
  colour: 'Colour',
  flour: 'Flour',
  fatToAdd: 'Fat to add',
  inAll: 'Roux',
  lost: 'Strength lost',
  ready: 'Ready after',
  minutes: (from: number, to: number) => `${from} to ${to} min`,
  hotAfter: (minutes: number) => `Hot after ${minutes} min, stirred from the first.`,
  stirEach: 'Stirred every 15 min.',
  stages: 'Stage by stage',
  panOf: (depth: string, pans: number) =>
    pans > 1
      ? `${pans} pans or loads, ${depth} deep in each: deeper, it colours unevenly.`
      : `${depth} deep in the pan.`,
  pourOff: (weight: string) => `${weight} of the fat in the pan is too much: pour it off first.`,
  allRendered: 'The fat in the pan is enough: none to add.',
  joining: 'Joining',
  lumps:
    'Lumps: off the heat, whisk hard, then through a sieve. A stick blender breaks what is left. More boiling does not.',
  burnt: 'A black speck: start again. It is bitter through the whole pot.',
  hotFat: 'Roux is far hotter than boiling water and sticks. Long sleeves, no child near, no water in it.',
  onTheShelf: 'On the shelf',
  takeOf: (weight: string) => `Take ${weight} of it, cold, in pieces, into the simmering pot.`,
  lotLeft: (name: string, number: number, left: string) => `${name}, lot ${number}: ${left} left.`,
  notSoMuch: (left: string) => `There is only ${left}.`,
  mustBeThicker: 'It is as thick as that already: choose a thicker mark.',
  whiteInOven: 'White roux is made on the flame: it is done before an oven has warmed it.',
  toIt: 'Make it: weights and minutes',
};

export const ROUX_COLOUR_WORDS: Readonly<Record<RouxColour, string>> = {
  rouxWhite: 'white',
  rouxBlond: 'blond',
  rouxBrown: 'brown',
  rouxDark: 'dark',
};

/** How each looks and smells when it is there. Common practice. */
export const ROUX_CUES: Readonly<Record<RouxColour, string>> = {
  rouxWhite: 'foams like wet sand, no colour, the raw smell gone',
  rouxBlond: 'straw, smells of hazelnut',
  rouxBrown: 'milk chocolate, smells of roast nuts',
  rouxDark: 'dark chocolate, runs thinner; smells of coffee, and burns within a minute or two',
};

export const ROUX_FAT_WORDS: Readonly<Record<RouxFat, string>> = {
  butter: 'butter',
  oil: 'oil',
  rendered: 'rendered fat',
};

/** What happens as the two meet. */
export function joinedWords({ joined }: Roux): string {
  const at = temperature(joined.tempC);
  switch (joined.how) {
    case 'oneHot':
      return `One hot, one cold: good. A third of the liquid first, whisked smooth, then the rest. Together they stand at ${at}.`;
    case 'bothHot':
      return `Both hot: it lumps and spits. Let one of them cool under ${temperature(60)} first. Together they would stand at ${at}.`;
    case 'bothCold':
      return `Both cold: smooth, but slow. Stir until it simmers, or it sets on the floor. Together they stand at ${at}.`;
  }
}

import { sentenceCase } from '../../../contract';
import type { RescueStep, Slip, Trouble } from '../../../core/batch';
import { decimal, weight } from '../amounts';

/** What is done at once about trouble at the pot; common practice. */
const TROUBLE: Readonly<Record<Trouble, { title: string; steps: readonly string[] }>> = {
  scorched: {
    title: 'It has caught',
    steps: [
      'Off the heat now.',
      'Pour what runs freely into a clean pot. Do not scrape: what has burnt stays behind.',
      'Taste. If it is only a shadow, go on gently; if it is smoke, it cannot be mended.',
    ],
  },
  curdled: {
    title: 'It has curdled',
    steps: [
      'Off the heat. A splash of cold cream or a ladle of cold stock stops it.',
      'Blend the liquid smooth and pass it, or bind it: starch holds what has not split yet.',
      'Keep it under its top temperature from here on.',
    ],
  },
  grainy: {
    title: 'The cheese is grainy',
    steps: [
      'Off the heat. It got too hot, or was too sour, or had no starch to hold it.',
      'A squeeze of lemon and a spoon of starch slaked in cold milk; whisk, a minute just under the simmer.',
      'Still grainy: blend it and pass it. Next time off the boil, by the handful.',
    ],
  },
  scrambled: {
    title: 'The egg has scrambled',
    steps: [
      'Off the heat. Pass it through a fine sieve: what has set comes out, and binds no more.',
      'New yolks with cream, tempered with ladles of it, back in under the top temperature.',
    ],
  },
  split: {
    title: 'The fat has split out of it',
    steps: [
      'Off the heat. A ladle of cold stock or cream, whisked in hard, or the stick blender.',
      'It splits again: starch holds it. A little cornstarch, slaked, and a minute under the simmer.',
      'What still floats is skimmed. Its fat went with it: taste.',
    ],
  },
  lumps: {
    title: 'There are lumps',
    steps: [
      'Pass it through a sieve and press the lumps through, or use the stick blender for some seconds.',
      'Next time either roux or stock is cold, and the first of the liquid goes in by splashes.',
    ],
  },
  burntRoux: {
    title: 'The roux is burnt',
    steps: [
      'Black specks stay bitter. Throw it away and start again with new fat and flour.',
      'Wipe the pan clean first. A lower flame, and stay with it.',
    ],
  },
  boiledOver: {
    title: 'It has boiled over',
    steps: [
      'Heat down, lid off. Wipe the burner before it bakes on.',
      'Read the level again: what is on the floor is not in the pot, and its salt went with it.',
    ],
  },
};

/** What a slip is called once it is logged. */
export function slipTitle(slip: Slip, name: string): string {
  switch (slip.kind) {
    case 'trouble':
      return TROUBLE[slip.trouble].title;
    case 'forgot':
      return `No ${name.toLowerCase()} in it yet`;
    case 'tooMuch':
      return `Too much ${name.toLowerCase()}`;
    case 'wrongPot':
      return `${sentenceCase(name)} in the wrong pot`;
  }
}

/** A step of what mends it; trouble has several. */
export function rescueWords(step: RescueStep): readonly string[] {
  switch (step.code) {
    case 'trouble':
      return TROUBLE[step.trouble].steps;
    case 'putIn':
      return [
        `Put it in now: ${step.name.toLowerCase()} is back on the list, with the next that goes in.`,
        'What needed sweating or browning first: do that apart, in a pan, and scrape it in.',
      ];
    case 'fishOut':
      return [`Fish out what you can of the ${step.name.toLowerCase()}, before it gives.`];
    case 'dilute':
      return [
        `It stands at ${decimal(step.saltPercent, 2)} % salt. ${weight(step.kg)} of unsalted liquid brings it back to ${step.wantedPercent} %.`,
        'That is so much more to reduce, or to serve.',
      ];
    case 'thin':
      return ['Thicker than wanted: only thinning mends that, and it makes bowls nobody ordered.'];
    case 'skimFat':
      return [
        'It floats: off the boil for a minute, then skim or pour it off. Log it under “Out of the pot”.',
      ];
    case 'boilAway':
      return [
        step.minutes === null
          ? `${weight(step.waterKg)} of it is water: with the lid off and the heat up it boils away.`
          : `${weight(step.waterKg)} of it is water. At this heat it is gone in about ${Math.round(step.minutes)} min; the mark stays.`,
      ];
    case 'sharp':
      return ['Sharp? Fat, a little sugar or unsalted starch first; bicarbonate only by the pinch, tasting.'];
    case 'taste':
      return [`Taste. The plan counts the ${step.name.toLowerCase()} as it is in the pot now.`];
  }
}

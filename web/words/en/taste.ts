import type { Scale, Verdict } from '../../../core/taste';
import {
  LADLE_LOOKS,
  type LadleLook,
  SPOON_LOOKS,
  type SpoonLook,
  type ThicknessTest,
} from '../../../core/thickness';
import { decimal } from '../amounts';

/** What a mouth and a spoon say, in a cook's words. */
export const SCALE_WORDS: Readonly<Record<Scale, string>> = {
  salt: 'Salt',
  acid: 'Acid',
  sweet: 'Sweet',
  fat: 'Fat',
  heat: 'Heat',
  umami: 'Savoury',
  bitter: 'Bitter',
  colour: 'Colour',
};

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  more: 'wants more',
  bitMore: 'a bit more',
  right: 'right',
  tooMuch: 'too much',
  farTooMuch: 'far too much',
};

/** Verdicts on a colour, along the line of the dish. */
const COLOUR_LINES: Readonly<Record<string, readonly [pale: string, dark: string]>> = {
  tomato: ['pale orange', 'brick'],
  pepper: ['pale', 'rust'],
  beetroot: ['pink', 'brown'],
  venison: ['straw', 'near black'],
  mutton: ['straw', 'near black'],
  broth: ['straw', 'near black'],
  chowder: ['white', 'tan'],
  veloute: ['white', 'tan'],
  leek: ['grey', 'olive'],
};

/** What a spoon says of a scale; of colour, in the words of a dish that goes by it. */
export function verdictWords(scale: Scale, verdict: Verdict, dishColour: string): string {
  if (scale !== 'colour') return VERDICT_WORDS[verdict];
  const [pale, dark] = COLOUR_LINES[dishColour] ?? ['too pale', 'too dark'];
  switch (verdict) {
    case 'more':
      return pale;
    case 'bitMore':
      return 'a bit pale';
    case 'right':
      return 'right';
    case 'tooMuch':
      return 'a bit dark';
    case 'farTooMuch':
      return dark;
  }
}

export const SPOON_WORDS: Readonly<Record<SpoonLook, string>> = {
  runsOff: 'runs off',
  thinFilm: 'a thin film',
  coats: 'coats it',
  drawnLine: 'holds a drawn line',
  mounds: 'mounds',
};

export const LADLE_WORDS: Readonly<Record<LadleLook, string>> = {
  pours: 'pours like water',
  thread: 'a thread',
  ribbon: 'a ribbon',
  lumps: 'falls in lumps',
};

export const TEST_WORDS: Readonly<Record<ThicknessTest['test'], string>> = {
  spoon: 'Spoon',
  lineSpread: 'Spread on a plate',
  flow: 'Syringe',
  ladle: 'Ladle',
};

/** A test of thickness in a few words. */
export function testWords({ test, value }: ThicknessTest): string {
  switch (test) {
    case 'spoon':
      return `the spoon: ${SPOON_WORDS[SPOON_LOOKS[value]!.look]}`;
    case 'ladle':
      return `off the ladle: ${LADLE_WORDS[LADLE_LOOKS[value]!.look]}`;
    case 'lineSpread':
      return `spread to ${decimal(value, 1)} cm`;
    case 'flow':
      return `${decimal(value, 1)} mL left in the syringe`;
  }
}

/** What a clean spoon said, the scales that are not right first. */
export function tasteWords(said: { says: Partial<Record<Scale, Verdict>>; isFlat?: boolean }): string {
  const each = (Object.entries(said.says) as [Scale, Verdict][])
    .sort((a, b) => Number(a[1] === 'right') - Number(b[1] === 'right'))
    .map(([scale, verdict]) => `${SCALE_WORDS[scale].toLowerCase()} ${verdictWords(scale, verdict, '')}`);
  return [...(said.isFlat ? ['flat'] : []), ...each].join(', ');
}

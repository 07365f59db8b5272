import { portion } from '../amounts';
/** What is printed. */
export const sheetWords = {
  batchSheet: 'Batch sheet',
  saltAtTheEndFullest: (percent: string, litres: string, litres2: string) =>
    `Salt ${percent} at the end; fullest ${litres} of ${litres2}.`,
  ladleMlThenMlOf: (ladleMl: number, mlPerBowl: number, name: string) =>
    `Ladle ${portion(ladleMl)}, then ${portion(mlPerBowl)} of hot ${name} to each bowl.`,
  at: 'At',
  stage: 'Stage',
  intoThePot: 'Into the pot',
  asItWasTimeLevel: 'As it was: time, level, taste',
  lid: (heatOf: string, lid: string, endOf: string) => `${heatOf}, lid ${lid}; ${endOf}`,
  readyWhen: (cue: string) => `Ready when: ${cue}`,
  mind: (caution: string) => `Caution: ${caution}`,
  onTheBowls: ' on the bowls',
  noFigureHereOverrulesA:
    'No figure here overrules a thermometer. The local code and the licensed person in charge decide.',
  whatToMakeReady: 'What to make ready',
  aboutOfHandsInAll: (minutes: string) =>
    `About ${minutes} of hands in all; boards in this order, each washed before the next.`,
  aBoardOfItsOwn: (board: string) => `${board}: a board of its own`,
  done: 'Done',
  whatAndHow: 'What, and how',
  from: 'From',
  ready: 'Ready',
  beginBy: 'Begin by',
  andKeptBackForThe: (weight: string) => `And ${weight} kept back, for the taste.`,
  trim: (weight: string) => `trim ${weight}`,
  inAt: (hourMinute: string) => `in at ${hourMinute}`,
  whatToPull: 'What to pull',
  what: 'What',
  asPurchased: 'As purchased',
  madeHere: 'made here',
  backToTheOrder: 'Back to the order',
  print: 'Print',
  orKeepItAsPdf: 'Or keep it as PDF from the print window.',
  bowlsOfMl: (portions: number, portionMl: number) => `${portions} bowls of ${portion(portionMl)}`,
  inOnLightItAt: (litres: string, thePot: string, name: string) =>
    `, ${litres}, in ${thePot} on ${name}; light it at `,
  recipeVersion: (version: number) => `. Recipe version ${version}.`,
};

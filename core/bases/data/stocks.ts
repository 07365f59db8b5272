import { type PaperLine, paperStage as stage } from '../../reader';
import type { Stage } from '../../recipe';

import type { BaseKind } from '../base-kind';
import {
  BIG_CUTS,
  COLD_START,
  COOL_FAST,
  NEVER_BOIL,
  NEVER_SALT,
  NO_LIVER,
  PEELINGS,
  SKIM,
  WASHED,
} from './rules';

const TRADE = 'common practice';
const HANDBOOK =
  'from memory: handbook proportions. About 8 parts bones, 10 to 12 parts water, 1 part vegetables';

/** Poured through, and what is left in the sieve thrown away. */
export const strained = (act: string, change: Partial<Stage> = {}): Stage =>
  stage('strain', 'finish', 'off-heat', {
    title: 'Strain',
    act,
    method: 'through a sieve, not pressed',
    methodReason: 'Pressing pushes fine pulp through and clouds it.',
    heat: { kind: 'burner', fraction: 0 },
    lid: 'off',
    ends: { rule: 'minutes', minutes: 10 },
    attention: { kind: 'handsOn' },
    cue: 'What is left in the sieve tastes of nothing.',
    trouble: 'Cloudy: again, through a wet cloth.',
    caution: 'Draw it off by the tap or by ladles: a full pot is not tipped.',
    does: { kind: 'strain' },
    ...change,
  });

/** The end of every base: into its vessels, labelled, cold. */
export const storeStage = (act = 'In shallow pans, cooled fast, labelled, its date on it.'): Stage =>
  stage('serve', 'serve', 'serve-ladle', {
    title: 'Store',
    act,
    heat: { kind: 'burner', fraction: 0 },
    lid: 'off',
    cue: 'Labelled and on its way to 5 °C.',
    trouble: 'Still warm after two hours: shallower, ice, stir.',
    caution: '57 to 21 °C within two hours, to 5 °C within six in all, by the thermometer.',
  });

export const justUnder = { kind: 'hold', simmer: 'justUnder' } as const;
const bareSimmer = { kind: 'hold', simmer: 'barely' } as const;
const VEGETABLES: readonly PaperLine[] = [
  ['500 g onions, halved (lift out)', 'vegetables'],
  ['250 g carrots (lift out)', 'vegetables'],
  ['250 g celery (lift out)', 'vegetables'],
  ['1 herb bundle', 'vegetables'],
];
const lastHour = (act = 'Vegetables in, big, for the last hour; the bundle hung from the handle.'): Stage =>
  stage('vegetables', 'additions', 'simmer-open', {
    title: 'Vegetables, the last hour',
    act,
    heat: justUnder,
    ends: { rule: 'minutes', minutes: 60 },
    attention: { kind: 'lookIn', everyMin: 20 },
  });
export const blanch = (what: string): Stage =>
  stage('blanch', 'liquid', 'to-boil', {
    title: 'Blanch and rinse',
    act: `${what} in cold water up to a simmer; pour that water away, rinse hot, wash the pot.`,
    lid: 'ajar',
    cue: 'Grey foam all over.',
    trouble: 'It boiled on: rinse longer.',
    caution: 'Two people at the sink with a full pot; steam comes over the edge.',
    does: { kind: 'drain' },
  });
export const cold = (act = 'Cold water over it, up slowly; skim as it rises.'): Stage =>
  stage('water', 'liquid', 'to-boil', {
    title: 'Cold water, slowly up',
    act,
    lid: 'off',
    ends: { rule: 'warm', tempC: 85 },
    attention: { kind: 'lookIn', everyMin: 10 },
    cue: 'Foam gathers; the first bubble at the edge.',
    trouble: 'It boiled: heat down, skim at once.',
  });
const simmer = (
  minutes: number,
  title: string,
  act = 'Just under a simmer, open; skim at 10, 20 and 40 minutes, then each hour.',
): Stage =>
  stage('simmer', 'simmer', 'simmer-open', {
    title,
    act,
    heat: justUnder,
    ends: { rule: 'minutes', minutes },
    attention: { kind: 'lookIn', everyMin: 20 },
    does: { kind: 'skim', share: 0.75 },
    cue: 'A bubble now and then; clear between the bones.',
    trouble: 'Rolling: heat down; it has begun to cloud.',
  });
const BONE_RULES = [COLD_START, NEVER_SALT, SKIM, NEVER_BOIL, NO_LIVER, BIG_CUTS, PEELINGS, COOL_FAST];
const BONES_WATER = (bones: string) => [
  { name: bones, parts: 8 },
  { name: 'water', parts: 12 },
  { name: 'vegetables', parts: 1 },
];

/** Stocks and fumets, each written for eight or ten litres strained. */
export const STOCKS: readonly BaseKind[] = [
  {
    id: 'white-poultry-stock',
    name: 'White chicken stock',
    family: 'stock',
    satisfies: 'chicken-stock',
    parts: BONES_WATER('chicken bones, blanched'),
    partsSource: HANDBOOK,
    standardBrix: 2.5,
    simmerMin: { from: 180, to: 300 },
    timeSource: `${TRADE}: poultry 3 to 5 h`,
    rules: BONE_RULES,
    frozenMonths: 6,
    takes: ['vegetable', 'herb', 'poultry'],
    recipe: {
      id: 'white-chicken-stock',
      name: 'White chicken stock',
      litres: 8,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'broth',
      best: { untilH: 96, words: 'cleanest within four days' },
      stages: [
        blanch('Bones'),
        cold(),
        simmer(180, 'Three hours, never boiling'),
        lastHour(),
        strained('Bones out, then through a fine sieve.'),
        storeStage(),
      ],
    },
    paper: [
      ['8 kg chicken bones', 'blanch'],
      ['10 L water (for blanching)', 'blanch', { scaling: 'straight' }],
      ['12 L water', 'water'],
      ...VEGETABLES,
    ],
  },
  {
    id: 'brown-poultry-stock',
    name: 'Roast chicken stock',
    family: 'stock',
    satisfies: 'chicken-stock',
    parts: BONES_WATER('chicken bones, roasted'),
    partsSource: HANDBOOK,
    standardBrix: 3.1,
    simmerMin: { from: 180, to: 300 },
    timeSource: `${TRADE}: poultry 3 to 5 h`,
    rules: BONE_RULES,
    frozenMonths: 6,
    takes: ['vegetable', 'herb', 'poultry'],
    recipe: {
      id: 'roast-chicken-stock',
      name: 'Roast chicken stock',
      litres: 8,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'broth',
      best: { untilH: 96, words: 'cleanest within four days' },
      stages: [
        stage('roast', 'start', 'brown-oven', {
          title: 'Roast the bones',
          act: 'Bones on trays at 220 °C until brown; pour off the fat, deglaze the trays with water and keep that.',
        }),
        cold(),
        simmer(180, 'Three hours, never boiling'),
        lastHour(),
        strained('Bones out, then through a fine sieve.'),
        storeStage(),
      ],
    },
    paper: [['8 kg chicken bones', 'roast'], ['12 L water', 'water'], ...VEGETABLES],
  },
  {
    id: 'brown-meat-stock',
    name: 'Brown beef stock',
    family: 'stock',
    satisfies: 'beef-stock',
    parts: BONES_WATER('beef bones, roasted'),
    partsSource: HANDBOOK,
    standardBrix: 3.2,
    simmerMin: { from: 360, to: 600 },
    timeSource: `${TRADE}: beef and veal 6 to 10 h`,
    rules: [
      ...BONE_RULES,
      {
        rule: 'Deglaze the trays.',
        reason: 'The brown on them is the taste; black is bitter and stays behind.',
      },
    ],
    frozenMonths: 6,
    takes: ['vegetable', 'herb', 'meat'],
    recipe: {
      id: 'brown-beef-stock',
      name: 'Brown beef stock',
      litres: 8,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'venison',
      best: { untilH: 96, words: 'cleanest within four days' },
      stages: [
        stage('roast', 'start', 'brown-oven', {
          title: 'Roast bones and vegetables',
          act: 'Bones on trays at 220 °C until brown, the tomato paste on them for the last ten minutes. Fat off, trays deglazed.',
        }),
        cold(),
        {
          ...simmer(
            420,
            'Seven hours, never boiling',
            'Just under a simmer, lid ajar; skim at 10, 20 and 40 minutes, then each hour.',
          ),
          lid: 'ajar',
        },
        lastHour(),
        strained('Bones out, then through a fine sieve; let the fat rise and lift it.'),
        storeStage(),
      ],
    },
    paper: [
      ['8 kg beef bones', 'roast'],
      ['150 g tomato paste', 'roast'],
      ['12 L water', 'water'],
      ...VEGETABLES,
    ],
  },
  {
    id: 'light-vegetable-stock',
    name: 'Light vegetable stock',
    family: 'stock',
    satisfies: 'vegetable-stock',
    parts: [
      { name: 'vegetables', parts: 3 },
      { name: 'water', parts: 10 },
    ],
    partsSource: `${TRADE}: a third of the water's weight, or a little less`,
    standardBrix: 0.9,
    simmerMin: { from: 30, to: 60 },
    timeSource: `${TRADE}: 30 to 60 min just under a simmer`,
    rules: [
      COLD_START,
      NEVER_SALT,
      {
        rule: 'Under an hour, just under a simmer.',
        reason: 'Past that the sweetness goes stale and cabbagey; the vegetables have given what they have.',
      },
      PEELINGS,
      WASHED,
      COOL_FAST,
    ],
    frozenMonths: 3,
    takes: ['vegetable', 'herb'],
    recipe: {
      id: 'light-vegetable-stock',
      name: 'Light vegetable stock',
      litres: 10,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'broth',
      claims: ['vegan'],
      best: { untilH: 72, words: 'freshest within three days' },
      stages: [
        cold('Vegetables in cold water, up slowly; skim.'),
        simmer(40, 'Forty minutes, just under', 'Just under a simmer, open.'),
        strained('Through a cloth, not pressed.'),
        storeStage(),
      ],
    },
    paper: [
      ['1.1 kg onions, halved (lift out)', 'water'],
      ['900 g leeks (lift out)', 'water'],
      ['700 g carrots (lift out)', 'water'],
      ['500 g celery (lift out)', 'water'],
      ['200 g mushrooms (lift out)', 'water'],
      ['11 L water', 'water'],
      ['1 herb bundle', 'water'],
    ],
  },
  {
    id: 'dark-vegetable-stock',
    name: 'Dark vegetable stock',
    family: 'stock',
    satisfies: 'dark-vegetable-stock',
    parts: [
      { name: 'vegetables, roasted dark', parts: 4 },
      { name: 'water', parts: 10 },
    ],
    partsSource: `${TRADE}: more than for a light one, roasting drives water off`,
    standardBrix: 1.1,
    simmerMin: { from: 30, to: 60 },
    timeSource: `${TRADE}: 30 to 60 min just under a simmer`,
    rules: [
      NEVER_SALT,
      {
        rule: 'Roast dark at the edges, deglaze the trays.',
        reason: 'Without bones the brown is all the depth there is, and half of it sticks to the tray.',
      },
      { rule: 'Under an hour.', reason: 'Past that it turns bitter from the roast.' },
      PEELINGS,
      WASHED,
      COOL_FAST,
    ],
    frozenMonths: 3,
    takes: ['vegetable', 'herb'],
    recipe: {
      id: 'dark-vegetable-stock',
      name: 'Dark vegetable stock',
      litres: 10,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'venison',
      claims: ['vegan'],
      best: { untilH: 96, words: 'deepest within four days' },
      stages: [
        stage('roast', 'start', 'brown-oven', {
          title: 'Roast the vegetables',
          act: 'With oil, one layer on trays, dark at the edges; deglaze the trays with water and keep that.',
        }),
        cold('Vegetables and tray juices in cold water, up slowly.'),
        simmer(40, 'Forty minutes, just under', 'Just under a simmer, open.'),
        strained('Through a sieve, pressed lightly.'),
        storeStage(),
      ],
    },
    paper: [
      ['2 kg leeks (lift out)', 'roast'],
      ['1 kg onions, halved (lift out)', 'roast'],
      ['600 g carrots (lift out)', 'roast'],
      ['500 g mushrooms (lift out)', 'roast'],
      ['200 g celery (lift out)', 'roast'],
      ['60 ml rapeseed oil', 'roast'],
      ['11 L water', 'water'],
    ],
  },
  {
    id: 'fish-fumet',
    name: 'Fish fumet',
    family: 'stock',
    satisfies: 'fish-fumet',
    parts: [
      { name: 'lean white-fish bones', parts: 5 },
      { name: 'water', parts: 10 },
      { name: 'vegetables', parts: 1 },
    ],
    partsSource: `${TRADE}: one to two of bones and water`,
    standardBrix: 2.2,
    simmerMin: { from: 20, to: 45 },
    timeSource: `${TRADE}: 20 to 45 min by the bones, thin frames the least`,
    rules: [
      {
        rule: 'Lean white fish only, gills and blood out, rinsed.',
        reason: 'Oily fish tastes of train oil; gills and blood turn it bitter and grey.',
      },
      {
        rule: 'Twenty to forty-five minutes, then off the bones.',
        reason: 'Longer, and it turns bitter and chalky from the bones.',
      },
      NEVER_SALT,
      NEVER_BOIL,
      { rule: 'Strain through a cloth, do not press.', reason: 'Fish flesh falls to a mush that clouds it.' },
      COOL_FAST,
    ],
    frozenMonths: 3,
    takes: ['vegetable', 'herb', 'fish'],
    recipe: {
      id: 'fish-fumet',
      name: 'Fish fumet',
      litres: 10,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'chowder',
      best: { untilH: 48, words: 'clean for two days, then fishy' },
      stages: [
        stage('sweat', 'start', 'sweat-covered', {
          title: 'Sweat bones and vegetables',
          act: 'Rinsed bones, no gills, with the vegetables: no colour.',
          ends: { rule: 'minutes', minutes: 8 },
        }),
        stage('water', 'liquid', 'to-boil', {
          title: 'Wine and water',
          act: 'Wine first, then cold water; up to a bare simmer, skim.',
        }),
        stage('simmer', 'simmer', 'simmer-open', {
          title: 'Twenty-five minutes',
          act: 'No longer: it turns bitter from the bones.',
          ends: { rule: 'minutes', minutes: 25 },
          heat: bareSimmer,
        }),
        strained('Through a cloth; do not press.'),
        storeStage(),
      ],
    },
    paper: [
      ['5 kg white-fish bones, rinsed', 'sweat'],
      ['600 g leeks (lift out)', 'sweat'],
      ['400 g celery (lift out)', 'sweat'],
      ['500 ml dry white wine', 'water'],
      ['10 L water', 'water'],
      ['2 bay leaves', 'simmer'],
    ],
  },
  {
    id: 'kelp-flake-stock',
    name: 'Kelp and flake stock',
    family: 'stock',
    satisfies: 'flake-stock',
    parts: [
      { name: 'dried kelp', parts: 1 },
      { name: 'dried fish flakes', parts: 1.5 },
      { name: 'water', parts: 100 },
    ],
    partsSource: `${TRADE}: kelp 10 g and flakes 15 g to the litre`,
    standardBrix: 0.35,
    simmerMin: { from: 5, to: 5 },
    timeSource: `${TRADE}: kelp half an hour cold, flakes five minutes off the heat`,
    rules: [
      {
        rule: 'Kelp out before the water boils.',
        reason: 'Boiled kelp turns slimy and bitter; its glutamate is out well before.',
      },
      {
        rule: 'Flakes off the heat, five minutes, not stirred, not pressed.',
        reason: 'Longer or harder and they give fish and bitterness instead of savour.',
      },
      { rule: 'Fish: say so.', reason: 'It tastes of no fish and is one.' },
      NEVER_SALT,
      COOL_FAST,
    ],
    frozenMonths: 1,
    takes: [],
    recipe: {
      id: 'kelp-flake-stock',
      name: 'Kelp and flake stock',
      litres: 10,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'broth',
      best: { untilH: 24, words: 'for the same day' },
      stages: [
        coldSoak('Kelp, wiped and not washed, in cold water: half an hour.', 30),
        warmKelp(),
        stage('flakes', 'finish', 'off-heat', {
          title: 'Flakes in, off the heat',
          act: 'Kelp out, heat off, flakes in on the top; leave them to sink.',
          heat: { kind: 'burner', fraction: 0 },
          lid: 'off',
          ends: { rule: 'minutes', minutes: 5 },
          attention: { kind: 'leave' },
          cue: 'They have sunk.',
          trouble: 'Stirred: strain at once.',
          asksOut: true,
        }),
        strained('Through a cloth, not wrung.'),
        storeStage(),
      ],
    },
    paper: [
      ['10.6 L water', 'soak'],
      ['100 g dried kelp', 'soak'],
      ['150 g dried fish flakes', 'flakes', { comesOut: false }],
    ],
  },
  {
    id: 'kelp-mushroom-stock',
    name: 'Kelp and dried-mushroom stock',
    family: 'stock',
    satisfies: 'kelp-stock',
    parts: [
      { name: 'dried kelp', parts: 1 },
      { name: 'dried shiitake', parts: 0.8 },
      { name: 'water', parts: 100 },
    ],
    partsSource: `${TRADE}: kelp 10 g to the litre; mushrooms nearly as much`,
    standardBrix: 0.3,
    simmerMin: { from: 10, to: 20 },
    timeSource: `${TRADE}: half an hour cold, then slowly up`,
    rules: [
      { rule: 'Kelp out before the water boils.', reason: 'Boiled kelp turns slimy and bitter.' },
      {
        rule: 'Soak the mushrooms cold.',
        reason: 'Their guanylate forms as they are warmed slowly; boiling water stops it.',
      },
      {
        rule: 'Keep the mushrooms.',
        reason: 'Sliced, they go into a soup: parked or salvaged, not thrown away.',
      },
      NEVER_SALT,
      COOL_FAST,
    ],
    frozenMonths: 1,
    takes: [],
    recipe: {
      id: 'kelp-and-mushroom-stock',
      name: 'Kelp and dried-mushroom stock',
      litres: 10,
      portionMl: 1000,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'broth',
      claims: ['vegan'],
      best: { untilH: 48, words: 'fresh for two days' },
      stages: [
        coldSoak('Kelp and mushrooms in cold water: half an hour.', 30),
        warmKelp(),
        stage('draw', 'simmer', 'simmer-open', {
          asksOut: true,
          title: 'Mushrooms draw on',
          act: 'Kelp out; the mushrooms a quarter of an hour more, just under a simmer.',
          heat: justUnder,
          ends: { rule: 'minutes', minutes: 15 },
          attention: { kind: 'leave' },
        }),
        strained('Through a cloth. The mushrooms are salvaged for a soup.'),
        storeStage(),
      ],
    },
    paper: [
      ['10.8 L water', 'soak'],
      ['100 g dried kelp', 'soak'],
      ['80 g dried shiitake', 'soak', { comesOut: false }],
    ],
  },
];

function coldSoak(act: string, minutes: number): Stage {
  return stage('soak', 'start', 'sweat-open', {
    title: 'Soak cold',
    act,
    heat: { kind: 'burner', fraction: 0 },
    lid: 'off',
    ends: { rule: 'minutes', minutes },
    attention: { kind: 'leave' },
    method: 'cold soak',
    methodReason: 'Cold water draws the taste without the slime.',
    cue: 'Kelp soft and wide.',
    trouble: 'Still stiff: ten minutes more.',
  });
}

function warmKelp(): Stage {
  return stage('warm', 'liquid', 'to-boil', {
    title: 'Slowly up, kelp out',
    act: 'Up slowly; out with the kelp at 80 °C, when the edge shivers.',
    heat: { kind: 'burner', fraction: 0.5 },
    lid: 'off',
    ends: { rule: 'warm', tempC: 80 },
    attention: { kind: 'lookIn', everyMin: 5 },
    cue: 'Small bubbles on the kelp; it dents under a nail.',
    trouble: 'It boiled: kelp out at once, taste for slime.',
  });
}

import type { ThickenerKind } from '../../matter';
import { paperStage as stage } from '../../reader';
import { ROUX_MIN } from '../../scaling';
import { THICKENERS } from '../../thickness';

import type { BaseKind } from '../base-kind';
import { storeStage } from './stocks';

const TRADE = 'common practice';

/** Stages of a roux and how each looks and smells. Common practice. */
const ROUX_STAGES: readonly { kind: Extract<ThickenerKind, `roux${string}`>; word: string; cue: string }[] = [
  { kind: 'rouxWhite', word: 'White', cue: 'Foaming like wet sand, no colour, raw smell gone.' },
  { kind: 'rouxBlond', word: 'Blond', cue: 'Straw, smelling of hazelnut.' },
  { kind: 'rouxBrown', word: 'Brown', cue: 'Milk chocolate, smelling of roast nuts.' },
  { kind: 'rouxDark', word: 'Dark', cue: 'Dark chocolate; thins as it darkens.' },
];

const rouxOf = ({ kind, word, cue }: (typeof ROUX_STAGES)[number], minutes = ROUX_MIN[kind]): BaseKind => ({
  id: `${word.toLowerCase()}-roux`,
  name: `${word} roux, in blocks`,
  family: 'binder',
  parts: [
    { name: 'flour', parts: 1 },
    { name: 'butter or fat', parts: 1 },
  ],
  partsSource: `${TRADE}: equal weights`,
  simmerMin: { from: minutes, to: Math.round(minutes * 1.3) },
  timeSource: `${TRADE}: minutes in a pan at a middling heat`,
  rules: [
    { rule: 'Weigh both.', reason: 'Equal spoons are nearly twice as much fat as flour.' },
    {
      rule: 'The darker, the more of it.',
      reason: `Heat breaks the starch: the flour in this one binds ${THICKENERS[kind].strength} times as hard as white.`,
    },
    {
      rule: 'Cold, in blocks by weight.',
      reason: 'Cold roux goes into hot stock without lumps, and a block is a dose.',
    },
    { rule: 'A black speck: start again.', reason: 'Burnt flour is bitter through the whole pot.' },
  ],
  frozenMonths: 6,
  dryDays: 28,
  takes: [],
  recipe: {
    id: `${word.toLowerCase()}-roux`,
    name: `${word} roux`,
    litres: 2,
    portionMl: 100,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: kind === 'rouxWhite' || kind === 'rouxBlond' ? 'veloute' : 'mutton',
    best: { untilH: 672, words: 'four weeks, wrapped: fat takes up other smells' },
    stages: [
      stage('cook', 'start', 'flour-dusted', {
        title: `${word} roux`,
        act: 'Fat to a foam, flour in, stirred into every corner.',
        method: `${word.toLowerCase()}, stirred without leaving`,
        methodReason: 'It goes from right to ruined while a back is turned.',
        heat: { kind: 'burner', fraction: 0.15 },
        lid: 'off',
        ends: { rule: 'minutes', minutes },
        attention: { kind: 'handsOn' },
        cue,
        trouble: `A black speck: start again. It costs ${minutes + 5} minutes.`,
        caution: 'Roux is far hotter than boiling water and sticks: long sleeves.',
      }),
      storeStage(
        'Poured a finger deep into a lined tray. Cut in blocks of 100 g when it is hard, weighed, wrapped, cold.',
      ),
    ],
  },
  paper: [
    ['1 kg butter', 'cook', { scaling: 'straight' }],
    ['1 kg plain flour', 'cook', { scaling: 'straight' }],
  ],
});

/** Roux by stage, and what hangs from the handle. */
export const BINDERS_AND_BUNDLES: readonly BaseKind[] = [
  ...ROUX_STAGES.map((stageOf) => rouxOf(stageOf)),
  {
    id: 'herb-bundle',
    name: 'Spice bags and herb bundles',
    family: 'aromatics',
    satisfies: 'herb-bundle',
    parts: [
      { name: 'leek leaf', parts: 2 },
      { name: 'parsley stalks', parts: 2 },
      { name: 'thyme', parts: 1 },
      { name: 'bay', parts: 0.2 },
    ],
    partsSource: `${TRADE}: one to ten litres`,
    simmerMin: null,
    timeSource: 'tied by hand',
    rules: [
      { rule: 'Tie it to the handle.', reason: 'What hangs on a string is found again, and counted out.' },
      {
        rule: 'Spices in cloth, a knot, no loose ends.',
        reason: 'A clove or a juniper berry in a bowl is a broken tooth or a letter.',
      },
      {
        rule: 'Stalks, not leaves.',
        reason: 'Parsley stalks give more and cost nothing; the leaves are for the bowl.',
      },
    ],
    frozenMonths: 2,
    dryDays: 5,
    takes: ['herb'],
    recipe: {
      id: 'bundles',
      name: 'Tied bundles',
      litres: 1,
      portionMl: 50,
      targetBand: 0,
      targetSaltPercent: 0,
      colour: 'leek',
      staysPieces: true,
      best: { untilH: 72, words: 'fragrant for three days' },
      stages: [
        stage('tie', 'start', 'sweat-open', {
          title: 'Tie twenty',
          act: 'A leek leaf round parsley stalks, thyme and bay, tied twice with a long end.',
          heat: { kind: 'burner', fraction: 0 },
          lid: 'off',
          ends: { rule: 'minutes', minutes: 20 },
          attention: { kind: 'handsOn' },
          method: 'by hand',
          methodReason: 'A machine cannot tie.',
          cue: 'It holds when shaken.',
          trouble: 'Loose: tie again, not in the pot.',
        }),
        storeStage('In a damp cloth, cold.'),
      ],
    },
    paper: [
      ['400 g leeks', 'tie', { scaling: 'straight', comesOut: false }],
      ['400 g parsley', 'tie', { scaling: 'straight', comesOut: false }],
      ['160 g thyme', 'tie', { scaling: 'straight', comesOut: false }],
      ['40 g bay leaves', 'tie', { scaling: 'straight', comesOut: false }],
    ],
  },
];

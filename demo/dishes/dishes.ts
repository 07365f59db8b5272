import { recipesAsRows } from '../../core/book';
import { paperRecipe, paperStage as stage } from '../../core/reader';
import type { Recipe } from '../../core/recipe';
import { CHICKEN_STOCK, DARK_VEGETABLE_STOCK, DUMPLINGS, FUMET, GARLIC_OIL, GLAZE, KELP_STOCK, MORE_BASES, MOTHER_SAUCE } from './bases';

import { TROUT_CHOWDER } from './trout-chowder';

/** The house's dishes, invented, each written for ten litres served. */

const VELOUTE = paperRecipe(
  {
    id: 'celeriac-veloute',
    best: { untilH: 24, words: 'for the same day: the liaison stands no second heating' },
    name: 'Celeriac velouté',
    litres: 10,
    portionMl: 250,
    targetBand: 3,
    targetSaltPercent: 0.85,
    colour: 'veloute',
    stages: [
      stage('roux', 'start', 'flour-dusted', {
        title: 'Blond roux, apart',
        act: 'Butter and flour in a pan of their own to a blond roux, smelling of hazelnut; off the heat to cool.',
        method: 'separate roux, cooled',
        methodReason: 'A smooth soup wants a separate roux: cold roux into hot stock joins without lumps.',
        ends: { rule: 'minutes', minutes: 7 },
      }),
      stage('stock', 'liquid', 'to-boil', { title: 'Stock on, roux in', act: 'Stock to a simmer in the pot, the cold roux whisked in by thirds.' }),
      stage('celeriac', 'simmer', 'simmer-soft', { title: 'Celeriac until it gives', act: 'Celeriac and onion in, bay and nutmeg; barely bubbling, stirred to the bottom.', ends: { rule: 'soft', edgeCm: 1.5, softenMin: 10 }, lid: 'ajar' }),
      stage('puree', 'puree', 'puree-sieved', { act: 'Bay out. Blender, then the fine sieve.' }),
      stage('liaison', 'finish', 'liaison', { title: 'Liaison, tempered', act: 'Yolks and cream in a bowl; three ladles of hot soup into it, stirring; then it back into the pot.' }),
      stage('season', 'season', 'season-last', {}),
      stage('serve', 'serve', 'serve-ladle', { act: 'Under 82 °C from here on: the egg grains above it. Chervil on each.', topTempC: 82, caution: 'Hold between 57 and 82 °C, by the thermometer.' }),
    ],
  },
  [
    ['240 g butter', 'roux'],
    ['240 g plain flour', 'roux'],
    ['6 L chicken stock', 'stock'],
    ['4.5 kg celeriac, peeled, 1.5 cm dice', 'celeriac'],
    ['500 g onions, chopped', 'celeriac'],
    ['3 bay leaves', 'celeriac'],
    ['1 g nutmeg', 'celeriac'],
    ['10 egg yolks', 'liaison'],
    ['800 ml double cream', 'liaison'],
    ['40 ml lemon juice', 'season'],
    ['salt to taste', 'season'],
    ['40 g chervil, picked', 'serve'],
  ],
);

const BEETROOT = paperRecipe(
  {
    id: 'beetroot-barley-broth',
    best: { untilH: 48, words: 'the barley goes on drinking: thicker tomorrow' },
    name: 'Beetroot and barley broth',
    litres: 10,
    portionMl: 300,
    targetBand: 0,
    targetSaltPercent: 0.85,
    colour: 'beetroot',
    claims: ['vegan'],
    stages: [
      stage('stock', 'liquid', 'to-boil', { title: 'Beetroot in cold stock', act: 'Whole small beets and the bundle in cold stock, lid on, up to a simmer.' }),
      stage('beet', 'simmer', 'simmer-soft', { title: 'Beetroot until it gives', act: 'Then lift the beets to a tray, spread out so that they stop cooking: parked, to be diced and put back.', ends: { rule: 'soft', edgeCm: 4, softenMin: 25 }, lid: 'on' }),
      stage('barley', 'simmer', 'simmer-covered', { title: 'Barley drinks', act: 'Rinsed barley in; covered, barely bubbling.', ends: { rule: 'soft', edgeCm: 0.4, softenMin: 35 } }),
      stage('fat', 'reduce', 'reduce-mark', { title: 'Clear it', act: 'Open, skim what rises; a tenth may go.', ends: { rule: 'fall', fractionGone: 0.1 } }),
      stage('back', 'additions', 'simmer-covered', { title: 'Beets back', act: 'The parked beets, peeled and in 1.5 cm dice, back in with the cabbage.', ends: { rule: 'minutes', minutes: 12 } }),
      stage('season', 'season', 'season-last', { act: 'Bundle out. Vinegar for brightness, then salt in steps.' }),
      stage('serve', 'serve', 'serve-ladle', { act: 'Clear broth first, then pieces. Dill on each.' }),
    ],
  },
  [
    ['8 L kelp and mushroom stock', 'stock'],
    ['2.6 kg beetroot, scrubbed', 'stock'],
    ['1 herb bundle', 'stock'],
    ['500 g pearl barley', 'barley'],
    ['800 g white cabbage, shredded', 'back'],
    ['90 ml cider vinegar', 'season'],
    ['salt to taste', 'season'],
    ['60 g dill, chopped', 'serve'],
  ],
);

const PEPPER_LENTIL = paperRecipe(
  {
    id: 'pepper-lentil-puree',
    best: { fromH: 4, untilH: 96, words: 'better tomorrow and thicker' },
    name: 'Red pepper and lentil purée',
    litres: 10,
    portionMl: 250,
    targetBand: 4,
    targetSaltPercent: 0.9,
    colour: 'pepper',
    claims: ['vegan'],
    stages: [
      stage('sweat', 'start', 'sweat-open', { title: 'Sweat peppers and onion', act: 'In oil with the spices until they give up their water.' }),
      stage('stock', 'liquid', 'to-boil', { title: 'Lentils and stock', act: 'Rinsed lentils and cold stock; skim the foam as it comes.' }),
      stage('soft', 'simmer', 'simmer-covered', { title: 'Lentils fall apart', act: 'Tender before anything sour goes in: acid keeps a pulse hard.', ends: { rule: 'soft', edgeCm: 0.3, softenMin: 18 } }),
      stage('puree', 'puree', 'puree-smooth', { act: 'In fills the jug can take, vented. A third of it may be kept as a base: cool it fast, label it.' }),
      stage('acid', 'additions', 'simmer-covered', { title: 'Tomato, now', act: 'Tomato paste and lemon, five minutes.', ends: { rule: 'minutes', minutes: 5 } }),
      stage('season', 'season', 'season-last', {}),
      stage('serve', 'serve', 'serve-ladle', { act: 'Garlic and parsley oil on each, from the cold.' }),
    ],
  },
  [
    ['120 ml rapeseed oil', 'sweat'],
    ['2.2 kg red peppers, sliced', 'sweat'],
    ['900 g onions, sliced 3 mm', 'sweat'],
    ['60 g garlic, sliced', 'sweat'],
    ['20 g smoked paprika', 'sweat'],
    ['12 g cumin', 'sweat'],
    ['2 g cayenne', 'sweat'],
    ['900 g red lentils', 'stock'],
    ['7 L vegetable stock', 'stock'],
    ['200 g tomato paste', 'acid'],
    ['60 ml lemon juice', 'acid'],
    ['salt to taste', 'season'],
    ['200 g garlic and parsley oil', 'serve'],
  ],
  recipesAsRows([GARLIC_OIL]),
);

const VENISON = paperRecipe(
  {
    id: 'venison-juniper-sauce',
    best: { fromH: 12, untilH: 120, words: 'better tomorrow and thicker' },
    name: 'Venison and juniper tomato sauce',
    litres: 10,
    portionMl: 220,
    targetBand: 1,
    targetSaltPercent: 0.95,
    colour: 'venison',
    spoonCm: 3,
    stages: [
      stage('brown', 'start', 'brown-oven', { title: 'Brown the venison on trays', act: 'Dry, oiled, one layer on hot trays at 240 °C; deglaze the trays with a little of the wine.' }),
      stage('wine', 'liquid', 'deglaze', { title: 'Wine, boiled down', act: 'Meat and tray juices into the pot, the wine over it, until it smells of fruit and no longer of raw wine.', ends: { rule: 'minutes', minutes: 12 } }),
      stage('sauce', 'liquid', 'to-boil', { title: 'Sauce and stock', act: 'Mother sauce and stock; juniper, bay and rosemary in a bag, hung from the handle.' }),
      stage('long', 'simmer', 'simmer-ajar', { title: 'Three hours, ajar', act: 'Barely bubbling, stirred along the bottom.', ends: { rule: 'minutes', minutes: 180 }, attention: { kind: 'lookIn', everyMin: 15 } }),
      stage('reduce', 'reduce', 'reduce-mark', { title: 'Open, to a quarter gone', act: 'It spits. No salt yet.', ends: { rule: 'fall', fractionGone: 0.25 } }),
      stage('season', 'season', 'season-last', { act: 'Bag and bay out. Jelly, then salt in steps: the mother sauce has brought some.' }),
      stage('serve', 'serve', 'serve-ladle', {}),
    ],
  },
  [
    ['4 kg venison shoulder, 3 cm dice', 'brown'],
    ['60 ml rapeseed oil', 'brown'],
    ['1.5 L red wine', 'wine'],
    ['4 kg tomato and thyme mother sauce', 'sauce', { scaling: 'straight' }],
    ['5 L brown beef stock', 'sauce'],
    ['15 g juniper berries, crushed (lift out)', 'sauce'],
    ['4 bay leaves', 'sauce'],
    ['4 sprigs rosemary (lift out)', 'sauce'],
    ['150 g redcurrant jelly', 'season'],
    ['salt to taste', 'season'],
  ],
  recipesAsRows([DARK_VEGETABLE_STOCK, MOTHER_SAUCE]),
);

const MUTTON = paperRecipe(
  {
    id: 'mutton-leek-pot',
    best: { fromH: 12, untilH: 72, words: 'better tomorrow, without its dumplings' },
    name: 'Brown-roux mutton and leek pot',
    litres: 10,
    portionMl: 350,
    targetBand: 2,
    targetSaltPercent: 0.9,
    colour: 'mutton',
    spoonCm: 2.5,
    stages: [
      stage('brown', 'start', 'brown-meat', { title: 'Brown the mutton', act: 'In its own fat, in loads; out to a tray.' }),
      stage('roux', 'start', 'flour-dusted', {
        title: 'Dark roux in the fat',
        act: 'Dripping and flour to a dark roux, stirred without leaving, the colour of chocolate.',
        ends: { rule: 'minutes', minutes: 35 },
        method: 'dark roux, in the pot',
        methodReason: 'The darker, the deeper the taste and the less it binds: the flour is weighed for that.',
        cue: 'Dark as chocolate, smells of roasted nuts.',
        trouble: 'A black speck: start again. It costs forty minutes.',
        caution: 'Roux at this heat sticks and burns: long sleeves, no splashes.',
      }),
      stage('stock', 'liquid', 'to-boil', { title: 'Cold stock into hot roux', act: 'In splashes, each taken up; then the meat back, the bundle, the rest.' }),
      stage('tender', 'simmer', 'simmer-covered', { title: 'Until the mutton gives', act: 'Covered, barely bubbling; skim the fat.', ends: { rule: 'soft', edgeCm: 2.5, softenMin: 80 }, does: { kind: 'skim', share: 0.6 } }),
      stage('roots', 'additions', 'simmer-soft', { title: 'Roots and leeks', act: 'Swede and carrots, then the leeks.', ends: { rule: 'soft', edgeCm: 2, softenMin: 12 } }),
      stage('dumplings', 'additions', 'simmer-covered', { title: 'Dumplings, lid on', act: 'Poached on the top, lid on and kept on for twenty minutes.', ends: { rule: 'minutes', minutes: 20 }, cue: 'They float and have doubled; 74 °C in the middle by the thermometer.' }),
      stage('season', 'season', 'season-last', {}),
      stage('serve', 'serve', 'serve-ladle', { act: 'Two dumplings a bowl, then the pot. Parsley.' }),
    ],
  },
  [
    ['3.4 kg mutton shoulder, 2.5 cm dice', 'brown'],
    ['380 g dripping', 'roux'],
    ['380 g plain flour', 'roux'],
    ['6.5 L chicken stock', 'stock'],
    ['1 herb bundle', 'stock'],
    ['900 g swede, 2 cm dice', 'roots'],
    ['700 g carrots, 2 cm dice', 'roots'],
    ['1.6 kg leeks, thick rings', 'roots'],
    ['2.5 kg herb dumplings', 'dumplings'],
    ['20 ml fermented table sauce', 'season'],
    ['salt to taste', 'season'],
    ['60 g parsley, chopped', 'serve'],
  ],
  recipesAsRows([DUMPLINGS]),
);

const LEEK_PERRY = paperRecipe(
  {
    id: 'leek-perry-broth',
    best: { untilH: 48, words: 'the broth keeps, the crust is of the hour' },
    name: 'Leek and perry broth under an oat and cheese crust',
    litres: 10,
    portionMl: 240,
    targetBand: 0,
    targetSaltPercent: 0.7,
    colour: 'leek',
    bowl: { topDiameterCm: 13, bottomDiameterCm: 8, heightCm: 6.5, headspaceCm: 1.5 },
    stages: [
      stage('onions', 'start', 'caramelise-covered', { title: 'Colour the onions', act: 'Butter, lid and a little water; then open, spread thin and turned every half minute.' }),
      stage('leeks', 'start', 'sweat-open', { title: 'Leeks in the brown', act: 'Leeks in; scrape the brown off the bottom into them.' }),
      stage('perry', 'liquid', 'deglaze', { title: 'Perry over it', act: 'Perry in, scrape, and let half of it go.', ends: { rule: 'minutes', minutes: 8 } }),
      stage('stock', 'liquid', 'to-boil', { title: 'Stock in', act: 'Stock, thyme and bay.' }),
      stage('simmer', 'simmer', 'simmer-ajar', { title: 'Half an hour, ajar', act: 'Barely bubbling.', ends: { rule: 'minutes', minutes: 30 } }),
      stage('season', 'season', 'season-last', { act: 'Thyme and bay out. A little under: the cheese brings salt to the bowl.' }),
      stage('serve', 'serve', 'serve-grill', { title: 'Crust and grill', act: 'Ladle to a finger and a half under the rim; rye bread, oats and cheese on it; under the grill until it blisters.' }),
    ],
  },
  [
    ['300 g butter', 'onions'],
    ['3.5 kg onions, sliced 3 mm', 'onions'],
    ['1.8 kg leeks, thin rings', 'leeks'],
    ['1 L dry perry', 'perry'],
    ['8 L dark leek-top stock', 'stock'],
    ['12 sprigs thyme (lift out)', 'stock'],
    ['3 bay leaves', 'stock'],
    ['15 ml cider vinegar', 'season'],
    ['salt to taste', 'season'],
    ['1.4 kg rye bread, sliced', 'serve'],
    ['200 g rolled oats', 'serve'],
    ['1 kg grated mature hard cheese', 'serve'],
  ],
  recipesAsRows([DARK_VEGETABLE_STOCK]),
);

export const BASES: readonly Recipe[] = [CHICKEN_STOCK, FUMET, DARK_VEGETABLE_STOCK, KELP_STOCK, DUMPLINGS, GARLIC_OIL, GLAZE, ...MORE_BASES];
export const DISHES: readonly Recipe[] = [TROUT_CHOWDER, VELOUTE, BEETROOT, PEPPER_LENTIL, VENISON, MOTHER_SAUCE, MUTTON, LEEK_PERRY];
export const BOOK: readonly Recipe[] = [...DISHES, ...BASES];

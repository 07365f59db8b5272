import { dish, stage } from './dish';

/** What the dishes stand on: stocks, a mother sauce, dumplings, an oil. The house's own, invented. */

export const CHICKEN_STOCK = dish(
  {
    id: 'roast-chicken-stock',
    name: 'Roast chicken stock',
    litres: 10,
    portionMl: 1000,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: 'broth',
    stocksAs: 'chicken-stock',
    stages: [
      stage('roast', 'start', 'brown-oven', { title: 'Roast the bones', act: 'Bones on trays at 220 °C until brown; pour off the fat, deglaze the trays.' }),
      stage('water', 'liquid', 'to-boil', { title: 'Cold water, slowly up', act: 'Bones in cold water, up slowly; skim as it rises.', lid: 'off' }),
      stage('simmer', 'simmer', 'simmer-open', { title: 'Simmer, never boil', act: 'Just under a simmer; vegetables for the last hour, big, to be lifted out.', heat: { kind: 'hold', simmer: 'justUnder' }, ends: { rule: 'minutes', minutes: 180 } }),
      stage('serve', 'serve', 'serve-ladle', { title: 'Strain and cool', act: 'Through a fine sieve; cool fast, label. Never salted.' }),
    ],
  },
  [
    ['8 kg chicken bones', 'roast'],
    ['11 L water', 'water'],
    ['550 g onion, halved (lift out)', 'simmer'],
    ['300 g carrots (lift out)', 'simmer'],
    ['300 g celery (lift out)', 'simmer'],
    ['2 bay leaves', 'simmer'],
  ],
);

export const FUMET = dish(
  {
    id: 'white-fish-fumet',
    name: 'Lean white-fish fumet',
    litres: 10,
    portionMl: 1000,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: 'chowder',
    stocksAs: 'fish-fumet',
    stages: [
      stage('sweat', 'start', 'sweat-covered', { title: 'Sweat bones and vegetables', act: 'Rinsed bones, no gills, with the vegetables: no colour.', ends: { rule: 'minutes', minutes: 8 } }),
      stage('water', 'liquid', 'to-boil', { title: 'Wine and water', act: 'Wine first, then cold water; up to a bare simmer, skim.' }),
      stage('simmer', 'simmer', 'simmer-open', { title: 'Twenty-five minutes', act: 'No longer: it turns bitter from the bones.', ends: { rule: 'minutes', minutes: 25 }, heat: { kind: 'hold', simmer: 'barely' } }),
      stage('serve', 'serve', 'serve-ladle', { title: 'Strain and cool', act: 'Through a cloth; do not press.' }),
    ],
  },
  [
    ['5 kg white-fish bones, rinsed', 'sweat'],
    ['400 g leeks (lift out)', 'sweat'],
    ['300 g celery (lift out)', 'sweat'],
    ['500 ml dry white wine', 'water'],
    ['10 L water', 'water'],
    ['2 bay leaves', 'simmer'],
  ],
);

export const DARK_VEGETABLE_STOCK = dish(
  {
    id: 'leek-top-stock',
    name: 'Dark leek-top stock',
    litres: 10,
    portionMl: 1000,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: 'venison',
    claims: ['vegan'],
    stocksAs: 'dark-vegetable-stock',
    stages: [
      stage('roast', 'start', 'brown-oven', { title: 'Roast the vegetables', act: 'Leek tops, onions and mushrooms with oil, dark at the edges; deglaze the trays.' }),
      stage('water', 'liquid', 'to-boil', { title: 'Water and kelp', act: 'Cold water; kelp out before it boils.' }),
      stage('simmer', 'simmer', 'simmer-open', { title: 'Forty minutes', act: 'Just under a simmer.', heat: { kind: 'hold', simmer: 'justUnder' }, ends: { rule: 'minutes', minutes: 40 } }),
      stage('serve', 'serve', 'serve-ladle', { title: 'Strain and cool', act: 'Press lightly. Never salted.' }),
    ],
  },
  [
    ['3 kg leeks (lift out)', 'roast'],
    ['1 kg onions, halved (lift out)', 'roast'],
    ['500 g mushrooms (lift out)', 'roast'],
    ['60 ml rapeseed oil', 'roast'],
    ['200 g celery (lift out)', 'roast'],
    ['40 g dried kelp', 'water'],
    ['11 L water', 'water'],
  ],
);

export const KELP_STOCK = dish(
  {
    id: 'kelp-and-mushroom-stock',
    name: 'Kelp and dried-mushroom stock',
    litres: 10,
    portionMl: 1000,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: 'broth',
    claims: ['vegan'],
    stocksAs: 'kelp-stock',
    stages: [
      stage('soak', 'start', 'sweat-open', {
        title: 'Soak cold',
        act: 'Kelp and mushrooms in cold water, half an hour.',
        heat: { kind: 'burner', fraction: 0 },
        ends: { rule: 'minutes', minutes: 30 },
        attention: { kind: 'leave' },
        method: 'cold soak',
        methodReason: 'Cold water draws the taste without the slime.',
        cue: 'Kelp soft and wide.',
        trouble: 'Still stiff: ten minutes more.',
      }),
      stage('warm', 'liquid', 'to-boil', { title: 'Warm, kelp out', act: 'Up slowly; kelp out when the edge shivers.', heat: { kind: 'burner', fraction: 0.5 } }),
      stage('serve', 'serve', 'serve-ladle', { title: 'Strain and cool', act: 'Through a cloth. The mushrooms are salvaged for a soup.' }),
    ],
  },
  [
    ['10.5 L water', 'soak'],
    ['100 g dried kelp', 'soak'],
    ['80 g dried shiitake (lift out)', 'soak'],
  ],
);

export const MOTHER_SAUCE = dish(
  {
    id: 'tomato-thyme-mother',
    name: 'Tomato and thyme mother sauce',
    litres: 10,
    portionMl: 200,
    targetBand: 2,
    targetSaltPercent: 0.5,
    colour: 'tomato',
    claims: ['vegetarian'],
    stages: [
      stage('sweat', 'start', 'sweat-open', { title: 'Sweat onion and garlic', act: 'In oil, no colour; garlic for the last two minutes.' }),
      stage('tomato', 'liquid', 'to-boil', { title: 'Tomatoes in', act: 'Crushed by hand, with the stock; thyme and bay tied.' }),
      stage('reduce', 'reduce', 'reduce-mark', { title: 'Stop short for reuse', act: 'Open until a quarter has gone, about 10 °Brix. Stop there: its two finishes reduce it again.', ends: { rule: 'fall', fractionGone: 0.25 } }),
      stage('puree', 'puree', 'puree-smooth', { title: 'Purée', act: 'Thyme and bay out, then smooth.' }),
      stage('season', 'season', 'season-last', { act: 'To half the salt of a dish: what it goes into brings the rest.' }),
      stage('serve', 'serve', 'serve-ladle', { title: 'Into tubs', act: 'Cool fast, label: use within seven days.' }),
    ],
    note: 'Two later finishes: with cream and basil as a soup, or under venison and juniper.',
  },
  [
    ['80 ml olive oil', 'sweat'],
    ['1.2 kg onions, finely chopped', 'sweat'],
    ['80 g garlic, sliced', 'sweat'],
    ['9 kg tinned tomatoes', 'tomato'],
    ['2 kg dark leek-top stock', 'tomato'],
    ['20 sprigs thyme (lift out)', 'tomato'],
    ['3 bay leaves', 'tomato'],
    ['60 g sugar', 'season'],
    ['salt to taste', 'season'],
  ],
  [DARK_VEGETABLE_STOCK],
);

export const DUMPLINGS = dish(
  {
    id: 'herb-dumplings',
    name: 'Herb dumplings',
    litres: 3,
    portionMl: 50,
    targetBand: 0,
    targetSaltPercent: 1,
    colour: 'broth',
    staysPieces: true,
    stages: [
      stage('mix', 'start', 'sweat-open', {
        title: 'Mix and roll',
        act: 'Flour, suet, powder, salt and herbs with cold water to a soft dough; 50 of 50 g.',
        heat: { kind: 'burner', fraction: 0 },
        ends: { rule: 'minutes', minutes: 15 },
        attention: { kind: 'handsOn' },
        method: 'by hand, cold',
        methodReason: 'Cold suet keeps the crumb open.',
        cue: 'Soft, not sticky.',
        trouble: 'Sticky: a dust of flour.',
      }),
      stage('serve', 'serve', 'serve-ladle', { title: 'On a floured tray', act: 'Covered, cold, until the pot wants them.' }),
    ],
  },
  [
    ['1.2 kg plain flour', 'mix', { scaling: 'straight' }],
    ['600 g beef suet', 'mix', { scaling: 'straight' }],
    ['30 g baking powder', 'mix'],
    ['30 g salt', 'mix', { scaling: 'straight' }],
    ['60 g parsley, chopped', 'mix', { scaling: 'straight' }],
    ['750 ml water', 'mix', { scaling: 'straight' }],
  ],
);

export const GARLIC_OIL = dish(
  {
    id: 'garlic-parsley-oil',
    name: 'Garlic and parsley oil',
    litres: 0.5,
    portionMl: 5,
    targetBand: 0,
    targetSaltPercent: 0,
    colour: 'leek',
    claims: ['vegan'],
    keeps: { hours: 48, advisory: 'made small, kept at 5 °C or below, dated, and never on the shelf.' },
    stages: [
      stage('mix', 'start', 'sweat-open', {
        title: 'Blend cold',
        act: 'Parsley, garlic and oil, smooth and cold.',
        heat: { kind: 'burner', fraction: 0 },
        ends: { rule: 'minutes', minutes: 5 },
        attention: { kind: 'handsOn' },
        method: 'cold',
        methodReason: 'Warm it goes grey.',
        cue: 'Bright green.',
        trouble: 'Grey: make it new.',
      }),
      stage('serve', 'serve', 'serve-ladle', { title: 'In a small bottle', act: 'Cold, dated, declared.' }),
    ],
  },
  [
    ['350 ml rapeseed oil', 'mix', { scaling: 'straight' }],
    ['20 g garlic, crushed', 'mix', { scaling: 'straight' }],
    ['150 g parsley, picked', 'mix', { scaling: 'straight' }],
  ],
);

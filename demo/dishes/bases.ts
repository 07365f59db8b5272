import { baseRecipe } from '../../core/bases';
import { recipesAsRows } from '../../core/book';
import { paperRecipe, paperStage as stage } from '../../core/reader';

/** What the dishes stand on: the kinds of base that ship, as this house makes and names them; dumplings, an oil. */

export const CHICKEN_STOCK = baseRecipe('brown-poultry-stock');
export const FUMET = baseRecipe('fish-fumet', { id: 'white-fish-fumet', name: 'Lean white-fish fumet' });
export const DARK_VEGETABLE_STOCK = baseRecipe('dark-vegetable-stock', {
  id: 'leek-top-stock',
  name: 'Dark leek-top stock',
  paper: [
    ['3 kg leeks (lift out)', 'roast'],
    ['1 kg onions, halved (lift out)', 'roast'],
    ['500 g mushrooms (lift out)', 'roast'],
    ['60 ml rapeseed oil', 'roast'],
    ['200 g celery (lift out)', 'roast'],
    ['11 L water', 'water'],
  ],
});
export const KELP_STOCK = baseRecipe('kelp-mushroom-stock');
export const MOTHER_SAUCE = baseRecipe('tomato-mother', {
  id: 'tomato-thyme-mother',
  name: 'Tomato and thyme mother sauce',
  claims: ['vegetarian'],
  rows: recipesAsRows([DARK_VEGETABLE_STOCK]),
  paper: [
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
});

/** The rest of the shelf, made as they ship. */
export const MORE_BASES = ['white-poultry-stock', 'brown-meat-stock', 'light-vegetable-stock', 'kelp-flake-stock', 'clear-meat-broth', 'vegetable-puree', 'blond-roux', 'dark-roux', 'herb-bundle'].map((kind) => baseRecipe(kind));

export const GLAZE = baseRecipe('stock-glaze', {
  rows: recipesAsRows([CHICKEN_STOCK]),
  paper: [['10 L roast chicken stock', 'boil']],
});
export const DUMPLINGS = paperRecipe(
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

export const GARLIC_OIL = paperRecipe(
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

/**
 * Lines as they stand on paper, in many hands, written before the code that reads them and from the table alone. What
 * counts at the stove is which food it is and how much of it: grams as purchased (of the middle of a range), whether it
 * comes out again, whether it goes by taste. `doubt` marks a line that has to be asked about; the others may be asked
 * about, and must not be read wrong in silence.
 */
export interface PaperLine {
  text: string;
  id: string;
  /** grams as purchased; null where none is said */
  g: number | null;
  comesOut?: true;
  toTaste?: true;
  doubt?: true;
}

/**
 * Lines as rows of a table: the words, the food, grams as purchased (`-` where none is said), and what has to be so: `out`
 * it comes out again, `taste` it goes by taste, `doubt` it must be asked about.
 */
export const paperLines = (table: string): PaperLine[] =>
  table
    .trim()
    .split('\n')
    .map((row): PaperLine => {
      const [text, id, g, flags = ''] = row.split('|').map((part) => part.trim());
      return {
        text: text!,
        id: id!,
        g: g === '-' ? null : Number(g),
        ...(flags.includes('out') ? { comesOut: true } : {}),
        ...(flags.includes('taste') ? { toTaste: true } : {}),
        ...(flags.includes('doubt') ? { doubt: true } : {}),
      };
    });

const line = (text: string, id: string, g: number | null, more: Omit<PaperLine, 'text' | 'id' | 'g'> = {}): PaperLine => ({ text, id, g, ...more });

/** Tins, jars, packs and bags with their weight beside them. */
const PACKS: readonly PaperLine[] = [
  line('1 chicken (about 1.5kg)', 'chicken-whole', 1500),
  line('1 bag (200g) spinach', 'spinach', 200),
  line('1 pack (250 g) chestnut mushrooms', 'mushroom', 250),
  line('1 packet of egg noodles (300g)', 'egg-noodle', 300),
  line('1 (28-ounce) can crushed tomatoes', 'tomato-tinned', 793.8),
  line('1 (6-ounce) can tomato paste', 'tomato-paste', 170.1),
  line('1 large (28-ounce) can whole tomatoes', 'tomato-tinned', 793.8),
  line('2 (14.5 oz) cans chopped tomatoes', 'tomato-tinned', 822.1),
  line('one 15-ounce can cannellini beans, drained', 'white-bean-tinned', 425.2),
  line('2 (15-oz.) cans black beans', 'black-bean-tinned', 850.5),
  line('3 × 400 g tins kidney beans, drained', 'kidney-bean-tinned', 1200),
  line('3 x 400g tins of chickpeas, drained and rinsed', 'chickpea-tinned', 1200),
  line('1 tin kidney beans, drained (240g)', 'kidney-bean-tinned', 400),
  line('2 tins chopped tomatoes (800g)', 'tomato-tinned', 800, { doubt: true }),
  line('2 tins (400 g each) chopped tomatoes', 'tomato-tinned', 800),
  line('2 tins chopped tomatoes (400 g each)', 'tomato-tinned', 800),
  line('4 400g tins plum tomatoes', 'tomato-tinned', 1600),
  line('1 x 680 g jar passata', 'passata', 680),
  line('1 jar passata (700 g)', 'passata', 700),
  line('1 carton passata', 'passata', 500),
  line('1 can coconut milk (13.5 oz)', 'coconut-milk', 382.7),
  line('1 tin of sweetcorn', 'sweetcorn', 260),
  line('1 small tin anchovies (50g)', 'anchovy', 50),
  line('1 tube tomato purée', 'tomato-paste', 200),
  line('half a tin of coconut milk', 'coconut-milk', 200),
  line('2 x 400 g tin lentils, drained', 'lentil-tinned', 800),
];

/** Fractions, sums, two units, ranges. */
const AMOUNTS: readonly PaperLine[] = [
  line('11/2 kg potatoes', 'potato', 1500),
  line('1 1/2kg potatoes', 'potato', 1500),
  line('21/4 lb carrots', 'carrot', 1020.6),
  line('1-1/2 cups milk', 'milk', 386.6),
  line('2-1/4 pounds beef chuck', 'beef', 1020.6),
  line('1 lb 4 oz carrots', 'carrot', 567),
  line('2 lb 3 oz potatoes', 'potato', 992.2),
  line('1lb 8oz leeks', 'leek', 680.4),
  line('1 cup plus 2 tbsp flour', 'flour', 149),
  line('1 cup + 1 tablespoon flour', 'flour', 140.3),
  line('2 tablespoons plus 1 teaspoon olive oil', 'olive-oil', 31.8),
  line('500g-600g stewing steak', 'beef', 550),
  line('500–600 g stewing steak', 'beef', 550),
  line('1.2 to 1.5 kg ham hock', 'ham-hock', 1350),
  line('between 200 and 300 g mushrooms', 'mushroom', 250),
  line('1 dozen eggs', 'egg', 684),
  line('2 dozen mussels', 'mussel', 384),
  line('half a dozen eggs', 'egg', 342),
  line('2 potatoes, about 400g', 'potato', 400),
  line('3 leeks, about 600 g in all', 'leek', 600),
  line('1 celeriac, around 700g', 'celeriac', 700),
  line('4 oz (115 g) bacon', 'bacon', 115),
  line('115 g (4 oz) bacon', 'bacon', 115),
  line('2 lb/900 g leeks', 'leek', 900),
  line('900g/2lb leeks', 'leek', 900),
  line('450 g / 1 lb carrots', 'carrot', 450),
  line('1 litre/1¾ pints chicken stock', 'chicken-stock', 1004),
  line('600ml/1 pint milk', 'milk', 618),
  line('1 pint (570ml) milk', 'milk', 587),
  line('2 oz/55 g butter', 'butter', 55),
  line('¾ pint vegetable stock', 'vegetable-stock', 427.5),
  line('1½lb swede', 'swede', 680.4),
  line('a pound of split peas', 'split-pea', 453.6),
  line('half a pound of bacon', 'bacon', 226.8),
  line('a kilo of onions', 'onion', 1000),
  line('half a kilo of carrots', 'carrot', 500),
  line('1,5 kg pommes de terre', 'potato', 1500),
  line('0.25 kg butter', 'butter', 250),
  line('1kg500 potatoes', 'potato', 1500),
  line('two and a half litres water', 'water', 2495),
  line('one and a half pounds of potatoes', 'potato', 680.4),
  line('three quarters of a litre of milk', 'milk', 772.5),
  line('a litre and a half of chicken stock', 'chicken-stock', 1506),
  line('3-4 carrots', 'carrot', 262.5),
  line('6-8 cloves garlic', 'garlic', 35),
  line('2 heaped tablespoons flour', 'flour', 23.9, { doubt: true }),
  line('1 level teaspoon salt', 'salt', 6.1),
  line('2 scant cups rice', 'rice', 425),
];

/** States and cuts that make it another food, or another weight. */
const STATES: readonly PaperLine[] = [
  line('100 g ham, cut in strips', 'ham', 100),
  line('200 g cooked ham, diced', 'ham', 200),
  line('100 g cooked chickpeas', 'chickpea-cooked', 100),
  line('200 g cooked rice', 'rice-cooked', 200),
  line('250 g cold boiled rice', 'rice-cooked', 250),
  line('300 g cooked white beans', 'white-bean-cooked', 300),
  line('500 g dried green split peas, soaked', 'split-pea', 500),
  line('500 g dried chickpeas, soaked overnight', 'chickpea', 500),
  line('250 g dried kidney beans', 'kidney-bean', 250),
  line('6 large field mushrooms', 'mushroom', 174),
  line('semi-skimmed milk, 500 ml', 'skimmed-milk', 517.5),
  line('500 ml semi-skimmed milk', 'skimmed-milk', 517.5),
  line('200 ml double cream', 'double-cream', 196),
  line('200 ml whipping cream', 'cream', 200),
  line('1 stick butter', 'butter', 113),
  line('2 sticks unsalted butter', 'butter', 226),
  line('1 stick celery', 'celery', 50),
  line('1 stick of cinnamon', 'cinnamon', 4, { comesOut: true }),
  line('1 kg peeled potatoes', 'potato', 1190),
  line('1 kg potatoes, peeled', 'potato', 1000),
  line('200 g peeled prawns', 'prawn', 200),
  line('200 g frozen peas', 'peas', 200),
  line('1 tsp dried thyme', 'dried-thyme', 0.99),
  line('1 tbsp fresh thyme leaves', 'thyme', 1.48),
  line('20 g dried porcini, soaked in 200 ml hot water', 'dried-mushroom', 20),
  line('400 g smoked haddock, skinned', 'smoked-haddock', 400),
  line('1 gammon joint, about 1 kg', 'gammon', 1000),
  line('2 slices of ham', 'ham', 50),
];

/** Two things in one line, fruit that is squeezed, what comes out, what is said aside. */
const SAID_ASIDE: readonly PaperLine[] = [
  line('1 onion, stuck with 2 cloves', 'onion', 150, { doubt: true }),
  line('1 onion studded with 4 cloves', 'onion', 150, { doubt: true }),
  line('1 lemon, juiced', 'lemon-juice', 45),
  line('juice of 1 lemon', 'lemon-juice', 45),
  line('juice and zest of 2 limes', 'lime-juice', 60, { doubt: true }),
  line('zest and juice of 1 lemon', 'lemon-juice', 45, { doubt: true }),
  line('a splash of brandy', 'brandy', null, { doubt: true }),
  line('a glug of olive oil', 'olive-oil', null, { doubt: true }),
  line('a drizzle of olive oil', 'olive-oil', null, { doubt: true }),
  line('a knob of butter', 'butter', 15),
  line('a handful of parsley', 'parsley', 15),
  line('a large handful of spinach', 'spinach', 43.5),
  line('a bunch of parsley', 'parsley', 60),
  line('a thumb of ginger', 'ginger', 25),
  line('a thumb-sized piece of ginger', 'ginger', 25),
  line('salt and pepper', 'salt', null, { toTaste: true, doubt: true }),
  line('salt & freshly ground black pepper', 'salt', null, { toTaste: true, doubt: true }),
  line('ham hock about 1.2 kg (lift out, pick the meat, put back)', 'ham-hock', 1200, { comesOut: true }),
  line('1 ham hock about 1.2 kg', 'ham-hock', 1200),
  line('1 ham hock, approx. 1.2kg', 'ham-hock', 1200),
  line('2 bay leaves (remove before blending)', 'bay-leaf', 1, { comesOut: true }),
  line('1 parmesan rind, to be taken out', 'cheese-rind', 60, { comesOut: true }),
  line('50 g butter, plus extra for the bowls', 'butter', 50),
  line('2 tbsp olive oil, plus a little more to serve', 'olive-oil', 26.9),
  line('1 leek or 2 small onions', 'leek', 250, { doubt: true }),
  line('500 g potatoes (optional)', 'potato', 500),
  line('200 ml cream (single or double)', 'cream', 200, { doubt: true }),
  line('2 carrots (see note)', 'carrot', 150),
  line('1 kg chicken bones or wings', 'chicken-bones', 1000, { comesOut: true, doubt: true }),
];

/** American, Australian and Indian kitchen words, and an ocean of spellings. */
const WORDS: readonly PaperLine[] = [
  line('4 scallions, sliced', 'spring-onion', 60),
  line('1 rutabaga', 'swede', 700),
  line('2 zucchini, diced', 'courgette', 400),
  line('1 large eggplant', 'aubergine', 435),
  line('1 lb ground beef', 'beef-mince', 453.6),
  line('1 bunch cilantro', 'coriander-leaf', 40),
  line('1 cup heavy cream', 'cream', 250),
  line('2 cups all-purpose flour', 'flour', 265),
  line('1 tbsp cornstarch', 'cornstarch', 8),
  line('1 bell pepper', 'red-pepper', 170),
  line('250 g masoor dal', 'red-lentil', 250),
  line('1 tsp haldi', 'turmeric', 2.3),
  line('200 g prawns, shelled', 'prawn', 200),
  line('1 brown onion', 'onion', 150),
  line('500 g kumara', 'sweet-potato', 500),
  line('1 swede', 'swede', 700),
  line('2 ribs celery', 'celery', 100),
  line('1 head of celery', 'celery', 500),
  line('3 sprigs thyme', 'thyme', 3),
  line('10 peppercorns', 'peppercorn', 0.4),
  line('1 tsp freshly ground black pepper', 'black-pepper', 2.3),
  line('1 tsp black pepper', 'black-pepper', 2.3),
  line('1 clove garlic', 'garlic', 5),
  line('3 fat cloves of garlic, crushed', 'garlic', 15),
  line('1 bulb fennel', 'fennel', 300),
  line('2.5 litres water', 'water', 2495),
  line('2 onions, diced', 'onion', 300),
  line('2 sticks celery', 'celery', 100),
  line('30 g butter', 'butter', 30),
  line('salt to taste', 'salt', null, { toTaste: true }),
];

export const LINES_ON_PAPER: readonly PaperLine[] = [...PACKS, ...AMOUNTS, ...STATES, ...SAID_ASIDE, ...WORDS];

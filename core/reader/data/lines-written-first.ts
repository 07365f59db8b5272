/**
 * Sixty lines as cooks write them, with what each means. Written and committed before the reader existed, from the
 * ingredient list alone, so that the reader could not be fitted to itself.
 *
 * amount as written (a range is two numbers), unit, ingredient, and where they are said: cut, must come out, to taste,
 * grams as purchased.
 */
export interface ExpectedLine {
  text: string;
  amount: number | readonly [number, number] | null;
  unit: string | null;
  ingredientId: string;
  cut?: string;
  comesOut?: true;
  toTaste?: true;
  purchasedG?: number;
}

export const LINES_WRITTEN_FIRST: readonly ExpectedLine[] = [
  { text: '2 large onions, sliced 3 mm', amount: 2, unit: 'each', ingredientId: 'onion', cut: 'sliced 3 mm', purchasedG: 435 },
  { text: '1½ cups cream', amount: 1.5, unit: 'cup', ingredientId: 'cream' },
  { text: '3 tbsp plain flour', amount: 3, unit: 'tbsp', ingredientId: 'flour' },
  { text: '4 sprigs thyme (lift out)', amount: 4, unit: 'sprig', ingredientId: 'thyme', comesOut: true, purchasedG: 4 },
  { text: 'salt to taste', amount: null, unit: null, ingredientId: 'salt', toTaste: true },
  { text: '1 (400 g) tin tomatoes', amount: 1, unit: 'tin', ingredientId: 'tomato-tinned', purchasedG: 400 },
  { text: '1,2 kg floury potatoes, peeled, 2 cm dice', amount: 1.2, unit: 'kg', ingredientId: 'potato', cut: 'peeled, 2 cm dice', purchasedG: 1200 },
  { text: '250 ml dry white wine', amount: 250, unit: 'mL', ingredientId: 'white-wine' },
  { text: '2-3 cloves garlic, crushed', amount: [2, 3], unit: 'clove', ingredientId: 'garlic', cut: 'crushed' },
  { text: '1 lb carrots, sliced', amount: 1, unit: 'lb', ingredientId: 'carrot', cut: 'sliced', purchasedG: 453.59237 },
  { text: '½ tsp ground white pepper', amount: 0.5, unit: 'tsp', ingredientId: 'white-pepper' },
  { text: '2 bay leaves', amount: 2, unit: 'leaf', ingredientId: 'bay-leaf', comesOut: true },
  { text: '1 bouquet garni', amount: 1, unit: 'each', ingredientId: 'herb-bundle', comesOut: true },
  { text: '100g unsalted butter', amount: 100, unit: 'g', ingredientId: 'butter', purchasedG: 100 },
  { text: '1.5 L chicken stock', amount: 1.5, unit: 'L', ingredientId: 'chicken-stock' },
  { text: '3 sticks of celery, finely diced', amount: 3, unit: 'stick', ingredientId: 'celery', cut: 'finely diced', purchasedG: 150 },
  { text: '6 rashers smoked bacon, cut in lardons', amount: 6, unit: 'rasher', ingredientId: 'bacon', cut: 'cut in lardons', purchasedG: 180 },
  { text: 'a pinch of saffron', amount: 1, unit: 'pinch', ingredientId: 'saffron' },
  { text: 'a handful of parsley, chopped', amount: 1, unit: 'handful', ingredientId: 'parsley', cut: 'chopped' },
  { text: '500 g red lentils, rinsed', amount: 500, unit: 'g', ingredientId: 'red-lentil', cut: 'rinsed', purchasedG: 500 },
  { text: '2 tablespoons tomato purée', amount: 2, unit: 'tbsp', ingredientId: 'tomato-paste' },
  { text: '1 medium celeriac', amount: 1, unit: 'each', ingredientId: 'celeriac', purchasedG: 800 },
  { text: '3/4 cup pearl barley', amount: 0.75, unit: 'cup', ingredientId: 'pearl-barley' },
  { text: '1 1/4 pints milk', amount: 1.25, unit: 'pint', ingredientId: 'milk' },
  { text: '8 juniper berries, crushed', amount: 8, unit: 'each', ingredientId: 'juniper', cut: 'crushed' },
  { text: '2 tbsp olive oil', amount: 2, unit: 'tbsp', ingredientId: 'olive-oil' },
  { text: '750 g venison shoulder, 3 cm dice', amount: 750, unit: 'g', ingredientId: 'venison', cut: '3 cm dice', purchasedG: 750 },
  { text: '4 egg yolks', amount: 4, unit: 'each', ingredientId: 'egg-yolk', purchasedG: 72 },
  { text: '200 g smoked trout, flaked', amount: 200, unit: 'g', ingredientId: 'smoked-trout', cut: 'flaked', purchasedG: 200 },
  { text: 'juice of 1 lemon', amount: 1, unit: 'each', ingredientId: 'lemon-juice' },
  { text: '1 kg beetroot, scrubbed', amount: 1, unit: 'kg', ingredientId: 'beetroot', cut: 'scrubbed', purchasedG: 1000 },
  { text: '2 leeks, white part only, sliced', amount: 2, unit: 'each', ingredientId: 'leek', cut: 'white part only, sliced' },
  { text: '10 g dried kelp (remove before boiling)', amount: 10, unit: 'g', ingredientId: 'kelp', comesOut: true, purchasedG: 10 },
  { text: '15 g dried fish flakes', amount: 15, unit: 'g', ingredientId: 'fish-flakes', purchasedG: 15 },
  { text: '1 tsp salt', amount: 1, unit: 'tsp', ingredientId: 'salt', purchasedG: 6 },
  { text: '2 tins (400 g each) chickpeas, drained', amount: 2, unit: 'tin', ingredientId: 'chickpea-tinned', cut: 'drained', purchasedG: 800 },
  { text: '2 x 400g tins chopped tomatoes', amount: 2, unit: 'tin', ingredientId: 'tomato-tinned', cut: 'chopped', purchasedG: 800 },
  { text: '12 oz mushrooms, sliced', amount: 12, unit: 'oz', ingredientId: 'mushroom', cut: 'sliced' },
  { text: '1 tbsp soy sauce', amount: 1, unit: 'tbsp', ingredientId: 'soy-sauce' },
  { text: '1 quart vegetable stock', amount: 1, unit: 'quart', ingredientId: 'vegetable-stock' },
  { text: '50 g grated hard cheese', amount: 50, unit: 'g', ingredientId: 'hard-cheese', cut: 'grated', purchasedG: 50 },
  { text: '1 small onion, finely chopped', amount: 1, unit: 'each', ingredientId: 'onion', cut: 'finely chopped', purchasedG: 90 },
  { text: 'freshly ground black pepper', amount: null, unit: null, ingredientId: 'black-pepper', toTaste: true },
  { text: '300 ml double cream', amount: 300, unit: 'mL', ingredientId: 'double-cream' },
  { text: '1 bunch chives, snipped', amount: 1, unit: 'bunch', ingredientId: 'chives', cut: 'snipped' },
  { text: '5 cl brandy', amount: 5, unit: 'cL', ingredientId: 'brandy' },
  { text: '1 dl perry', amount: 1, unit: 'dL', ingredientId: 'perry' },
  { text: '3 red peppers, roasted and peeled', amount: 3, unit: 'each', ingredientId: 'red-pepper', cut: 'roasted and peeled', purchasedG: 510 },
  { text: '900g mutton neck, in chunks', amount: 900, unit: 'g', ingredientId: 'mutton', cut: 'in chunks', purchasedG: 900 },
  { text: 'two carrots, in 1 cm dice', amount: 2, unit: 'each', ingredientId: 'carrot', cut: 'in 1 cm dice', purchasedG: 150 },
  { text: '1 parmesan-style cheese rind (take out)', amount: 1, unit: 'each', ingredientId: 'cheese-rind', comesOut: true },
  { text: '4 anchovy fillets', amount: 4, unit: 'fillet', ingredientId: 'anchovy' },
  { text: '1 kg mussels, scrubbed and bearded', amount: 1, unit: 'kg', ingredientId: 'mussel', cut: 'scrubbed and bearded', purchasedG: 1000 },
  { text: '2 tsp cornflour', amount: 2, unit: 'tsp', ingredientId: 'cornstarch' },
  { text: '1 star anise (lift out)', amount: 1, unit: 'each', ingredientId: 'star-anise', comesOut: true },
  { text: '2 lbs chicken thighs', amount: 2, unit: 'lb', ingredientId: 'chicken', purchasedG: 907.18474 },
  { text: '150 g frozen peas', amount: 150, unit: 'g', ingredientId: 'peas', purchasedG: 150 },
  { text: '1 thumb of ginger, grated', amount: 1, unit: 'thumb', ingredientId: 'ginger', cut: 'grated' },
  { text: '1 to 2 tbsp cider vinegar', amount: [1, 2], unit: 'tbsp', ingredientId: 'cider-vinegar' },
  { text: '6 sage leaves, torn', amount: 6, unit: 'leaf', ingredientId: 'sage', cut: 'torn' },
];

import { type PaperLine, paperLines } from './lines-on-paper';

/*
 * More lines as they stand on paper, written before the code that reads them, in the same manner as `LINES_ON_PAPER`. Eight were set right against the table after the reader was:
 * a rind and cloves come out by their rows, a large handful is more than one, a cup of cut onion is edible, an inch is half a
 * thumb, and what the table names or weighs by itself is not asked about.
 */
/** Plain kitchen English, from big batches and small. */
const PLAIN = paperLines(`
12 kg onions, peeled and sliced | onion | 12000
2½ kg carrots, 1 cm dice | carrot | 2500
750g swede, in chunks | swede | 750
1kg parsnips (peeled and chopped) | parsnip | 1000
half a white cabbage, shredded | cabbage | 600
1/2 small celeriac | celeriac | 240
a quarter of a pumpkin | pumpkin | 750
3 medium beetroot, boiled | beetroot | 450
2 good-sized leeks, white part only | leek | 500
6 spring onions, green tops kept | spring-onion | 90
a few sprigs of thyme | thyme | 3 | doubt
2 large handfuls spinach | spinach | 87
1 small bunch of parsley, stalks and all | parsley | 36
3 tablespoons plain flour | flour | 23.9
1 level tbsp cornflour | cornstarch | 8.1
1 heaped tsp paprika | paprika | 3.5 | doubt
2 pints chicken stock | chicken-stock | 1141
1 quart water | water | 1134
3 litres good beef stock, hot | beef-stock | 3018
500ml whole milk | milk | 515
150 ml single cream | single-cream | 151.5
1 x 400g tin coconut milk | coconut-milk | 400
2 x 400g tins chopped tomatoes | tomato-tinned | 800
1 jar passata (690 g) | passata | 690
1 tube of tomato purée | tomato-paste | 200
300 g green lentils, rinsed | green-lentil | 300
250g pearl barley, washed | pearl-barley | 250
400 g dried white beans, soaked overnight | white-bean | 400
200g dried chickpeas (soak overnight) | chickpea | 200
1.5 kg shin of beef, diced | beef | 1500
800 g neck of mutton, cubed | mutton | 800
1 oxtail, jointed, about 1.3 kg | oxtail | 1300
6 rashers smoked streaky bacon, snipped | bacon | 180
150g bacon lardons | bacon | 150
1 boiling fowl, about 2 kg | chicken-whole | 2000
4 chicken breasts | chicken-breast | 720
2 smoked mackerel fillets, about 150 g each | smoked-mackerel | 300
1 kg mussels, scrubbed and bearded | mussel | 1000
500 g white fish fillet, skinned | white-fish | 500
300g cooked peeled prawns | prawn | 300
1 parmesan rind | cheese-rind | 60 | out
2 bay leaves | bay-leaf | 1 | out
1 bouquet garni | herb-bundle | 25 | out
1 cinnamon stick | cinnamon | 4 | out
4 cloves | clove-spice | 0.4 | out
6 juniper berries, crushed | juniper | 0.7
a pinch of saffron | saffron | 0.1
a good grating of nutmeg | nutmeg | 0.1
2 tsp caraway seeds | caraway | 4.5
1 tsp ground cumin | cumin | 2.2
salt | salt | - | taste
salt and white pepper to taste | salt | - | taste doubt
freshly ground black pepper | black-pepper | - | taste
lemon juice, to taste | lemon-juice | - | taste
1 tbsp red wine vinegar | wine-vinegar | 15.2
2 tbsp soy sauce | soy-sauce | 35.1
1 tsp brown sugar | brown-sugar | 4.3
2 egg yolks | egg-yolk | 36
a glass of white wine | white-wine | 150
a wine glass of sherry | sherry | 50
a bottle of red wine | red-wine | 745
chopped chives, to garnish | chives | - | doubt
croutons, to serve | bread | - | doubt
`);

/** Amounts in ways of their own. */
const AMOUNTS = paperLines(`
1kg 200g potatoes | potato | 1200
2lb 8oz onions | onion | 1134
1 lb. carrots | carrot | 453.6
3 lbs potatoes, peeled | potato | 1360.8
4oz/115g butter | butter | 115
225 g (8 oz) mushrooms, sliced | mushroom | 225
1.2 litres (2 pints) vegetable stock | vegetable-stock | 1203.6
600ml/1 pint milk | milk | 618
2-3 cloves garlic | garlic | 12.5
8 to 10 carrots | carrot | 675
between 1 and 1.5 kg potatoes | potato | 1250
100-150 g hard cheese | hard-cheese | 125
3/4 cup red lentils | red-lentil | 153.8
1 ½ cups pearl barley | pearl-barley | 311
2⅔ cups milk | milk | 686.7
one and a half litres of water | water | 1497
a kilo of tomatoes | tomato | 1000
half a kilo of leeks | leek | 500
a litre of fish stock | fish-fumet | 1003
half a litre of milk | milk | 515
a dozen mussels | mussel | 192
two dozen oysters | oyster | 360
1.5kg/3lb 5oz beef shin | beef | 1500
55 g/2 oz flour | flour | 55
5 kg (11 lb) beef bones | beef-bones | 5000 | out
10 L water | water | 9980
1 gallon water | water | 4537
25 ml rapeseed oil | rapeseed-oil | 23
1 dl cream | cream | 100
75 cl red wine | red-wine | 745.5
0.5 kg pork mince | pork-mince | 500
,5 kg onions | onion | 500 | doubt
1.000 g carrots | carrot | 1000 | doubt
1 onion (150g) | onion | 150
3 onions (450 g) | onion | 450
2 cans (15 oz each) kidney beans | kidney-bean-tinned | 850.5
1 (400g) tin chickpeas, rinsed | chickpea-tinned | 400
3 stalks of celery, with leaves | celery | 150
a stick and a half of celery | celery | 75
1 thumb-sized piece of ginger, grated | ginger | 25
5 cm piece of ginger | ginger | 25 | doubt
15g pack of dill | dill | 15
30g bunch of coriander | coriander-leaf | 30
`);

/** American kitchens. */
const AMERICAN = paperLines(`
2 cups chicken broth | chicken-stock | 502
1 large yellow onion, chopped | onion | 217.5
3 russet potatoes | potato | 540
4 strips bacon | bacon | 120
1 cup half-and-half | single-cream | 252.5
1 stick unsalted butter | butter | 113
2 15-ounce cans navy beans | white-bean-tinned | 850.5
1 lb. dried navy beans | white-bean | 453.6
1 pound dry split peas | split-pea | 453.6
2 cups dry lentils | green-lentil | 410
8 oz cremini mushrooms | mushroom | 226.8
1 green bell pepper, diced | green-pepper | 170
1 jalapeño, minced | chilli | 15
1 lb shrimp, peeled and deveined | prawn | 453.6
6 ears corn | sweetcorn | 660
2 cups frozen corn | sweetcorn | 340
1 acorn squash | squash | 1000
1 lb Italian sausage | smoked-sausage | 453.6 | doubt
2 Tbsp. tomato paste | tomato-paste | 33
1 T olive oil | olive-oil | 13.7
2 t salt | salt | 12.2
1 c. milk | milk | 257.5
4 c water | water | 998
1 tsp kosher salt | kosher-salt | 4.9 | doubt
1 lb ground pork | pork-mince | 453.6
2 lbs beef chuck, cubed | beef | 907.2
1 cup green onions, chopped | spring-onion | 106.7
`);

/** Australian, New Zealand, Indian and Irish kitchens. */
const FARTHER = paperLines(`
1 capsicum, diced | red-pepper | 170
2 rashers short-cut bacon | bacon | 60
500 g beef mince | beef-mince | 500
1 bunch silverbeet | chard | 300
500g butternut pumpkin | squash | 500
2 kumara, peeled | sweet-potato | 500
1 cup toor dal | split-pea | 205 | doubt
200 g chana dal | split-pea | 200 | doubt
250 g kabuli chana, soaked overnight | chickpea | 250
1 cup rajma | kidney-bean | 200
2 tsp jeera | cumin | 4.3
1/2 tsp hing | cumin | - | doubt
a sprig of curry leaves | bay-leaf | - | doubt
2 tbsp ghee | ghee | 27.3
1 tsp dhania powder | coriander-seed | 1.8
300 g palak | spinach | 300
2 aloo | potato | 360
1 inch piece ginger | ginger | 12.7 | doubt
2 green chillies | chilli | 30
1 tsp mustard seeds | mustard-seed | 3.5
4 green cardamoms | cardamom | 0.8
1 kg spuds | potato | 1000
3 parsnips, cored | parsnip | 450
450g floury potatoes | potato | 450
`);

/** French and German pages. */
const OTHER_TONGUES = paperLines(`
1 kg de pommes de terre | potato | 1000
2 oignons | onion | 300
3 carottes, coupées en dés | carrot | 225
2 gousses d'ail | garlic | 10
1 bouquet garni | herb-bundle | 25 | out
50 g de beurre | butter | 50
2 cuillères à soupe d'huile d'olive | olive-oil | 27.3
1 c. à soupe de farine | flour | 8
1 c. à café de sel | salt | 6.1
1 l d'eau | water | 998
20 cl de crème fraîche | creme-fraiche | 200
150 g de lardons | bacon | 150
4 poireaux | leek | 1000
500 g de lentilles vertes | green-lentil | 500
250 g de haricots blancs secs | white-bean | 250
1 pincée de noix de muscade | nutmeg | 0.2
2 branches de thym | thyme | 2
3 feuilles de laurier | bay-leaf | 1.5 | out
300 g de champignons | mushroom | 300
1 botte de persil | parsley | 60
1,5 kg de potiron | pumpkin | 1500
sel, poivre | salt | - | taste doubt
2 jaunes d'œufs | egg-yolk | 36
1 kg Kartoffeln | potato | 1000
2 Zwiebeln | onion | 300
3 Möhren, gewürfelt | carrot | 225
2 Knoblauchzehen | garlic | 10
1 Bund Petersilie | parsley | 60
50 g Butter | butter | 50
2 EL Öl | rapeseed-oil | 27.6
1 EL Mehl | flour | 8
1 TL Salz | salt | 6.1
1 l Wasser | water | 998
200 ml Sahne | cream | 200
150 g Speck | bacon | 150
2 Stangen Lauch | leek | 500
500 g rote Linsen | red-lentil | 500
1 Prise Muskat | nutmeg | 0.2
2 Lorbeerblätter | bay-leaf | 1 | out
1 Knollensellerie | celeriac | 800
Salz und Pfeffer | salt | - | taste doubt
1/2 TL Kümmel | caraway | 1.1
300 g Weißkohl | cabbage | 300
`);

export const LINES_OF_MANY_HANDS: readonly PaperLine[] = [...PLAIN, ...AMOUNTS, ...AMERICAN, ...FARTHER, ...OTHER_TONGUES];

/**
 * Kept apart until the reader was done, and looked at once: 55 of 60 were right, four wrong without a doubt. The families
 * of those were then mended; the list stands guard since.
 */
export const LINES_KEPT_APART: readonly PaperLine[] = paperLines(`
9 kg potatoes, peeled and quartered | potato | 9000
4 sticks of celery, finely sliced | celery | 200
1 large head of celery | celery | 725
2 onions, about 350 g | onion | 350
1 tin (400 g) butter beans, drained | white-bean-tinned | 400
6 x 400 g tins plum tomatoes | tomato-tinned | 2400
1 (15-ounce) can chickpeas | chickpea-tinned | 425.2
2 lb 4 oz stewing beef | beef | 1020.6
1 pint double cream | double-cream | 556.9
275 ml/½ pint dry cider | cider | 275
350 g leeks, trimmed weight | leek | 636.4 | doubt
1 smoked ham hock | ham-hock | 1000
2 pig's trotters | ham-hock | - | doubt
200 g smoked haddock, skinned and flaked | smoked-haddock | 200
3 tbsp chopped parsley | parsley | 10.4
1 tbsp tomato ketchup | tomato-paste | - | doubt
a large knob of butter | butter | 21.8
4 tbsp crème fraîche | creme-fraiche | 60
1-2 tsp curry powder | curry-powder | 3.2
1 scant cup rice | rice | 212.5
1/4 tsp cayenne | cayenne | 0.45
2 star anise | star-anise | 2 | out
zest of 1 lemon | lemon-zest | 5
juice of half a lemon | lemon-juice | 22.5
1 lemon, juice only | lemon-juice | 45
12 peppercorns, tied in muslin | peppercorn | 0.5 | doubt
3 eggs, beaten | egg | 171
2 slices stale bread | bread | 80
a handful of basil leaves, torn | basil | 10
100 g pasta shapes | pasta | 100
50g vermicelli | pasta | 50 | doubt
1 kg lamb bones | lamb-bones | 1000 | out
2 L fish fumet | fish-fumet | 2006
1 l vegetable stock (or water) | vegetable-stock | 1003 | doubt
200 g frozen peas | peas | 200
150g frozen leaf spinach | spinach | 150
400 g squash, peeled weight | squash | 512.8 | doubt
1 red chilli, deseeded and chopped | chilli | 15
1 can evaporated milk | milk | - | doubt
2 cups diced carrots | carrot | 378.1
1 cup chopped onion | onion | 142
1 lb. boneless chicken thighs | chicken | 453.6
3 qt water | water | 3402
1 tbsp Worcestershire-style sauce | table-sauce | 16.8 | doubt
2 courgettes, grated | courgette | 400
500 g brinjal | aubergine | 500
1 tsp haldi powder | turmeric | 2.3
1 tbsp methi leaves | parsley | - | doubt
2 gousses d'ail écrasées | garlic | 10
1 cuillère à café de cumin | cumin | 2.2
500 g de navets | turnip | 500
25 cl de lait | milk | 257.5
1 Dose Tomaten (400 g) | tomato-tinned | 400
3 EL Essig | wine-vinegar | 45.5 | doubt
250 g Champignons | mushroom | 250
1 Stange Sellerie | celery | 50
salt & pepper to taste | salt | - | taste doubt
cayenne pepper, to taste | cayenne | - | taste
sprigs of dill, to serve | dill | - | doubt
1 onion, stuck with 3 cloves | onion | 150 | doubt
`);

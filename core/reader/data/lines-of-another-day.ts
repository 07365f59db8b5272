import { type PaperLine, paperLines } from './lines-on-paper';

/**
 * Sixty lines written after the reader was done, to see what it makes of hands it has not met; looked at once. At that
 * look 45 were right, 12 were asked about though they had to be read, 3 were wrong in silence (a pound in brackets after a
 * fraction, a cup with its grams beside it; both by less than a spoon). Their families are mended and the list is a guard.
 * Fourteen expectations were set right against the table then: a whole chicken is counted as such, a kitchen in metric has
 * cups of 250 mL, and what the table weighs by itself is not asked about.
 */
export const LINES_OF_ANOTHER_DAY: readonly PaperLine[] = paperLines(`
Potatoes — 6 kg, floury, peeled | potato | 6000
Leeks (cleaned) 2.2kg | leek | 2200
onions: 900 g | onion | 900
butter, unsalted ... 120 g | butter | 120
12 rashers back bacon | bacon | 360
about 2 kg of beef shin, in big cubes | beef | 2000
2 x 1.5kg chickens | chicken-whole | 3000
1 whole chicken (3 1/2 lb) | chicken-whole | 1588
3/4 cup red lentils, rinsed and picked over | red-lentil | 150
1½ cups dried split peas | split-pea | 300
1 cup (200 g) pearl barley | pearl-barley | 200
2 cups diced carrots | carrot | 378
1 28-oz can whole peeled tomatoes, crushed by hand | tomato-tinned | 794
half a tin of tomato puree | tomato-paste | 70
4 tbsps olive oil, plus more to serve | olive-oil | 55
1 tbsp. butter | butter | 14
3 cloves of garlic, smashed | garlic | 15
1 whole head of garlic, halved across | garlic | 50
a 2-inch knob of ginger | ginger | 25.5 | doubt
salt & freshly ground black pepper | salt | - | taste
Kosher salt, to taste | kosher-salt | - | taste
sea salt | fine-sea-salt | - | taste
pinch of saffron | saffron | 0.1
2 dried bay leaves | bay-leaf | 1 | out
1 bouquet garni | herb-bundle | 25 | out
1 cinnamon stick, about 8 cm | cinnamon | 4 | out
4-5 sprigs rosemary | rosemary | - | doubt
1.2l fish stock | fish-fumet | 1207
8 cups low-sodium chicken broth | chicken-stock | 2008
1 can (14 fl oz) coconut milk | coconut-milk | 410
600ml of boiling water | water | 600
a glass of dry white wine | white-wine | 150
250 g smoked haddock fillet, undyed | smoked-haddock | 250
1 kg live mussels, scrubbed and bearded | mussel | 1000
500 g raw king prawns, shell on | prawn-shell-on | 500
1 dozen clams | clam | 240
300 g frozen peas, thawed | peas | 300
4 corn cobs, kernels cut off | sweetcorn | 440
2 heads of fennel | fennel | 600
200 g baby spinach, washed | spinach | 200
1 kg chestnut mushrooms, wiped, sliced thickly | mushroom | 1000
15 g dried porcini, soaked in 200 ml warm water | dried-mushroom | 15
4 ripe tomatoes, skinned and seeded | tomato | 440
1 butternut squash (about 1.2 kg), peeled, seeded, diced | squash | 1200
3 parsnips | parsnip | 450
2 Tbsp white miso | white-miso | 34.5
1 tsp. each cumin and coriander | cumin | 2.1 | doubt
100g gruyère, grated | aged-cheese | 100
parmesan rind | cheese-rind | - | out doubt
200 mL whipping cream | cream | 200
50 g each of butter and flour | butter | 50 | doubt
1 tbsp cornflour mixed with 2 tbsp cold water | cornstarch | 8.1
2 egg yolks, beaten | egg-yolk | 36
600 g day-old bread, torn | bread | 600
350 g orzo | pasta | 350
1 kg lamb neck, bone in | mutton | 1000
2 kg carottes, en rondelles | carrot | 2000
1 botte de persil | parsley | 60
3 EL Butter | butter | 42
1 Bund Suppengrün | | - | doubt
`);

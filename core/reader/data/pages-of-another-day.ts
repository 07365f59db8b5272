import { type PaperPage, paperPage } from './pages-on-paper';

/**
 * Eight pages written after the reader was done, to see what it makes of hands it has not met; looked at once. Two were right then; of
 * the six others four were read as the page has them and written otherwise here (a wine boiled away is reduced, what comes back
 * comes back before the mashing). Two were wrong: raw fish laid on top went in off the heat, “bring it back to the boil” put a
 * chicken back; and a list run on in one paragraph was no list. Those families are mended.
 */
export const PAGES_OF_ANOTHER_DAY: readonly PaperPage[] = [
  paperPage(
    'Mushroom barley soup',
    20,
    `
Mushroom and barley soup
Makes 20 portions

Butter: 100 g
Onions: 600 g, diced
Chestnut mushrooms: 1.5 kg, sliced
Pearl barley: 400 g, rinsed
Dark vegetable stock: 5 litres
Thyme, 4 sprigs
Parsley, a big bunch

Method
Melt the butter in a wide pan. Cook the onions gently for 10 mins until soft but not coloured. Turn up the heat, add the mushrooms and fry for 10 mins until their liquid has gone. Stir in the barley, then pour over the stock and drop in the thyme. Bring up to the boil, turn down and simmer part-covered for 50 mins. Fish out the thyme. Season well, scatter over the parsley and serve.`,
    `
start 10: butter onions
start 10: mushrooms
liquid: barley stock thyme
simmer 50 ajar:
season:
serve: parsley`,
  ),
  paperPage(
    'Bolognese for the freezer',
    30,
    `
MEAT SAUCE FOR PASTA (30 portions)
3 kg minced beef
1 kg minced pork
150 ml olive oil
1 kg onions, finely chopped
500 g carrots, finely chopped
500 g celery, finely chopped
1 bottle (750 ml) red wine
4 x 800 g tins plum tomatoes
200 g tomato paste
2 litres beef stock
500 ml whole milk
4 bay leaves

1. Heat the oil and brown the mince in batches, about 15 minutes.
2. Add the onions, carrots and celery; cook for 15 minutes, stirring.
3. Add the wine and reduce until almost dry.
4. Stir in the tomato paste, tomatoes, stock and bay. Bring to the boil.
5. Simmer very gently, uncovered, for 3 hours, stirring now and then.
6. Add the milk and simmer for a further 30 minutes.
7. Remove the bay leaves, season and serve.`,
    `
start 15: beef pork oil
start 15: onions carrots celery
reduce: wine
liquid: paste tomatoes stock bay
simmer 180 off:
additions 30: milk
season:
serve:`,
  ),
  paperPage(
    'Fish chowder',
    8,
    `
Fisherman's chowder - 8 servings
1/4 lb bacon, diced
1 large onion, diced
2 ribs celery, diced
3 tbsp flour
1 quart fish stock
1 1/2 lb potatoes, peeled and cubed
2 lb white fish fillets, cut in 2-inch chunks
1 cup heavy cream
chopped parsley for garnish

Render the bacon over medium heat until crisp, 8 min. Add onion and celery and sweat 5 min. Sprinkle in the flour and cook, stirring, 2 min. Gradually whisk in the stock. Add potatoes, bring to a boil, reduce heat and simmer, covered, 15 min until tender. Lay the fish on top, cover and poach gently for 6 min. Stir in the cream and warm through without boiling. Season. Garnish with parsley.`,
    `
start 8: bacon
start 5: onion celery
start 2: flour
liquid: stock potatoes
simmer 15 on:
additions 6 on: fillets
finish: cream
season:
serve: parsley`,
  ),
  paperPage(
    'Roast squash soup',
    10,
    `
Roasted butternut soup. Serves ten.
2 kg butternut squash, halved
2 red onions, quartered
4 cloves garlic, unpeeled
3 tbsp olive oil
1.5 litres chicken stock
200 ml coconut milk
juice of 1 lime

Toss the squash, onions and garlic with the oil and roast at 200C for 45 minutes until soft and browned at the edges. Scrape the flesh into a pot with the onions and squeezed garlic. Add the stock, bring to a simmer and cook for 15 minutes. Blend until very smooth. Stir in the coconut milk and lime juice. Check the seasoning.`,
    `
start 45: squash onions garlic oil
liquid: stock
simmer 15:
puree:
finish: coconut lime
season:
serve:`,
  ),
  paperPage(
    'Chicken broth with noodles',
    12,
    `
Chicken noodle soup
Serves 12

1 chicken, about 2 kg
2 onions, halved
2 carrots
2 sticks celery
10 peppercorns
2 bay leaves
5 litres cold water
500 g egg noodles
1 bunch dill, chopped

Put the chicken in a large pot with the onions, carrots, celery, peppercorns, bay leaves and water. Bring slowly to the boil, skimming. Simmer gently for 1 1/2 hours, lid slightly ajar. Lift out the chicken and strip the meat from the bones. Strain the broth. Bring it back to the boil, add the noodles and cook for 6 minutes. Return the chicken to the pot. Season and finish with dill.`,
    `
liquid: chicken onions carrots celery peppercorns bay water
simmer 90 ajar:
lift:
strain:
liquid:
additions 6: noodles
finish: <chicken
season:
finish: dill
serve:`,
  ),
  paperPage(
    'Black bean soup',
    6,
    `
BLACK BEAN SOUP
6 servings
1 lb dried black beans, soaked overnight and drained
2 Tbsp olive oil
1 onion, chopped
1 green pepper, chopped
4 cloves garlic, minced
2 tsp ground cumin
1 tsp oregano
1 smoked ham hock
8 cups water
2 Tbsp lime juice
Salt

Heat oil in a heavy pot; cook onion and pepper until soft, about 8 minutes. Add garlic, cumin and oregano; cook 1 minute. Add beans, ham hock and water. Bring to boil; cover, reduce heat and simmer until beans are tender, 1 1/2 to 2 hours. Remove hock; shred meat and return it to pot. Mash about half of the beans. Add lime juice and salt to taste.`,
    `
start 8: oil onion pepper
start 1: garlic cumin oregano
liquid: beans hock water
simmer 105 on:
lift:
finish: <hock
puree /0.5:
finish: lime
season: Salt
serve:`,
  ),
  paperPage(
    'Tomato sauce, reduced',
    null,
    `
House tomato sauce
Makes about 6 litres

8 kg ripe tomatoes, quartered
250 ml olive oil
1 head garlic, sliced
1 bunch basil
40 g salt

Warm the oil with the garlic over a low heat for 5 minutes. Tip in the tomatoes and salt, bring to the boil. Simmer uncovered until reduced by a third, about 1 hour 15 minutes. Pass through a food mill. Tear in the basil and leave for 10 minutes off the heat.`,
    `
start 5: oil garlic
liquid: tomatoes salt
reduce /0.333 off:
strain:
finish 10: basil
season:
serve:`,
  ),
  paperPage(
    'Split pea, old card',
    6,
    `
PEA SOUP, for six
Half a pound of yellow split peas, 2 oz. dripping, 1 onion, 1 carrot, 1 small turnip, 3 pints ham stock, a sprig of mint, salt and pepper.
Steep the peas overnight. Melt the dripping and fry the cut vegetables ten minutes. Add the peas and the stock. Boil up, skim, and simmer two hours with the lid on. Rub through a sieve. Reheat, season and serve with the mint chopped over.`,
    `
start 10: dripping onion carrot turnip
liquid: peas stock
simmer 120 on:
strain:
season: salt
serve: mint`,
  ),
];

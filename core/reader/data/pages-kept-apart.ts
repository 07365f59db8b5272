import { type PaperPage, paperPage } from './pages-on-paper';

/**
 * Ten pages in the manner of `PAGES_ON_PAPER`, kept apart until the reader was done and looked at once: eight were right.
 * “An hour and three quarters” was mended then; mussels steamed in wine are read as two stages where one is written here.
 */
export const PAGES_KEPT_APART: readonly PaperPage[] = [
  paperPage(
    'Celeriac soup',
    6,
    `
Celeriac soup
Serves 6
1 celeriac, diced
2 leeks, sliced
40 g butter
1.2 litres vegetable stock
100 ml double cream

Sweat the leeks in the butter for 8 minutes, covered.
Add the celeriac and stock, bring to the boil and simmer for 25 minutes.
Blend until smooth, stir in the cream and season.`,
    `
start 8 on: leeks butter
liquid: celeriac stock
simmer 25:
puree:
finish: cream
season:
serve:`,
  ),
  paperPage(
    'White bean soup',
    10,
    `
White bean soup with sage, serves 10
750 g dried white beans, soaked overnight
2 onions, chopped
4 cloves garlic
100 ml olive oil
4 litres water
1 bunch sage
2 tsp salt

Soften the onions and garlic in half the oil for 10 minutes. Add the beans, water and sage. Bring to the boil, then simmer, lid ajar, for an hour and three quarters. Remove the sage. Blend a third and stir it back in. Season with the salt and serve with the rest of the oil.`,
    `
start 10: onions garlic oil*1/2
liquid: beans water sage
simmer 105 ajar:
puree /0.333:
season: salt
serve: oil*1/2`,
  ),
  paperPage(
    'Kale and sausage soup',
    12,
    `
Kale and Sausage Soup
Yield: 12 bowls
1 lb smoked sausage, sliced
2 onions, diced
3 lbs potatoes, cubed
3 quarts chicken broth
1 bunch kale, shredded
1 cup heavy cream

1. Brown the sausage for 8 minutes.
2. Add the onions and cook until soft, 6 to 8 minutes.
3. Add potatoes and broth; bring to a boil. Reduce heat and simmer 15 minutes.
4. Add kale and simmer 10 minutes.
5. Stir in cream. Season to taste. Serve.`,
    `
start 8: sausage
start 7: onions
liquid: potatoes broth
simmer 15:
additions 10: kale
finish: cream
season:
serve:`,
  ),
  paperPage(
    'Pheasant broth',
    8,
    `
Pheasant broth
For 8
2 pheasants
3 litres water
1 onion, halved
2 carrots, diced
2 leeks, sliced
100 g pearl barley
2 bay leaves

Put the pheasants, water, onion, barley and bay leaves in the pot and bring slowly to the boil. Skim and simmer for 1 hour 15 minutes with the lid on. Lift out the pheasants and pick the meat. Add the carrots and leeks and simmer for 15 minutes. Return the meat, season and serve.`,
    `
liquid: pheasants water onion barley bay
simmer 75 on:
lift:
additions 15: carrots leeks
finish: <pheasants
season:
serve:`,
  ),
  paperPage(
    'Tomato sauce by the pan',
    50,
    `
Tomato sauce for 50
2 kg onions, chopped
500 ml olive oil
100 g garlic
12 kg tinned tomatoes
500 g tomato paste
100 g salt
50 g sugar
2 bunches basil

Sweat the onions in the oil for 20 minutes. Add the garlic and cook for 2 minutes. Add the tomatoes, tomato paste, salt and sugar and bring to a simmer. Simmer uncovered for 30 minutes. Reduce by a third. Stir in the basil.`,
    `
start 20: onions oil
start 2: garlic
liquid: tomatoes paste salt sugar
simmer 30 off:
reduce /0.333:
finish: basil
season:
serve:`,
  ),
  paperPage(
    'Parsnip and curry',
    4,
    `
Curried parsnip soup (serves 4)
30g butter
1 onion, chopped
600g parsnips, chopped
2 tsp curry powder
1 litre stock (vegetable stock)
150ml yoghurt

Melt the butter and fry the onion for 5 minutes. Stir in the curry powder and cook for 1 minute. Add the parsnips and stock. Bring to the boil, cover and simmer for 20 minutes. Liquidise. Serve with the yoghurt.`,
    `
start 5: butter onion
start 1: curry
liquid: parsnips stock
simmer 20 on:
puree:
season:
serve: yoghurt`,
  ),
  paperPage(
    'Mussel soup',
    6,
    `
Mussel soup
Serves 6
2 kg mussels, scrubbed
300 ml white wine
2 shallots, chopped
50 g butter
1 litre fish fumet
a pinch of saffron
200 ml cream
chives, to garnish

Sweat the shallots in the butter for 5 minutes. Add the mussels and wine, cover and steam for 4 minutes. Lift out the mussels and pick the meat from the shells. Add the fumet and saffron and simmer for 10 minutes. Stir in the cream. Return the mussels, season and garnish with chives.`,
    `
start 5: shallots butter
liquid 4 on: mussels wine
lift:
simmer 10: fumet saffron
finish: cream <mussels
season:
serve: chives`,
  ),
  paperPage(
    'Velouté de champignons',
    4,
    `
Velouté de champignons
Pour 4 personnes
500 g de champignons
2 échalotes
40 g de beurre
30 g de farine
1 l de bouillon de volaille
15 cl de crème

Faire suer les échalotes dans le beurre 5 minutes. Ajouter les champignons et cuire 10 minutes. Ajouter la farine. Verser le bouillon et porter à ébullition. Laisser mijoter 15 minutes. Mixer. Ajouter la crème et servir.`,
    `
start 5: échalotes beurre
start 10: champignons
start: farine
liquid: bouillon
simmer 15:
puree:
finish: crème
season:
serve:`,
  ),
  paperPage(
    'Venison soup',
    20,
    `
Venison soup, twenty covers
3 kg venison, 2 cm dice
100 g dripping
1 kg onions, sliced
150 g flour
8 l game stock
500 ml red wine
12 juniper berries
4 bay leaves
200 g redcurrant jelly

Brown the venison in the dripping in batches, 20 minutes. Soften the onions for 10 minutes. Dust with the flour. Add the wine and reduce by half. Pour in the stock with the juniper and bay, bring to the boil. Simmer for 2½ hours, lid ajar. Take out the bay leaves. Stir in the jelly. Season and serve.`,
    `
start 20: venison dripping
start 10: onions
start: flour
reduce /0.5: wine
liquid: stock juniper bay
simmer 150 ajar:
finish: jelly
season:
serve:`,
  ),
  paperPage(
    'Broccoli and blue cheese',
    5,
    `
Broccoli soup
Makes 4-6 bowls
1 tbsp rapeseed oil
1 onion, chopped
1 potato, diced
700ml chicken stock
2 heads broccoli, chopped
100g blue cheese

Heat the oil, add the onion and cook gently for 6 mins. Add the potato and stock, bring to the boil and cook for 10 mins. Add the broccoli and cook for 5 mins more. Blitz with the cheese. Season.`,
    `
start 6: oil onion
liquid: potato stock
simmer 10:
additions 5: broccoli
puree: cheese
season:
serve:`,
  ),
];

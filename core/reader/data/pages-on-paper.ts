/**
 * Whole pages as they stand on paper, in many hands, written before the code that reads them; own words. Beside each what
 * a cook takes from it: whom it serves, and its stages in their order. A stage is its kind, then what the page says of it
 * (minutes as a number; `on`, `ajar`, `off` for the lid; `/` and a share for what is blended or has boiled away), then `:`
 * and a telling word of each line that goes in at it, `*` and a share where a line is parted. `<` marks a line that was
 * lifted out and goes back in here. Seven were set right after the reader was: what is strained is no purée, parsley
 * that is stirred in before serving finishes the dish, and a cold soup has no liquid brought to a simmer.
 */
export interface PaperPage {
  name: string;
  portions: number | null;
  text: string;
  stages: string;
}

export const paperPage = (name: string, portions: number | null, text: string, stages: string): PaperPage => ({ name, portions, text: text.trim(), stages: stages.trim() });

export const PAGES_ON_PAPER: readonly PaperPage[] = [
  paperPage(
    'Leek and potato soup',
    6,
    `
Leek and potato soup
Serves 6
3 leeks, sliced
500 g potatoes, diced
50 g butter
1.2 litres chicken stock
150 ml single cream
salt and white pepper to taste

Melt the butter and sweat the leeks gently for 10 minutes with the lid on.
Add the potatoes and stock, bring to the boil, then simmer for 20 minutes.
Blend until smooth. Stir in the cream, season and serve.`,
    `
start 10 on: leeks butter
liquid: potatoes stock
simmer 20:
puree:
finish: cream
season: salt
serve:`,
  ),
  paperPage(
    'Red lentil soup',
    4,
    `
Red lentil soup (serves 4)

- 1 tbsp olive oil
- 1 onion, chopped
- 2 cloves garlic, crushed
- 1 tsp ground cumin
- 300 g red lentils, rinsed
- 1.5 litres vegetable stock
- juice of 1 lemon

1. Heat the oil and soften the onion for 8 minutes.
2. Add the garlic and cumin and cook for 1 minute.
3. Pour in the stock, add the lentils and bring to the boil.
4. Simmer for 25 minutes until the lentils have collapsed.
5. Take off the heat and stir in the lemon juice. Season and serve.`,
    `
start 8: oil onion
start 1: garlic cumin
liquid: stock lentils
simmer 25:
finish: lemon
season:
serve:`,
  ),
  paperPage(
    'Clam-style chowder',
    8,
    `
CHOWDER OF SMOKED FISH
For 8

6 rashers streaky bacon, snipped
2 onions, diced
3 sticks celery, diced
50 g plain flour
1 litre fish fumet
1 litre whole milk
800 g potatoes, 1 cm dice
600 g smoked haddock, skinned, in chunks
200 ml double cream
chopped parsley, to garnish

METHOD
Render the bacon for 6 minutes. Add onions and celery and sweat for 10 minutes.
Stir in the flour and cook for 2 minutes.
Pour in the fumet and milk and bring to a simmer, stirring.
Add the potatoes and simmer 15 minutes.
Add the haddock and poach for 5 minutes, just under a simmer.
Off the heat, stir in the cream. Season. Ladle into bowls and garnish with parsley.`,
    `
start 6: bacon
start 10: onions celery
start 2: flour
liquid: fumet milk
additions 15: potatoes
additions 5: haddock
finish: cream
season:
serve: parsley`,
  ),
  paperPage(
    'Beef shin and barley broth',
    30,
    `
Beef and barley broth
Makes 30 portions

4 kg shin of beef, 2 cm dice
1.5 kg onions, diced
1 kg carrots, diced
600 g celery, sliced
10 litres beef stock
800 g pearl barley, rinsed
4 bay leaves
2 tbsp rapeseed oil
1 bunch parsley, chopped

Brown the beef in the oil in batches, about 15 minutes.
Add the onions, carrots and celery and soften for 10 minutes.
Add the stock and bay leaves and bring to the boil. Skim.
Simmer for 1 hour 30 minutes, covered.
Add the barley and simmer for a further 40 minutes.
Remove the bay leaves. Season, add the parsley and serve.`,
    `
start 15: beef oil
start 10: onions carrots celery
liquid: stock bay
simmer 90 on:
additions 40: barley
season:
finish: parsley
serve:`,
  ),
  paperPage(
    'Tomato soup',
    10,
    `
Roast tomato soup. Makes 10 bowls.
3 kg tomatoes, halved
2 red onions, quartered
1 head garlic
60 ml olive oil
1 litre vegetable stock
1 bunch basil
1 tbsp sugar
salt to taste

Roast the tomatoes, onions and garlic with the oil for 45 minutes. Tip into the pot, add the stock and sugar and bring to the boil. Simmer for 15 minutes. Add half the basil and blend. Pass through a sieve. Season. Serve with the rest of the basil.`,
    `
start 45: tomatoes onions garlic oil
liquid: stock sugar
simmer 15:
puree: basil*1/2
season: salt
serve: basil*1/2`,
  ),
  paperPage(
    'Ragù for a crowd',
    40,
    `
Meat sauce, for 40
2 kg beef mince
1 kg pork mince
1 kg onions, finely chopped
500 g carrots, finely chopped
500 g celery, finely chopped
150 ml olive oil
750 ml red wine
300 g tomato paste
5 kg tinned chopped tomatoes
1 litre beef stock
1 litre milk
6 bay leaves

Sweat the onions, carrots and celery in the oil for 20 minutes. Add the beef and pork and brown for 15 minutes.
Pour in the wine and reduce by half.
Stir in the tomato paste, add the tomatoes, stock and bay, and bring to a simmer.
Simmer, lid ajar, for 3 hours, stirring now and then. Add the milk for the last 30 minutes.
Reduce by a quarter with the lid off. Take out the bay leaves, season and serve.`,
    `
start 20: onions carrots celery oil
start 15: beef@mince pork
reduce /0.5: wine
liquid: paste tomatoes stock bay
simmer 150 ajar:
simmer 30: milk
reduce /0.25 off:
season:
serve:`,
  ),
  paperPage(
    'French onion soup',
    6,
    `
Onion soup, as my aunt made it
Serves six

1.5 kg onions, thinly sliced
75 g butter
1 tbsp plain flour
250 ml dry white wine
1.5 litres beef stock
1 bay leaf
6 slices bread
150 g hard cheese, grated

Melt the butter and caramelise the onions slowly for an hour and a half, stirring.
Sprinkle in the flour and cook for 2 minutes.
Deglaze with the wine. Add the stock and bay leaf, bring to the boil.
Simmer, uncovered, for half an hour. Take out the bay. Season.
Ladle into bowls, top with the bread and cheese and grill.`,
    `
start 90: onions butter
start 2: flour
liquid: wine stock bay
simmer 30 off:
season:
serve: bread cheese`,
  ),
  paperPage(
    'Split pea and ham',
    8,
    `
Split pea and ham soup, serves 8.
500 g dried green split peas, soaked
1 ham hock about 1.2 kg (lift out, pick the meat, put back)
2 onions, diced
2 carrots, diced
2 sticks celery
2 bay leaves
1 tsp black pepper
2.5 litres water
30 g butter
salt to taste
Sweat the vegetables in butter 10 minutes. Add hock, peas, bay and water. Simmer 1 hour 45 covered, skimming. Lift the hock, pull the meat. Blend a third, return the meat, season.`,
    `
start 10: onions carrots celery butter
liquid: hock peas bay water
simmer 105 on:
lift:
puree /0.333:
finish: <hock
season: pepper salt
serve:`,
  ),
  paperPage(
    'Chicken noodle soup',
    12,
    `
CHICKEN NOODLE SOUP
Yield: 12 servings

1 whole chicken (about 4 lbs)
4 qt water
2 carrots, sliced
2 ribs celery, sliced
1 yellow onion, halved
8 oz egg noodles
2 bay leaves
1 Tbsp kosher salt

Put the chicken, water, onion, bay leaves and salt in a stockpot. Bring to a boil, skim, then simmer 1 hour, partially covered.
Lift out the chicken and pull the meat. Discard the onion and bay.
Add the carrots and celery and simmer 10 minutes. Add the noodles and cook 8 minutes.
Return the meat to the pot and heat through. Taste and serve.`,
    `
liquid: chicken water onion bay salt
simmer 60 ajar:
lift:
additions 10: carrots celery
additions 8: noodles
finish: <chicken
season:
serve:`,
  ),
  paperPage(
    'Minestrone',
    10,
    `
Minestrone for ten
2 onions
3 carrots
3 sticks celery
2 courgettes
200 g dried white beans, soaked overnight
1 tin chopped tomatoes
2 litres vegetable stock
150 g pasta
1 parmesan rind
3 tbsp olive oil
basil, to serve

Soften the onions, carrots and celery in the oil, 12 minutes.
Add the beans, tomatoes, stock and cheese rind. Bring to the boil and simmer for 1¼ hours.
Add the courgettes and simmer 10 minutes. Add the pasta and cook for 10 minutes more.
Take out the rind. Season. Serve with basil.`,
    `
start 12: onions carrots celery oil
liquid: beans tomatoes stock rind
simmer 75:
additions 10: courgettes
additions 10: pasta
season:
serve: basil`,
  ),
  paperPage(
    'Cream of mushroom',
    5,
    `
Cream of mushroom soup – 4 to 6 people
50 g butter
1 onion, finely chopped
500 g mushrooms, sliced
40 g flour
1 litre vegetable stock
200 ml cream
nutmeg

Melt butter in a pan, add onion, cook gently 5 minutes without colouring. Add mushrooms and cook for 10 minutes. Sprinkle over the flour and stir for 2 minutes. Gradually add the stock. Bring to the boil and simmer 15 minutes. Blend half. Stir in the cream and a little nutmeg. Season.`,
    `
start 5: butter onion
start 10: mushrooms
start 2: flour
liquid: stock
simmer 15:
puree /0.5:
finish: cream nutmeg
season:
serve:`,
  ),
  paperPage(
    'Pumpkin soup (Australian)',
    6,
    `
Pumpkin soup
Serves 6
1 tbsp olive oil
1 brown onion, chopped
2 cloves garlic, crushed
1.2 kg butternut pumpkin, peeled and chopped
1 large potato, chopped
1 litre chicken stock
125 ml cream

Heat oil in a large saucepan over medium heat. Cook onion and garlic for 5 minutes. Add pumpkin, potato and stock. Cover and bring to the boil. Reduce heat to low and simmer for 30 minutes or until tender. Set aside for 10 minutes to cool slightly. Blend until smooth. Return to the heat, stir in the cream and warm through. Season to taste. Serve.`,
    `
start 5: oil onion garlic
liquid on: pumpkin potato stock
simmer 30:
puree:
finish: cream
season:
serve:`,
  ),
  paperPage(
    'Dal (Indian)',
    6,
    `
Masoor dal, for 6
300 g masoor dal, washed
1 tsp haldi
1.5 L water
2 tbsp ghee
1 tsp jeera
4 cloves garlic, sliced
2 green chillies, slit
salt to taste
coriander leaves, to garnish

Put the dal, haldi and water in a pot and bring to a boil. Skim. Simmer for 25 minutes till soft.
In a small pan heat the ghee and fry the jeera, garlic and chillies for 2 minutes. Pour over the dal.
Salt to taste. Garnish with coriander.`,
    `
liquid: masoor haldi water
simmer 25:
finish: ghee jeera garlic chillies
season: salt
serve: coriander`,
  ),
  paperPage(
    'Soupe de légumes',
    6,
    `
Soupe aux poireaux
Pour 6 personnes
4 poireaux
500 g de pommes de terre
50 g de beurre
1,5 l d'eau
10 cl de crème fraîche
sel

Faire suer les poireaux dans le beurre 10 minutes à couvert.
Ajouter les pommes de terre et l'eau, porter à ébullition.
Laisser mijoter 25 minutes. Mixer. Ajouter la crème, saler et servir.`,
    `
start 10 on: poireaux beurre
liquid: pommes eau
simmer 25:
puree:
finish: crème
season: sel
serve:`,
  ),
  paperPage(
    'Kartoffelsuppe',
    8,
    `
Kartoffelsuppe für 8 Personen
1,5 kg Kartoffeln, gewürfelt
2 Zwiebeln
3 Möhren
150 g Speck
2 l Gemüsebrühe
200 ml Sahne
2 Lorbeerblätter
Salz

Speck auslassen, 5 Minuten. Zwiebeln und Möhren darin 8 Minuten anschwitzen.
Kartoffeln, Brühe und Lorbeer zugeben und aufkochen.
25 Minuten köcheln lassen. Lorbeer herausnehmen. Die Hälfte pürieren.
Sahne einrühren, mit Salz abschmecken und servieren.`,
    `
start 5: Speck
start 8: Zwiebeln Möhren
liquid: Kartoffeln brühe Lorbeer
simmer 25:
puree /0.5:
finish: Sahne
season: Salz
serve:`,
  ),
  paperPage(
    'Fish soup, restaurant sheet',
    60,
    `
BOUILLABAISSE-STYLE FISH SOUP
Yield: 60 portions
Ingredients
5 kg fish bones
2 kg onions
1 kg fennel
500 g leeks
300 ml olive oil
400 g tomato paste
3 L white wine
20 L water
5 g saffron
2 pc bouquet garni
Procedure
1) Sweat onions, fennel and leeks in olive oil for 15 min.
2) Add fish bones, cook 5 min.
3) Add tomato paste and wine. Reduce by one third.
4) Add water, saffron and bouquet garni. Bring to boil, skim.
5) Simmer 30 min, uncovered.
6) Pass through a fine sieve.
7) Season.
8) Serve.`,
    `
start 15: onions fennel leeks oil
start 5: bones
reduce /0.333: paste wine
liquid: water saffron bouquet
simmer 30 off:
strain:
season:
serve:`,
  ),
  paperPage(
    'Oxtail soup',
    10,
    `
Oxtail soup (10)
2 oxtails, jointed, about 2.4 kg
40 g dripping
2 onions, chopped
2 carrots, chopped
2 sticks celery
50 g flour
3 litres beef stock
1 bouquet garni
150 ml sherry
salt and pepper

Brown the oxtail in the dripping for 20 min and take out. Soften the onions, carrots and celery in the fat for 10 min. Dust with the flour and brown it for 5 min. Put the oxtail back, pour in the stock, add the bouquet garni and bring to the boil. Simmer for 3 to 4 hours with the lid on. Lift out the oxtail, pick the meat from the bones and discard the bouquet. Reduce by a quarter. Return the meat, add the sherry, season and serve.`,
    `
start 20: oxtails dripping
start 10: onions carrots celery
start 5: flour
liquid: stock bouquet
simmer 210 on:
lift:
reduce /0.25:
finish: <oxtails sherry
season: salt
serve:`,
  ),
  paperPage(
    'Borscht-like beetroot soup',
    12,
    `
Beetroot soup, twelve portions
1 kg beetroot, grated
500 g cabbage, shredded
2 carrots, grated
1 onion, chopped
2 tbsp lard
2.5 litres beef stock
2 tbsp tomato paste
3 tbsp vinegar
1 tbsp sugar
soured cream and dill to serve

Fry the onion and carrots in the lard for 8 minutes. Add the beetroot, tomato paste, half the vinegar and the sugar. Cover and stew gently for 20 minutes.
Pour in the stock and bring to the boil. Add the cabbage and simmer for 15 minutes. Season with the remaining vinegar and salt. Serve.`,
    `
start 8: carrots onion lard
start 20 on: beetroot paste vinegar*1/2 sugar
liquid: stock
additions 15: cabbage
season: vinegar*1/2
serve: cream`,
  ),
  paperPage(
    'Cauliflower velouté',
    8,
    `
Velouté of cauliflower; serves 8.
1 large cauliflower
1 leek, white part
40 g butter
40 g flour
1.5 l chicken stock
2 egg yolks
100 ml cream
white pepper

Sweat the leek in the butter for 6 minutes, add the flour and cook 3 minutes to a blond roux. Whisk in the stock, bring to the boil. Add the cauliflower and simmer 20 minutes. Blend and pass through a fine sieve. Whisk the egg yolks with the cream and thicken the soup, without boiling. Season with white pepper.`,
    `
start 6: leek butter
start 3: flour
liquid: stock
additions 20: cauliflower
puree:
thicken: yolks cream
season: pepper
serve:`,
  ),
  paperPage(
    'Black bean soup',
    8,
    `
Black Bean Soup
Servings: 8
1 lb dried black beans, soaked overnight
2 tbsp olive oil
1 large onion, diced
1 green bell pepper, diced
4 cloves garlic, minced
2 tsp cumin
8 cups water
1 smoked ham hock
2 tbsp lime juice

Heat the oil over medium heat. Add onion and bell pepper; cook until soft, about 8 minutes. Stir in garlic and cumin, cook 1 minute.
Add drained beans, water and ham hock. Bring to a boil, reduce heat, cover and simmer until beans are tender, 1½ to 2 hours.
Remove the hock, shred the meat and return it to the pot. Blend half of the soup. Stir in the lime juice and season.`,
    `
start 8: oil onion bell
start 1: garlic cumin
liquid: beans water hock
simmer 105 on:
lift:
finish: <hock
puree /0.5:
finish: lime
season:
serve:`,
  ),
  paperPage(
    'Vegetable stock',
    null,
    `
Vegetable stock
Makes about 5 litres
2 kg onions, quartered
1 kg carrots
1 kg celery
500 g leeks
6 litres water
4 bay leaves
20 peppercorns
1 bunch thyme

Put everything in a pot with the cold water. Bring slowly to a simmer. Simmer gently, uncovered, for 45 minutes. Strain. Cool quickly and chill.`,
    `
liquid: onions carrots celery leeks water bay peppercorns thyme
simmer 45 off:
strain:
season:
serve:`,
  ),
  paperPage(
    'Potato soup, grandmother’s card',
    4,
    `
Potato soup
4 persons
2 lb potatoes
1 onion
2 oz butter
1 pt milk
1 pt water
1 t salt
Cut up potatoes and onion. Melt butter, cook onion till soft, do not brown. Add potatoes, water and salt. Boil gently 20 min. with lid on. Mash well. Add milk and heat, do not boil. Serve hot.`,
    `
start: onion butter
liquid: potatoes water salt
simmer 20 on:
puree:
finish: milk
season:
serve:`,
  ),
  paperPage(
    'Corn chowder',
    6,
    `
Corn chowder
Serves 6

FOR THE BASE
4 slices bacon, chopped
1 onion, diced
2 tbsp flour
3 cups chicken broth

TO FINISH
4 cups frozen corn
2 potatoes, diced
1 cup half-and-half

Fry the bacon until crisp, 6 minutes. Add the onion and cook for 5 minutes. Stir in flour, 1 minute. Add broth and potatoes, bring to a boil, simmer 12 minutes. Add corn, simmer 5 minutes. Blend 2 cups of the soup and return it. Stir in the half-and-half. Season to taste.`,
    `
start 6: bacon
start 5: onion
start 1: flour
liquid: broth potatoes
simmer 12:
additions 5: corn
puree:
finish: half-and-half
season:
serve:`,
  ),
  paperPage(
    'Goulash soup',
    20,
    `
Gulaschsuppe – goulash soup, 20 bowls
2 kg beef chuck, 1 cm dice
2 kg onions, finely chopped
150 g lard
80 g paprika
100 g tomato paste
2 tbsp caraway
6 litres beef stock
1.5 kg potatoes, diced
4 red peppers, diced
50 ml vinegar

Brown the onions in the lard until golden, 25 minutes. Off the heat stir in the paprika, then the vinegar at once.
Add the beef, tomato paste and caraway; stew in its own juice for 30 minutes, covered.
Pour in the stock, bring to the boil and simmer for 1 hour.
Add potatoes and peppers, simmer 20 minutes. Season.`,
    `
start 25: onions lard
start: paprika vinegar
start 30 on: beef@chuck paste caraway
liquid: stock
simmer 60:
additions 20: potatoes peppers
season:
serve:`,
  ),
  paperPage(
    'Spinach soup',
    4,
    `
Spinach soup
serves 4
25g butter
1 onion, chopped
1 potato, diced
600ml vegetable stock
300ml milk
400g spinach
grating of nutmeg

Melt the butter, add the onion and potato, cover and cook gently for 10 mins.
Pour in the stock and milk, bring to a simmer and cook for 10 mins until the potato is soft.
Add the spinach and simmer for 2 mins. Whizz until smooth. Season with nutmeg.`,
    `
start 10 on: butter onion potato
liquid: stock milk
simmer 10:
additions 2: spinach
puree:
season: nutmeg
serve:`,
  ),
  paperPage(
    'Mutton broth',
    16,
    `
MUTTON BROTH. (Sufficient for 16.)
3 lb neck of mutton
4 quarts water
6 oz pearl barley
1 lb turnips, diced
1 lb carrots, diced
3 leeks
chopped parsley
salt

Put the mutton in the cold water with the barley and salt and bring slowly to the boil, skimming well. Simmer for two hours. Take out the meat, cut it from the bone. Add the vegetables and simmer for three-quarters of an hour. Return the meat. Add the parsley and serve very hot.`,
    `
liquid: mutton water barley salt
simmer 120:
lift:
additions 45: turnips carrots leeks
finish: <mutton parsley
season:
serve:`,
  ),
  paperPage(
    'Thai-style coconut soup',
    6,
    `
Coconut chicken soup
Serves 6
1 tbsp rapeseed oil
2 stalks lemongrass, bruised
4 lime leaves
30 g ginger, sliced
1 litre chicken stock
2 tins coconut milk
600 g chicken breast, thinly sliced
200 g mushrooms
3 tbsp fish sauce
3 tbsp lime juice
1 bunch coriander

Warm the oil and fry the lemongrass, lime leaves and ginger for 2 minutes. Add the stock and coconut milk and bring to a simmer. Simmer 10 minutes, then take out the lemongrass, lime leaves. Add the chicken and mushrooms and poach for 6 minutes. Off the heat add the fish sauce and lime juice. Scatter with coriander.`,
    `
start 2: oil lemongrass leaves ginger
liquid: stock coconut
simmer 10:
additions 6: breast mushrooms
finish: fish@sauce lime@juice
season:
serve: coriander`,
  ),
  paperPage(
    'Gazpacho, cold',
    6,
    `
Cold tomato soup
Serves 6
1 kg ripe tomatoes
1 cucumber, peeled
1 red pepper
1 clove garlic
100 g stale bread
80 ml olive oil
2 tbsp sherry vinegar
300 ml cold water

Soak the bread in the water for 20 minutes. Blend everything with the oil and vinegar until smooth. Sieve. Season, chill for 2 hours and serve cold.`,
    `
puree: bread water tomatoes cucumber pepper garlic oil vinegar
season:
serve:`,
  ),
  paperPage(
    'Page pasted from a PDF',
    4,
    `
Carrot and Coriander Soup                         12
Serves 4
•  25 g butter
•  1 onion, chopped
•  500 g carrots,
   sliced
•  1 litre vegetable
   stock
•  1 bunch coriander

Page 12 of 48

Melt the butter and soften the onion
for 5 minutes. Add the carrots and
stock, bring to the boil and simmer for
20 minutes. Blend with the coriander
until smooth. Season and serve.`,
    `
start 5: butter onion
liquid: carrots stock
simmer 20:
puree: coriander
season:
serve:`,
  ),
  paperPage(
    'Chilli bean soup',
    15,
    `
Chilli bean soup, feeds about 15
1.5 kg beef mince
3 onions, chopped
4 cloves garlic
2 tbsp chilli flakes
1 tbsp cumin
3 tins kidney beans, drained
4 tins chopped tomatoes
2 litres beef stock
2 tbsp oil

Fry the mince in the oil for 10 minutes. Add onions, garlic, chilli and cumin; cook for 8 minutes.
Add the tomatoes and stock, bring to the boil, turn down and simmer uncovered for 45 minutes.
Stir in the beans and heat for 10 minutes. Check the seasoning. Serve.`,
    `
start 10: mince oil
start 8: onions garlic flakes cumin
liquid: tomatoes stock
simmer 45 off:
additions 10: beans
season:
serve:`,
  ),
  paperPage(
    'Bisque',
    10,
    `
Prawn bisque
Serves 10
1 kg shell-on prawns
60 g butter
1 onion, chopped
1 carrot, chopped
100 ml brandy
300 ml white wine
2 litres fish fumet
3 tbsp tomato paste
80 g rice
200 ml double cream
cayenne

Sauté the prawns in the butter for 5 minutes. Add onion and carrot, sweat 5 minutes. Flame with the brandy, add the wine and reduce by half.
Add fumet, tomato paste and rice, bring to the boil and simmer 25 minutes.
Blend, then pass through a fine sieve. Finish with the cream and a pinch of cayenne.`,
    `
start 5: prawns butter
start 5: onion carrot
reduce /0.5: brandy wine
liquid: fumet paste rice
simmer 25:
puree:
finish: cream cayenne
season:
serve:`,
  ),
  paperPage(
    'Sauce of tomatoes, reduced to a volume',
    null,
    `
Tomato sauce, about 4 litres
6 kg tinned tomatoes
500 g onions, chopped
200 ml olive oil
30 g garlic
20 g salt
1 bunch basil

Soften onions and garlic in the oil for 12 minutes.
Add the tomatoes and salt. Bring to a simmer.
Simmer, uncovered, until a third has gone.
Stir in the basil off the heat. Cool fast and label.`,
    `
start 12: onions oil garlic
liquid: tomatoes salt
reduce /0.333 off:
finish: basil
season:
serve:`,
  ),
  paperPage(
    'Soup of three words a line',
    4,
    `
PEA SOUP
1 onion
25g butter
500g frozen peas
750ml chicken stock
mint
Serves 4

Fry onion in butter, 5 min.
Stock in. Boil.
Peas in, 3 min.
Mint in. Blend. Season.`,
    `
start 5: onion butter
liquid: stock
additions 3: peas
puree: mint
season:
serve:`,
  ),
  paperPage(
    'Lamb and apricot-style soup',
    12,
    `
Harira-like soup for twelve
500 g lamb shoulder, diced
250 g chickpeas, soaked overnight
150 g green lentils
2 onions, grated
1 kg tomatoes, skinned and chopped
1 tsp cinnamon
1 tsp ginger
3 litres water
60 g flour
juice of 2 lemons
1 bunch coriander

Put the lamb, chickpeas, onions, spices and water into the pot. Bring to the boil, skim, cover and simmer for an hour and a quarter.
Add the lentils and tomatoes and simmer for 30 minutes.
Slake the flour with a little water and whisk in; cook for 10 minutes.
Add the lemon juice and coriander. Season.`,
    `
liquid: lamb chickpeas onions cinnamon ginger water
simmer 75 on:
additions 30: lentils tomatoes
thicken 10: flour
finish: lemons coriander
season:
serve:`,
  ),
  paperPage(
    'Consommé-like clear chicken soup',
    8,
    `
Clear soup
8 covers
2 l chicken stock
200 g chicken breast, minced
3 egg whites
100 g carrots, finely diced
100 g leeks, finely diced
1 sprig tarragon

Mix the minced chicken with the egg whites, carrots and leeks. Stir into the cold stock. Bring slowly to a simmer, stirring until the raft forms. Simmer very gently for 40 minutes without stirring. Strain through muslin. Season. Serve with tarragon.`,
    `
liquid: stock breast whites carrots leeks
simmer 40:
strain:
season:
serve: tarragon`,
  ),
  paperPage(
    'Pork and sauerkraut soup',
    10,
    `
Sauerkraut soup, 10 helpings
800 g pork shoulder, diced
2 onions, sliced
30 g lard
2 tbsp paprika
1 kg sauerkraut, squeezed
1.5 litres water
2 smoked sausages, sliced
150 ml crème fraîche
1 tbsp cornflour

Melt the lard. Add the onions and fry for 10 minutes until golden. Add the pork and paprika and cook for 5 minutes. Pour in the water and bring to the boil; cover and simmer for 45 minutes. Add the sauerkraut and sausages and simmer for another 30 minutes, lid ajar. Mix the cornflour with a spoon of water and thicken the soup. Serve with a spoonful of crème fraîche.`,
    `
start 10: onions lard
start 5: pork paprika
liquid: water
simmer 45 on:
additions 30 ajar: sauerkraut sausages
thicken: cornflour
season:
serve: fraîche`,
  ),
  paperPage(
    'Squash soup with a garnish',
    6,
    `
Roasted squash soup
Serves: 6
Prep: 20 minutes  Cook: 50 minutes

1 large squash, in wedges
2 tbsp olive oil
1 onion, chopped
1 l vegetable stock
1 tsp smoked paprika
50 g pumpkin seeds, toasted
salt and pepper

Roast the squash with half of the oil for 35 minutes. Meanwhile soften the onion in the remaining oil for 8 minutes. Add the smoked paprika, squash flesh and stock and bring to the boil. Simmer for 5 minutes, blend and season. Top with the pumpkin seeds.`,
    `
start 35: squash oil*1/2
start 8: onion oil*1/2
liquid: paprika stock
simmer 5:
puree:
season: salt
serve: seeds`,
  ),
  paperPage(
    'Duck broth with noodles',
    4,
    `
Duck broth & noodles
(for 4)
2 duck legs
1.5 litres water
2 star anise
20 g ginger, sliced
3 tbsp soy sauce
200 g rice noodles
100 g greens (kale)
4 spring onions, sliced

Cover the duck with the water, add star anise and ginger, bring to the boil, skim. Simmer 1½ hrs, lid on. Lift out the duck; shred the meat and discard the bones. Skim off the fat. Season with soy. Add the noodles and kale, cook 3 mins. Return the duck. Serve topped with spring onions.`,
    `
liquid: duck water anise ginger
simmer 90 on:
lift:
season: soy
additions 3: noodles kale
finish: <duck
serve: spring`,
  ),
  paperPage(
    'Barley and mushroom, a long day',
    25,
    `
Mushroom barley soup - makes 25 bowls of 300 ml
50 g dried mushrooms, soaked
1.5 kg mushrooms, sliced
1 kg onions, diced
600 g carrots, diced
200 g butter
700 g pearl barley
8 litres vegetable stock
100 ml soy sauce
dill, to finish

Sweat the onions and carrots in the butter for 12 minutes, lid on. Add the mushrooms, turn up the heat and fry for 15 minutes, lid off.
Add the dried mushrooms, barley and stock; bring to the boil. Simmer 50 minutes, lid ajar.
Season with the soy. Finish with dill.`,
    `
start 12 on: onions carrots butter
start 15 off: mushrooms@sliced
liquid: dried barley stock
simmer 50 ajar:
season: soy
finish: dill
serve:`,
  ),
  paperPage(
    'Turkey leftovers',
    8,
    `
Turkey & rice soup
8 servings
1 turkey carcass (500 g meat left)
3 litres water
1 onion, halved
2 carrots, diced
150 g rice
1 bay leaf
100 g frozen peas

Simmer carcass, onion and bay in the water for 2 hrs. Strain and return the broth to the pan. Pick the meat from the carcass. Add carrots and rice, simmer 15 mins. Add the peas and turkey meat, cook for 3 mins. Season.`,
    `
liquid: carcass onion bay water
simmer 120:
strain:
additions 15: carrots rice
additions 3: peas <carcass
season:
serve:`,
  ),
];

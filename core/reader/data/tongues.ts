/**
 * Kitchen words of other tongues, as the reader's English has them: measures, foods of the table, what is done to them.
 * A phrase stands before its parts. Common practice; from memory.
 */

/** One tongue: phrases in small letters, and those that tell it from English by themselves. */
export interface Tongue {
  /** phrase = English, by the line */
  phrases: ReadonlyMap<string, string>;
  /** at the end of a page’s line or before a food: the tongue is heard in these */
  tells: RegExp;
}

const phrases = (table: string): ReadonlyMap<string, string> =>
  new Map(
    table
      .trim()
      .split(/[\n;]/)
      .map((row) => row.trim().split(/\s*=\s*/) as [string, string]),
  );

export const FRENCH: Tongue = {
  tells: /(?:^|\s)(?:de|du|des|d['’]|à|au|aux|les|une?|et|ou|cuill\S*|gousses?|bottes?|branches?|feuilles?|pinc[ée]es?)(?=\s|['’]|\p{L}|$)|[éèêœç]/iu,
  phrases: phrases(`
cuillères à soupe = tbsp; cuillère à soupe = tbsp; cuillerées à soupe = tbsp; cuillerée à soupe = tbsp; c. à soupe = tbsp; c. à s. = tbsp; cs = tbsp
cuillères à café = tsp; cuillère à café = tsp; c. à café = tsp; c. à c. = tsp; cc = tsp
gousses d'ail = cloves garlic; gousse d'ail = clove garlic; gousses = cloves; gousse = clove; ail = garlic
branches de céleri = stick celery; branche de céleri = stick celery; branches = sprigs; branche = sprig; brins = sprigs; brin = sprig
bottes = bunches; botte = bunch; bouquet garni = bouquet garni; feuilles de laurier = bay leaves; feuille de laurier = bay leaf; laurier = bay leaf; feuilles = leaves; feuille = leaf
pincées = pinches; pincée = pinch; noix de beurre = knob butter; verres = glasses; verre = glass; poignées = handfuls; poignée = handful; boîtes = tins; boîte = tin; tranches = slices; tranche = slice
pommes de terre = potatoes; pomme de terre = potato; patates douces = sweet potatoes; oignons = onions; oignon = onion; échalotes = shallots; échalote = shallot
poireaux = leeks; poireau = leek; carottes = carrots; carotte = carrot; navets = turnips; navet = turnip; céleri-rave = celeriac; céleri = celery
panais = parsnip; betteraves = beetroot; betterave = beetroot; choux de bruxelles = brussels sprouts; chou vert = savoy cabbage; chou-fleur = cauliflower; chou = cabbage
potiron = pumpkin; potimarron = squash; courge butternut = butternut squash; courge = squash; courgettes = courgettes; aubergines = aubergines; poivrons = red peppers; poivron = red pepper
tomates concassées = chopped tomatoes; tomates pelées = tinned tomatoes; tomates = tomatoes; tomate = tomato; concentré de tomate = tomato paste; concentré de tomates = tomato paste
champignons de paris = mushrooms; champignons = mushrooms; champignon = mushroom; épinards = spinach; oseille = sorrel; cresson = watercress; orties = nettles; fenouil = fennel; petits pois = peas; haricots verts = green beans; maïs = sweetcorn; laitue = lettuce; radis = radish
lentilles vertes = green lentils; lentilles corail = red lentils; lentilles = green lentils; pois cassés = split peas; pois chiches = chickpeas; haricots blancs secs = dried white beans; haricots blancs = white beans; haricots rouges = kidney beans
orge perlé = pearl barley; riz = rice; pâtes = pasta; vermicelles = pasta; pain = bread; semoule = semolina; farine = flour; fécule de maïs = cornflour; maïzena = cornflour; fécule = potato starch
beurre salé = salted butter; beurre = butter; huile d'olive = olive oil; huile de colza = rapeseed oil; huile = rapeseed oil; saindoux = lard; graisse de canard = duck fat
lait entier = milk; lait = milk; crème fraîche = crème fraîche; crème liquide = cream; crème épaisse = double cream; crème = cream; jaunes d'œufs = egg yolks; jaunes d'œuf = egg yolks; jaune d'œuf = egg yolk; jaunes d'oeufs = egg yolks; blancs d'œufs = egg whites; œufs = eggs; œuf = egg; oeufs = eggs; gruyère = aged cheese; parmesan = parmesan; fromage frais = soft cheese
lardons = bacon lardons; lard fumé = bacon; lard = bacon; jambon = ham; jarret de porc = ham hock; saucisse fumée = smoked sausage; bœuf = beef; boeuf = beef; agneau = lamb; poulet entier = whole chicken; poulet = chicken; dinde = turkey; lapin = rabbit; queue de bœuf = oxtail; os à moelle = beef bones; os de veau = beef bones; carcasse de poulet = chicken carcass
cabillaud = white fish; poisson blanc = white fish; saumon = salmon; truite = trout; moules = mussels; crevettes = prawns; anchois = anchovies; arêtes de poisson = fish bones
eau = water; bouillon de volaille = chicken stock; bouillon de poule = chicken stock; bouillon de légumes = vegetable stock; bouillon de bœuf = beef stock; fumet de poisson = fish fumet; vin blanc = white wine; vin rouge = red wine; cidre = cider; vinaigre de vin = wine vinegar; vinaigre de cidre = cider vinegar; vinaigre = wine vinegar
gros sel = coarse salt; sel = salt; poivre en grains = peppercorns; grains de poivre = peppercorns; poivre noir = black pepper; poivre = black pepper; noix de muscade = nutmeg; muscade = nutmeg; clous de girofle = cloves; clou de girofle = clove; cumin = cumin; curcuma = turmeric; paprika = paprika; safran = saffron; gingembre = ginger; piment = chilli; cannelle = cinnamon; sucre = sugar; miel = honey; moutarde = mustard
thym = thyme; persil = parsley; ciboulette = chives; aneth = dill; cerfeuil = chervil; estragon = tarragon; basilic = basil; menthe = mint; coriandre = coriander leaves; romarin = rosemary; sauge = sage; origan = oregano
jus de citron = lemon juice; citrons = lemons; citron = lemon; pommes = apples; pomme = apple; poires = pears; poire = pear; noix = walnuts; amandes = almonds
coupées en dés = diced; coupés en dés = diced; coupé en dés = diced; coupée en dés = diced; en dés = diced; en rondelles = in rounds; émincés = sliced; émincées = sliced; émincé = sliced; émincée = sliced; hachés = chopped; hachées = chopped; haché = chopped; hachée = chopped; écrasées = crushed; écrasée = crushed; écrasé = crushed; épluchées = peeled; épluchés = peeled; épluché = peeled; pelées = peeled; pelés = peeled; râpé = grated; râpée = grated; ciselé = snipped; ciselée = snipped; lavés = washed; lavées = washed; séchés = dried; secs = dried; sec = dry; frais = fresh; fraîche = fresh; fraîches = fresh; surgelés = frozen; surgelées = frozen; trempés une nuit = soaked overnight; trempées une nuit = soaked overnight
gros = large; grosse = large; grosses = large; petit = small; petits = small; petite = small; petites = small; moyen = medium; moyens = medium; demi = half; un = 1; une = 1; deux = 2; trois = 3; quatre = 4; environ = about; ou = or; et = and; à volonté = to taste; selon le goût = to taste; au goût = to taste; facultatif = optional; pour servir = to serve; verts = ; vertes = ; de la = ; de l' = ; du = ; des = ; de = ; d' = ; l' = ; la = ; le = ; les =
`),
};

export const GERMAN: Tongue = {
  tells: /(?:^|\s)(?:und|oder|EL|TL|Msp\.?|Bund|Zehen?|Stangen?|Prisen?|Dosen?|Scheiben?|ca\.|frische[rsn]?|rote[rsn]?|getrocknete[rsn]?|große[rsn]?|kleine[rsn]?)(?=\s|$)|[äöüß]/u,
  phrases: phrases(`
esslöffel = tbsp; el = tbsp; teelöffel = tsp; tl = tsp; msp. = pinch; messerspitze = pinch; prisen = pinches; prise = pinch; schuss = splash; handvoll = handful; tassen = cups; tasse = cup; gläser = glasses; glas = jar
knoblauchzehen = cloves garlic; knoblauchzehe = clove garlic; zehen knoblauch = cloves garlic; zehe knoblauch = clove garlic; zehen = cloves; zehe = clove; knoblauch = garlic
bund = bunch; zweige = sprigs; zweig = sprig; stiele = sprigs; blätter = leaves; blatt = leaf; dosen = tins; dose = tin; scheiben = slices; scheibe = slice; würfel = cubes; päckchen = packet; packung = packet; becher = tub
stangen lauch = leeks; stange lauch = leek; lauch = leek; porree = leek; stangen sellerie = sticks celery; stange sellerie = stick celery; staudensellerie = celery; knollensellerie = celeriac; sellerieknolle = celeriac; sellerie = celeriac
kartoffeln = potatoes; kartoffel = potato; süßkartoffeln = sweet potatoes; süßkartoffel = sweet potato; zwiebeln = onions; zwiebel = onion; schalotten = shallots; schalotte = shallot; frühlingszwiebeln = spring onions; möhren = carrots; möhre = carrot; karotten = carrots; karotte = carrot; pastinaken = parsnips; pastinake = parsnip; rote bete = beetroot; rote beete = beetroot; steckrübe = swede; rüben = turnips; petersilienwurzel = parsnip
weißkohl = cabbage; wirsing = savoy; grünkohl = kale; blumenkohl = cauliflower; brokkoli = broccoli; rosenkohl = brussels sprouts; sauerkraut = sauerkraut; spinat = spinach; mangold = chard; fenchel = fennel; kürbis = pumpkin; hokkaido = squash; zucchini = courgette; auberginen = aubergines; aubergine = aubergine; paprikaschote = red pepper; paprikaschoten = red peppers
tomatenmark = tomato paste; passierte tomaten = passata; tomaten = tomatoes; tomate = tomato; champignons = mushrooms; pilze = mushrooms; erbsen = peas; mais = sweetcorn; grüne bohnen = green beans; gurke = cucumber
rote linsen = red lentils; linsen = green lentils; spalterbsen = split peas; schälerbsen = split peas; kichererbsen = chickpeas; weiße bohnen = white beans; kidneybohnen = kidney beans; perlgraupen = pearl barley; graupen = pearl barley; reis = rice; nudeln = pasta; grieß = semolina; haferflocken = oats; brot = bread; semmelbrösel = breadcrumbs; mehl = flour; speisestärke = cornflour; kartoffelstärke = potato starch
butterschmalz = ghee; butter = butter; olivenöl = olive oil; rapsöl = rapeseed oil; öl = rapeseed oil; schmalz = lard; milch = milk; saure sahne = crème fraîche; schlagsahne = cream; sahne = cream; schmand = crème fraîche; joghurt = yoghurt; eigelb = egg yolk; eigelbe = egg yolks; eier = eggs; ei = egg; hartkäse = hard cheese; frischkäse = soft cheese
speck = bacon; schinkenwürfel = ham; schinken = ham; eisbein = ham hock; schweinshaxe = ham hock; rauchwurst = smoked sausage; mettenden = smoked sausage; rindfleisch = beef; suppenfleisch = beef; ochsenschwanz = oxtail; suppenhuhn = whole chicken; hähnchenbrust = chicken breast; hähnchen = chicken; lammfleisch = lamb; hackfleisch = beef mince; suppenknochen = beef bones; rinderknochen = beef bones
fischfilet = white fish; lachs = salmon; forelle = trout; garnelen = prawns; miesmuscheln = mussels
wasser = water; gemüsebrühe = vegetable stock; hühnerbrühe = chicken stock; rinderbrühe = beef stock; fleischbrühe = beef stock; fischfond = fish fumet; weißwein = white wine; rotwein = red wine; bier = ale; apfelessig = cider vinegar; weißweinessig = wine vinegar; essig = vinegar
salz = salt; pfefferkörner = peppercorns; pfeffer = black pepper; muskatnuss = nutmeg; muskat = nutmeg; kümmel = caraway; kreuzkümmel = cumin; nelken = cloves; wacholderbeeren = juniper berries; piment = allspice; zimt = cinnamon; ingwer = ginger; kurkuma = turmeric; paprikapulver = paprika; zucker = sugar; honig = honey; senf = mustard
lorbeerblätter = bay leaves; lorbeerblatt = bay leaf; lorbeer = bay leaf; petersilie = parsley; schnittlauch = chives; dill = dill; thymian = thyme; majoran = oregano; rosmarin = rosemary; salbei = sage; basilikum = basil; minze = mint; koriander = coriander leaves; zitronensaft = lemon juice; zitrone = lemon; äpfel = apples; apfel = apple
gewürfelt = diced; in würfeln = diced; gewürfelte = diced; in scheiben = sliced; in ringen = in rings; gehackt = chopped; gehackte = chopped; fein gehackt = finely chopped; geschält = peeled; geschälte = peeled; gerieben = grated; gepresst = crushed; getrocknete = dried; getrocknet = dried; frische = fresh; frischer = fresh; frisches = fresh; tiefgekühlte = frozen; tk = frozen; eingeweicht = soaked; über nacht eingeweicht = soaked overnight; über nacht = overnight; festkochende = ; mehligkochende = ; festkochend = ; mehligkochend =
großer = large; große = large; großes = large; kleine = small; kleiner = small; kleines = small; mittelgroße = medium; halbe = half; ein = 1; eine = 1; einen = 1; zwei = 2; drei = 3; vier = 4; etwas = a little; ca. = about; oder = or; und = and; nach geschmack = to taste; nach belieben = to taste; zum garnieren = to garnish; zum servieren = to serve
`),
};

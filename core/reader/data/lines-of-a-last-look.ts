import { type PaperLine, paperLines } from './lines-on-paper';

/** Forty lines written when the families of `LINES_OF_ANOTHER_DAY` were mended; looked at once: 34 were right, the others asked about.
 * Five expectations were set right against the table. */
export const LINES_OF_A_LAST_LOOK: readonly PaperLine[] = paperLines(`
Onions x 6 large | onion | 1305
Carrots 3kg peeled and diced | carrot | 3000
White wine: 1 bottle (750 ml) | white-wine | 750
Stock, chicken, 5 litres | chicken-stock | 5030
10 kg bones, beef | beef-bones | 10000 | out
2 lb. 8 oz. tomatoes | tomato | 1134
1.5 lb ground beef | beef-mince | 680
1 lb. ground pork | pork-mince | 454
500g minced beef | beef-mince | 500
2 cups dried black beans, soaked overnight | black-bean | 400
1 cup uncooked long grain rice | rice | 212.5
3 cups cooked rice | rice-cooked | -
2 cups shredded cooked chicken | chicken | 375
3/4 lb smoked sausage, cut into 1/2-inch rounds | smoked-sausage | 340
2 pkgs (10 oz each) frozen spinach | spinach | 567
1 package frozen corn (16 oz) | sweetcorn | 454
1 medium head cabbage, cored and shredded | cabbage | 1200
2 ribs celery with leaves, chopped | celery | 100
3 medium potatoes (about 1 lb), peeled and cubed | potato | 454
2 Tbs. tomato paste | tomato-paste | 34
1 t dried thyme | dried-thyme | 1
1/2 stick butter | butter | 57
12 fl oz evaporated milk | | - | doubt
400ml tin coconut milk | coconut-milk | 400
2 x 400 ml tins coconut milk | coconut-milk | 800
1 heaped tablespoon plain flour | flour | 12 | doubt
a good glug of olive oil | olive-oil | - | doubt
4 sprigs fresh thyme (or 1 tsp dried) | thyme | 4 | doubt
salt, pepper | salt | - | taste doubt
Salt 60 g | salt | 60
18 g salt per litre | salt | - | doubt
juice ½ lemon | lemon-juice | 22.5
grated rind of 1 orange | orange-zest | 8
1 small red chilli, deseeded, finely chopped | chilli | 9
a 400g can of kidney beans, drained | kidney-bean-tinned | 400
100ml double cream (optional) | double-cream | 101
4 slices stale bread, crusts off | bread | 160
2 litres beef or vegetable stock | beef-stock | 2012 | doubt
1 kg gigot bones, roasted | | - | doubt
25 g bunch of coriander | coriander-leaf | 25
`);

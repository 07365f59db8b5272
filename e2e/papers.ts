/** A page of paper as a cook would type it off; `more` is one more line among its ingredients. */
export const leekSoup = (more = '') => `Leek and potato soup
Serves 6

50 g butter
3 leeks, sliced
500 g potatoes, peeled, 1.5 cm dice
1.2 L chicken stock
2 bay leaves
150 ml double cream
${more === '' ? '' : `${more}\n`}salt to taste

Sweat the leeks in the butter for 10 minutes. Add the stock, potatoes and bay, bring to the boil and simmer until tender. Blend, stir in the cream, season and serve.`;

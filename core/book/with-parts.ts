import { type Recipe, recipeIdOf } from '../recipe';

/**
 * A recipe with all that it is made of: the recipes that its lines name, and theirs, each once, what is needed first
 * before what needs it. One that the book no longer has is left out.
 */
export function withParts(recipe: Recipe, book: readonly Recipe[]): Recipe[] {
  const seen = new Map<string, Recipe>();
  const visit = (one: Recipe, above: readonly string[]) => {
    if (seen.has(one.id) || above.includes(one.id)) return;
    for (const { ingredientId } of one.lines) {
      const partId = recipeIdOf(ingredientId);
      const part = partId === null ? undefined : book.find(({ id }) => id === partId);
      if (part) visit(part, [...above, one.id]);
    }
    seen.set(one.id, one);
  };
  visit(recipe, []);
  return [...seen.values()];
}

import { positive } from '../check';
import type { Ingredient } from '../matter';
import type { Recipe, RecipeLine } from './recipe';

/** A proportion found among a recipe's lines. `lines` are the sides; `perLitre` ones are grams to a litre instead. */
export interface Ratio {
  id: string;
  name: string;
  /** what the trade takes, for the eye */
  usual: string;
  sides: { name: string; lineIds: string[]; kg: number }[];
  /** one side to the litres of another line, or of what the recipe makes */
  perLitre: { litres: number; of: string } | null;
}

const AROMATICS: readonly (readonly string[])[] = [
  ['onion', 'red-onion', 'shallot', 'leek'],
  ['carrot', 'parsnip'],
  ['celery', 'celeriac', 'fennel'],
];

/**
 * The proportions a recipe is built on, read off its lines: aromatic base, roux, roux per litre, bones : water :
 * vegetables, kelp and flakes per litre, vegetables per litre of purée. Nothing is stored: they are another way to see
 * and to change the lines.
 */
export function ratiosOf(recipe: Recipe, ingredients: Readonly<Record<string, Ingredient>>): Ratio[] {
  const lines = recipe.lines.filter((line) => line.scaling !== 'perBowl' && ingredients[line.ingredientId]);
  const kind = (line: RecipeLine) => ingredients[line.ingredientId]!.kind;
  const side = (name: string, some: readonly RecipeLine[]) => ({
    name,
    lineIds: some.map((line) => line.id),
    kg: some.reduce((sum, line) => sum + line.kg, 0),
  });
  const nameOf = (some: readonly RecipeLine[]) =>
    some.map((line) => ingredients[line.ingredientId]!.name.split(',')[0]!.toLowerCase()).join(' and ');
  const found: Ratio[] = [];

  const bases = AROMATICS.map((ids) => lines.filter((line) => ids.includes(line.ingredientId))).filter(
    (some) => some.length > 0,
  );
  if (bases.length >= 2) {
    found.push({
      id: 'aromatics',
      name: 'Aromatic base',
      usual: '50 : 25 : 25, onion to carrot to celery',
      sides: bases.map((some) => side(nameOf(some), some)),
      perLitre: null,
    });
  }
  const flour = lines.find(
    (line) => kind(line) === 'thickener' && ingredients[line.ingredientId]!.thickener === 'flour',
  );
  const fats = flour
    ? lines.filter(
        (line) => kind(line) === 'fat' && (line.stageId === flour.stageId || sameAs(line) === flour.id),
      )
    : [];
  if (flour && fats.length > 0) {
    found.push({
      id: 'roux',
      name: 'Roux',
      usual: 'equal weights',
      sides: [side(nameOf(fats), fats), side('flour', [flour])],
      perLitre: null,
    });
    found.push({
      id: 'roux-per-litre',
      name: 'Roux to the litre',
      usual: '100 g binds a litre to coat the spoon',
      sides: [side('roux', [...fats, flour])],
      perLitre: { litres: recipe.litres, of: 'what it makes' },
    });
  }
  const bones = lines.filter((line) => /bones$/.test(line.ingredientId));
  const waters = lines.filter((line) => kind(line) === 'water');
  const vegetables = lines.filter((line) => kind(line) === 'vegetable');
  if (bones.length > 0 && waters.length > 0) {
    found.push({
      id: 'bones',
      name: 'Bones to water to vegetables',
      usual: '8 : 11 : 1',
      sides: [
        side('bones', bones),
        side('water', waters),
        ...(vegetables.length > 0 ? [side('vegetables', vegetables)] : []),
      ],
      perLitre: null,
    });
  }
  const liquidLitres = waters.reduce(
    (sum, line) => sum + line.kg / ingredients[line.ingredientId]!.densityKgPerL,
    0,
  );
  for (const [id, name, usual] of [
    ['kelp', 'Kelp to the litre', '10 g, soaked 30 min'],
    ['fish-flakes', 'Flakes to the litre', '15 g, five minutes'],
  ] as const) {
    const some = lines.filter((line) => line.ingredientId === id);
    if (some.length > 0 && liquidLitres > 0)
      found.push({
        id,
        name,
        usual,
        sides: [side(id === 'kelp' ? 'kelp' : 'flakes', some)],
        perLitre: { litres: liquidLitres, of: 'water' },
      });
  }
  if (recipe.stages.some((stage) => stage.does?.kind === 'puree') && vegetables.length > 0) {
    const pulp = lines.filter((line) => ['vegetable', 'pulse'].includes(kind(line)) && !line.comesOut);
    found.push({
      id: 'vegetables-per-litre',
      name: 'Vegetables to the litre of purée',
      usual: '500 to 700 g',
      sides: [side('vegetables', pulp)],
      perLitre: { litres: recipe.litres, of: 'what it makes' },
    });
  }
  return found;
}

/** Parts of a hundred (or of the smallest, for two sides) as a cook says them. */
export function ratioParts(ratio: Ratio): number[] {
  if (ratio.perLitre) return [(ratio.sides[0]!.kg * 1000) / ratio.perLitre.litres];
  const total = ratio.sides.reduce((sum, side) => sum + side.kg, 0);
  return ratio.sides.map((side) => (100 * side.kg) / total);
}

/**
 * Changes one side of a ratio; the rest follows. Of a proportion the other sides keep the total between them, in their
 * own proportion; of a per-litre one the lines themselves change.
 *
 * @param part percent of the whole (0..100, ends excluded), or g a litre, above 0
 * @returns the recipe's lines with new kg
 * @throws RangeError naming a bad part
 */
export function setRatioPart(recipe: Recipe, ratio: Ratio, index: number, part: number): Recipe {
  positive('part', part);
  const side = ratio.sides[index];
  if (!side) throw new RangeError(`index must be a side of the ratio, got ${index}`);
  if (ratio.perLitre)
    return withFactor(
      recipe,
      new Map(factors(side.lineIds, (part * ratio.perLitre.litres) / 1000 / side.kg)),
    );
  if (part >= 100) throw new RangeError(`part must be under 100, got ${part}`);
  const total = ratio.sides.reduce((sum, one) => sum + one.kg, 0);
  const others = total - side.kg;
  const wanted = (total * part) / 100;
  const change = ratio.sides.flatMap((one, i) =>
    factors(one.lineIds, i === index ? wanted / side.kg : (total - wanted) / others),
  );
  return withFactor(recipe, new Map(change));
}

/** Sets the kg of one side; every other side of the ratio grows or shrinks with it. */
export function setRatioKg(recipe: Recipe, ratio: Ratio, index: number, kg: number): Recipe {
  const side = ratio.sides[index];
  if (!side) throw new RangeError(`index must be a side of the ratio, got ${index}`);
  const factor = positive('kg', kg) / side.kg;
  return withFactor(recipe, new Map(ratio.sides.flatMap((one) => factors(one.lineIds, factor))));
}

function factors(lineIds: readonly string[], factor: number): [string, number][] {
  return lineIds.map((id) => [id, factor]);
}

function withFactor(recipe: Recipe, factor: ReadonlyMap<string, number>): Recipe {
  return {
    ...recipe,
    lines: recipe.lines.map((line) => ({ ...line, kg: line.kg * (factor.get(line.id) ?? 1) })),
  };
}

function sameAs(line: RecipeLine): string | null {
  return typeof line.scaling === 'object' ? line.scaling.sameAs : null;
}

import { within } from '../check';
import type { Allergen } from './data/allergens';
import type { Diet, Ingredient } from './ingredient';
import { COMPONENTS, type Masses, mapMasses } from './masses';

/** What a kitchen says of a food of its own: a product's label, or a food that the table does not have. */
export interface OwnFood {
  id: string;
  name: string;
  /** its label goes over the row of that id; else it is a new food, with an id of the kitchen's own */
  isLabel?: boolean;
  /** the row its composition is taken over from */
  like: string;
  /** off the label, g per 100 g; nothing said keeps the other's */
  saltPercent?: number;
  fatPercent?: number;
  allergens?: readonly Allergen[];
  diet?: Diet;
  pieceG?: number;
  yieldPercent?: number;
}

/**
 * A row of the kitchen's own: another's composition, marked as a guess, with what its label says put over it. What the
 * label adds or takes is made up by the rest in proportion, so that a kilogram stays a kilogram.
 *
 * @param food salt and fat 0..100 and together at most 100; yield above 0..100
 * @param like the row it is guessed from
 * @returns a row of the table
 * @throws RangeError naming a bad figure
 */
export function ownIngredient(food: OwnFood, like: Ingredient): Ingredient {
  const salt =
    food.saltPercent === undefined ? like.perKg.salt : within('saltPercent', food.saltPercent, 0, 100) / 100;
  const fat =
    food.fatPercent === undefined ? like.perKg.fat : within('fatPercent', food.fatPercent, 0, 100) / 100;
  if (salt + fat > 1)
    throw new RangeError(
      `saltPercent and fatPercent must be at most 100 together, got ${(salt + fat) * 100}`,
    );
  const share =
    food.yieldPercent === undefined ? like.yield : within('yieldPercent', food.yieldPercent, 1, 100) / 100;
  // a label over a food of the table leaves it its names; a new food has only its own
  const isSame = food.id === like.id;
  const { aliases, guessedFrom: _guess, hides, ...row } = like;
  const said = [
    food.saltPercent === undefined ? '' : `salt ${food.saltPercent} %`,
    food.fatPercent === undefined ? '' : `fat ${food.fatPercent} %`,
    food.allergens ? 'allergens' : '',
  ].filter((word) => word !== '');
  return {
    ...row,
    id: food.id,
    name: food.name,
    aliases: isSame ? [...(aliases ?? []), food.name.toLowerCase()] : [food.name.toLowerCase()],
    ...(isSame && hides ? { hides } : {}),
    perKg: withLabel(like.perKg, salt, fat),
    yield: share,
    allergens: food.allergens ?? like.allergens,
    diet: food.diet ?? like.diet,
    ...(food.pieceG === undefined ? {} : { pieceG: food.pieceG }),
    guessedFrom: like.id,
    ...(said.length > 0 ? { label: said.join(', ') } : {}),
    source:
      said.length > 0
        ? `its own label: ${said.join(', ')}; the rest guessed from ${like.name}`
        : `a guess, from ${like.name}`,
  };
}

function withLabel(perKg: Masses, salt: number, fat: number): Masses {
  const rest = COMPONENTS.filter((component) => component !== 'salt' && component !== 'fat');
  const before = rest.reduce((sum, component) => sum + perKg[component], 0);
  const after = 1 - salt - fat;
  return mapMasses((component) => {
    if (component === 'salt') return salt;
    if (component === 'fat') return fat;
    // nothing to make it up with: water then
    if (before === 0) return component === 'water' ? after : 0;
    return (perKg[component] * after) / before;
  });
}

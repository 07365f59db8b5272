import type { Ingredient } from '../matter';
import { recordOf } from '../own';
import { type PaperLine, paperRecipe } from '../reader';
import type { Recipe } from '../recipe';

import type { BaseKind } from './base-kind';
import { BINDERS_AND_BUNDLES } from './data/binders-and-bundles';
import { BROTHS_AND_SAUCES } from './data/broths-and-sauces';
import { STOCKS } from './data/stocks';

/** Every kind of base the house can make, in the order of the shelf. */
export const BASE_KINDS: readonly BaseKind[] = [...STOCKS, ...BROTHS_AND_SAUCES, ...BINDERS_AND_BUNDLES];

const BY_ID: Readonly<Record<string, BaseKind>> = recordOf(BASE_KINDS.map((kind) => [kind.id, kind]));

/** A kind by its id; null for none. */
export function baseKind(id: string | undefined): BaseKind | null {
  return (id !== undefined && BY_ID[id]) || null;
}

/**
 * The recipe a kind of base ships with, or the house's own version of it.
 *
 * @param kindId one of `BASE_KINDS`
 * @param house our name for it and our method; `paper` replaces the lines whole,
 *   `rows` are what it stands on beside the table
 * @throws RangeError for an unknown kind, or a line that names nothing known
 *
 * @example baseRecipe('fish-fumet').litres // => 10
 */
export function baseRecipe(
  kindId: string,
  house: Partial<BaseKind['recipe']> & {
    paper?: readonly PaperLine[];
    rows?: Readonly<Record<string, Ingredient>>;
  } = {},
): Recipe {
  const kind = baseKind(kindId);
  if (!kind) throw new RangeError(`kindId must be a kind of base, got ${kindId}`);
  const { paper = kind.paper, rows = {}, ...change } = house;
  return paperRecipe(
    { ...kind.recipe, ...change, base: kind.id, ...(kind.satisfies ? { stocksAs: kind.satisfies } : {}) },
    paper,
    rows,
  );
}

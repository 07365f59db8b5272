import type { Ingredient } from '../matter';
import type { PotItem } from './batch-state';

/** Of an item no more than this share is left: it is all out. source: common practice: what clings, what fell apart */
const CRUMBS = 0.05;

/** Which of what lies in the pot is meant: the one item; all of one food; or what hangs by a tag, oldest first. */
export type WhichItems = { itemId: string } | { ingredientId: string } | { word: string };

/** What was taken of one item: how much of it, by the model, and how many of its tag. */
export interface TakenItem {
  item: PotItem;
  /** edible kg as it went in */
  kg: number;
  count: number;
}

/** What hangs by a tag and has to come out before it is served, oldest first. */
export interface ToComeOut {
  itemId: string;
  word: string;
  count: number;
  sinceMs: number;
}

export function toComeOut(state: { readonly items: readonly PotItem[] }): ToComeOut[] {
  return state.items.flatMap(({ id, tag, sinceMs }) => (tag ? [{ itemId: id, sinceMs, ...tag }] : []));
}

/**
 * Takes some of what lies in the pot: so many of a tag, a share, or kilograms, the oldest first. What is left of an
 * item keeps as many of its tag as are left of it.
 *
 * @param much one of: `count` of the tag; `share` of all that is meant, 0..1; `kg` edible as it went in
 * @returns what stays, and what was taken of each
 */
export function takeItems(
  items: readonly PotItem[],
  which: WhichItems,
  much: { count: number } | { share: number } | { kg: number },
): { items: PotItem[]; taken: TakenItem[] } {
  const meant = items.filter((item) => isMeant(item, which));
  let left = 'count' in much ? much.count : 'kg' in much ? much.kg : much.share * kgOf(meant);
  const taken: TakenItem[] = [];
  const stays = items.flatMap((item) => {
    if (left <= 0 || !meant.includes(item)) return [item];
    const whole = 'count' in much ? (item.tag?.count ?? 1) : item.kg;
    const share = whole > 0 ? Math.min(1, left / whole) : 1;
    left -= whole * share;
    const isAll = share > 1 - CRUMBS;
    const count = item.tag ? (isAll ? item.tag.count : Math.round(item.tag.count * share)) : 0;
    taken.push({ item, kg: item.kg * share, count });
    if (isAll) return [];
    const tag = item.tag && item.tag.count > count ? { ...item.tag, count: item.tag.count - count } : null;
    return [{ ...item, kg: item.kg * (1 - share), tag }];
  });
  return { items: stays, taken };
}

const kgOf = (items: readonly PotItem[]): number => items.reduce((sum, item) => sum + item.kg, 0);

function isMeant(item: PotItem, which: WhichItems): boolean {
  if ('itemId' in which) return item.id === which.itemId;
  return 'ingredientId' in which ? item.ingredientId === which.ingredientId : item.tag?.word === which.word;
}

/** Kilograms on the scale, bone, skin and shell with it, as edible ones; what has none is all edible. */
export function edibleKgOf(ingredient: Ingredient, kg: number): number {
  return ingredient.wholeInPot ? kg * ingredient.yield : kg;
}

/** Edible kilograms as they lie in the pot, bone, skin and shell with them. */
export function inPotKgOf(ingredient: Ingredient, edibleKg: number): number {
  return ingredient.wholeInPot ? edibleKg / ingredient.yield : edibleKg;
}

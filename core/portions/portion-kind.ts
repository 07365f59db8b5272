import type { Allergen } from '../matter';

/** What a portion is ladled into or who it is for, in the words of a pass. */
export const PORTION_WORDS = ['bowl', 'cup', 'tub', 'staff'] as const;
export type PortionWord = (typeof PORTION_WORDS)[number];

/** Portions of one kind in an order: how large, how many, when and for whom. */
export interface PortionKind {
  /** its own among the kinds of the order */
  id: string;
  word: PortionWord;
  ml: number;
  count: number;
  /** when they are wanted, ms, where that is later than the batch's own service: kept until then */
  laterMs?: number | undefined;
  /** what these guests may not eat */
  freeOf?: readonly Allergen[] | undefined;
  /** times the recipe's garnish for a bowl, by its line; 1 where nothing is said, 0 for none */
  garnish?: Readonly<Record<string, number>> | undefined;
  /** it goes under the grill before it goes out */
  isGrilled?: boolean | undefined;
}

/** What an order says of its portions. */
export interface Portioned {
  portions: number;
  portionMl: number;
  kinds?: readonly PortionKind[] | undefined;
}

/** The id of the only kind of an order that names none. */
export const PLAIN_KIND = 'bowl';

/** The kinds of an order; of one that names none, all of it in bowls. */
export function kindsOf({ portions, portionMl, kinds }: Portioned): readonly PortionKind[] {
  return kinds?.length ? kinds : [{ id: PLAIN_KIND, word: 'bowl', ml: portionMl, count: portions }];
}

/** A kind by its id, the first where none is named or there is no such; what was put out is never of no kind. */
export function kindOf(of: Portioned, kindId?: string): PortionKind {
  const kinds = kindsOf(of);
  return kinds.find((one) => one.id === kindId) ?? kinds[0]!;
}

/** It is for guests of the batch's own service: not kept for a later one, nor the cooks' own. */
export const isForNow = ({ word, laterMs }: Pick<PortionKind, 'word' | 'laterMs'>): boolean =>
  word !== 'staff' && laterMs === undefined;

/** Portions for guests of the batch's own service. */
export function guestPortions(of: Portioned): number {
  return of.kinds?.length
    ? of.kinds.reduce((sum, kind) => (isForNow(kind) ? sum + kind.count : sum), 0)
    : of.portions;
}

/** Litres that portions of some kinds come to. */
export function litresOfKinds(kinds: readonly Pick<PortionKind, 'ml' | 'count'>[]): number {
  return kinds.reduce((sum, one) => sum + (one.ml * one.count) / 1000, 0);
}

/**
 * Several kinds as so many portions of the order's own size, so that the pot is planned for their litres.
 *
 * @example portionsOfKinds([{ ml: 250, count: 60 }, { ml: 125, count: 12 }], 250) // => 66
 */
export function portionsOfKinds(
  kinds: readonly Pick<PortionKind, 'ml' | 'count'>[],
  portionMl: number,
): number {
  return (1000 * litresOfKinds(kinds)) / portionMl;
}

/** How many times a garnish goes on a kind: nothing goes on what leaves the house or on the cooks' own, unless it is said. */
export function garnishTimes(kind: PortionKind, lineId: string): number {
  return kind.garnish?.[lineId] ?? (kind.word === 'tub' || kind.word === 'staff' ? 0 : 1);
}

/** Bowls' worth of a garnish that an order wants; of a part of an order, its share. */
export function garnishedPortions({ portions, portionMl, kinds }: Portioned, lineId: string): number {
  if (!kinds?.length) return portions;
  const all = kinds.reduce((sum, kind) => sum + kind.count * garnishTimes(kind, lineId), 0);
  return (all * portions) / portionsOfKinds(kinds, portionMl);
}

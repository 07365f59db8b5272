import { positive } from '../check';

/** How a portion is ladled: with which ladle, how often to the half, and what that comes to. */
export interface Ladling<L> {
  ladle: L;
  /** halves of it are as fine as a hand goes */
  fills: number;
  ml: number;
}

/** A portion may be off by so much of itself before a smaller ladle is worth its extra fills. Common practice. */
const NEAR_ENOUGH = 0.05;

/**
 * The ladle that gives a portion in the fewest fills, near enough; where none comes near, the one that comes nearest.
 *
 * @param portionMl one portion, above 0
 * @param ladles each with what it truly holds, mL, above 0
 * @returns null where there is no ladle
 * @throws RangeError naming the bad argument
 * @example ladling(350, [{ ml: 250 }, { ml: 120 }]).fills // => 3
 */
export function ladling<L extends { ml: number }>(
  portionMl: number,
  ladles: readonly L[],
): Ladling<L> | null {
  positive('portionMl', portionMl);
  const ways = ladles.map((ladle) => {
    const fills = Math.max(0.5, Math.round((2 * portionMl) / positive('ml', ladle.ml)) / 2);
    return { ladle, fills, ml: fills * ladle.ml };
  });
  const off = ({ ml }: Ladling<L>) => Math.abs(ml - portionMl) / portionMl;
  const near = ways.filter((way) => off(way) <= NEAR_ENOUGH);
  if (near.length > 0) return near.sort((a, b) => a.fills - b.fills || off(a) - off(b))[0]!;
  return ways.sort((a, b) => off(a) - off(b))[0] ?? null;
}

/** The bowls that take a portion under the headspace they want, the smallest first. */
export function bowlsFor<B extends { ml: number; headspaceMl?: number | undefined }>(
  portionMl: number,
  bowls: readonly B[],
): B[] {
  return bowls.filter((bowl) => underRimMl(bowl) >= portionMl).sort((a, b) => a.ml - b.ml);
}

/** What a bowl takes under the headspace it wants, mL. */
export function underRimMl({
  ml,
  headspaceMl = 0,
}: {
  ml: number;
  headspaceMl?: number | undefined;
}): number {
  return ml - headspaceMl;
}

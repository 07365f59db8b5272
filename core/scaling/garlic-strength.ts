import { atLeast } from '../check';

/** How much of garlic's bite a cut lets out, crushed being 1. source: from memory */
export const GARLIC_CUTS = { whole: 0.15, sliced: 0.5, chopped: 0.8, crushed: 1, grated: 1.2 } as const;
export type GarlicCut = keyof typeof GARLIC_CUTS;

/** Standing lets the bite grow towards half as much again, by this time constant, min. source: from memory */
const STANDING = { most: 0.5, timeConstantMin: 8 } as const;

/** A kilogram of cloves takes a pair of hands this long to cut, min. Common practice. */
export const CUTTING_MIN_PER_KG = 35;

/**
 * How strong raw garlic is by its cut and by how long it has stood, crushed and used at once being 1.
 *
 * @param cut whole, sliced, chopped, crushed or grated
 * @param standingMin 0 or more
 * @returns a factor on the weight
 * @throws RangeError for an unknown cut or a negative time
 * @example garlicStrength({ cut: 'crushed', standingMin: 8 }) // => 1.316
 * @source from memory: allicin forms within minutes of crushing
 */
export function garlicStrength({ cut, standingMin }: { cut: GarlicCut; standingMin: number }): number {
  if (!Object.hasOwn(GARLIC_CUTS, cut)) throw new RangeError(`cut must be a known cut, got ${cut}`);
  const { most, timeConstantMin } = STANDING;
  return (
    GARLIC_CUTS[cut] * (1 + most * (1 - Math.exp(-atLeast('standingMin', standingMin, 0) / timeConstantMin)))
  );
}

/** The garlic cut a line's words name; chopped where they name none. */
export function garlicCutOf(words: string): GarlicCut {
  const cut = (Object.keys(GARLIC_CUTS) as GarlicCut[]).find((one) => words.toLowerCase().includes(one));
  if (cut) return cut;
  return /minced|paste/i.test(words) ? 'crushed' : 'chopped';
}

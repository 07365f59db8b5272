import { atLeast } from '../check';
import { UMAMI } from './data/umami-constants';

/**
 * The umami of amino acids and nucleotides together, as the glutamate alone that would taste as strong.
 *
 * @param glutamate,aspartate g/100 g, 0 or more; aspartate 0 if left out
 * @param imp,gmp,amp 5'-nucleotides, g/100 g, 0 or more; 0 if left out
 * @returns g of monosodium glutamate per 100 g
 * @throws RangeError naming the bad argument
 * @example umamiGPer100g({ glutamate: 0.03, imp: 0.01 }) // => 0.3954
 * @source published: Yamaguchi, Journal of Food Science, 1971: y = Σaᵢbᵢ + 1218 Σaᵢbᵢ Σaⱼbⱼ
 */
export function umamiGPer100g(input: {
  glutamate: number;
  aspartate?: number;
  imp?: number;
  gmp?: number;
  amp?: number;
}): number {
  const amino =
    atLeast('glutamate', input.glutamate, 0) +
    UMAMI.aspartate * atLeast('aspartate', input.aspartate ?? 0, 0);
  const nucleotide =
    atLeast('imp', input.imp ?? 0, 0) +
    UMAMI.gmp * atLeast('gmp', input.gmp ?? 0, 0) +
    UMAMI.amp * atLeast('amp', input.amp ?? 0, 0);
  return amino + UMAMI.synergy * amino * nucleotide;
}

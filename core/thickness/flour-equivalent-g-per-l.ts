import { atLeast, positive } from '../check';
import type { ThickenerKind } from '../matter';
import { THICKENERS } from './data/thickeners';

/**
 * Grams of cooked-out wheat flour per litre of liquid that would thicken as these thickeners do together.
 *
 * @param thickeners dry flour or starch in grams by kind, 0 or more; never the fat of a roux
 * @param litres liquid without pieces, above 0
 * @returns g/L
 * @throws RangeError naming an unknown kind or a bad amount
 * @example flourEquivalentGPerL({ thickeners: [{ kind: 'cornstarch', grams: 50 }], litres: 2 }) // => 50
 * @source strengths in data/thickeners.ts, from memory
 */
export function flourEquivalentGPerL(input: {
  thickeners: readonly { kind: ThickenerKind; grams: number }[];
  litres: number;
}): number {
  const litres = positive('litres', input.litres);
  const grams = input.thickeners.reduce((sum, thickener, i) => {
    if (!Object.hasOwn(THICKENERS, thickener.kind)) {
      throw new RangeError(`thickeners[${i}].kind is not a known thickener, got ${String(thickener.kind)}`);
    }
    return sum + atLeast(`thickeners[${i}].grams`, thickener.grams, 0) * THICKENERS[thickener.kind].strength;
  }, 0);
  return grams / litres;
}

import { positive } from '../check';
import {
  type BlendLimit,
  type BlendOutcome,
  type BlendPart,
  type BlendWanted,
  outcomeOf,
} from './blend-parts';
import { cutUntilSavoury } from './blend-program';
import { type LooserLimit, loosenBlend } from './loosen-blend';

export type Blend =
  | { kind: 'blend'; kgById: Readonly<Record<string, number>>; waterKg: number; outcome: BlendOutcome }
  /** no blend keeps every limit: any one of `either` is enough; where none is, all of `together` */
  | { kind: 'none'; either: readonly LooserLimit[]; together: readonly LooserLimit[] }
  /** two limits that nothing can keep at once */
  | { kind: 'contradiction'; least: BlendLimit; most: BlendLimit; leastValue: number; mostValue: number }
  /** water alone keeps every limit: nothing asks for any of the lots */
  | { kind: 'onlyWater' };

/**
 * The cheapest blend of lots that keeps every limit, or which limits stand in the way.
 *
 * Salt, strength and price are linear in the kilograms; umami is cut out by planes, see `blend-program.ts`.
 *
 * @param parts lots with what is left of them, kg
 * @param wanted kg above 0; limits as far as they are given
 * @returns kilograms of each and of water, or what stands in the way
 * @throws RangeError for no parts, or kg not above 0
 */
export function blendLots(parts: readonly BlendPart[], wanted: BlendWanted): Blend {
  positive('wanted.kg', wanted.kg);
  if (parts.length === 0) throw new RangeError('parts must hold at least one lot, got none');
  const against = contradictionIn(wanted);
  if (against) return against;
  const solved = cutUntilSavoury(parts, wanted, false);
  if (!solved) return { kind: 'none', ...loosenBlend(parts, wanted) };
  const { kgById, waterKg } = solved;
  const pouredKg = Object.values(kgById).reduce((sum, kg) => sum + kg, 0);
  if (pouredKg < NOTHING_SHARE * wanted.kg) return { kind: 'onlyWater' };
  return { kind: 'blend', kgById, waterKg, outcome: outcomeOf(parts, kgById, waterKg) };
}

/** Less of the lots than this share is none of them. */
const NOTHING_SHARE = 1e-6;

function contradictionIn(wanted: BlendWanted): Extract<Blend, { kind: 'contradiction' }> | null {
  for (const [least, most] of [
    ['saltMin', 'saltMax'],
    ['brixMin', 'brixMax'],
  ] as const) {
    const leastValue = wanted[least];
    const mostValue = wanted[most];
    if (leastValue !== undefined && mostValue !== undefined && leastValue > mostValue)
      return { kind: 'contradiction', least, most, leastValue, mostValue };
  }
  return null;
}

import { brixOf, type LotContents } from '../matter';

/** A reading three times what was computed, or a third of it, is asked about before it is believed. Common practice. */
const TIMES = 3;
/** And so much either way is never asked about: °Brix, and percent of salt. */
const SLACK = { brix: 1.5, salt: 0.3 } as const;

/**
 * What a reading was expected to be, where it is so far from it that a figure may have been mistyped, or where salt alone
 * would be more than all that is dissolved; null for a reading that is believed.
 *
 * @param contents the lot as it is known
 * @param value °Brix, or percent of salt by mass
 */
export function readingFarOff(contents: LotContents, kind: 'brix' | 'salt', value: number): number | null {
  const dissolved = brixOf(contents.perKg);
  const saltPercent = 100 * contents.perKg.salt;
  const expected = kind === 'brix' ? dissolved : saltPercent;
  const slack = SLACK[kind];
  const isFar = value > expected * TIMES + slack || value < expected / TIMES - slack;
  const isImpossible = kind === 'brix' ? value < saltPercent - slack : value > dissolved + slack;
  return isFar || isImpossible ? expected : null;
}

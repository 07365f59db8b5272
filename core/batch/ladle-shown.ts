import type { BatchSnapshot } from './batch-event';
import type { BatchState } from './batch-state';

/** Nobody has measured yet: a ladle gives what it says within a tenth. From memory. */
export const FIRST_GUESS_LADLE = { mean: 0, sd: 0.1 } as const;

/** The ladles of all who ladle together: no person has such an id. */
export const EVERYBODY = '';

/** What is left is measured within this, L: a stick in the pot, or a jug. Common practice. */
const LEFT_SD_L = 0.2;
/** Of fewer portions nothing is learned: one heavy hand is no ladle. Ours. */
const LEAST_PORTIONS = 10;

/**
 * What left the pot for a portion over what was meant, as a logarithm: litres gone, but for steam, what was stored and
 * drawn off, over portions served. Only where what is left was measured; null else.
 *
 * @param state of a closed batch
 */
export function ladleShown(
  { input }: Pick<BatchSnapshot, 'input'>,
  { service, atService, closed, stored, parts, pot }: BatchState,
): { mean: number; sd: number; knew: { mean: number; sd: number } } | null {
  if (!closed?.isMeasured || !atService || atService.sdLitres === undefined) return null;
  const outs = service.outs.filter((out) => out.atMs >= atService.atMs && !out.isOut);
  const portions = outs.reduce((sum, out) => sum + out.portions, 0);
  const knew = input.ladle ?? FIRST_GUESS_LADLE;
  // as they were meant: what is known of the ladles taken off again
  const meant = outs.reduce((sum, out) => sum + out.litres, 0) / Math.exp(input.ladle?.mean ?? 0);
  const steamed = pot.evaporatedKg - (atService.steamedKg ?? 0);
  const away = [...stored, ...parts]
    .filter((one) => one.atMs >= atService.atMs)
    .reduce((sum, one) => sum + one.litres, 0);
  const gone = atService.litres - closed.leftLitres - steamed - away;
  if (portions < LEAST_PORTIONS || meant <= 0 || gone <= 0) return null;
  const sd = Math.hypot(atService.sdLitres, LEFT_SD_L) / gone;
  const seen = Math.log(gone / meant);
  const precision = 1 / knew.sd ** 2 + 1 / sd ** 2;
  const mean = (knew.mean / knew.sd ** 2 + seen / sd ** 2) / precision;
  return { mean, sd: Math.sqrt(1 / precision), knew: { mean: knew.mean, sd: knew.sd } };
}

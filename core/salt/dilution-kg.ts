import { atLeast, positive, within } from '../check';

/**
 * Kilograms of unsalted liquid that bring an over-salted pot down to a percentage.
 *
 * @param massKg what is in the pot, 0 or more
 * @param nowPercent kg of salt per 100 kg now, 0..100
 * @param targetPercent wanted, above 0
 * @returns kg; 0 when the target is at or over what is there
 * @throws RangeError naming the bad argument; a target of 0 or less
 * @example dilutionKg({ massKg: 10, nowPercent: 1.6, targetPercent: 1 }) // => 6
 * @source mass balance: m (s₀/s₁ − 1)
 */
export function dilutionKg(input: { massKg: number; nowPercent: number; targetPercent: number }): number {
  const mass = atLeast('massKg', input.massKg, 0);
  const now = within('nowPercent', input.nowPercent, 0, 100);
  const target = within('targetPercent', positive('targetPercent', input.targetPercent), 0, 100);
  return target >= now ? 0 : mass * (now / target - 1);
}

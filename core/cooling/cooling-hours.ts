import { finite, positive } from '../check';
import { hoursUntil, slabBody, stirredBody } from './cooling-body';

/**
 * Hours a soup takes to cool from one temperature to another.
 *
 * `pan`: a covered pan as a slab with a film coefficient on both faces; the centre passes `fromC`, then `toC`, having
 * been uniform at `startC` to begin with. `newton`: stirred, with a constant per hour from its first readings.
 *
 * @param depthCm of the soup, above 0; filmWm2K: still walk-in 10, fan 20, blast 40
 * @param fromC,toC,airC °C; toC above airC
 * @param startC uniform at the start, default fromC, not below it
 * @param perHour Newton's constant, 1/h, above 0
 * @returns hours; 0 if toC is at or above fromC
 * @throws RangeError naming the bad argument; toC at or below the air
 * @example coolingHours({ how: 'pan', depthCm: 5, filmWm2K: 10, startC: 90, fromC: 57, toC: 21, airC: 4 }) // => 3.87
 * @source published: Carslaw and Jaeger, slab with surface resistance; properties from memory
 */
export function coolingHours(
  input:
    | {
        how: 'pan';
        depthCm: number;
        filmWm2K: number;
        fromC: number;
        toC: number;
        airC: number;
        startC?: number;
      }
    | { how: 'newton'; perHour: number; fromC: number; toC: number; airC: number },
): number {
  const from = finite('fromC', input.fromC);
  const to = finite('toC', input.toC);
  const air = finite('airC', input.airC);
  if (to <= air) throw new RangeError(`toC must be above airC ${air}, got ${to}`);
  if (input.how === 'newton') {
    const perHour = positive('perHour', input.perHour);
    return to >= from ? 0 : hoursUntil(stirredBody({ perHour, airC: air, tempC: from }), to)!;
  }
  if (input.how !== 'pan') {
    throw new RangeError(`how must be pan or newton, got ${String((input as { how: string }).how)}`);
  }
  const start = finite('startC', input.startC ?? from);
  if (start < from) throw new RangeError(`startC must not be below fromC ${from}, got ${start}`);
  const { depthCm, filmWm2K } = input;
  const body = slabBody({ depthCm, filmWm2K, airC: air, tempC: start });
  return to >= from ? 0 : hoursUntil(body, to)! - hoursUntil(body, from)!;
}

import type { PotState } from './pot';

/**
 * What a pot's thickening is thought to do over what the table says: a factor, and one standard deviation of its
 * logarithm. Roots, pulses and flour differ from sack to sack; a test of the spoon says how this pot turned out.
 */
export interface Body {
  readonly factor: number;
  readonly sd: number;
}

/** Nobody has tested this recipe yet: within a quarter, as often as not a little more. From memory. */
export const FIRST_GUESS_BODY = { mean: 0, sd: Math.log(1.25) } as const;

/** What is weighed in to thicken is as strong as the table says within this share. From memory: handbooks differ so. */
const DOSE_SD = 0.12;

/** Beyond so many standard deviations the cook is asked, and until then the pot does not follow. */
const ASKED_FROM_Z = 4;

const bodyIn = (pot: PotState): Body => pot.body ?? { factor: 1, sd: FIRST_GUESS_BODY.sd };

/** Grams of flour that thicken like what is in the liquid, as this pot shows it. */
export function bodyOfPot(pot: PotState): number {
  return pot.mixture.flourEquivalentG * bodyIn(pot).factor;
}

/** How sure that is: one standard deviation of its logarithm. */
export const bodySd = (pot: PotState): number => bodyIn(pot).sd;

/**
 * Takes a test of thickness in.
 *
 * @param measured g/L and the standard deviation of its logarithm
 * @param expectedGPerL what the pot was thought to hold as it was tested, above 0
 * @returns the pot as it is thought of now, and how far off the test lay; one that lies absurdly far off changes nothing
 *   unless `believed`
 * @source published: the measurement step of a Kalman filter, of a logarithm
 */
export function readBody(
  pot: PotState,
  measured: { gPerL: number; logSd: number },
  expectedGPerL: number,
  believed = false,
): { pot: PotState; z: number; isFar: boolean } {
  const before = bodyIn(pot);
  const innovation = Math.log(measured.gPerL / expectedGPerL);
  const variance = before.sd ** 2 + measured.logSd ** 2;
  const z = Math.abs(innovation) / Math.sqrt(variance);
  if (z > ASKED_FROM_Z && !believed) return { pot, z, isFar: true };
  const weight = believed ? 1 : before.sd ** 2 / variance;
  const factor = before.factor * Math.exp(weight * innovation);
  const sd = believed ? measured.logSd : before.sd * Math.sqrt(1 - weight);
  return { pot: { ...pot, body: { factor, sd } }, z, isFar: false };
}

/**
 * A dose that was put in to thicken does what the table says of it, whatever the rest of the pot was found to do.
 *
 * @param after the pot with it in, its factor still that of before
 * @param doseG grams of flour it stands for by the table
 */
export function withDose(after: PotState, doseG: number): PotState {
  const all = after.mixture.flourEquivalentG;
  if (doseG <= 0 || all <= 0) return after;
  const before = bodyIn(after);
  const restG = before.factor * (all - doseG);
  const sum = restG + doseG;
  return {
    ...after,
    body: { factor: sum / all, sd: Math.hypot(before.sd * restG, DOSE_SD * doseG) / sum },
  };
}

import type { Covariance } from './pot';

/** How three numbers at the end of a step lean on the three at its start, row by row. */
export type Jacobian = Covariance;

export const MASS = 0;
export const TEMP = 1;
export const GAIN = 2;

/** No doubt about mass and temperature, the given doubt about the gain. */
export function startingCovariance(gainSd: number): Covariance {
  return [0, 0, 0, 0, 0, 0, 0, 0, gainSd * gainSd];
}

/** J·P·Jᵀ + noise on the diagonal: doubt carried through a step. */
export function carry(p: Covariance, j: Jacobian, noise: readonly [number, number, number]): Covariance {
  const jp = multiply(j, p);
  const carried = [...multiply(jp, transpose(j))];
  carried[0]! += noise[0];
  carried[4]! += noise[1];
  carried[8]! += noise[2];
  return carried as unknown as Covariance;
}

/** What a measurement of one of the three does: the pull on each, and the doubt that is left. */
export function learn(
  p: Covariance,
  which: 0 | 1 | 2,
  innovation: number,
  variance: number,
): { pull: readonly [number, number, number]; covariance: Covariance } {
  const scale = 1 / (p[which * 4]! + variance);
  const column = [p[which]!, p[3 + which]!, p[6 + which]!];
  const next = p.map((value, i) => value - column[Math.floor(i / 3)]! * column[i % 3]! * scale);
  return {
    pull: [column[0]! * scale * innovation, column[1]! * scale * innovation, column[2]! * scale * innovation],
    covariance: next as unknown as Covariance,
  };
}

function multiply(a: Covariance, b: Covariance): Covariance {
  const out = new Array<number>(9);
  for (let row = 0; row < 3; row++) {
    for (let column = 0; column < 3; column++) {
      out[row * 3 + column] =
        a[row * 3]! * b[column]! + a[row * 3 + 1]! * b[3 + column]! + a[row * 3 + 2]! * b[6 + column]!;
    }
  }
  return out as unknown as Covariance;
}

function transpose(m: Covariance): Covariance {
  return [m[0], m[3], m[6], m[1], m[4], m[7], m[2], m[5], m[8]];
}

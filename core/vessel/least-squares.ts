/** What a fit comes to: the numbers, their covariance, and how far off it is, all in the units that went in. */
export interface Fit {
  values: number[];
  covariance: number[][];
  /** sum of the squared misses, each over its standard deviation */
  chiSquared: number;
}

const ROUNDS = 100;
/** A step shorter than this share of the numbers ends it. */
const CLOSE_ENOUGH = 1e-10;
const DERIVATIVE_STEP = 1e-5;

/**
 * One or two numbers so that misses are least in squares: Gauss and Newton's steps, damped while they lead uphill.
 *
 * @param missesAt each miss over its standard deviation, at some numbers
 * @param from where to begin, each above 0; numbers stay above 0
 * @returns null where the misses say nothing of a number
 * @source published: K. Levenberg, Quarterly of Applied Mathematics 2 (1944) 164; D. Marquardt, SIAM J. 11 (1963) 431
 */
export function leastSquares(
  missesAt: (values: readonly number[]) => readonly number[],
  from: readonly number[],
): Fit | null {
  let values = [...from];
  let misses = missesAt(values);
  let chiSquared = sumOfSquares(misses);
  let damping = 1e-3;
  for (let round = 0; round < ROUNDS; round++) {
    const { pull, hessian } = slopesAt(missesAt, values, misses);
    const damped = hessian.map((row, i) => row.map((one, j) => (i === j ? one * (1 + damping) : one)));
    const inverse = inverted(damped);
    if (!inverse) return null;
    const step = inverse.map((row) => row.reduce((sum, one, j) => sum - one * pull[j]!, 0));
    const next = values.map((value, i) => Math.max(value + step[i]!, value / 4));
    const nextMisses = missesAt(next);
    const nextChi = sumOfSquares(nextMisses);
    if (nextChi > chiSquared) {
      damping *= 8;
      if (damping > 1e12) break;
      continue;
    }
    const isDone = step.every((one, i) => Math.abs(one) < CLOSE_ENOUGH * values[i]!);
    values = next;
    misses = nextMisses;
    chiSquared = nextChi;
    damping = Math.max(damping / 8, 1e-9);
    if (isDone) break;
  }
  const covariance = inverted(slopesAt(missesAt, values, misses).hessian);
  return covariance && { values, covariance, chiSquared };
}

function slopesAt(
  missesAt: (values: readonly number[]) => readonly number[],
  values: readonly number[],
  misses: readonly number[],
) {
  const columns = values.map((value, i) => {
    const step = value * DERIVATIVE_STEP;
    const up = missesAt(values.map((one, j) => (i === j ? one + step : one)));
    const down = missesAt(values.map((one, j) => (i === j ? one - step : one)));
    return up.map((one, k) => (one - down[k]!) / (2 * step));
  });
  const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, one, k) => sum + one * b[k]!, 0);
  return {
    pull: columns.map((column) => dot(column, misses)),
    hessian: columns.map((a) => columns.map((b) => dot(a, b))),
  };
}

/** Of a matrix of one or two rows; null where it has none. */
function inverted(matrix: readonly (readonly number[])[]): number[][] | null {
  const [[a, b] = [], [c, d] = []] = matrix;
  if (matrix.length === 1) return a! > 0 ? [[1 / a!]] : null;
  const determinant = a! * d! - b! * c!;
  if (!(determinant > 1e-12 * a! * d!)) return null;
  return [
    [d! / determinant, -b! / determinant],
    [-c! / determinant, a! / determinant],
  ];
}

const sumOfSquares = (list: readonly number[]): number => list.reduce((sum, one) => sum + one * one, 0);

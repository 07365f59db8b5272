import { atLeast, positive } from '../check';

/**
 * The chance that more than so many come, of a count whose mean is itself a gamma.
 *
 * @param shape of the gamma, above 0
 * @param mean of the count, 0 or more
 * @param than so many; below 0 it is certain
 * @returns 0..1
 * @source published: the negative binomial by its recurrence, P(k+1) = P(k) (k + r) / (k + 1) · p
 */
export function chanceOfMore(of: { shape: number; mean: number; than: number }): number {
  const shape = positive('shape', of.shape);
  const mean = atLeast('mean', of.mean, 0);
  if (of.than < 0) return 1;
  if (mean === 0) return 0;
  const p = mean / (mean + shape);
  // in logarithms: of a great many bowls the first term is too small to be written
  let log = shape * Math.log1p(-p);
  let sum = 0;
  for (let k = 0; k <= of.than; k++) {
    sum += Math.exp(log);
    log += Math.log((k + shape) / (k + 1)) + Math.log(p);
  }
  return Math.min(1, Math.max(0, 1 - sum));
}

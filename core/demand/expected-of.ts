import type { Expected } from './demand';

/** What a service says of itself counts like so many that were seen. From memory. */
const SAID_COUNTS = 3;
/** Covers that somebody typed are off by such a share, one standard deviation. From memory. */
const SAID_SHARE_SD = 0.2;

/**
 * How many bowls a service is thought to ask for, from its covers and from the services before it.
 *
 * @param covers as the kitchen says, above 0
 * @param before what earlier ones of it asked for, each a count, any order
 * @returns mean and one standard deviation of the mean of the next
 * @source published: moments of a negative binomial; pooled with what is said as if that were three services
 */
export function expectedOf(covers: number, before: readonly number[]): Expected {
  const weight = SAID_COUNTS + before.length;
  const mean = (SAID_COUNTS * covers + before.reduce((sum, one) => sum + one, 0)) / weight;
  const saidVariance = (SAID_SHARE_SD * covers) ** 2;
  // what services differ by, over what chance alone would have them differ
  const seen = before.reduce((sum, one) => sum + (one - mean) ** 2 - one, 0);
  const between = Math.max(LEAST_SHARE_SD ** 2 * mean ** 2, (SAID_COUNTS * saidVariance + seen) / weight);
  return { mean, sd: Math.sqrt(between * (1 + 1 / weight)) };
}

/** No service is known better than this, a share of its mean. Ours. */
const LEAST_SHARE_SD = 0.04;

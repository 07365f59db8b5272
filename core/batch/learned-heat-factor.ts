import { FIRST_GUESS_HEAT_FACTOR } from '../pot';

/** A burner is not the same twice: what one batch shows of the next, one standard deviation. From memory. */
const BETWEEN_BATCHES_SD = 0.06;

/** What batches have shown of a burner, added up: each by how sure it was. */
export interface BurnerSums {
  weight: number;
  sum: number;
  batches: number;
  /** tests with water; absent in sums of before there were any */
  tests?: number | undefined;
}

/** A burner nobody has cooked on: its first guess. */
export const UNKNOWN_BURNER: BurnerSums = {
  weight: 1 / FIRST_GUESS_HEAT_FACTOR.sd ** 2,
  sum: FIRST_GUESS_HEAT_FACTOR.mean / FIRST_GUESS_HEAT_FACTOR.sd ** 2,
  batches: 0,
};

/** The sums with one closed batch more. */
export function withBatch(sums: BurnerSums, batch: { mean: number; sd: number }): BurnerSums {
  const weight = 1 / (batch.sd ** 2 + BETWEEN_BATCHES_SD ** 2);
  return {
    weight: sums.weight + weight,
    sum: sums.sum + weight * batch.mean,
    batches: sums.batches + 1,
    ...(sums.tests ? { tests: sums.tests } : {}),
  };
}

/** The sums with a test with water more: it says as much of the next batch as a batch would that was as sure. */
export function withTest(sums: BurnerSums, test: { mean: number; sd: number }): BurnerSums {
  const { weight, sum } = withBatch(sums, test);
  return { weight, sum, batches: sums.batches, tests: (sums.tests ?? 0) + 1 };
}

/** What a kitchen knows of a burner, and how sure the next batch may be of it. */
export function heatFactorOf({ weight, sum, batches, tests }: BurnerSums): {
  mean: number;
  sd: number;
  batches: number;
  tests?: number;
} {
  return {
    mean: sum / weight,
    ...(tests ? { tests } : {}),
    sd: batches > 0 || tests ? Math.sqrt(1 / weight + BETWEEN_BATCHES_SD ** 2) : FIRST_GUESS_HEAT_FACTOR.sd,
    batches,
  };
}

/**
 * What a kitchen knows of a burner: its first guess, drawn in by each closed batch by how sure that batch was.
 *
 * @param batches heat factor and its standard deviation as each batch ended
 * @returns heat factor for the next batch, its standard deviation, and how many batches are in it
 * @example learnedHeatFactor([]).mean // => 1
 * @source published: precision-weighted mean of normals
 */
export function learnedHeatFactor(batches: readonly { mean: number; sd: number }[]): {
  mean: number;
  sd: number;
  batches: number;
} {
  return heatFactorOf(batches.reduce(withBatch, UNKNOWN_BURNER));
}

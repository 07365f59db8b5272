import { FIRST_GUESS_HEAT_FACTOR } from '../pot';

/** A burner is not the same twice: what one batch shows of the next, one standard deviation. From memory. */
const BETWEEN_BATCHES_SD = 0.06;

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
  let weight = 1 / FIRST_GUESS_HEAT_FACTOR.sd ** 2;
  let sum = FIRST_GUESS_HEAT_FACTOR.mean * weight;
  for (const batch of batches) {
    const w = 1 / (batch.sd ** 2 + BETWEEN_BATCHES_SD ** 2);
    weight += w;
    sum += w * batch.mean;
  }
  return {
    mean: sum / weight,
    sd: batches.length ? Math.sqrt(1 / weight + BETWEEN_BATCHES_SD ** 2) : FIRST_GUESS_HEAT_FACTOR.sd,
    batches: batches.length,
  };
}

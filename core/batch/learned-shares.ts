import type { Lid } from '../evaporation';
import { truncatedNormal } from '../forecast';
import { FIRST_GUESS_BODY, FIRST_GUESS_FLOOR, FIRST_GUESS_SURFACE } from '../pot';
import type { KnownHeat } from './evidence-of';
import type { RateSums } from './learned-rates';

/**
 * What pots show beside heat: what leaves the surface of one under a lid, and what its floor bears of one dish, each a
 * share of what the law says; and what a recipe's thickening does over the table, as a logarithm.
 */
export type ShareKey =
  | { surfaceOf: string; lid: Lid }
  | { floorOf: string; recipeId: string }
  | { bodyOf: string };

/** What a kitchen has learned of such a share. */
export interface LearnedShare {
  key: ShareKey;
  /** mean and one standard deviation of what the next batch will show */
  share: { mean: number; sd: number };
  /** stretches or batches it was seen in */
  segments: number;
}

/** From batch to batch a surface differs by so much, one standard deviation: fat, foam, draught. From memory. */
const SURFACE_BETWEEN_SD = 0.1;
/** From batch to batch a floor does: who stirs, how thick it was. From memory. */
const FLOOR_BETWEEN_SD = 0.2;
/** From batch to batch a recipe's thickening does: another sack of roots, a cook who blends longer. From memory. */
const BODY_BETWEEN_SD = 0.08;

/** However little was seen to leave or to be borne, the next batch starts from something. Ours. */
const LEAST_SHARE = 0.1;

/** How far one batch’s share may be from another’s, one standard deviation. */
export const betweenSdOf = (key: ShareKey): number =>
  'surfaceOf' in key ? SURFACE_BETWEEN_SD : 'floorOf' in key ? FLOOR_BETWEEN_SD : BODY_BETWEEN_SD;

const firstGuessOf = (key: ShareKey) =>
  'surfaceOf' in key ? FIRST_GUESS_SURFACE[key.lid] : 'floorOf' in key ? FIRST_GUESS_FLOOR : FIRST_GUESS_BODY;

/** What the sums say of the next batch: the first guess, drawn in by what was seen. */
export function shareOf(key: ShareKey, sums: RateSums): LearnedShare {
  const guess = firstGuessOf(key);
  const weight = 1 / guess.sd ** 2 + sums.weight;
  const mean = (guess.mean / guess.sd ** 2 + sums.sum) / weight;
  return {
    key,
    share: {
      mean: 'bodyOf' in key ? mean : Math.max(LEAST_SHARE, mean),
      sd: Math.hypot(Math.sqrt(1 / weight), betweenSdOf(key)),
    },
    segments: sums.segments,
  };
}

/**
 * What a floor has shown: it caught at a margin, so it bears less than the law said there; or it was scraped clean
 * after a margin, so it bears more.
 *
 * @param knew what was known of it as the batch began
 * @param margin the law’s margin, above 0, at which it caught, or the least at which it did not
 * @returns what is known of it after
 * @source published: moments of a normal cut off on one side
 */
export function floorShown(knew: KnownHeat, margin: number, came: 'caught' | 'clean'): KnownHeat {
  return truncatedNormal(knew, 1 / margin, came === 'caught' ? 'below' : 'above');
}

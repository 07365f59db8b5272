import { FILM_DAY_LOG_SD, FILM_UNKNOWN } from '../cooling';
import type { Lid } from '../evaporation';
import { truncatedNormal } from '../forecast';
import { FIRST_GUESS_BODY, FIRST_GUESS_FLOOR, FIRST_GUESS_SURFACE } from '../pot';
import type { KnownHeat } from './evidence-of';
import { FIRST_GUESS_LADLE } from './ladle-shown';
import type { RateSums } from './learned-rates';

/**
 * What pots show beside heat: what leaves the surface of one under a lid, and what its floor bears of one dish, each a
 * share of what the law says; and what a recipe's thickening does over the table, and a ladle over what is meant, as
 * logarithms.
 */
export type ShareKey =
  | { surfaceOf: string; lid: Lid }
  | { floorOf: string; recipeId: string }
  | { bodyOf: string }
  /** of all who ladle (`EVERYBODY`), or of one of them by id */
  | { ladleOf: string }
  /** of a cold place, over the first guess of its air */
  | { filmOf: string };

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

/** From service to service a hand at the pass does: another cook, another hurry. From memory. */
const LADLE_BETWEEN_SD = 0.02;

/** However little was seen to leave or to be borne, the next batch starts from something. Ours. */
const LEAST_SHARE = 0.1;

/** How far one batch’s share may be from another’s, one standard deviation. */
export function betweenSdOf(key: ShareKey): number {
  if ('surfaceOf' in key) return SURFACE_BETWEEN_SD;
  if ('floorOf' in key) return FLOOR_BETWEEN_SD;
  if ('filmOf' in key) return FILM_DAY_LOG_SD;
  return 'bodyOf' in key ? BODY_BETWEEN_SD : LADLE_BETWEEN_SD;
}

function firstGuessOf(key: ShareKey): { mean: number; sd: number } {
  if ('surfaceOf' in key) return FIRST_GUESS_SURFACE[key.lid];
  if ('floorOf' in key) return FIRST_GUESS_FLOOR;
  if ('filmOf' in key) return FILM_UNKNOWN;
  return 'bodyOf' in key ? FIRST_GUESS_BODY : FIRST_GUESS_LADLE;
}

/** Its logarithm was learned. */
const isLogarithm = (key: ShareKey): boolean => 'bodyOf' in key || 'ladleOf' in key || 'filmOf' in key;

/** What the sums say of the next batch: the first guess, drawn in by what was seen. */
export function shareOf(key: ShareKey, sums: RateSums): LearnedShare {
  const guess = firstGuessOf(key);
  const weight = 1 / guess.sd ** 2 + sums.weight;
  const mean = (guess.mean / guess.sd ** 2 + sums.sum) / weight;
  return {
    key,
    share: {
      mean: isLogarithm(key) ? mean : Math.max(LEAST_SHARE, mean),
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

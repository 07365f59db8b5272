import { type Blend, covarianceOf } from './covariance';
import { surfaceShare } from './heat-balance';
import { arrivingAt, type PotState } from './pot';

/** A share of what was expected, and one standard deviation of it. */
export interface ShareShown {
  mean: number;
  sd: number;
}

/** What the estimator now thinks of a pot's heat and of its surface under its lid, each over what is expected. */
export function whatReadingsShow(pot: PotState): { heat: ShareShown; surface: ShareShown } {
  const of = (mean: number, blend: Blend): ShareShown => ({
    mean,
    sd: Math.sqrt(covarianceOf(pot.covariance, blend, blend)),
  });
  return {
    heat: of(arrivingAt(pot), { burner: 1, wander: 1, setting: 1 }),
    surface: of(surfaceShare(pot.surface, pot.passes), { surface: 1, lid: 1 }),
  };
}

import type { ForecastInterval } from '../forecast';
import type { Ingredient } from '../matter';
import { forecastPot } from './forecast-pot';
import type { PotSetup, PotState } from './pot';
import { putFoodIn } from './put-food-in';

/** What a load does to a hot pot: how far it drops, and when it is back. */
export interface ColdLoad {
  beforeC: number;
  dropsToC: number;
  /** when it is back at the temperature it is to have; null where it never drops below it */
  back: ForecastInterval | null;
}

/** Cooler than before by less than this is no drop, K. */
const NO_DROP_K = 1;

/**
 * A cold or frozen load, before it goes in: the heat balance says how far the pot drops, the pot run forward at its
 * present heat when it simmers again.
 *
 * @param setup vessel, burner, air
 * @param pot the pot now, with the heat it will have
 * @param items food, kg 0 or more, °C as it goes in (below 0 frozen)
 * @param backToC what it is to come back to, °C
 * @returns temperatures, and the moments with an 80 % interval
 * @source docs/model.md § 4
 */
export function coldLoad(
  setup: PotSetup,
  pot: PotState,
  items: readonly { ingredient: Ingredient; kg: number; tempC: number }[],
  backToC: number,
): ColdLoad {
  const filled = items.reduce((next, item) => putFoodIn(next, item), pot);
  const dropped = pot.tempC - filled.tempC > NO_DROP_K && filled.tempC < backToC;
  return {
    beforeC: pot.tempC,
    dropsToC: filled.tempC,
    back: dropped ? forecastPot(setup, filled, { kind: 'temperature', tempC: backToC }) : null,
  };
}

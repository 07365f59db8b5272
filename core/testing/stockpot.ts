import { kitchenAir, type PotSetup } from '../pot';

/** A 40 L stockpot at the sea on a ring that brings 2.4 kW into it, by its plate. */
export const STOCKPOT: PotSetup = {
  vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
  emptyMassKg: 0,
  burner: { powerW: 6000, efficiency: 0.4 },
  air: kitchenAir({ altitudeM: 0, airTempC: 25 }),
};

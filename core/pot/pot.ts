import type { Lid } from '../evaporation/data/evaporation-constants';
import type { Mixture } from '../matter/mixture';
import type { Vessel } from '../vessel/vessel';
import type { KitchenAir } from './kitchen-air';
import type { Steeping } from './steep';

/** A heat source: its rated power and the share of it that reaches a pot. */
export interface Burner {
  powerW: number;
  /** 0..1; gas 0.3 to 0.45, electric 0.7 to 0.75, induction and steam jacket 0.85 (common practice) */
  efficiency: number;
}

/** What does not change while a pot cooks. */
export interface PotSetup {
  vessel: Vessel;
  /** of the empty pot, warmed along with what is in it, kg */
  emptyMassKg: number;
  burner: Burner;
  air: KitchenAir;
}

/** Variances of mass (kg²), temperature (K²) and gain, and the covariances between them. */
export interface Covariance {
  readonly mass: number;
  readonly massTemp: number;
  readonly massGain: number;
  readonly temp: number;
  readonly tempGain: number;
  readonly gain: number;
}

/**
 * A pot at a moment: what is in it, how hot, how it is heated, and how sure that is.
 *
 * `gain` is the share of the burner's expected heat that really arrives, 1 when the burner does what its plate says.
 * Mass, temperature and gain are estimated together, so that a dip, a weight or a thermometer teaches all three.
 */
export interface PotState {
  atMs: number;
  mixture: Mixture;
  tempC: number;
  gain: number;
  covariance: Covariance;
  /** share of the burner's full power, 0..1 */
  heatFraction: number;
  lid: Lid;
  /** what roots and pulses have had of softening, as minutes at 100 °C */
  softenedMin: number;
  addedKg: number;
  evaporatedKg: number;
  takenOutKg: number;
  drawnKg: number;
  /** water that dry pieces have yet to drink, kg; absent in pots of older logs */
  thirstKg?: number;
  /** what lies in the pot and gives to the water; absent in pots of older logs */
  steeping?: readonly Steeping[];
}

/** First guess of the gain when the kitchen knows nothing yet. source: from memory: the spread of gas efficiencies */
export const FIRST_GUESS_GAIN = { mean: 1, sd: 0.22 } as const;

import type { Lid } from '../evaporation';
import type { Mixture } from '../matter';
import type { Vessel } from '../vessel';

import type { Body } from './body';
import type { Covariance } from './covariance';
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
  /** how many times as much its floor bears as the law says, above 0; 1 where nothing is known */
  floorBears?: number;
  /** what its walls and its closed lid let through of what a bare pot's do, shares; absent for a bare pot */
  insulation?: Insulation;
}

/** Shares of what a bare pot's walls, and its lid when that is on, let through, 0..1. */
export interface Insulation {
  walls: number;
  lid: number;
  /** what a bath of its thermostat's warmth takes from what is warmer, kW/K; absent where it stands in none */
  bathKWPerK?: number;
}

/**
 * A pot at a moment: what is in it, how hot, how it is heated, and how sure that is.
 *
 * `heatFactor` is the share of its expected heat that the burner gives on the average, 1 when it does what it is rated at;
 * `wander` and `setting` are the shares it gives beside that just now and at this setting. Mass, temperature,
 * heat and the instruments' own errors are estimated together, so that a dip, a weight or a thermometer teaches all.
 */
export interface PotState {
  atMs: number;
  mixture: Mixture;
  tempC: number;
  heatFactor: number;
  wander: number;
  setting: number;
  /** what leaves its open surface over what the law says, 1 when it keeps to it; slow, and the pot's own */
  surface: number;
  /** what its lid lets through beside its usual, a share; nothing under none */
  passes: number;
  /** what its wall loses over what is usual */
  wall: number;
  /** what each instrument reads too much, as a share; by eye of what has gone */
  bias: Readonly<Record<Instrument, number>>;
  /** what the probe shows too much where it sits, K */
  probeBiasC: number;
  covariance: Covariance;
  /** share of the burner's full power, 0..1 */
  heatFraction: number;
  lid: Lid;
  /** a thermostat keeps it at this, °C: a bain-marie, a soup kettle; the burner's share is then its own; absent under none */
  keptC?: number | undefined;
  /** what roots and pulses have had of softening, as minutes at 100 °C */
  softenedMin: number;
  addedKg: number;
  evaporatedKg: number;
  takenOutKg: number;
  drawnKg: number;
  /** what its thickening does over what the table says; absent where nothing is known of it */
  body?: Body | undefined;
  /** bone, shell and skin that lie in it, kg: they raise its level and are no food; absent in pots of older logs */
  bonesKg?: number | undefined;
  /** water that dry pieces have yet to drink, kg; absent in pots of older logs */
  thirstKg?: number | undefined;
  /** what lies in the pot and gives to the water; absent in pots of older logs */
  steeping?: readonly Steeping[] | undefined;
  /** water that the pieces may yet give up as steam, kg, while they are fried or sweated; absent: all they hold */
  piecesGiveKg?: number | undefined;
  /** how long what is in it has been between 5 and 57 °C, s; absent in pots of older logs */
  warmS?: number | undefined;
  /** since when it has stood with the heat off and as cold as the air, ms; null while it has not */
  coldSinceMs: number | null;
}

/** What mass is read with. */
export type Instrument = 'dip' | 'scale' | 'brix' | 'eye';

/** However little the readings say, a lit burner gives something. */
const LEAST_ARRIVING = 0.03;

/** Share of the burner's expected heat that arrives now: its own, its wandering, its setting. */
export function arriving(heatFactor: number, wander: number, setting: number): number {
  return Math.max(LEAST_ARRIVING, heatFactor + wander + setting);
}

/** The same of a pot. */
export const arrivingAt = (pot: PotState): number => arriving(pot.heatFactor, pot.wander, pot.setting);

/** First guess of the heat factor when the kitchen knows nothing yet. source: from memory: the spread of gas efficiencies */
export const FIRST_GUESS_HEAT_FACTOR = { mean: 1, sd: 0.22 } as const;

/** Every field by its name, those that may be absent too: one that is forgotten does not compile. */
type EveryField = { [Field in keyof Required<PotState>]: PotState[Field] };

/** A pot of its own with the same in it. Written out, as it is what a fold does most. */
export function copyPot(pot: PotState): EveryField {
  return {
    atMs: pot.atMs,
    mixture: pot.mixture,
    tempC: pot.tempC,
    heatFactor: pot.heatFactor,
    wander: pot.wander,
    setting: pot.setting,
    surface: pot.surface,
    passes: pot.passes,
    wall: pot.wall,
    bias: pot.bias,
    probeBiasC: pot.probeBiasC,
    covariance: pot.covariance,
    heatFraction: pot.heatFraction,
    lid: pot.lid,
    keptC: pot.keptC,
    softenedMin: pot.softenedMin,
    addedKg: pot.addedKg,
    evaporatedKg: pot.evaporatedKg,
    takenOutKg: pot.takenOutKg,
    drawnKg: pot.drawnKg,
    body: pot.body,
    bonesKg: pot.bonesKg,
    thirstKg: pot.thirstKg,
    steeping: pot.steeping,
    piecesGiveKg: pot.piecesGiveKg,
    warmS: pot.warmS,
    coldSinceMs: pot.coldSinceMs,
  };
}

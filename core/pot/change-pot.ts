import { positive, within } from '../check';
import { type MixPart, mixTempC } from '../heat/mix-temp-c';
import { type Masses, totalKg } from '../matter/masses';
import { EMPTY, type Mixture, massKg } from '../matter/mixture';
import { absorb, add, drawOff, takeOut, whole } from '../matter/operations';
import type { Savour } from '../matter/savour';
import { specificHeatKJ } from '../matter/specific-heat-kj';
import { startingCovariance } from './covariance';
import type { Covariance, PotState } from './pot';
import { lessSteeping } from './steep';

/** A weighed addition is off by this share, one standard deviation. source: common practice */
const WEIGHING_SD = 0.005;

/** An empty pot at kitchen temperature, heat off, lid off. */
export function openPot(input: {
  atMs: number;
  tempC: number;
  gain: { mean: number; sd: number };
}): PotState {
  return {
    atMs: input.atMs,
    mixture: EMPTY,
    tempC: input.tempC,
    gain: positive('gain.mean', input.gain.mean),
    covariance: startingCovariance(positive('gain.sd', input.gain.sd)),
    heatFraction: 0,
    lid: 'off',
    softenedMin: 0,
    addedKg: 0,
    evaporatedKg: 0,
    takenOutKg: 0,
    drawnKg: 0,
    thirstKg: 0,
  };
}

/** Dry pieces leave this share of the water in the pot liquid, however thirsty. */
const LEAST_LEFT = 0.2;

/**
 * Puts something in: masses in kg at a temperature, among the liquid or the pieces. The pot's temperature follows;
 * below 0 °C it thaws first. `thirstKg` is water that dry pieces will drink, as far as there is liquid for it.
 */
export function addToPot(
  pot: PotState,
  what: {
    masses: Masses;
    share: 'liquid' | 'pieces';
    tempC: number;
    flourEquivalentG?: number;
    thirstKg?: number;
    savour?: Savour;
  },
): PotState {
  const kg = totalKg(what.masses);
  if (kg === 0) return pot;
  const parts: MixPart[] = [
    {
      massKg: kg,
      specificHeatKJ: specificHeatKJ(what.masses),
      tempC: what.tempC,
      ...(what.tempC < 0 ? { frozen: true, waterFraction: what.masses.water / kg } : {}),
    },
  ];
  const before = massKg(pot.mixture);
  if (before > 0) {
    parts.push({ massKg: before, specificHeatKJ: specificHeatKJ(whole(pot.mixture)), tempC: pot.tempC });
  }
  const share = before / (before + kg);
  const mixture = add(pot.mixture, what.masses, what.share, what.flourEquivalentG ?? 0, what.savour);
  const thirstKg = (pot.thirstKg ?? 0) + (what.thirstKg ?? 0);
  const drunkKg = Math.min(thirstKg, mixture.liquid.water * (1 - LEAST_LEFT));
  return {
    ...pot,
    mixture: drunkKg > 0 ? absorb(mixture, drunkKg) : mixture,
    thirstKg: thirstKg - drunkKg,
    tempC: Math.max(0, mixTempC({ parts })),
    covariance: withAddition(pot.covariance, share, (WEIGHING_SD * kg) ** 2),
    addedKg: pot.addedKg + kg,
  };
}

/** Takes pieces out as they are, kg of each component; more than there is: RangeError. */
export function takeOutOfPot(pot: PotState, pieces: Masses): PotState {
  return { ...pot, mixture: takeOut(pot.mixture, pieces), takenOutKg: pot.takenOutKg + totalKg(pieces) };
}

/** Ladles out kilograms of everything; more than there is empties the pot. */
export function drawFromPot(pot: PotState, kg: number): { pot: PotState; drawn: Mixture } {
  const there = massKg(pot.mixture);
  const share = there === 0 ? 0 : Math.min(1, within('kg', kg, 0, Number.MAX_VALUE) / there);
  const { left, drawn } = drawOff(pot.mixture, share);
  const lies = pot.steeping ? { steeping: lessSteeping(pot.steeping, share) } : {};
  return { pot: { ...pot, ...lies, mixture: left, drawnKg: pot.drawnKg + massKg(drawn) }, drawn };
}

/** A cold load thins the doubt about the temperature by the pot's share of the whole, and adds the scale's to the mass. */
function withAddition(p: Covariance, share: number, massVariance: number): Covariance {
  return {
    mass: p.mass + massVariance,
    massTemp: p.massTemp * share,
    massGain: p.massGain,
    temp: p.temp * share * share,
    tempGain: p.tempGain * share,
    gain: p.gain,
  };
}

import { LID_FACTOR, type Lid, surfaceSteam } from '../evaporation';
import { WALL_LOSS_W_PER_M2K } from '../heat';
import { depthAtLitres, litresAtDepth, surfaceM2, wallM2 } from '../vessel';

import type { KitchenAir } from './kitchen-air';
import type { PotSetup, PotState } from './pot';
import { potLitres } from './pot-litres';

/** Closer to boiling than this the surface law is not asked: the burner alone decides. */
const BOILING_MARGIN_C = 1e-6;

/** Where the heat of a pot goes, for the depth it is filled to. Powers in kW. */
export interface Exits {
  surfaceM2: number;
  wallKWPerK: number;
  /** what its lid, when that is on, lets through of what a pot's does; absent for that of a pot */
  lidShare?: number;
}

/** Free surface and wall of a pot holding some litres; over the brim counts as brimful. */
export function exits(setup: PotSetup, litres: number): Exits {
  const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
  const depth = depthAtLitres(setup.vessel, Math.min(Math.max(litres, 0), brim));
  return {
    surfaceM2: surfaceM2(setup.vessel, depth),
    wallKWPerK: (wallM2(setup.vessel, depth) * WALL_LOSS_W_PER_M2K * (setup.insulation?.walls ?? 1)) / 1000,
    lidShare: setup.insulation?.lid ?? 1,
  };
}

/** What of them a pot's lid leaves open, and what its own surface and wall let through beside the law: see `PotState`. */
export interface Ways {
  openM2: number;
  wallKWPerK: number;
}

/** Whatever the readings say, something leaves an open surface and a wall: the least, as a share of the law. */
const LEAST_LEAVING = 0.1;

/** What leaves the surface over what the law says, under the lid that is on it. */
export const surfaceShare = (surface: number, passes: number): number =>
  Math.max(LEAST_LEAVING, surface + passes);

export const wallShare = (wall: number): number => Math.max(LEAST_LEAVING, wall);

/** The ways out of a pot filled to some depth, under a lid. */
export function waysOut(out: Exits, pot: { lid: Lid; surface: number; passes: number; wall: number }): Ways {
  return {
    openM2:
      out.surfaceM2 *
      LID_FACTOR[pot.lid] *
      (pot.lid === 'on' ? (out.lidShare ?? 1) : 1) *
      surfaceShare(pot.surface, pot.passes),
    wallKWPerK: out.wallKWPerK * wallShare(pot.wall),
  };
}

/** The ways out of a pot as it stands, or under another lid. */
export function potWays(setup: PotSetup, pot: PotState, lid: Lid = pot.lid): Ways {
  return waysOut(exits(setup, potLitres(pot)), lid === pot.lid ? pot : { ...pot, lid, passes: 0 });
}

/** Heat that leaves as steam below the boil, kW, and how it grows, kW/K. */
export function steamHeat(air: KitchenAir, tempC: number, openM2: number): { kW: number; kWPerK: number } {
  const law = surfaceSteam({ tempC, pressureKPa: air.pressureKPa, airVapourKPa: air.vapourKPa });
  return { kW: law.kWPerM2 * openM2, kWPerK: law.kWPerM2K * openM2 };
}

/** The burner's share of full power that holds a temperature below the boil, 0..1; 1 when it cannot. */
export function fractionToHold(setup: PotSetup, ways: Ways, tempC: number, heatFactor: number): number {
  const needKW = steamHeat(setup.air, tempC, ways.openM2).kW + ways.wallKWPerK * (tempC - setup.air.airTempC);
  return Math.min(1, needKW / (fullKW(setup) * heatFactor));
}

/** The heat that brings a pot to a temperature within a step and holds it there, kW; below 0 where it would have to be cooled. */
export function heatToKeep(
  air: KitchenAir,
  out: Ways,
  step: { startC: number; capacityKJPerK: number; seconds: number },
  keptC: number,
): number {
  const warming = (step.capacityKJPerK / step.seconds) * (keptC - step.startC);
  return warming + out.wallKWPerK * (keptC - air.airTempC) + steamHeat(air, keptC, out.openM2).kW;
}

/** What reaches the pot at full heat when the burner does what it is rated at, kW. */
export function fullKW(setup: PotSetup): number {
  return (setup.burner.powerW * setup.burner.efficiency) / 1000;
}

/** The temperature after a step and how it leans on what went in; kW, kJ/K, s. */
export interface HeatStep {
  tempC: number;
  steamKW: number;
  tempPerStartTemp: number;
  tempPerKW: number;
  tempPerCapacity: number;
  /** steam that the law lets through at that temperature, kW; of no account at the boil */
  lawKW: number;
}

/**
 * One implicit step of the pot's balance C·dT/dt = P − U·A·(T − air) − steam(T): stable at any step length although
 * the steam grows without bound at the boil. At the boil the temperature stays and the steam is what is left over.
 */
export function heatStep(
  air: KitchenAir,
  out: Ways,
  step: { startC: number; inputKW: number; capacityKJPerK: number; seconds: number },
): HeatStep {
  const inertia = step.capacityKJPerK / step.seconds;
  const leftOver = (tempC: number) =>
    step.inputKW - out.wallKWPerK * (tempC - air.airTempC) - inertia * (tempC - step.startC);
  const ceiling = air.boilingC - BOILING_MARGIN_C;
  const leftAtCeiling = leftOver(ceiling);
  // what is left over falls with the temperature and the steam is never below nothing: mostly the first test will do
  if (leftAtCeiling >= 0 && leftAtCeiling >= steamHeat(air, ceiling, out.openM2).kW) {
    return {
      tempC: air.boilingC,
      steamKW: Math.max(0, leftOver(air.boilingC)),
      tempPerStartTemp: 0,
      tempPerKW: 0,
      tempPerCapacity: 0,
      lawKW: 0,
    };
  }
  let low = Math.min(step.startC, air.airTempC) - 1;
  let high = ceiling;
  let tempC = Math.min(Math.max(step.startC, low), high);
  let steepness = inertia + out.wallKWPerK;
  let lawKW = 0;
  for (let round = 0; round < 50; round++) {
    const steam = steamHeat(air, tempC, out.openM2);
    lawKW = steam.kW;
    const excess = leftOver(tempC) - steam.kW;
    steepness = inertia + out.wallKWPerK + steam.kWPerK;
    if (excess > 0) low = tempC;
    else high = tempC;
    const newton = tempC + excess / steepness;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - tempC) < 1e-7) break;
    tempC = next;
  }
  return {
    tempC,
    steamKW: Math.max(0, leftOver(tempC)),
    tempPerStartTemp: inertia / steepness,
    tempPerKW: 1 / steepness,
    tempPerCapacity: -(tempC - step.startC) / step.seconds / steepness,
    lawKW,
  };
}

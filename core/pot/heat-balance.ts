import { LID_FACTOR, type Lid, surfaceSteam } from '../evaporation';
import { WALL_LOSS_W_PER_M2K } from '../heat';
import { depthAtLitres, litresAtDepth, surfaceM2, wallM2 } from '../vessel';

import type { KitchenAir } from './kitchen-air';
import type { PotSetup } from './pot';

/** Closer to boiling than this the surface law is not asked: the burner alone decides. */
const BOILING_MARGIN_C = 1e-6;

/** Where the heat of a pot goes, for the depth it is filled to. Powers in kW. */
export interface Exits {
  surfaceM2: number;
  wallKWPerK: number;
}

/** Free surface and wall of a pot holding some litres; over the brim counts as brimful. */
export function exits(setup: PotSetup, litres: number): Exits {
  const brim = litresAtDepth(setup.vessel, setup.vessel.heightCm);
  const depth = depthAtLitres(setup.vessel, Math.min(Math.max(litres, 0), brim));
  return {
    surfaceM2: surfaceM2(setup.vessel, depth),
    wallKWPerK: (wallM2(setup.vessel, depth) * WALL_LOSS_W_PER_M2K) / 1000,
  };
}

/** Heat that leaves as steam below the boil, kW, and how it grows, kW/K. */
export function steamHeat(
  air: KitchenAir,
  tempC: number,
  areaM2: number,
  lid: Lid,
): { kW: number; kWPerK: number } {
  const law = surfaceSteam({ tempC, pressureKPa: air.pressureKPa, airVapourKPa: air.vapourKPa });
  const scale = areaM2 * LID_FACTOR[lid];
  return { kW: law.kWPerM2 * scale, kWPerK: law.kWPerM2K * scale };
}

/** The burner's share of full power that holds a temperature below the boil, 0..1; 1 when it cannot. */
export function fractionToHold(
  setup: PotSetup,
  litres: number,
  tempC: number,
  lid: Lid,
  heatFactor: number,
): number {
  const out = exits(setup, litres);
  const needKW =
    steamHeat(setup.air, tempC, out.surfaceM2, lid).kW + out.wallKWPerK * (tempC - setup.air.airTempC);
  return Math.min(1, needKW / (fullKW(setup) * heatFactor));
}

/** What reaches the pot at full heat when the burner does what its plate says, kW. */
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
}

/**
 * One implicit step of the pot's balance C·dT/dt = P − U·A·(T − air) − steam(T): stable at any step length although
 * the steam grows without bound at the boil. At the boil the temperature stays and the steam is what is left over.
 */
export function heatStep(
  air: KitchenAir,
  out: Exits,
  lid: Lid,
  step: { startC: number; inputKW: number; capacityKJPerK: number; seconds: number },
): HeatStep {
  const inertia = step.capacityKJPerK / step.seconds;
  const leftOver = (tempC: number) =>
    step.inputKW - out.wallKWPerK * (tempC - air.airTempC) - inertia * (tempC - step.startC);
  const ceiling = air.boilingC - BOILING_MARGIN_C;
  const leftAtCeiling = leftOver(ceiling);
  // what is left over falls with the temperature and the steam is never below nothing: mostly the first test will do
  if (leftAtCeiling >= 0 && leftAtCeiling >= steamHeat(air, ceiling, out.surfaceM2, lid).kW) {
    return {
      tempC: air.boilingC,
      steamKW: Math.max(0, leftOver(air.boilingC)),
      tempPerStartTemp: 0,
      tempPerKW: 0,
      tempPerCapacity: 0,
    };
  }
  let low = Math.min(step.startC, air.airTempC) - 1;
  let high = ceiling;
  let tempC = Math.min(Math.max(step.startC, low), high);
  let steepness = inertia + out.wallKWPerK;
  for (let round = 0; round < 50; round++) {
    const steam = steamHeat(air, tempC, out.surfaceM2, lid);
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
  };
}

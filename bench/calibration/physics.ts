/**
 * How pots really lose heat and water, for the truth alone. Nothing here comes from core: other constants, other laws,
 * another geometry. Temperatures in °C, pressures in kPa, masses in kg, powers in kW, lengths in m unless named.
 */

/** Saturation pressure over water, kPa. source: from memory: Bolton 1980 */
export const satKPa = (tempC: number) => 0.6112 * Math.exp((17.67 * tempC) / (tempC + 243.5));
/** Latent heat, kJ/kg. source: from memory: the linear rule of meteorology, 2501 − 2.36 T */
export const latentKJ = (tempC: number) => 2501 - 2.36 * tempC;
/** kg/L. source: from memory: Thiesen, Scheel and Diesselhorst 1900 */
export const waterKgPerL = (t: number) =>
  1 - ((t + 288.9414) * (t - 3.9863) ** 2) / (508929.2 * (t + 68.12963));
/** Air pressure at a height, kPa: an even atmosphere of 8.43 km. source: from memory */
export const pressureAt = (altitudeM: number) => 101.325 * Math.exp(-altitudeM / 8430);

export function boilsAtC(pressureKPa: number): number {
  const x = Math.log(pressureKPa / 0.6112) / 17.67;
  return (243.5 * x) / (1 - x);
}

const AIR_C = 24;
const AIR_VAPOUR_KPA = 1.5;
/** kg/mol */
const WATER = 0.018015;
const AIR = 0.02896;
const GAS = 8.314;

export type SurfaceLaw = 'pressure' | 'convection';

/** What leaves an open square metre below the boil, kg/s. */
export function surfaceKgPerM2S(law: SurfaceLaw, tempC: number, pressureKPa: number): number {
  const at = satKPa(tempC);
  const gap = Math.max(0.8, pressureKPa - at);
  // mass transfer in proportion to the pressure difference, steeper as it nears the boil
  if (law === 'pressure')
    return Math.max(0, (4e-5 * (at - AIR_VAPOUR_KPA) * pressureKPa) / (gap + 0.25 * pressureKPa));
  // natural convection over a hot surface, Sh = 0.14 Ra^⅓, with the Stefan flow's logarithm. source: from memory: handbooks of heat and mass transfer
  const filmK = (tempC + AIR_C) / 2 + 273.15;
  const diffusivity = 2.5e-5 * (filmK / 298) ** 1.8 * (101.325 / pressureKPa);
  const viscosity = 1.6e-5 * (filmK / 300) ** 1.7 * (101.325 / pressureKPa);
  const density = (vapour: number, atC: number) =>
    (1000 * (vapour * WATER + (pressureKPa - vapour) * AIR)) / (GAS * (atC + 273.15));
  const outside = density(AIR_VAPOUR_KPA, AIR_C);
  const inside = density(Math.min(at, pressureKPa - 0.8), tempC);
  const lift = Math.max(0, (outside - inside) / ((outside + inside) / 2));
  const perM = 0.14 * ((9.81 * lift) / (viscosity * diffusivity)) ** (1 / 3);
  const molar = (1000 * pressureKPa * WATER) / (GAS * filmK);
  return Math.max(0, perM * diffusivity * molar * Math.log((pressureKPa - AIR_VAPOUR_KPA) / gap));
}

/** A pot by slices of a millimetre: its level and its surface at so many litres. */
export interface TruePot {
  litresAt: (cm: number) => number;
  cmAt: (litres: number) => number;
  surfaceM2At: (cm: number) => number;
  wallM2At: (cm: number) => number;
}

export type PotShape =
  | { shape: 'cylinder'; diameterCm: number; heightCm: number }
  | { shape: 'tapered'; topDiameterCm: number; bottomDiameterCm: number; heightCm: number }
  | { shape: 'kettle'; diameterCm: number; heightCm: number };

const SLICE_CM = 0.1;

export function truePot(shape: PotShape): TruePot {
  const radius = (cm: number): number => {
    if (shape.shape === 'cylinder') return shape.diameterCm / 2;
    if (shape.shape === 'tapered')
      return (
        (shape.bottomDiameterCm + ((shape.topDiameterCm - shape.bottomDiameterCm) * cm) / shape.heightCm) / 2
      );
    const r = shape.diameterCm / 2;
    return cm >= r ? r : Math.sqrt(Math.max(0, r * r - (r - cm) ** 2));
  };
  const slices = Math.ceil(shape.heightCm / SLICE_CM);
  const litres = [0];
  const wall = [0];
  for (let i = 0; i < slices; i++) {
    const r = radius((i + 0.5) * SLICE_CM);
    litres.push(litres[i]! + (Math.PI * r * r * SLICE_CM) / 1000);
    wall.push(wall[i]! + (2 * Math.PI * r * SLICE_CM) / 10_000);
  }
  const along = (table: readonly number[], cm: number) => {
    const at = Math.min(Math.max(cm / SLICE_CM, 0), slices - 1e-9);
    const low = Math.floor(at);
    return table[low]! + (table[low + 1]! - table[low]!) * (at - low);
  };
  return {
    litresAt: (cm) => along(litres, cm),
    wallM2At: (cm) => along(wall, cm),
    surfaceM2At: (cm) => (Math.PI * radius(Math.min(cm, shape.heightCm)) ** 2) / 10_000,
    cmAt: (wanted) => {
      let low = 0;
      let high = slices;
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (litres[middle]! <= wanted) low = middle;
        else high = middle;
      }
      const width = litres[low + 1]! - litres[low]!;
      return (low + Math.min(1, Math.max(0, (wanted - litres[low]!) / width))) * SLICE_CM;
    },
  };
}

/** What a batch's pot is really like, and what happens to it. */
export interface Real {
  pot: TruePot;
  pressureKPa: number;
  boilsC: number;
  law: SurfaceLaw;
  /** what leaves over what its law says */
  surfaceFactor: number;
  wallKWPerM2K: number;
  solidsKg: number;
}

export interface Moment {
  kg: number;
  tempC: number;
}

export const litresOf = (real: Real, { kg, tempC }: Moment): number =>
  // water at its temperature, denser by what is dissolved in it
  kg / (waterKgPerL(tempC) * (1 + (0.39 * real.solidsKg) / kg));

/** Heat that leaves through surface and wall at a temperature, kW. */
export function lossKW(real: Real, at: Moment, lidShare: number): { surfaceKgS: number; wallKW: number } {
  const cm = real.pot.cmAt(litresOf(real, at));
  return {
    surfaceKgS:
      real.surfaceFactor *
      lidShare *
      real.pot.surfaceM2At(cm) *
      surfaceKgPerM2S(real.law, at.tempC, real.pressureKPa),
    wallKW: real.wallKWPerM2K * real.pot.wallM2At(cm) * (at.tempC - AIR_C),
  };
}

/** A pot some seconds on, so much heat going in; explicit, in steps of its own. */
export function stepReal(real: Real, at: Moment, inKW: number, lidShare: number, seconds: number): Moment {
  const { surfaceKgS, wallKW } = lossKW(real, at, lidShare);
  const perK = at.kg * 4.1;
  const risen = at.tempC + ((inKW - wallKW - surfaceKgS * latentKJ(at.tempC)) * seconds) / perK;
  if (risen < real.boilsC - 0.05) return { kg: at.kg - surfaceKgS * seconds, tempC: risen };
  const spareKW = inKW - wallKW - ((real.boilsC - at.tempC) * perK) / seconds;
  return { kg: at.kg - (Math.max(spareKW, 0) / latentKJ(real.boilsC)) * seconds, tempC: real.boilsC };
}

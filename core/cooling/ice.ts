import { atLeast, finite, within } from '../check';

/** kJ to melt a kilogram of ice, and to warm a kilogram of water by 1 K. source: published: steam tables, IAPWS */
const MELTING_KJ_PER_KG = 333.55;
const WATER_KJ_PER_KG_K = 4.18;

/** A bath takes so much more than what the soup's heat melts: the room melts the rest. Common practice. */
const BATH_MARGIN = 1.25;

interface ToCool {
  /** 0 or more, kg */
  massKg: number;
  /** kJ/kgK */
  specificHeatKJ: number;
  fromC: number;
  /** above 0 °C */
  toC: number;
}

/**
 * Ice to put into hot soup in place of water that was held back: it melts, and warms to where the soup ends.
 *
 * @returns kg; 0 where it is cool enough
 * @throws RangeError naming the bad argument
 * @example iceForWaterKg({ massKg: 10, specificHeatKJ: 3.9, fromC: 80, toC: 21 }) // => 5.461
 * @source heat balance: m = M·c·ΔT / (333.55 + 4.18·T_end)
 */
export function iceForWaterKg({ massKg, specificHeatKJ, fromC, toC }: ToCool): number {
  const fallK = finite('fromC', fromC) - within('toC', toC, 0, 100);
  if (fallK <= 0) return 0;
  return (heatKJ(massKg, specificHeatKJ) * fallK) / (MELTING_KJ_PER_KG + WATER_KJ_PER_KG_K * toC);
}

/** Water held back from a pot and stirred in as ice when it is done. */
export interface HeldBackIce {
  /** ice, and so much water less before, kg */
  iceKg: number;
  /** where the whole ends, °C */
  endsAtC: number;
}

/**
 * How much of a dish's water is worth holding back: as much as brings the whole to where it is to end, or all there is.
 *
 * @param of all of it as it is to be, kg; what of that is water that can wait, kg
 * @returns null where there is no such water, or nothing to cool
 * @throws RangeError naming the bad argument
 * @source heat balance: (M - m)·c·(T - T_end) = m·(333.55 + 4.18·T_end)
 */
export function heldBackIce(of: ToCool & { waterKg: number }): HeldBackIce | null {
  const { massKg, waterKg, specificHeatKJ, fromC, toC } = of;
  const perKg = iceForWaterKg({ massKg: 1, specificHeatKJ, fromC, toC });
  const wantedKg = (massKg * perKg) / (1 + perKg);
  const iceKg = Math.min(wantedKg, atLeast('waterKg', waterKg, 0));
  if (iceKg <= 0) return null;
  const hotKJ = heatKJ(massKg - iceKg, specificHeatKJ);
  const endsAtC = (hotKJ * fromC - MELTING_KJ_PER_KG * iceKg) / (hotKJ + WATER_KJ_PER_KG_K * iceKg);
  return { iceKg, endsAtC: Math.max(toC, endsAtC) };
}

/**
 * Ice for a bath that a vessel of soup stands in, water over it: what its heat melts and a quarter more.
 *
 * @returns kg; 0 where it is cool enough
 * @throws RangeError naming the bad argument
 * @example iceBathKg({ massKg: 10, specificHeatKJ: 3.9, fromC: 60, toC: 21 }) // => 5.7
 * @source heat balance; the quarter: common practice
 */
export function iceBathKg({ massKg, specificHeatKJ, fromC, toC }: ToCool): number {
  const fallK = finite('fromC', fromC) - finite('toC', toC);
  return fallK <= 0 ? 0 : (BATH_MARGIN * heatKJ(massKg, specificHeatKJ) * fallK) / MELTING_KJ_PER_KG;
}

const heatKJ = (massKg: number, specificHeatKJ: number): number =>
  atLeast('massKg', massKg, 0) * atLeast('specificHeatKJ', specificHeatKJ, 0);

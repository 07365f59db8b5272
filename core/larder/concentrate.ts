import { positive } from '../check';
import { brixOf, type LotContents, timesSavour, totalKg, volumeLitres } from '../matter';
import { mixContents } from './mix-contents';

/** A stock is reduced no further than this, °Brix: a glaze stands at 30 to 65, and over that it scorches. From memory. */
const MOST_BRIX = 70;

/** What a lot becomes when water leaves it or joins it. */
export interface Strengthened {
  /** kg of water driven off (below 0: diluted with so much) */
  waterOffKg: number;
  kg: number;
  litres: number;
  contents: LotContents;
}

/**
 * Reduces a stock to a strength, to save room: only water leaves, so salt, savour and gelatin climb together.
 *
 * @param of kg above 0, toBrix above the present one, °Brix
 * @returns water to drive off, what is left, and what it is then
 * @throws RangeError for a strength below the present one, or one the water cannot give
 * @source mass balance of what is dissolved
 */
export function concentrate(of: { contents: LotContents; kg: number; toBrix: number }): Strengthened {
  const kg = positive('kg', of.kg);
  const waterOffKg = kg - kgAtBrix(of.contents, kg, positive('toBrix', of.toBrix));
  if (waterOffKg < -1e-9)
    throw new RangeError(
      `toBrix must be above the present ${brixOf(of.contents.perKg).toFixed(1)}, got ${of.toBrix}`,
    );
  if (of.toBrix > MOST_BRIX)
    throw new RangeError(`toBrix must leave it runny enough not to scorch, got ${of.toBrix}`);
  const left = kg - waterOffKg;
  const factor = kg / left;
  const { perKg } = of.contents;
  const masses = {
    ...perKg,
    fat: perKg.fat * factor,
    protein: perKg.protein * factor,
    sugars: perKg.sugars * factor,
    starch: perKg.starch * factor,
    other: perKg.other * factor,
    salt: perKg.salt * factor,
    alcohol: perKg.alcohol * factor,
    water: (perKg.water * kg - waterOffKg) / left,
  };
  const densityKgPerL = totalKg(masses) / volumeLitres(masses, 20);
  return {
    waterOffKg: Math.max(0, waterOffKg),
    kg: left,
    litres: left / densityKgPerL,
    contents: {
      ...of.contents,
      perKg: masses,
      densityKgPerL,
      savourPerKg: timesSavour(of.contents.savourPerKg, factor),
      bodyGPerKg: of.contents.bodyGPerKg * factor,
    },
  };
}

/**
 * Lets a glaze or a strong stock down with water to a strength.
 *
 * @param of kg above 0, toBrix above 0 and below the present one, °Brix
 * @returns the water to add (as `waterOffKg` below 0) and what it is then
 * @throws RangeError for a strength above the present one
 * @source mass balance of what is dissolved
 */
export function letDown(of: { contents: LotContents; kg: number; toBrix: number }): Strengthened {
  const kg = positive('kg', of.kg);
  const after = kgAtBrix(of.contents, kg, positive('toBrix', of.toBrix));
  if (after < kg - 1e-9)
    throw new RangeError(
      `toBrix must be below the present ${brixOf(of.contents.perKg).toFixed(1)}, got ${of.toBrix}`,
    );
  const waterKg = Math.max(0, after - kg);
  const contents = mixContents(of.contents.name, [{ contents: of.contents, kg }], waterKg);
  return {
    waterOffKg: -waterKg,
    kg: kg + waterKg,
    litres: (kg + waterKg) / contents.densityKgPerL,
    contents,
  };
}

/** What it weighs at a strength, with all that is dissolved in it kept. */
function kgAtBrix({ perKg }: LotContents, kg: number, brix: number): number {
  const dissolvedKg = (perKg.protein + perKg.sugars + perKg.other + perKg.salt) * kg;
  return (100 * dissolvedKg) / brix + (perKg.fat + perKg.starch) * kg;
}

import { brixOf, type LotContents } from '../matter';
import { umamiGPer100g } from '../taste';
import { mixContents } from './mix-contents';

/** A lot that may go into a blend. */
export interface BlendPart {
  id: string;
  contents: LotContents;
  leftKg: number;
  centsPerKg: number;
}

/** What the blend must be; what is left out is free. Percent by mass, °Brix, g of glutamate in 100 g that taste alike. */
export interface BlendWanted {
  kg: number;
  saltMin?: number;
  saltMax?: number;
  brixMin?: number;
  brixMax?: number;
  umamiMin?: number;
  centsPerKgMax?: number;
  /** water may make up the rest */
  mayHaveWater: boolean;
}

export type BlendLimit = Exclude<keyof BlendWanted, 'mayHaveWater'>;

export interface BlendOutcome {
  saltPercent: number;
  brix: number;
  umami: number;
  centsPerKg: number;
}

/** What a blend of so many kilograms is. */
export function outcomeOf(
  parts: readonly BlendPart[],
  kgById: Readonly<Record<string, number>>,
  waterKg: number,
): BlendOutcome {
  const used = parts.flatMap((part) =>
    (kgById[part.id] ?? 0) > 0 ? [{ ...part, kg: kgById[part.id]! }] : [],
  );
  if (used.length === 0) return { saltPercent: 0, brix: 0, umami: 0, centsPerKg: 0 };
  const contents = mixContents('blend', used, waterKg);
  const kg = used.reduce((sum, part) => sum + part.kg, waterKg);
  return {
    saltPercent: 100 * contents.perKg.salt,
    brix: brixOf(contents.perKg),
    umami: umamiOfContents(contents),
    centsPerKg: used.reduce((sum, part) => sum + part.kg * part.centsPerKg, 0) / kg,
  };
}

/** g of glutamate in 100 g that would taste alike. */
export function umamiOfContents({ savourPerKg: per }: LotContents): number {
  return umamiGPer100g({
    glutamate: 100 * per.glutamate,
    aspartate: 100 * per.aspartate,
    imp: 100 * per.imp,
    gmp: 100 * per.gmp,
    amp: 100 * per.amp,
  });
}

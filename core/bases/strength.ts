import { baseKind } from './base-recipe';

/** A stock sets in the cold from this much gelatin, g in 100 g. source: from memory: gelatin sets from about 1 % */
export const SETS_FROM_GELATIN_PERCENT = 1;

/** How many times the usual strength of its kind a °Brix is; null for a kind that has none. */
export function timesStandard(brix: number, kindId: string | undefined): number | null {
  const standard = baseKind(kindId)?.standardBrix;
  return standard ? brix / standard : null;
}

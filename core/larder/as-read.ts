import { dissolvedKg, type LotContents, type Masses, solutionKg, timesSavour } from '../matter';

import type { Lot } from './lot';

/**
 * What a lot is by what was read of it: a salinity meter corrects its salt, a refractometer the rest of what is
 * dissolved, and with that its savour. Without readings it is what it was computed to be.
 *
 * @source docs/model.md § 6 and § 13
 */
export function asRead(lot: Pick<Lot, 'contents' | 'brix' | 'saltPercent'>): LotContents {
  const { contents } = lot;
  if (!lot.brix && !lot.saltPercent) return contents;
  const { perKg } = contents;
  const salt = lot.saltPercent ? lot.saltPercent.value / 100 : perKg.salt;
  const computed = dissolvedKg(perKg) - perKg.salt;
  const measured = lot.brix ? (lot.brix.value / 100) * solutionKg(perKg) - salt : computed;
  const factor = computed > 0 && measured > 0 ? measured / computed : 1;
  const solids = (share: number) => share * factor;
  const changed: Masses = {
    ...perKg,
    salt,
    protein: solids(perKg.protein),
    sugars: solids(perKg.sugars),
    other: solids(perKg.other),
  };
  const moreSolids =
    changed.salt +
    changed.protein +
    changed.sugars +
    changed.other -
    perKg.salt -
    perKg.protein -
    perKg.sugars -
    perKg.other;
  return {
    ...contents,
    perKg: { ...changed, water: Math.max(0, perKg.water - moreSolids) },
    savourPerKg: timesSavour(contents.savourPerKg, factor),
  };
}

import { batchHolds } from '../batch';
import { bringsTo, type LotContents, massKg, saltPercent } from '../matter';
import { potLitres } from '../pot';
import { recipeRowId } from '../recipe';
import { litresAtDepth } from '../vessel';
import type { ToMend } from './to-mend';

/** A lot on the shelf, as far as it matters to a pot that is too salty. */
export interface SaltedLot {
  id: string;
  leftKg: number;
  contents: LotContents;
}

/** So much of a lot poured in, and what it comes to. */
export interface LotPoured<L extends SaltedLot> {
  lot: L;
  kg: number;
  saltPercent: number;
  /** it is enough, and it fits */
  isEnough: boolean;
  fits: boolean;
}

/** A lot less salty by this much is of help, percent. Ours. */
const LESS_SALTY = 0.1;
const LEAST_KG = 0.05;

/**
 * Lots that a pot too salty can be blended with, the dish’s own first, then what takes least of it. A lot that brings an
 * allergen or breaks a diet the dish keeps is left on the shelf.
 *
 * @param lots liquid, their salt by what they hold
 * @source mass balance: kg = M (s − t) / (t − s_lot)
 */
export function blendedWithLots<L extends SaltedLot>(
  { snapshot, state, end }: ToMend,
  lots: readonly L[],
): LotPoured<L>[] {
  const { input } = snapshot;
  const kg = massKg(end.mixture);
  const salt = (saltPercent(end.mixture, 'all') * kg) / 100;
  const target = input.saltPercent / 100;
  if (salt / kg <= target) return [];
  const there = batchHolds(snapshot, state);
  const { vessel } = state.inPot;
  const roomL = litresAtDepth(vessel, vessel.heightCm) - potLitres(state.pot);
  return lots
    .filter(({ contents, leftKg }) => {
      const isHelp =
        contents.share === 'liquid' &&
        contents.perKg.water > 0.5 &&
        contents.perKg.salt < target - LESS_SALTY / 100;
      return isHelp && leftKg > LEAST_KG && bringsTo(contents, there) === null;
    })
    .map((lot) => {
      const own = lot.contents.perKg.salt;
      const whole = (salt - target * kg) / (target - own);
      const poured = Math.min(whole, lot.leftKg);
      return {
        lot,
        kg: poured,
        saltPercent: (100 * (salt + own * poured)) / (kg + poured),
        isEnough: poured >= whole - 1e-9,
        fits: poured / lot.contents.densityKgPerL <= roomL,
      };
    })
    .sort(
      (a, b) =>
        Number(isOwn(b.lot)) - Number(isOwn(a.lot)) || Number(b.isEnough) - Number(a.isEnough) || a.kg - b.kg,
    );

  function isOwn({ contents }: L): boolean {
    return contents.ingredientId === recipeRowId(input.recipe.id);
  }
}

import type { LotView } from '../../contract';
import { baseKind } from '../../core/bases';
import type { UnitSystem } from '../../core/reader';
import { recipeRowId } from '../../core/recipe';
import { day, volume, weight } from './amounts';

/** Words for a lot, the same on every screen. */

const DAY_MS = 86_400_000;

/** What clings to the wall of an empty tub, kg. */
const NOTHING_KG = 0.01;

/** Less salt than this is none to a cook. */
const WORTH_SAYING_PERCENT = 0.05;

/** Liquids by volume; crates, roux in its blocks and tied bundles by weight. */
export function isPouredLot(lot: Pick<LotView, 'contents' | 'origin'>): boolean {
  const family = baseKind(lot.contents.base)?.family;
  if (family === 'binder' || family === 'aromatics') return false;
  return lot.contents.share === 'liquid' && lot.origin.kind !== 'delivery';
}

export function lotAmount(lot: Pick<LotView, 'contents' | 'origin'>, kg: number, units: UnitSystem): string {
  if (kg < NOTHING_KG) return 'none';
  return isPouredLot(lot) ? volume(kg / lot.contents.densityKgPerL, units) : weight(kg, units);
}

/** Until when, how long that is, and whether it presses. */
export function dateWords(
  lot: Pick<LotView, 'useByMs' | 'frozenSinceMs' | 'frozenMonths' | 'mayBePast'>,
  nowMs: number,
  zone: string,
): { date: string; left: string; tone: 'calm' | 'soon' | 'past' } {
  if (lot.frozenSinceMs !== null) {
    const months = Math.floor((nowMs - lot.frozenSinceMs) / (30.4 * DAY_MS));
    const stale = months >= lot.frozenMonths;
    return {
      date: `frozen ${day(lot.frozenSinceMs, zone)}`,
      left: stale ? `past its ${lot.frozenMonths} months of taste` : `its days stand still`,
      tone: stale ? 'soon' : 'calm',
    };
  }
  if (lot.useByMs === null) return { date: 'no date', left: 'by eye and nose', tone: 'calm' };
  const date = `use by ${day(lot.useByMs, zone)}`;
  if (lot.useByMs < nowMs)
    return { date, left: lot.mayBePast ? 'past, allowed' : 'past its date', tone: 'past' };
  const isToday = day(lot.useByMs, zone) === day(nowMs, zone);
  if (isToday) return { date, left: 'its last day', tone: 'soon' };
  const days = Math.ceil((lot.useByMs - nowMs) / DAY_MS);
  return {
    date,
    left: days === 1 ? 'until tomorrow' : `${days} days left`,
    tone: days <= 2 ? 'soon' : 'calm',
  };
}

/** Strength against the usual, set or not, salt, quality: what a cook asks of a base. */
export function standingWords(lot: LotView): string[] {
  const kind = baseKind(lot.contents.base);
  const isStock = kind?.family === 'stock' || kind?.family === 'broth' || kind?.family === 'concentrate';
  return [
    lot.strength === null ? '' : `${lot.strength.toFixed(1)} × the usual strength`,
    isStock && (lot.sets.value || lot.sets.isSeen)
      ? lot.sets.value
        ? lot.sets.isSeen
          ? 'set'
          : 'will set'
        : 'does not set'
      : '',
    lot.origin.kind !== 'delivery' && lot.saltPercent >= WORTH_SAYING_PERCENT
      ? `${lot.saltPercent.toFixed(2)} % salt`
      : '',
    lot.fatLiftedKg > 0 ? 'fat lifted' : '',
    lot.best && lot.best.stands !== 'best' ? bestWords(lot) : '',
  ].filter(Boolean);
}

export function bestWords(lot: LotView): string {
  if (!lot.best) return '';
  return lot.best.stands === 'not yet'
    ? `better later: ${lot.best.words}`
    : lot.best.stands === 'best'
      ? lot.best.words
      : `past its best (${lot.best.words})`;
}

/** The colour of what is in it, by the recipe that made it. */
export function lotColour(
  lot: Pick<LotView, 'contents'>,
  recipes: readonly { id: string; colour: string }[] | undefined,
): string | undefined {
  return recipes?.find((one) => recipeRowId(one.id) === lot.contents.ingredientId)?.colour;
}

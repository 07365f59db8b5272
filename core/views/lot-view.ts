import { SETS_FROM_GELATIN_PERCENT, timesStandard } from '../bases';
import {
  asRead,
  atItsBest,
  isEmptyTub,
  isOverdrawn,
  type KeepingRules,
  type Lot,
  type LotLife,
  type ShelfLot,
  umamiOfContents,
  useByMs,
} from '../larder';
import { brixOf, type LotStorage } from '../matter';

const DAY_MS = 86_400_000;

/** A lot of the larder as it stands, with what is computed of it. */
export interface LotView extends ShelfLot {
  name: string;
  place: string;
  storage: LotStorage;
  bornAtMs: number;
  bornKg: number;
  litres: number;
  leftLitres: number;
  saltPercent: number;
  /** of what is dissolved, °Brix, and whether a person read it or it was computed */
  brix: number;
  isBrixRead: boolean;
  /** times the usual strength of its kind; null for a kind without one */
  strength: number | null;
  /** set in the cold: seen, or expected from its gelatin */
  sets: { value: boolean; isSeen: boolean };
  gelatinPercent: number;
  fatPercent: number;
  fatLiftedKg: number;
  umami: number;
  frozenSinceMs: number | null;
  frozenMonths: number;
  life: LotLife;
  best: ReturnType<typeof atItsBest>;
  usePast: { reason: string; by: string; atMs: number } | null;
  centsPerLitre: number;
  /** more was drawn than there was: the shelf has to be counted */
  countIt: boolean;
  /** when the tag of a shellfish crate may be thrown away; null while there is some left, or for no tag */
  tagUntilMs: number | null;
}

/** What a lot's view turns on beside the lot. */
export interface SeenFrom {
  /** the running number on its label */
  number: number;
  rules: KeepingRules;
  /** days the tag of shellfish is kept */
  tagDays: number;
  nowMs: number;
}

/** A lot as every screen shows it. */
export function lotView(lot: Lot, { number, rules, tagDays, nowMs }: SeenFrom): LotView {
  const contents = asRead(lot);
  const litresOf = (kg: number) => kg / contents.densityKgPerL;
  const brix = brixOf(contents.perKg);
  const gelatinPercent = 100 * contents.savourPerKg.gelatin;
  const leftKg = Math.max(0, lot.leftKg);
  return {
    id: lot.lotId,
    number,
    name: contents.name,
    contents,
    origin: lot.origin,
    place: lot.place,
    storage: lot.storage,
    madeAtMs: lot.madeAtMs,
    bornAtMs: lot.bornAtMs,
    bornKg: lot.bornKg,
    leftKg,
    litres: litresOf(lot.bornKg),
    leftLitres: litresOf(leftKg),
    countIt: isOverdrawn(lot.leftKg),
    life: lot.life,
    useByMs: useByMs(lot, rules),
    mayBePast: lot.usePast !== null,
    usePast: lot.usePast,
    best: atItsBest(lot, nowMs),
    frozenSinceMs: lot.frozenSinceMs,
    frozenMonths: lot.frozenMonths,
    saltPercent: 100 * contents.perKg.salt,
    brix,
    isBrixRead: lot.brix !== null,
    strength: timesStandard(brix, contents.base),
    sets: lot.sets
      ? { value: lot.sets.value, isSeen: true }
      : { value: gelatinPercent >= SETS_FROM_GELATIN_PERCENT, isSeen: false },
    gelatinPercent,
    fatPercent: 100 * contents.perKg.fat,
    fatLiftedKg: lot.fatLiftedKg,
    umami: umamiOfContents(contents),
    centsPerKg: lot.centsPerKg,
    centsPerLitre: lot.centsPerKg * contents.densityKgPerL,
    tagUntilMs: tagUntilMs(lot, tagDays),
  };
}

/** The tag of shellfish is kept so many days from when the last of the crate was served. FDA Food Code § 3-203.12. */
export function tagUntilMs(lot: Lot, tagDays: number): number | null {
  if (lot.origin.kind !== 'delivery' || !lot.origin.tag || !isEmptyTub(lot.leftKg)) return null;
  return Math.max(lot.bornAtMs, lot.lastDrawnMs ?? 0) + tagDays * DAY_MS;
}

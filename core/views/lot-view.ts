import { SETS_FROM_GELATIN_PERCENT, timesStandard } from '../bases';
import {
  asRead,
  atItsBest,
  isEmptyTub,
  isOverdrawn,
  type KeepingRules,
  type Lot,
  type LotCooling,
  type LotLife,
  type LotReading,
  lotWarmMs,
  type ShelfLot,
  umamiOfContents,
  useBy,
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
  /** by what rule its date goes, of whatever in it is the first to be past; and when that was made, ms */
  life: LotLife;
  datedMs: number;
  /** what to mind of what is in it, whatever it was poured into */
  advisories: readonly string[];
  /** how it is cooled, or was; null for what nobody cooled */
  cooling: LotCooling | null;
  /** what a thermometer said last, and °C as it left its pot */
  tempC: LotReading<number> | null;
  bornC: number | null;
  /** how long it has been between 5 and 57 °C over its life, ms; null where nobody knows */
  warmMs: number | null;
  /** tags of shellfish in it */
  tags: readonly string[];
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
  /** the other lots that carry its tags: parted off it, poured of it, or what it was parted off */
  tagged?: readonly Lot[];
}

/** A lot as every screen shows it. */
export function lotView(lot: Lot, { number, rules, tagDays, nowMs, tagged = [] }: SeenFrom): LotView {
  const contents = asRead(lot);
  const litresOf = (kg: number) => kg / contents.densityKgPerL;
  const brix = brixOf(contents.perKg);
  const gelatinPercent = 100 * contents.savourPerKg.gelatin;
  const leftKg = Math.max(0, lot.leftKg);
  const binding = useBy(lot, rules);
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
    life: (binding?.of ?? lot.dates[0])?.life ?? { rule: 'none' },
    useByMs: binding?.atMs ?? null,
    datedMs: (binding?.of ?? lot.dates[0])?.madeAtMs ?? lot.madeAtMs,
    advisories: lot.dates.flatMap(({ life }) => (life.rule === 'hours' ? [life.advisory] : [])),
    mayBePast: lot.usePast !== null,
    usePast: lot.usePast,
    best: atItsBest(lot, nowMs),
    frozenSinceMs: lot.frozenSinceMs,
    frozenMonths: lot.frozenMonths,
    tags: lot.tags,
    cooling: lot.cooling,
    tempC: lot.tempC,
    bornC: lot.bornC,
    warmMs: lotWarmMs(lot, nowMs),
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
    tagUntilMs: tagUntilMs([lot, ...tagged], tagDays),
  };
}

/**
 * When the tag of shellfish may be thrown away: so many days from when the last of the crate was used, wherever some of
 * it was put; null while any is left, and where there is no tag. FDA Food Code § 3-203.12.
 *
 * @param carrying every lot that carries the tag, the one asked about first
 */
export function tagUntilMs(carrying: readonly Lot[], tagDays: number): number | null {
  const [lot] = carrying;
  const tags = lot?.tags ?? [];
  const all = carrying.filter((one) => one.tags.some((tag) => tags.includes(tag)));
  if (all.length === 0 || all.some((one) => !isEmptyTub(one.leftKg))) return null;
  return Math.max(...all.map((one) => Math.max(one.bornAtMs, one.lastDrawnMs ?? 0))) + tagDays * DAY_MS;
}

import { type KitchenView, keepingRules, type LotView } from '../../contract';
import { SETS_FROM_GELATIN_PERCENT, timesStandard } from '../../core/bases';
import { asRead, atItsBest, type Larder, type Lot, umamiOfContents, useByMs } from '../../core/larder';
import { brixOf } from '../../core/matter';

const DAY_MS = 86_400_000;

/** A count this far below nothing is a count to be mended, kg; less is rounding. */
const OVERDRAWN_KG = 0.05;

/** Less than this left is an empty tub, kg. */
export const EMPTY_KG = 0.005;

/** A lot of the larder as every screen shows it. */
export function lotView(
  lot: Lot,
  of: { larder: Larder; number: number; kitchen: Pick<KitchenView, 'zone' | 'limits'>; nowMs: number },
): LotView {
  const contents = asRead(lot);
  const litresOf = (kg: number) => kg / contents.densityKgPerL;
  const brix = brixOf(contents.perKg);
  const gelatinPercent = 100 * contents.savourPerKg.gelatin;
  const leftKg = Math.max(0, lot.leftKg);
  return {
    id: lot.lotId,
    number: of.number,
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
    countIt: lot.leftKg < -OVERDRAWN_KG,
    life: lot.life,
    useByMs: useByMs(lot, keepingRules(of.kitchen)),
    mayBePast: lot.usePast !== null,
    usePast: lot.usePast,
    best: atItsBest(lot, of.nowMs),
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
    tagUntilMs: tagUntilMs(lot, of),
  };
}

/** The tag of shellfish is kept so many days from when the last of the crate was served. FDA Food Code § 3-203.12. */
function tagUntilMs(lot: Lot, { larder, kitchen }: { larder: Larder; kitchen: Pick<KitchenView, 'limits'> }) {
  if (lot.origin.kind !== 'delivery' || !lot.origin.tag || lot.leftKg > EMPTY_KG) return null;
  const lastMs = Math.max(
    lot.bornAtMs,
    ...larder.draws.filter((draw) => draw.lotId === lot.lotId).map((draw) => draw.atMs),
  );
  return lastMs + kitchen.limits.shellfishTagDays * DAY_MS;
}

import { and, asc, desc, eq, sql } from 'drizzle-orm';
import {
  type BatchResult,
  type BurnerSums,
  bestKnownFirst,
  betweenSdOf,
  EVERYBODY,
  evidenceOf,
  type KeptForecast,
  type LearnedRate,
  type LearnedShare,
  NO_STRETCHES,
  type RateKey,
  rateKey,
  rateOf,
  type ShareKey,
  type Stretch,
  shareOf,
  TESTED_BELOW,
  UNKNOWN_BURNER,
  withBatch,
  withStretch,
  withTest,
} from '../../core/batch';
import { filmSeen, type Lot } from '../../core/larder';
import { itemRow, mergedId } from './kitchen-items';
import {
  burnerResults,
  keptForecasts,
  learnedRates,
  learnedStretches,
  servedServices,
} from './projection-schema';
import { learnService, unlearnService } from './service-rows';
import type { Db, Tx } from './storage';

/** What a closed batch has taught, in its place among the others: what was added up after it is added up anew. */
export function learnFrom(
  tx: Tx,
  batch: { id: string; burnerId: string; closedAtMs: number },
  result: BatchResult,
): void {
  const { id: batchId, closedAtMs } = batch;
  learnService(tx, batch, result);
  const { knew, burnerId: cookedOn, ...heat } = result.heatFactor;
  const burnerId = mergedId(tx, 'burner', cookedOn ?? batch.burnerId);
  const shown = evidenceOf(heat, knew);
  if (shown)
    tx.insert(burnerResults)
      .values({ batchId, burnerId, closedAtMs, ...shown, sums: UNKNOWN_BURNER })
      .run();
  (result.forecasts ?? []).forEach((one, n) => {
    const { stageId, saidMs, p10Ms, p50Ms, p90Ms, cameMs } = whole(one);
    tx.insert(keptForecasts).values({ batchId, n, stageId, saidMs, p10Ms, p50Ms, p90Ms, cameMs }).run();
  });
  const stretches = (result.segments ?? []).flatMap((one) => {
    const seen = evidenceOf(one.arriving, one.knew);
    const learnsFromMs = itemRow(tx, 'pot', one.potId)?.learnsFromMs ?? 0;
    if (!seen || closedAtMs < learnsFromMs) return [];
    const key = rateKey({ ...one, burnerId: mergedId(tx, 'burner', one.burnerId) });
    return [{ ...seen, minutes: one.minutes, key: nameOf(key) }];
  });
  const all = [...stretches, ...sharesShown(tx, result, closedAtMs)];
  all.forEach(({ key, minutes, mean, sd }, n) => {
    tx.insert(learnedStretches)
      .values({ batchId, n, key, closedAtMs, minutes, mean, sd, sums: NO_STRETCHES })
      .run();
  });
  if (shown) sumBurner(tx, burnerId, { closedAtMs, batchId });
  for (const key of new Set(all.map((one) => one.key))) sumRate(tx, key, { closedAtMs, batchId });
}

/** What surfaces under their lids, the floor, and the dish's own thickening have shown. */
function sharesShown(tx: Tx, result: BatchResult, closedAtMs: number): (Stretch & { key: string })[] {
  const counts = (potId: string) => closedAtMs >= (itemRow(tx, 'pot', potId)?.learnsFromMs ?? 0);
  const shown = (key: ShareKey, potId: string, after: Known & { knew: Known }, minutes: number) => {
    const seen = counts(potId) ? evidenceOf({ mean: after.mean, sd: after.sd }, after.knew) : null;
    return seen ? [{ ...seen, minutes, key: JSON.stringify(key) }] : [];
  };
  const { floor, body, ladle } = result;
  const ladled = ladle ? evidenceOf({ mean: ladle.mean, sd: ladle.sd }, ladle.knew, TESTED_BELOW) : null;
  const thickened = body ? evidenceOf({ mean: body.mean, sd: body.sd }, body.knew, TESTED_BELOW) : null;
  return [
    ...(result.segments ?? []).flatMap(({ potId, lid, leaving, minutes }) =>
      leaving ? shown({ surfaceOf: potId, lid }, potId, leaving, minutes) : [],
    ),
    ...(floor ? shown({ floorOf: floor.potId, recipeId: floor.recipeId }, floor.potId, floor, 0) : []),
    ...(body && thickened
      ? [{ ...thickened, minutes: 0, key: JSON.stringify({ bodyOf: body.recipeId } satisfies ShareKey) }]
      : []),
    ...(ladled
      ? [EVERYBODY, ...(ladle?.by ? [ladle.by] : [])].map((ladleOf) => ({
          ...ladled,
          minutes: 0,
          key: JSON.stringify({ ladleOf } satisfies ShareKey),
        }))
      : []),
  ];
}

interface Known {
  mean: number;
  sd: number;
}

/** A key is of heat, or of a share. */
function keyOf(key: string): RateKey | ShareKey {
  return JSON.parse(key);
}

const isShare = (key: RateKey | ShareKey): key is ShareKey => !('fraction' in key);

/** The pot it was seen in; what a dish, a ladle or a cold place does is of no pot. */
function potOf(key: RateKey | ShareKey): string | null {
  if ('bodyOf' in key || 'ladleOf' in key || 'filmOf' in key) return null;
  return 'surfaceOf' in key ? key.surfaceOf : 'floorOf' in key ? key.floorOf : key.potId;
}

/** How far what one batch shows may be from another's; the rates' own where nothing is given. */
export function betweenSdOfKey(key: string): number | undefined {
  const of = keyOf(key);
  return isShare(of) ? betweenSdOf(of) : undefined;
}

/** What a test with water has shown of a burner, in its place among the batches. */
export function learnTest(
  tx: Tx,
  test: { id: string; burnerId: string; atMs: number; heatFactor: { mean: number; sd: number } },
): void {
  const { id: batchId, atMs: closedAtMs, heatFactor } = test;
  const burnerId = mergedId(tx, 'burner', test.burnerId);
  tx.insert(burnerResults)
    .values({ batchId, burnerId, closedAtMs, ...heatFactor, isTest: true, sums: UNKNOWN_BURNER })
    .run();
  sumBurner(tx, burnerId, { closedAtMs, batchId });
}

/** What a cooling that has ended showed of the film of its place; of one that goes on again, nothing yet. */
export function learnFilm(tx: Tx, lotId: string, lot: Lot | null): void {
  const batchId = `cooling ${lotId}`;
  unlearnStretches(tx, batchId);
  const seen = lot && filmSeen(lot);
  if (!seen) return;
  const { placeId, atMs: closedAtMs, ...film } = seen;
  const key = JSON.stringify({ filmOf: placeId } satisfies ShareKey);
  tx.insert(learnedStretches)
    .values({ batchId, n: 0, key, closedAtMs, minutes: 0, ...film, sums: NO_STRETCHES })
    .run();
  sumRate(tx, key, { closedAtMs, batchId });
}

/** Two burners that are one: what each has shown is added up as one's. */
export function mergeLearned(tx: Tx, burnerId: string, intoId: string): void {
  const first = { closedAtMs: 0, batchId: '' };
  tx.update(burnerResults).set({ burnerId: intoId }).where(eq(burnerResults.burnerId, burnerId)).run();
  sumBurner(tx, intoId, first);
  const keys = tx.selectDistinct({ key: learnedStretches.key }).from(learnedStretches).all();
  for (const { key } of keys) {
    const rate = keyOf(key);
    if (isShare(rate) || rate.burnerId !== burnerId) continue;
    const merged = nameOf({ ...rate, burnerId: intoId });
    tx.update(learnedStretches).set({ key: merged }).where(eq(learnedStretches.key, key)).run();
    tx.delete(learnedRates).where(eq(learnedRates.key, key)).run();
    sumRate(tx, merged, first);
  }
}

/** What a pot of other measures taught before is no longer counted: of heat, its surface, its floor. */
export function startRatesAnew(tx: Tx, potId: string): void {
  const keys = tx.selectDistinct({ key: learnedStretches.key }).from(learnedStretches).all();
  for (const { key } of keys) {
    if (potOf(keyOf(key)) !== potId) continue;
    tx.delete(learnedStretches).where(eq(learnedStretches.key, key)).run();
    tx.delete(learnedRates).where(eq(learnedRates.key, key)).run();
  }
}

/** A batch that is open again has taught nothing yet. */
export function unlearn(tx: Tx, batchId: string): void {
  unlearnService(tx, batchId);
  const own = tx.select().from(burnerResults).where(eq(burnerResults.batchId, batchId)).get();
  for (const table of [burnerResults, keptForecasts])
    tx.delete(table).where(eq(table.batchId, batchId)).run();
  if (own) sumBurner(tx, own.burnerId, own);
  unlearnStretches(tx, batchId);
}

function unlearnStretches(tx: Tx, batchId: string): void {
  const keys = tx
    .selectDistinct({ key: learnedStretches.key, closedAtMs: learnedStretches.closedAtMs })
    .from(learnedStretches)
    .where(eq(learnedStretches.batchId, batchId))
    .all();
  if (keys.length === 0) return;
  tx.delete(learnedStretches).where(eq(learnedStretches.batchId, batchId)).run();
  for (const { key, closedAtMs } of keys) sumRate(tx, key, { closedAtMs, batchId });
}

export function clearLearned(tx: Tx): void {
  for (const table of [burnerResults, learnedStretches, learnedRates, keptForecasts, servedServices])
    tx.delete(table).run();
}

/** A place in the order in which batches closed. */
interface Place {
  closedAtMs: number;
  batchId: string;
}

/** Sums of a burner from a place on; what lies before stands as it is. */
function sumBurner(tx: Tx, burnerId: string, from: Place): void {
  const own = eq(burnerResults.burnerId, burnerId);
  const before = tx
    .select({ sums: burnerResults.sums })
    .from(burnerResults)
    .where(and(own, isBefore(burnerResults, from)))
    .orderBy(desc(burnerResults.closedAtMs), desc(burnerResults.batchId))
    .limit(1)
    .get();
  const after = tx
    .select()
    .from(burnerResults)
    .where(and(own, isFrom(burnerResults, from)))
    .orderBy(asc(burnerResults.closedAtMs), asc(burnerResults.batchId))
    .all();
  let sums = before?.sums ?? UNKNOWN_BURNER;
  for (const row of after) {
    sums = row.isTest ? withTest(sums, row) : withBatch(sums, row);
    tx.update(burnerResults).set({ sums }).where(eq(burnerResults.batchId, row.batchId)).run();
  }
}

/** Sums of one key from a place on: a pot, burner, setting and lid, or a share. */
function sumRate(tx: Tx, key: string, from: Place): void {
  const own = eq(learnedStretches.key, key);
  const before = tx
    .select({ sums: learnedStretches.sums })
    .from(learnedStretches)
    .where(and(own, isBefore(learnedStretches, from)))
    .orderBy(desc(learnedStretches.closedAtMs), desc(learnedStretches.batchId), desc(learnedStretches.n))
    .limit(1)
    .get();
  const after = tx
    .select()
    .from(learnedStretches)
    .where(and(own, isFrom(learnedStretches, from)))
    .orderBy(asc(learnedStretches.closedAtMs), asc(learnedStretches.batchId), asc(learnedStretches.n))
    .all();
  let sums = before?.sums ?? NO_STRETCHES;
  for (const { batchId, n, ...stretch } of after) {
    sums = withStretch(sums, stretch, betweenSdOfKey(key));
    tx.update(learnedStretches)
      .set({ sums })
      .where(and(eq(learnedStretches.batchId, batchId), eq(learnedStretches.n, n)))
      .run();
  }
  if (sums.segments === 0) tx.delete(learnedRates).where(eq(learnedRates.key, key)).run();
  else
    tx.insert(learnedRates)
      .values({ key, sums })
      .onConflictDoUpdate({ target: learnedRates.key, set: { sums } })
      .run();
}

type Placed = typeof burnerResults | typeof learnedStretches;
const isBefore = (table: Placed, { closedAtMs, batchId }: Place) =>
  sql`(${table.closedAtMs}, ${table.batchId}) < (${closedAtMs}, ${batchId})`;
const isFrom = (table: Placed, { closedAtMs, batchId }: Place) =>
  sql`(${table.closedAtMs}, ${table.batchId}) >= (${closedAtMs}, ${batchId})`;

export function burnerSums(db: Db, burnerId: string): BurnerSums {
  return (
    db
      .select({ sums: burnerResults.sums })
      .from(burnerResults)
      .where(eq(burnerResults.burnerId, burnerId))
      .orderBy(desc(burnerResults.closedAtMs), desc(burnerResults.batchId))
      .limit(1)
      .get()?.sums ?? UNKNOWN_BURNER
  );
}

/** Everything that is known: rates the best known first, shares in any order. */
export function learnedAll(db: Db): { rates: LearnedRate[]; shares: LearnedShare[] } {
  const rates: LearnedRate[] = [];
  const shares: LearnedShare[] = [];
  for (const { key, sums } of db.select().from(learnedRates).all()) {
    const of = keyOf(key);
    if (isShare(of)) shares.push(shareOf(of, sums));
    else rates.push(rateOf(of, sums));
  }
  return { rates: bestKnownFirst(rates), shares };
}

/** The newest so many forecasts with what came true. */
export function lastForecasts(db: Db, limit: number): KeptForecast[] {
  return db
    .select()
    .from(keptForecasts)
    .orderBy(desc(keptForecasts.cameMs))
    .limit(limit)
    .all()
    .map(({ batchId: _b, n: _n, ...forecast }) => forecast)
    .reverse();
}

function nameOf({ potId, burnerId, fraction, lid }: RateKey): string {
  return JSON.stringify({ potId, burnerId, fraction, lid } satisfies RateKey);
}

/** Times are whole milliseconds where they are stored. */
function whole(one: KeptForecast): KeptForecast {
  const { stageId, saidMs, p10Ms, p50Ms, p90Ms, cameMs } = one;
  const at = Math.round;
  return {
    stageId,
    saidMs: at(saidMs),
    p10Ms: at(p10Ms),
    p50Ms: at(p50Ms),
    p90Ms: at(p90Ms),
    cameMs: at(cameMs),
  };
}

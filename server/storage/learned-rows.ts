import { asc, desc, eq } from 'drizzle-orm';
import {
  type BatchResult,
  type BurnerSums,
  type KeptForecast,
  type LearnedRate,
  NO_STRETCHES,
  type RateKey,
  rateKey,
  rateOf,
  UNKNOWN_BURNER,
  withBatch,
  withStretch,
} from '../../core/batch';
import {
  burnerResults,
  keptForecasts,
  learnedBurners,
  learnedRates,
  learnedStretches,
} from './projection-schema';
import type { Db, Tx } from './storage';

/** What a closed batch has taught, added to what is known; in its place where it closed before another. */
export function learnFrom(
  tx: Tx,
  batch: { id: string; burnerId: string; closedAtMs: number },
  result: BatchResult,
): void {
  const { id: batchId, burnerId, closedAtMs } = batch;
  const { mean, sd } = result.heatFactor;
  const last = tx
    .select({ atMs: burnerResults.closedAtMs, id: burnerResults.batchId })
    .from(burnerResults)
    .orderBy(desc(burnerResults.closedAtMs), desc(burnerResults.batchId))
    .limit(1)
    .get();
  const isNewest = !last || last.atMs < closedAtMs || (last.atMs === closedAtMs && last.id < batchId);
  tx.insert(burnerResults).values({ batchId, burnerId, closedAtMs, mean, sd }).run();
  (result.forecasts ?? []).forEach((one, n) => {
    const { stageId, saidMs, p10Ms, p50Ms, p90Ms, cameMs } = whole(one);
    tx.insert(keptForecasts).values({ batchId, n, stageId, saidMs, p10Ms, p50Ms, p90Ms, cameMs }).run();
  });
  const stretches = (result.segments ?? []).map((one) => ({ one, key: nameOf(rateKey(one)) }));
  stretches.forEach(({ one, key }, n) => {
    tx.insert(learnedStretches)
      .values({ batchId, n, key, closedAtMs, minutes: one.minutes, ...one.arriving })
      .run();
  });
  if (!isNewest) {
    sumUp(
      tx,
      [burnerId],
      stretches.map(({ key }) => key),
    );
    return;
  }
  setBurner(tx, burnerId, withBatch(burnerSums(tx, burnerId), { mean, sd }));
  for (const { one, key } of stretches) setRate(tx, key, withStretch(rateSums(tx, key), one));
}

/** A batch that is open again has taught nothing yet. */
export function unlearn(tx: Tx, batchId: string): void {
  const own = tx.select().from(burnerResults).where(eq(burnerResults.batchId, batchId)).get();
  const keys = tx
    .selectDistinct({ key: learnedStretches.key })
    .from(learnedStretches)
    .where(eq(learnedStretches.batchId, batchId))
    .all();
  tx.delete(burnerResults).where(eq(burnerResults.batchId, batchId)).run();
  tx.delete(learnedStretches).where(eq(learnedStretches.batchId, batchId)).run();
  tx.delete(keptForecasts).where(eq(keptForecasts.batchId, batchId)).run();
  sumUp(
    tx,
    own ? [own.burnerId] : [],
    keys.map((row) => row.key),
  );
}

export function clearLearned(tx: Tx): void {
  for (const table of [burnerResults, learnedBurners, learnedStretches, learnedRates, keptForecasts])
    tx.delete(table).run();
}

/** Sums made anew from their rows, in the order the batches closed. */
function sumUp(tx: Tx, burnerIds: readonly string[], keys: readonly string[]): void {
  for (const burnerId of new Set(burnerIds)) {
    const rows = tx
      .select()
      .from(burnerResults)
      .where(eq(burnerResults.burnerId, burnerId))
      .orderBy(asc(burnerResults.closedAtMs), asc(burnerResults.batchId))
      .all();
    setBurner(tx, burnerId, rows.reduce(withBatch, UNKNOWN_BURNER));
  }
  for (const key of new Set(keys)) {
    const rows = tx
      .select()
      .from(learnedStretches)
      .where(eq(learnedStretches.key, key))
      .orderBy(asc(learnedStretches.closedAtMs), asc(learnedStretches.batchId), asc(learnedStretches.n))
      .all();
    const sums = rows.reduce(
      (all, { minutes, mean, sd }) => withStretch(all, { minutes, arriving: { mean, sd } }),
      NO_STRETCHES,
    );
    setRate(tx, key, sums);
  }
}

function setBurner(tx: Tx, burnerId: string, sums: BurnerSums): void {
  if (sums.batches === 0) {
    tx.delete(learnedBurners).where(eq(learnedBurners.burnerId, burnerId)).run();
    return;
  }
  tx.insert(learnedBurners)
    .values({ burnerId, ...sums })
    .onConflictDoUpdate({ target: learnedBurners.burnerId, set: sums })
    .run();
}

function setRate(tx: Tx, key: string, sums: typeof NO_STRETCHES): void {
  if (sums.segments === 0) {
    tx.delete(learnedRates).where(eq(learnedRates.key, key)).run();
    return;
  }
  tx.insert(learnedRates)
    .values({ key, sums })
    .onConflictDoUpdate({ target: learnedRates.key, set: { sums } })
    .run();
}

export function burnerSums(db: Db, burnerId: string): BurnerSums {
  const row = db.select().from(learnedBurners).where(eq(learnedBurners.burnerId, burnerId)).get();
  return row ? { weight: row.weight, sum: row.sum, batches: row.batches } : UNKNOWN_BURNER;
}

function rateSums(db: Db, key: string) {
  return db.select().from(learnedRates).where(eq(learnedRates.key, key)).get()?.sums ?? NO_STRETCHES;
}

/** Every rate that is known, any order. */
export function rateRows(db: Db): LearnedRate[] {
  return db
    .select()
    .from(learnedRates)
    .all()
    .map(({ key, sums }) => rateOf(JSON.parse(key) as RateKey, sums));
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

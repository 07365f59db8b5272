import { and, asc, desc, eq, gte, lt, sql } from 'drizzle-orm';
import type { Sample } from '../../core/devices';
import { sampleSpans, samples } from './schema';
import type { Db, Tx } from './storage';

export interface SampleRow extends Sample {
  deviceId: string;
  batchId: string;
  kind: 'temperature' | 'weight';
}

/** Rows of one statement: SQLite takes so many values at once. */
const AT_ONCE = 500;

export function insertSamples(tx: Tx, rows: readonly SampleRow[]): void {
  for (let i = 0; i < rows.length; i += AT_ONCE)
    tx.insert(samples)
      .values(rows.slice(i, i + AT_ONCE))
      .run();
}

/** Whole for so long, then by the minute, then by five, ms. */
export const WHOLE_FOR_MS = 48 * 3_600_000;
export const MINUTES_FOR_MS = 90 * 24 * 3_600_000;
/** So many are kept whole at the most, of all devices together. */
const MOST_WHOLE = 2_000_000;
const MINUTE_MS = 60_000;
const FIVE_MS = 5 * MINUTE_MS;

/**
 * Thins what is old: samples into minutes after two days, minutes into fives after ninety. So much in one turn, so that
 * a command never waits long behind it.
 *
 * @returns rows thinned; 0 when nothing is left to thin
 */
export function thinSamples(tx: Tx, nowMs: number, most: number): number {
  const wholeUntilMs = wholeUntil(tx, nowMs);
  const last = tx
    .select({ id: samples.id, atMs: samples.atMs })
    .from(samples)
    .where(lt(samples.atMs, wholeUntilMs))
    .orderBy(asc(samples.atMs))
    .limit(1)
    .offset(most)
    .get();
  const untilMs = last ? Math.max(floorTo(last.atMs, MINUTE_MS), firstMinuteEnd(tx)) : wholeUntilMs;
  const thinned = tx
    .select({ n: sql<number>`count(*)` })
    .from(samples)
    .where(lt(samples.atMs, untilMs))
    .get()!.n;
  if (thinned > 0) {
    tx.run(sql`
      INSERT INTO sample_spans (deviceId, batchId, kind, fromMs, spanMs, count, mean, least, greatest)
      SELECT deviceId, batchId, kind, atMs - atMs % ${MINUTE_MS}, ${MINUTE_MS}, count(*), avg(value), min(value), max(value)
      FROM samples WHERE atMs < ${untilMs} GROUP BY deviceId, batchId, kind, atMs / ${MINUTE_MS}
      ${MERGED}`);
    tx.delete(samples).where(lt(samples.atMs, untilMs)).run();
  }
  const minutesUntilMs = floorTo(nowMs - MINUTES_FOR_MS, FIVE_MS);
  const old = and(eq(sampleSpans.spanMs, MINUTE_MS), lt(sampleSpans.fromMs, minutesUntilMs));
  const minutes = tx.select({ n: sql<number>`count(*)` }).from(sampleSpans).where(old).get()!.n;
  if (minutes > 0) {
    tx.run(sql`
      INSERT INTO sample_spans (deviceId, batchId, kind, fromMs, spanMs, count, mean, least, greatest)
      SELECT deviceId, batchId, kind, fromMs - fromMs % ${FIVE_MS}, ${FIVE_MS}, sum(count),
        sum(mean * count) / sum(count), min(least), max(greatest)
      FROM sample_spans WHERE spanMs = ${MINUTE_MS} AND fromMs < ${minutesUntilMs}
      GROUP BY deviceId, batchId, kind, fromMs / ${FIVE_MS}
      ${MERGED}`);
    tx.delete(sampleSpans).where(old).run();
  }
  return thinned + minutes;
}

/** Until when samples are thinned: two days ago, or later where more came than there is room for. */
function wholeUntil(db: Db, nowMs: number): number {
  const idAt = (end: typeof asc) =>
    db.select({ id: samples.id }).from(samples).orderBy(end(samples.id)).limit(1).get()?.id ?? 0;
  const count = idAt(desc) - idAt(asc) + 1;
  const byAgeMs = floorTo(nowMs - WHOLE_FOR_MS, MINUTE_MS);
  if (count <= MOST_WHOLE) return byAgeMs;
  const oldestKept = db
    .select({ atMs: samples.atMs })
    .from(samples)
    .orderBy(desc(samples.atMs))
    .limit(1)
    .offset(MOST_WHOLE)
    .get();
  return Math.max(byAgeMs, floorTo(oldestKept?.atMs ?? 0, MINUTE_MS));
}

/** The first minute that has any is thinned whole, however many there are in it. */
function firstMinuteEnd(db: Db): number {
  const first = db.select({ atMs: samples.atMs }).from(samples).orderBy(asc(samples.atMs)).limit(1).get();
  return floorTo(first?.atMs ?? 0, MINUTE_MS) + MINUTE_MS;
}

/** What came late for a span that is there already is taken into it. */
const MERGED = sql.raw(`
  ON CONFLICT (deviceId, batchId, kind, spanMs, fromMs) DO UPDATE SET
    mean = (mean * count + excluded.mean * excluded.count) / (count + excluded.count),
    count = count + excluded.count,
    least = min(least, excluded.least),
    greatest = max(greatest, excluded.greatest)`);

/** Samples of a batch from a moment on, as they came. */
export function samplesOf(db: Db, batchId: string, fromMs: number, limit: number): SampleRow[] {
  return db
    .select()
    .from(samples)
    .where(and(eq(samples.batchId, batchId), gte(samples.atMs, fromMs)))
    .orderBy(asc(samples.atMs))
    .limit(limit)
    .all();
}

/** What is kept of a batch's samples by the span. */
export function spansOf(db: Db, batchId: string) {
  return db
    .select()
    .from(sampleSpans)
    .where(eq(sampleSpans.batchId, batchId))
    .orderBy(asc(sampleSpans.fromMs))
    .all();
}

export function countSamples(db: Db): number {
  return db.select({ n: sql<number>`count(*)` }).from(samples).get()!.n;
}

function floorTo(ms: number, stepMs: number): number {
  return Math.floor(ms / stepMs) * stepMs;
}

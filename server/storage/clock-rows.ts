import { desc, sql } from 'drizzle-orm';
import { clockSegments, events, larderEvents } from './schema';
import type { Db, Tx } from './storage';

export type ClockSegment = Omit<typeof clockSegments.$inferSelect, 'id'>;

/** How the clock was set last; undefined where it never was. */
export function lastClockSegment(db: Db): ClockSegment | undefined {
  const row = db.select().from(clockSegments).orderBy(desc(clockSegments.id)).limit(1).get();
  if (!row) return undefined;
  const { id: _id, ...segment } = row;
  return segment;
}

export function insertClockSegment(tx: Tx, segment: ClockSegment): void {
  tx.insert(clockSegments).values(segment).run();
}

/** Jumps of the machine's clock that were noticed, the newest first. */
export function clockJumps(db: Db, limit: number): ClockSegment[] {
  return db
    .select()
    .from(clockSegments)
    .where(sql`${clockSegments.jumpMs} IS NOT NULL`)
    .orderBy(desc(clockSegments.id))
    .limit(limit)
    .all()
    .map(({ id: _id, ...segment }) => segment);
}

/** The latest kitchen time that anything was received at, ms: time never runs back behind it. */
export function latestReceivedMs(db: Db): number {
  const ofBatches = db
    .select({ at: events.receivedAtMs })
    .from(events)
    .orderBy(desc(events.seq))
    .limit(1)
    .get();
  const ofLarder = db
    .select({ at: larderEvents.receivedAtMs })
    .from(larderEvents)
    .orderBy(desc(larderEvents.seq))
    .limit(1)
    .get();
  return Math.max(ofBatches?.at ?? 0, ofLarder?.at ?? 0);
}

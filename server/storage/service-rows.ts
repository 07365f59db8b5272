import { and, desc, eq } from 'drizzle-orm';
import type { BatchResult } from '../../core/batch';
import { NOTHING_SEEN, type ServicesSeen } from '../../core/demand';
import { servedServices } from './projection-schema';
import type { Db, Tx } from './storage';

/** So many services of an hour are looked back on. */
const SERVICES = 60;
/** With fewer of its own weekday, those of the other days are asked too. */
const ENOUGH_OF_A_DAY = 6;

/** What a closed batch's service asked for. */
export function learnService(
  tx: Tx,
  batch: { id: string; closedAtMs: number },
  { asked }: Pick<BatchResult, 'asked'>,
): void {
  if (!asked) return;
  const { serviceId, weekday, ...what } = asked;
  tx.insert(servedServices)
    .values({ batchId: batch.id, serviceId, weekday, closedAtMs: batch.closedAtMs, asked: what })
    .run();
}

export function unlearnService(tx: Tx, batchId: string): void {
  tx.delete(servedServices).where(eq(servedServices.batchId, batchId)).run();
}

/** What the newest services of an hour on a weekday have shown; of any day, while there are few of that. */
export function servicesSeen(db: Db, serviceId: string, weekday: number): ServicesSeen {
  const newest = (where: ReturnType<typeof and>) =>
    db
      .select({ asked: servedServices.asked })
      .from(servedServices)
      .where(where)
      .orderBy(desc(servedServices.closedAtMs))
      .limit(SERVICES)
      .all()
      .map((row) => row.asked);
  const hour = eq(servedServices.serviceId, serviceId);
  const ofDay = newest(and(hour, eq(servedServices.weekday, weekday)));
  const seen = ofDay.length >= ENOUGH_OF_A_DAY ? ofDay : newest(hour);
  return {
    counts: NOTHING_SEEN.counts.map((_, i) => seen.reduce((sum, one) => sum + (one.counts[i] ?? 0), 0)),
    shares: seen.flatMap((one) => (one.planned > 0 ? [one.total / one.planned] : [])),
  };
}

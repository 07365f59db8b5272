import { desc, eq } from 'drizzle-orm';
import { rehearsals } from './schema';
import type { Db, Tx } from './storage';

export type RehearsalRow = typeof rehearsals.$inferSelect;

/** The newest so many, the oldest of them first. */
export function lastRehearsals(db: Db, limit: number): RehearsalRow[] {
  return db.select().from(rehearsals).orderBy(desc(rehearsals.atMs)).limit(limit).all().reverse();
}

export function rehearsalRow(db: Db, id: string): RehearsalRow | undefined {
  return db.select().from(rehearsals).where(eq(rehearsals.id, id)).get();
}

export function insertRehearsal(tx: Tx, row: RehearsalRow): void {
  tx.insert(rehearsals).values(row).run();
}

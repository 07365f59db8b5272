import { and, desc, eq, ne } from 'drizzle-orm';
import type { PhotoView } from '../../contract';
import { batchPhotos } from './schema';
import type { Db, Tx } from './storage';

export type PhotoRow = typeof batchPhotos.$inferSelect;

const SHOWN = { id: batchPhotos.id, batchId: batchPhotos.batchId, takenAtMs: batchPhotos.takenAtMs };

/** Pictures of a batch, the newest first. */
export function photosOf(db: Db, batchId: string): PhotoView[] {
  return db
    .select(SHOWN)
    .from(batchPhotos)
    .where(eq(batchPhotos.batchId, batchId))
    .orderBy(desc(batchPhotos.takenAtMs), desc(batchPhotos.id))
    .all();
}

/** The newest picture of the same recipe from another batch, to be held beside; none where none was taken. */
export function lastPhotoOf(db: Db, recipeId: string, besideBatchId: string): PhotoView | undefined {
  return db
    .select(SHOWN)
    .from(batchPhotos)
    .where(and(eq(batchPhotos.recipeId, recipeId), ne(batchPhotos.batchId, besideBatchId)))
    .orderBy(desc(batchPhotos.takenAtMs), desc(batchPhotos.id))
    .limit(1)
    .get();
}

export function photoRow(db: Db, id: string): PhotoRow | undefined {
  return db.select().from(batchPhotos).where(eq(batchPhotos.id, id)).get();
}

export function insertPhoto(tx: Tx, row: PhotoRow): void {
  tx.insert(batchPhotos).values(row).run();
}

import { asc } from 'drizzle-orm';
import * as projectionTables from './projection-schema';
import type { Db } from './storage';

/** All that is kept of the log, to be held against what it is when it is made anew. Arrows by what they say, not by row. */
export function keptState(db: Db) {
  const t = projectionTables;
  return {
    batchHeads: db.select().from(t.batchHeads).orderBy(asc(t.batchHeads.batchId)).all(),
    brokenBatches: db.select().from(t.brokenBatches).orderBy(asc(t.brokenBatches.batchId)).all(),
    lotEntries: db
      .select()
      .from(t.lotEntries)
      .orderBy(asc(t.lotEntries.lotId), asc(t.lotEntries.eventId), asc(t.lotEntries.n))
      .all(),
    keptLots: db.select().from(t.keptLots).orderBy(asc(t.keptLots.lotId)).all(),
    strayEntries: db
      .select()
      .from(t.strayEntries)
      .orderBy(asc(t.strayEntries.lotId), asc(t.strayEntries.eventId))
      .all(),
    arrows: db
      .select()
      .from(t.arrows)
      .all()
      .map(({ id: _id, ...arrow }) => JSON.stringify(arrow))
      .sort(),
    learnedStretches: db
      .select()
      .from(t.learnedStretches)
      .orderBy(asc(t.learnedStretches.batchId), asc(t.learnedStretches.n))
      .all(),
    learnedRates: db.select().from(t.learnedRates).orderBy(asc(t.learnedRates.key)).all(),
    burnerResults: db.select().from(t.burnerResults).orderBy(asc(t.burnerResults.batchId)).all(),
    keptForecasts: db
      .select()
      .from(t.keptForecasts)
      .orderBy(asc(t.keptForecasts.batchId), asc(t.keptForecasts.n))
      .all(),
    recipeHeads: db.select().from(t.recipeHeads).orderBy(asc(t.recipeHeads.id)).all(),
  };
}

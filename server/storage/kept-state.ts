import { asc } from 'drizzle-orm';
import { NO_STRETCHES, UNKNOWN_BURNER, withBatch, withStretch } from '../../core/batch';
import { betweenSdOfKey } from './learned-rows';
import * as projectionTables from './projection-schema';
import { drawnParts } from './schema';
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
    servedServices: db.select().from(t.servedServices).orderBy(asc(t.servedServices.batchId)).all(),
    drawnParts: db.select().from(drawnParts).orderBy(asc(drawnParts.childId)).all(),
    recipeHeads: db.select().from(t.recipeHeads).orderBy(asc(t.recipeHeads.id)).all(),
  };
}

/** What is added up row by row, and the same added up anew here from what the rows themselves say. */
export function sums(db: Db) {
  const { burnerResults, learnedStretches } = projectionTables;
  const results = db
    .select()
    .from(burnerResults)
    .orderBy(asc(burnerResults.closedAtMs), asc(burnerResults.batchId))
    .all();
  const stretches = db
    .select()
    .from(learnedStretches)
    .orderBy(asc(learnedStretches.closedAtMs), asc(learnedStretches.batchId), asc(learnedStretches.n))
    .all();
  const burners = grouped(results, (row) => row.burnerId);
  const rates = grouped(stretches, (row) => row.key);
  return {
    kept: [...results, ...stretches].map((row) => row.sums),
    anew: [
      ...results.map((row) => {
        const own = burners.get(row.burnerId)!;
        return own.slice(0, own.indexOf(row) + 1).reduce(withBatch, UNKNOWN_BURNER);
      }),
      ...stretches.map((row) => {
        const own = rates.get(row.key)!;
        const until = own.slice(0, own.indexOf(row) + 1);
        return until.reduce(
          (all, stretch) => withStretch(all, stretch, betweenSdOfKey(row.key)),
          NO_STRETCHES,
        );
      }),
    ],
  };
}

function grouped<T>(rows: readonly T[], by: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) groups.set(by(row), [...(groups.get(by(row)) ?? []), row]);
  return groups;
}

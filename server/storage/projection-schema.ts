import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { BatchState, BurnerSums, RateSums } from '../../core/batch';
import type { ServiceAsked } from '../../core/demand';
import type { BornLot, Lot, LotEntry } from '../../core/larder';
import type { BatchHead } from '../../core/views';

/**
 * What is kept of the log so that a page costs what it shows. Every row can be thrown away and made anew (`rebuild`);
 * `v` is the version of the projection that made it.
 */

/** Which version each projection is kept in. */
export const projections = sqliteTable('projections', {
  name: text().primaryKey(),
  v: integer().notNull(),
});

/** A batch as lists show it. */
export const batchHeads = sqliteTable(
  'batch_heads',
  {
    batchId: text().primaryKey(),
    recipeId: text().notNull(),
    createdAtMs: integer().notNull(),
    serviceAtMs: integer().notNull(),
    closedAtMs: integer(),
    served: integer().notNull(),
    head: text({ mode: 'json' }).$type<BatchHead>().notNull(),
  },
  (table) => [
    index('batch_heads_closed').on(table.closedAtMs, table.batchId),
    index('batch_heads_by_recipe').on(table.recipeId, table.closedAtMs),
    index('batch_heads_served').on(table.closedAtMs).where(sql`${table.served} > 0`),
    index('batch_heads_served_by_recipe')
      .on(table.recipeId, table.closedAtMs)
      .where(sql`${table.served} > 0`),
  ],
);

/** An open batch's state folded as far as `seq`, to go on from. */
export const openBatches = sqliteTable('open_batches', {
  batchId: text().primaryKey(),
  modelVersion: integer().notNull(),
  seq: integer().notNull(),
  events: integer().notNull(),
  state: text({ mode: 'json' }).$type<BatchState>().notNull(),
});

/** A batch whose log does not fold: it is set aside by itself, with the entry at which it stops. */
export const brokenBatches = sqliteTable('broken_batches', {
  batchId: text().primaryKey(),
  modelVersion: integer().notNull(),
  eventId: text(),
  why: text().notNull(),
});

/** Each thing that was said of each lot and stands. */
export const lotEntries = sqliteTable(
  'lot_entries',
  {
    lotId: text().notNull(),
    eventId: text().notNull(),
    /** for a batch that drew twice from one lot in one go */
    n: integer().notNull(),
    batchId: text(),
    entry: text({ mode: 'json' }).$type<LotEntry>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.lotId, table.eventId, table.n] }),
    index('lot_entries_by_event').on(table.eventId),
    index('lot_entries_by_batch').on(table.batchId),
  ],
);

/** A lot as its entries make it. */
export const keptLots = sqliteTable(
  'kept_lots',
  {
    lotId: text().primaryKey(),
    madeByBatchId: text(),
    bornAtMs: integer().notNull(),
    leftKg: real().notNull(),
    /** there is some left, or more was drawn than there was */
    isOnShelf: integer({ mode: 'boolean' }).notNull(),
    /** a crate of shellfish whose tag is kept, by when the last was drawn */
    tagFromMs: integer(),
    born: text({ mode: 'json' }).$type<BornLot>().notNull(),
    lot: text({ mode: 'json' }).$type<Lot>().notNull(),
  },
  (table) => [
    index('kept_lots_on_shelf').on(table.isOnShelf, table.bornAtMs),
    index('kept_lots_by_birth').on(table.bornAtMs, table.lotId),
    index('kept_lots_by_batch').on(table.madeByBatchId),
    index('kept_lots_tagged').on(table.tagFromMs),
  ],
);

/** Entries that could not be put. */
export const strayEntries = sqliteTable(
  'stray_entries',
  { lotId: text().notNull(), eventId: text().notNull() },
  (table) => [primaryKey({ columns: [table.lotId, table.eventId] })],
);

/** Kilograms from a lot or batch into another: a recall walks along them. */
export const arrows = sqliteTable(
  'arrows',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    /** the lot whose entries made it */
    lotId: text().notNull(),
    from: text('fromKey').notNull(),
    to: text('toKey').notNull(),
    kg: real().notNull(),
    atMs: integer().notNull(),
  },
  (table) => [
    index('arrows_from').on(table.from),
    index('arrows_to').on(table.to),
    index('arrows_by_lot').on(table.lotId),
  ],
);

/** Stretches of steady heat of closed batches. */
export const learnedStretches = sqliteTable(
  'learned_stretches',
  {
    batchId: text().notNull(),
    n: integer().notNull(),
    key: text().notNull(),
    closedAtMs: integer().notNull(),
    minutes: real().notNull(),
    mean: real().notNull(),
    sd: real().notNull(),
    /** all of its key up to this one added up */
    sums: text({ mode: 'json' }).$type<RateSums>().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.batchId, table.n] }),
    index('learned_stretches_by_key').on(table.key, table.closedAtMs, table.batchId, table.n),
  ],
);

/** The stretches of one pot, burner, setting and lid added up: the last of its sums. */
export const learnedRates = sqliteTable('learned_rates', {
  key: text().primaryKey(),
  sums: text({ mode: 'json' }).$type<RateSums>().notNull(),
});

/** What each closed batch showed of its burner. */
export const burnerResults = sqliteTable(
  'burner_results',
  {
    /** the batch, or the test with water */
    batchId: text().primaryKey(),
    isTest: integer({ mode: 'boolean' }).notNull().default(false),
    burnerId: text().notNull(),
    closedAtMs: integer().notNull(),
    mean: real().notNull(),
    sd: real().notNull(),
    /** all of its burner up to this one added up */
    sums: text({ mode: 'json' }).$type<BurnerSums>().notNull(),
  },
  (table) => [index('burner_results_by_burner').on(table.burnerId, table.closedAtMs, table.batchId)],
);

/** What closed batches' services asked for: portions in all and in each part of their time. */
export const servedServices = sqliteTable(
  'served_services',
  {
    batchId: text().primaryKey(),
    serviceId: text().notNull(),
    weekday: integer().notNull(),
    closedAtMs: integer().notNull(),
    asked: text({ mode: 'json' }).$type<ServiceAsked>().notNull(),
  },
  (table) => [
    index('served_services_by_day').on(table.serviceId, table.weekday, table.closedAtMs),
    index('served_services_by_time').on(table.serviceId, table.closedAtMs),
  ],
);

/** Forecasts that closed batches showed, with what came true. */
export const keptForecasts = sqliteTable(
  'kept_forecasts',
  {
    batchId: text().notNull(),
    n: integer().notNull(),
    stageId: text().notNull(),
    saidMs: integer().notNull(),
    p10Ms: integer().notNull(),
    p50Ms: integer().notNull(),
    p90Ms: integer().notNull(),
    cameMs: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.batchId, table.n] }),
    index('kept_forecasts_by_time').on(table.cameMs),
  ],
);

/** The latest version of each recipe. */
export const recipeHeads = sqliteTable('recipe_heads', {
  id: text().primaryKey(),
  version: integer().notNull(),
});

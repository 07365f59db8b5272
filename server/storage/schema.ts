import { sql } from 'drizzle-orm';
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import {
  DEFAULT_LIMITS,
  ITEM_KINDS,
  type Item,
  type KeepingLimits,
  type KeepRehearsal,
  type KitchenView,
} from '../../contract';
import type { DrawnPart } from '../../core/batch';
import type { LotMade } from '../../core/larder';
import type { Ingredient } from '../../core/matter';
import type { Recipe } from '../../core/recipe';
import type { Equipment } from '../../core/scaling';
import type { Measures } from '../../core/units';

/**
 * What is written down: the log, and what a kitchen says of itself. Nothing here can be made anew from anything else.
 * Each JSON column that may change its shape has its version beside it; `1` is what was written before there were any.
 */

/** What a kitchen has beside pots and burners until it says otherwise. */
export const PLAIN_EQUIPMENT: Equipment = {
  blenderJarLitres: 2,
  hasStickBlender: true,
  ovenTrays: 2,
  trayAreaM2: 0.17,
  fryingPanCm: 28,
};

/** One kitchen is one file, so this table has one row. */
export const kitchens = sqliteTable('kitchens', {
  id: integer().primaryKey(),
  name: text().notNull(),
  zone: text().notNull(),
  altitudeM: real().notNull(),
  airTempC: real().notNull(),
  relativeHumidity: real().notNull(),
  currency: text().notNull(),
  /** all three measures as a system has them, of kitchens before they could be mixed */
  units: text({ enum: ['metric', 'us', 'imperial'] })
    .notNull()
    .default('metric'),
  measures: text({ mode: 'json' }).$type<Measures>(),
  equipment: text({ mode: 'json' }).$type<Equipment>().notNull().default(PLAIN_EQUIPMENT),
  limits: text({ mode: 'json' }).$type<KeepingLimits>().notNull().default(DEFAULT_LIMITS),
  limitReasons: text({ mode: 'json' }).$type<KitchenView['limitReasons']>().notNull().default({}),
  locale: text().notNull().default('en-GB'),
  isDemo: integer({ mode: 'boolean' }).notNull().default(false),
});

/** The things of the kitchen, of every kind, in its order. What a batch was cooked with is retired, never deleted. */
export const kitchenItems = sqliteTable(
  'kitchen_items',
  {
    kind: text({ enum: ITEM_KINDS as [string, ...string[]] }).notNull(),
    id: text().notNull(),
    position: integer().notNull(),
    doc: text({ mode: 'json' }).$type<Item>().notNull(),
    v: integer().notNull().default(1),
    retiredAtMs: integer(),
    /** the one it was found to be the same as */
    mergedInto: text(),
    /** of a pot: what was learned of it before is of other measures */
    learnsFromMs: integer(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** What was changed in the kitchen, by whom, and what stood there before. Rows are only ever added. */
export const kitchenLog = sqliteTable(
  'kitchen_log',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    type: text().notNull(),
    v: integer().notNull(),
    payload: text({ mode: 'json' }).notNull(),
    before: text({ mode: 'json' }),
    actedAtMs: integer().notNull(),
    by: text(),
  },
  (table) => [index('kitchen_log_by_type').on(table.type, table.seq)],
);

export const prices = sqliteTable('prices', {
  ingredientId: text().primaryKey(),
  centsPerKg: real().notNull(),
  supplier: text(),
});

/** Foods of the kitchen's own, and labels over the table's. */
export const ownIngredients = sqliteTable('own_ingredients', {
  id: text().primaryKey(),
  row: text({ mode: 'json' }).$type<Ingredient>().notNull(),
});

export const recipes = sqliteTable(
  'recipes',
  {
    id: text().notNull(),
    version: integer().notNull(),
    doc: text({ mode: 'json' }).$type<Recipe>().notNull(),
    v: integer().notNull().default(1),
    savedAtMs: integer().notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.id, table.version] })],
);

/** Lots of files older than the larder’s log: brought over into it once, when such a file is opened. */
export const oldLots = sqliteTable('lots', {
  id: text().primaryKey(),
  number: integer().notNull(),
  ingredientId: text().notNull(),
  litres: real().notNull(),
  saltPercent: real().notNull(),
  place: text().notNull(),
  madeAtMs: integer().notNull(),
});

export const batches = sqliteTable(
  'batches',
  {
    id: text().primaryKey(),
    recipeId: text().notNull(),
    /** where it stands now, after any move */
    potId: text().notNull(),
    burnerId: text().notNull(),
    createdAtMs: integer().notNull(),
    /** what was asked for, so that the same start said twice can be told from another */
    request: text({ mode: 'json' }).notNull(),
    snapshot: text({ mode: 'json' }).notNull(),
    snapshotV: integer().notNull().default(1),
    closedAtMs: integer(),
    /** predicted beside actual, frozen as it was closed */
    result: text({ mode: 'json' }),
    resultV: integer().notNull().default(1),
  },
  (table) => [
    index('batches_open').on(table.createdAtMs).where(sql`${table.closedAtMs} IS NULL`),
    index('batches_closed').on(table.closedAtMs),
  ],
);

/** The log. Rows are only ever added. */
export const events = sqliteTable(
  'events',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    batchId: text()
      .notNull()
      .references(() => batches.id),
    type: text().notNull(),
    v: integer().notNull(),
    payload: text({ mode: 'json' }).notNull(),
    actedAtMs: integer().notNull(),
    receivedAtMs: integer().notNull(),
    clientAtMs: integer().notNull(),
    by: text(),
    device: text(),
    /** what a person should look at, as a code with its quantities; a sentence in older rows */
    flag: text(),
  },
  (table) => [index('events_by_batch').on(table.batchId, table.seq)],
);

/** The larder's own log: deliveries and what was done on the shelf. What batches store and draw is in theirs. */
export const larderEvents = sqliteTable(
  'larder_events',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    id: text().notNull().unique(),
    type: text().notNull(),
    v: integer().notNull(),
    payload: text({ mode: 'json' }).notNull(),
    /** what the table and prices said of food that came in */
    received: text('taken', { mode: 'json' }),
    actedAtMs: integer().notNull(),
    receivedAtMs: integer().notNull(),
    clientAtMs: integer().notNull(),
    by: text(),
    device: text(),
    /** the event it undoes, where it is an undo */
    undoesId: text(),
  },
  (table) => [
    index('larder_undos').on(table.undoesId),
    index('larder_events_by_lot').on(sql`(${table.payload} ->> '$.lotId')`),
  ],
);

/** The logs of the house. */
export const LOGS = ['batch', 'larder', 'kitchen'] as const;

/**
 * Every entry of the three logs, in the order they came in: each link is the hash of its entry and of the link before, so
 * that what is changed on the disk afterwards shows.
 */
export const recordChain = sqliteTable(
  'record_chain',
  {
    seq: integer().primaryKey({ autoIncrement: true }),
    log: text({ enum: LOGS }).notNull(),
    /** the entry's number in its own log */
    entrySeq: integer().notNull(),
    actedAtMs: integer().notNull(),
    hash: text().notNull(),
  },
  (table) => [
    uniqueIndex('record_chain_by_entry').on(table.log, table.entrySeq),
    index('record_chain_by_time').on(table.actedAtMs),
  ],
);

/** The running number on a lot's label: given once, never again. */
export const lotNumbers = sqliteTable('lot_numbers', {
  number: integer().primaryKey({ autoIncrement: true }),
  lotId: text().notNull().unique(),
});

/** Orders kept for a day to come. */
export const orders = sqliteTable(
  'orders',
  {
    id: text().primaryKey(),
    request: text({ mode: 'json' }).notNull(),
    v: integer().notNull().default(1),
    serviceAtMs: integer().notNull().default(0),
    createdAtMs: integer().notNull(),
    /** the batch it was cooked as */
    batchId: text(),
    cancelledAtMs: integer(),
  },
  (table) => [
    index('orders_open')
      .on(table.serviceAtMs)
      .where(sql`${table.batchId} IS NULL AND ${table.cancelledAtMs} IS NULL`),
  ],
);

/** A lot as the batch that stored it left it, frozen as that batch closed: a newer model does not rewrite it. */
export const lotBirths = sqliteTable(
  'lot_births',
  {
    lotId: text().primaryKey(),
    batchId: text()
      .notNull()
      .references(() => batches.id),
    eventId: text().notNull(),
    modelVersion: integer().notNull(),
    birth: text({ mode: 'json' }).$type<LotMade>().notNull(),
  },
  (table) => [index('lot_births_by_batch').on(table.batchId)],
);

/** What was drawn off a batch to be one of its own, as its log makes it: moved along while it is open. */
export const drawnParts = sqliteTable(
  'drawn_parts',
  {
    childId: text().primaryKey(),
    parentId: text()
      .notNull()
      .references(() => batches.id),
    modelVersion: integer().notNull(),
    /** null for what was never drawn after all */
    drawn: text({ mode: 'json' }).$type<DrawnPart>(),
  },
  (table) => [index('drawn_parts_by_parent').on(table.parentId)],
);

/** What was answered to commands that leave no row of their own under their id. */
export const answers = sqliteTable('answers', {
  id: text().primaryKey(),
  /** a digest of what was asked for, so that the same said again can be told from another */
  content: text().notNull(),
  answer: text({ mode: 'json' }).notNull(),
  atMs: integer().notNull(),
});

/** What probes and scales send, as it came, for two days: samples are no events. */
export const samples = sqliteTable(
  'samples',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    deviceId: text().notNull(),
    batchId: text()
      .notNull()
      .references(() => batches.id),
    kind: text({ enum: ['temperature', 'weight'] }).notNull(),
    value: real().notNull(),
    atMs: integer().notNull(),
  },
  (table) => [
    index('samples_by_batch').on(table.batchId, table.atMs),
    index('samples_by_time').on(table.atMs),
  ],
);

/** What is kept of older samples: mean, least and greatest of a minute, and of five. */
export const sampleSpans = sqliteTable(
  'sample_spans',
  {
    deviceId: text().notNull(),
    batchId: text()
      .notNull()
      .references(() => batches.id),
    kind: text({ enum: ['temperature', 'weight'] }).notNull(),
    fromMs: integer().notNull(),
    spanMs: integer().notNull(),
    count: integer().notNull(),
    mean: real().notNull(),
    least: real().notNull(),
    greatest: real().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.deviceId, table.batchId, table.kind, table.spanMs, table.fromMs] }),
    index('sample_spans_by_time').on(table.spanMs, table.fromMs),
    index('sample_spans_by_batch').on(table.batchId, table.fromMs),
  ],
);

/** Pictures of a pot as a tablet took them, small: to be held beside the next. */
export const batchPhotos = sqliteTable(
  'batch_photos',
  {
    id: text().primaryKey(),
    batchId: text()
      .notNull()
      .references(() => batches.id),
    recipeId: text().notNull(),
    takenAtMs: integer().notNull(),
    jpeg: blob({ mode: 'buffer' }).notNull(),
  },
  (table) => [
    index('batch_photos_by_batch').on(table.batchId, table.takenAtMs),
    index('batch_photos_by_recipe').on(table.recipeId, table.takenAtMs),
  ],
);

/** What was called in rehearsals, scored. */
export const rehearsals = sqliteTable('rehearsals', {
  id: text().primaryKey(),
  recipeId: text().notNull(),
  atMs: integer().notNull(),
  calls: text({ mode: 'json' }).$type<KeepRehearsal['calls']>().notNull(),
});

/** The kitchen's clock, a row each time it was set or mended: kitchen time runs on from here at a speed. */
export const clockSegments = sqliteTable(
  'clock_segments',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    mode: text({ enum: ['demo', 'real'] }).notNull(),
    speed: real().notNull(),
    kitchenFromMs: integer().notNull(),
    realFromMs: integer().notNull(),
    /** how far the machine's clock had jumped, where that is why, ms */
    jumpMs: integer(),
  },
  (table) => [index('clock_segments_jumped').on(table.id).where(sql`${table.jumpMs} IS NOT NULL`)],
);

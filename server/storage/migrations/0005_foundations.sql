CREATE TABLE `answers` (
	`id` text PRIMARY KEY NOT NULL,
	`content` text NOT NULL,
	`answer` text NOT NULL,
	`atMs` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `lot_births` (
	`lotId` text PRIMARY KEY NOT NULL,
	`batchId` text NOT NULL,
	`eventId` text NOT NULL,
	`modelVersion` integer NOT NULL,
	`birth` text NOT NULL,
	FOREIGN KEY (`batchId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_births_by_batch` ON `lot_births` (`batchId`);--> statement-breakpoint
CREATE TABLE `sample_spans` (
	`deviceId` text NOT NULL,
	`batchId` text NOT NULL,
	`kind` text NOT NULL,
	`fromMs` integer NOT NULL,
	`spanMs` integer NOT NULL,
	`count` integer NOT NULL,
	`mean` real NOT NULL,
	`least` real NOT NULL,
	`greatest` real NOT NULL,
	PRIMARY KEY(`deviceId`, `batchId`, `kind`, `spanMs`, `fromMs`),
	FOREIGN KEY (`batchId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sample_spans_by_time` ON `sample_spans` (`spanMs`,`fromMs`);--> statement-breakpoint
CREATE TABLE `arrows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lotId` text NOT NULL,
	`fromKey` text NOT NULL,
	`toKey` text NOT NULL,
	`kg` real NOT NULL,
	`atMs` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `arrows_from` ON `arrows` (`fromKey`);--> statement-breakpoint
CREATE INDEX `arrows_to` ON `arrows` (`toKey`);--> statement-breakpoint
CREATE INDEX `arrows_by_lot` ON `arrows` (`lotId`);--> statement-breakpoint
CREATE TABLE `batch_heads` (
	`batchId` text PRIMARY KEY NOT NULL,
	`recipeId` text NOT NULL,
	`createdAtMs` integer NOT NULL,
	`serviceAtMs` integer NOT NULL,
	`closedAtMs` integer,
	`served` integer NOT NULL,
	`head` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `batch_heads_closed` ON `batch_heads` (`closedAtMs`,`batchId`);--> statement-breakpoint
CREATE INDEX `batch_heads_by_recipe` ON `batch_heads` (`recipeId`,`closedAtMs`);--> statement-breakpoint
CREATE TABLE `broken_batches` (
	`batchId` text PRIMARY KEY NOT NULL,
	`modelVersion` integer NOT NULL,
	`eventId` text,
	`why` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `burner_results` (
	`batchId` text PRIMARY KEY NOT NULL,
	`burnerId` text NOT NULL,
	`closedAtMs` integer NOT NULL,
	`mean` real NOT NULL,
	`sd` real NOT NULL
);
--> statement-breakpoint
CREATE INDEX `burner_results_by_burner` ON `burner_results` (`burnerId`,`closedAtMs`);--> statement-breakpoint
CREATE TABLE `kept_forecasts` (
	`batchId` text NOT NULL,
	`n` integer NOT NULL,
	`stageId` text NOT NULL,
	`saidMs` integer NOT NULL,
	`p10Ms` integer NOT NULL,
	`p50Ms` integer NOT NULL,
	`p90Ms` integer NOT NULL,
	`cameMs` integer NOT NULL,
	PRIMARY KEY(`batchId`, `n`)
);
--> statement-breakpoint
CREATE INDEX `kept_forecasts_by_time` ON `kept_forecasts` (`cameMs`);--> statement-breakpoint
CREATE TABLE `kept_lots` (
	`lotId` text PRIMARY KEY NOT NULL,
	`madeByBatchId` text,
	`bornAtMs` integer NOT NULL,
	`leftKg` real NOT NULL,
	`isOnShelf` integer NOT NULL,
	`tagFromMs` integer,
	`born` text NOT NULL,
	`lot` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `kept_lots_on_shelf` ON `kept_lots` (`isOnShelf`,`bornAtMs`);--> statement-breakpoint
CREATE INDEX `kept_lots_by_birth` ON `kept_lots` (`bornAtMs`,`lotId`);--> statement-breakpoint
CREATE INDEX `kept_lots_by_batch` ON `kept_lots` (`madeByBatchId`);--> statement-breakpoint
CREATE INDEX `kept_lots_tagged` ON `kept_lots` (`tagFromMs`);--> statement-breakpoint
CREATE TABLE `learned_burners` (
	`burnerId` text PRIMARY KEY NOT NULL,
	`weight` real NOT NULL,
	`sum` real NOT NULL,
	`batches` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `learned_rates` (
	`key` text PRIMARY KEY NOT NULL,
	`sums` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `learned_stretches` (
	`batchId` text NOT NULL,
	`n` integer NOT NULL,
	`key` text NOT NULL,
	`closedAtMs` integer NOT NULL,
	`minutes` real NOT NULL,
	`mean` real NOT NULL,
	`sd` real NOT NULL,
	PRIMARY KEY(`batchId`, `n`)
);
--> statement-breakpoint
CREATE INDEX `learned_stretches_by_key` ON `learned_stretches` (`key`,`closedAtMs`);--> statement-breakpoint
CREATE TABLE `lot_entries` (
	`lotId` text NOT NULL,
	`eventId` text NOT NULL,
	`n` integer NOT NULL,
	`batchId` text,
	`entry` text NOT NULL,
	PRIMARY KEY(`lotId`, `eventId`, `n`)
);
--> statement-breakpoint
CREATE INDEX `lot_entries_by_event` ON `lot_entries` (`eventId`);--> statement-breakpoint
CREATE INDEX `lot_entries_by_batch` ON `lot_entries` (`batchId`);--> statement-breakpoint
CREATE TABLE `open_batches` (
	`batchId` text PRIMARY KEY NOT NULL,
	`modelVersion` integer NOT NULL,
	`seq` integer NOT NULL,
	`events` integer NOT NULL,
	`state` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `projections` (
	`name` text PRIMARY KEY NOT NULL,
	`v` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe_heads` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stray_entries` (
	`lotId` text NOT NULL,
	`eventId` text NOT NULL,
	PRIMARY KEY(`lotId`, `eventId`)
);
--> statement-breakpoint
DROP INDEX `events_by_batch`;--> statement-breakpoint
CREATE INDEX `events_by_batch` ON `events` (`batchId`,`seq`);--> statement-breakpoint
ALTER TABLE `batches` ADD `snapshotV` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `batches` ADD `resultV` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `batches_open` ON `batches` (`createdAtMs`) WHERE "batches"."closedAtMs" IS NULL;--> statement-breakpoint
CREATE INDEX `batches_closed` ON `batches` (`closedAtMs`);--> statement-breakpoint
ALTER TABLE `clock_segments` ADD `jumpMs` integer;--> statement-breakpoint
ALTER TABLE `larder_events` ADD `undoesId` text;--> statement-breakpoint
CREATE INDEX `larder_undos` ON `larder_events` (`undoesId`);--> statement-breakpoint
ALTER TABLE `orders` ADD `v` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `orders` ADD `serviceAtMs` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `orders_open` ON `orders` (`serviceAtMs`) WHERE "orders"."batchId" IS NULL AND "orders"."cancelledAtMs" IS NULL;--> statement-breakpoint
ALTER TABLE `recipes` ADD `v` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `samples_by_time` ON `samples` (`atMs`);--> statement-breakpoint
UPDATE `larder_events` SET `undoesId` = json_extract(`payload`, '$.eventId') WHERE `type` = 'undone';--> statement-breakpoint
UPDATE `orders` SET `serviceAtMs` = json_extract(`request`, '$.serviceAtMs');

CREATE TABLE `batches` (
	`id` text PRIMARY KEY NOT NULL,
	`recipeId` text NOT NULL,
	`potId` text NOT NULL,
	`burnerId` text NOT NULL,
	`createdAtMs` integer NOT NULL,
	`request` text NOT NULL,
	`snapshot` text NOT NULL,
	`closedAtMs` integer,
	`result` text
);
--> statement-breakpoint
CREATE TABLE `burners` (
	`id` text PRIMARY KEY NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`powerW` real NOT NULL,
	`efficiency` real NOT NULL,
	`potIds` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `clock_segments` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`mode` text NOT NULL,
	`speed` real NOT NULL,
	`kitchenFromMs` integer NOT NULL,
	`realFromMs` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `events` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`batchId` text NOT NULL,
	`type` text NOT NULL,
	`v` integer NOT NULL,
	`payload` text NOT NULL,
	`actedAtMs` integer NOT NULL,
	`receivedAtMs` integer NOT NULL,
	`clientAtMs` integer NOT NULL,
	`by` text,
	`device` text,
	`flag` text,
	FOREIGN KEY (`batchId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `events_id_unique` ON `events` (`id`);--> statement-breakpoint
CREATE INDEX `events_by_batch` ON `events` (`batchId`,`actedAtMs`);--> statement-breakpoint
CREATE TABLE `kitchens` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`altitudeM` real NOT NULL,
	`airTempC` real NOT NULL,
	`relativeHumidity` real NOT NULL,
	`currency` text NOT NULL,
	`services` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `lots` (
	`id` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL,
	`ingredientId` text NOT NULL,
	`litres` real NOT NULL,
	`saltPercent` real NOT NULL,
	`place` text NOT NULL,
	`madeAtMs` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pots` (
	`id` text PRIMARY KEY NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`vessel` text NOT NULL,
	`emptyMassKg` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `prices` (
	`ingredientId` text PRIMARY KEY NOT NULL,
	`centsPerKg` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipes` (
	`id` text NOT NULL,
	`version` integer NOT NULL,
	`doc` text NOT NULL,
	PRIMARY KEY(`id`, `version`)
);

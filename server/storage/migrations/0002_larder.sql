CREATE TABLE `larder_events` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`type` text NOT NULL,
	`v` integer NOT NULL,
	`payload` text NOT NULL,
	`taken` text,
	`actedAtMs` integer NOT NULL,
	`receivedAtMs` integer NOT NULL,
	`clientAtMs` integer NOT NULL,
	`by` text,
	`device` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `larder_events_id_unique` ON `larder_events` (`id`);--> statement-breakpoint
CREATE TABLE `lot_numbers` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lotId` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lot_numbers_lotId_unique` ON `lot_numbers` (`lotId`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` text PRIMARY KEY NOT NULL,
	`request` text NOT NULL,
	`createdAtMs` integer NOT NULL,
	`batchId` text,
	`cancelledAtMs` integer
);
--> statement-breakpoint
ALTER TABLE `kitchens` ADD `limits` text DEFAULT '{"dateMarkDays":7,"receivingC":5,"shellfishTagDays":90}' NOT NULL;
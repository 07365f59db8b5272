CREATE TABLE `kitchen_items` (
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`position` integer NOT NULL,
	`doc` text NOT NULL,
	`v` integer DEFAULT 1 NOT NULL,
	`retiredAtMs` integer,
	`mergedInto` text,
	`learnsFromMs` integer,
	PRIMARY KEY(`kind`, `id`)
);
--> statement-breakpoint
CREATE TABLE `kitchen_log` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`type` text NOT NULL,
	`v` integer NOT NULL,
	`payload` text NOT NULL,
	`before` text,
	`actedAtMs` integer NOT NULL,
	`by` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `kitchen_log_id_unique` ON `kitchen_log` (`id`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_kitchens` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`altitudeM` real NOT NULL,
	`airTempC` real NOT NULL,
	`relativeHumidity` real NOT NULL,
	`currency` text NOT NULL,
	`services` text NOT NULL,
	`units` text DEFAULT 'metric' NOT NULL,
	`equipment` text DEFAULT '{"blenderJarLitres":2,"hasStickBlender":true,"ovenTrays":2,"trayAreaM2":0.17,"fryingPanCm":28}' NOT NULL,
	`limits` text DEFAULT '{"dateMarkDays":7,"receivingC":5,"shellfishTagDays":90,"hotHoldingC":57,"reheatC":74,"reheatWithinH":2,"coolFirstWithinH":2,"coolWithinH":6}' NOT NULL,
	`limitReasons` text DEFAULT '{}' NOT NULL,
	`locale` text DEFAULT 'en-GB' NOT NULL,
	`isDemo` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
INSERT INTO `__new_kitchens`("id", "name", "zone", "altitudeM", "airTempC", "relativeHumidity", "currency", "services", "units", "equipment", "limits", "isDemo") SELECT "id", "name", "zone", "altitudeM", "airTempC", "relativeHumidity", "currency", "services", "units", "equipment", json_patch('{"dateMarkDays":7,"receivingC":5,"shellfishTagDays":90,"hotHoldingC":57,"reheatC":74,"reheatWithinH":2,"coolFirstWithinH":2,"coolWithinH":6}', "limits"), EXISTS (SELECT 1 FROM `clock_segments` WHERE `mode` = 'demo') FROM `kitchens`;--> statement-breakpoint
DROP TABLE `kitchens`;--> statement-breakpoint
ALTER TABLE `__new_kitchens` RENAME TO `kitchens`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
ALTER TABLE `burner_results` ADD `isTest` integer DEFAULT false NOT NULL;--> statement-breakpoint
INSERT INTO `kitchen_items` (`kind`, `id`, `position`, `doc`) SELECT 'pot', `id`, `position`, json_object('id', `id`, 'name', `name`, 'vessel', json(`vessel`), 'emptyMassKg', `emptyMassKg`) FROM `pots`;--> statement-breakpoint
INSERT INTO `kitchen_items` (`kind`, `id`, `position`, `doc`) SELECT 'burner', `id`, `position`, json_object('id', `id`, 'name', `name`, 'kind', `kind`, 'powerW', `powerW`, 'efficiency', `efficiency`, 'potIds', json(`potIds`)) FROM `burners`;--> statement-breakpoint
INSERT INTO `kitchen_items` (`kind`, `id`, `position`, `doc`) SELECT 'service', json_extract(one.value, '$.id'), one.key, one.value FROM `kitchens`, json_each(`kitchens`.`services`) AS one;--> statement-breakpoint
DROP TABLE `burners`;--> statement-breakpoint
DROP TABLE `pots`;--> statement-breakpoint
ALTER TABLE `kitchens` DROP COLUMN `services`;--> statement-breakpoint
CREATE INDEX `kitchen_log_by_type` ON `kitchen_log` (`type`,`seq`);
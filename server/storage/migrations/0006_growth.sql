DROP TABLE `learned_burners`;--> statement-breakpoint
DROP TABLE `burner_results`;--> statement-breakpoint
CREATE TABLE `burner_results` (
	`batchId` text PRIMARY KEY NOT NULL,
	`burnerId` text NOT NULL,
	`closedAtMs` integer NOT NULL,
	`mean` real NOT NULL,
	`sd` real NOT NULL,
	`sums` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `burner_results_by_burner` ON `burner_results` (`burnerId`,`closedAtMs`,`batchId`);--> statement-breakpoint
DROP TABLE `learned_stretches`;--> statement-breakpoint
CREATE TABLE `learned_stretches` (
	`batchId` text NOT NULL,
	`n` integer NOT NULL,
	`key` text NOT NULL,
	`closedAtMs` integer NOT NULL,
	`minutes` real NOT NULL,
	`mean` real NOT NULL,
	`sd` real NOT NULL,
	`sums` text NOT NULL,
	PRIMARY KEY(`batchId`, `n`)
);
--> statement-breakpoint
CREATE INDEX `learned_stretches_by_key` ON `learned_stretches` (`key`,`closedAtMs`,`batchId`,`n`);--> statement-breakpoint
CREATE INDEX `clock_segments_jumped` ON `clock_segments` (`id`) WHERE "clock_segments"."jumpMs" IS NOT NULL;--> statement-breakpoint
CREATE INDEX `sample_spans_by_batch` ON `sample_spans` (`batchId`,`fromMs`);--> statement-breakpoint
CREATE INDEX `batch_heads_served` ON `batch_heads` (`closedAtMs`) WHERE "batch_heads"."served" > 0;--> statement-breakpoint
CREATE INDEX `batch_heads_served_by_recipe` ON `batch_heads` (`recipeId`,`closedAtMs`) WHERE "batch_heads"."served" > 0;
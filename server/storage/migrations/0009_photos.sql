CREATE TABLE `batch_photos` (
	`id` text PRIMARY KEY NOT NULL,
	`batchId` text NOT NULL,
	`recipeId` text NOT NULL,
	`takenAtMs` integer NOT NULL,
	`jpeg` blob NOT NULL,
	FOREIGN KEY (`batchId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `batch_photos_by_batch` ON `batch_photos` (`batchId`,`takenAtMs`);--> statement-breakpoint
CREATE INDEX `batch_photos_by_recipe` ON `batch_photos` (`recipeId`,`takenAtMs`);
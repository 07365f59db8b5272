CREATE TABLE `samples` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`deviceId` text NOT NULL,
	`batchId` text NOT NULL,
	`kind` text NOT NULL,
	`value` real NOT NULL,
	`atMs` integer NOT NULL,
	FOREIGN KEY (`batchId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `samples_by_batch` ON `samples` (`batchId`,`atMs`);
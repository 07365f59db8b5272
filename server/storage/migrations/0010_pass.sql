CREATE TABLE `drawn_parts` (
	`childId` text PRIMARY KEY NOT NULL,
	`parentId` text NOT NULL,
	`modelVersion` integer NOT NULL,
	`drawn` text,
	FOREIGN KEY (`parentId`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `drawn_parts_by_parent` ON `drawn_parts` (`parentId`);--> statement-breakpoint
CREATE TABLE `served_services` (
	`batchId` text PRIMARY KEY NOT NULL,
	`serviceId` text NOT NULL,
	`weekday` integer NOT NULL,
	`closedAtMs` integer NOT NULL,
	`asked` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `served_services_by_day` ON `served_services` (`serviceId`,`weekday`,`closedAtMs`);--> statement-breakpoint
CREATE INDEX `served_services_by_time` ON `served_services` (`serviceId`,`closedAtMs`);
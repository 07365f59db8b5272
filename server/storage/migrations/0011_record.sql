CREATE TABLE `record_chain` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`log` text NOT NULL,
	`entrySeq` integer NOT NULL,
	`actedAtMs` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `record_chain_by_entry` ON `record_chain` (`log`,`entrySeq`);--> statement-breakpoint
CREATE INDEX `record_chain_by_time` ON `record_chain` (`actedAtMs`);--> statement-breakpoint
CREATE INDEX `larder_events_by_lot` ON `larder_events` (("payload" ->> '$.lotId'));
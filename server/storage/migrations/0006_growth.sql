CREATE INDEX `clock_segments_jumped` ON `clock_segments` (`id`) WHERE "clock_segments"."jumpMs" IS NOT NULL;--> statement-breakpoint
CREATE INDEX `sample_spans_by_batch` ON `sample_spans` (`batchId`,`fromMs`);--> statement-breakpoint
CREATE INDEX `batch_heads_served` ON `batch_heads` (`closedAtMs`) WHERE "batch_heads"."served" > 0;--> statement-breakpoint
CREATE INDEX `batch_heads_served_by_recipe` ON `batch_heads` (`recipeId`,`closedAtMs`) WHERE "batch_heads"."served" > 0;
CREATE TABLE `own_ingredients` (
	`id` text PRIMARY KEY NOT NULL,
	`row` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `kitchens` ADD `units` text DEFAULT 'metric' NOT NULL;--> statement-breakpoint
ALTER TABLE `kitchens` ADD `equipment` text DEFAULT '{"blenderJarLitres":2,"hasStickBlender":true,"ovenTrays":2,"trayAreaM2":0.17,"fryingPanCm":28}' NOT NULL;--> statement-breakpoint
ALTER TABLE `prices` ADD `supplier` text;--> statement-breakpoint
ALTER TABLE `recipes` ADD `savedAtMs` integer DEFAULT 0 NOT NULL;
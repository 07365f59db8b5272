CREATE TABLE `rehearsals` (
	`id` text PRIMARY KEY NOT NULL,
	`recipeId` text NOT NULL,
	`atMs` integer NOT NULL,
	`calls` text NOT NULL
);

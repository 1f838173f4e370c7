CREATE TABLE `pairings` (
	`hash` text PRIMARY KEY NOT NULL,
	`made_ms` integer NOT NULL,
	`used_ms` integer
);
--> statement-breakpoint
ALTER TABLE `tablets` ADD `name` text DEFAULT '' NOT NULL;
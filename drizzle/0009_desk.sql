CREATE TABLE `absences` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`from_ms` integer NOT NULL,
	`to_ms` integer NOT NULL,
	`why` text NOT NULL,
	`source` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "absences_span" CHECK("absences"."to_ms" > "absences"."from_ms"),
	CONSTRAINT "absences_source" CHECK("absences"."source" in ('hand', 'calendar'))
);
--> statement-breakpoint
CREATE INDEX `absences_person` ON `absences` (`person_id`,`from_ms`);--> statement-breakpoint
CREATE TABLE `waiting` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`person_id` text,
	`weekdays` text NOT NULL,
	`from_min` integer NOT NULL,
	`to_min` integer NOT NULL,
	`words` text DEFAULT '' NOT NULL,
	`created_at_ms` integer NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "waiting_span" CHECK("waiting"."to_min" > "waiting"."from_min")
);
--> statement-breakpoint
CREATE UNIQUE INDEX `waiting_client` ON `waiting` (`client_id`);--> statement-breakpoint
ALTER TABLE `people` ADD `feed_hash` text;--> statement-breakpoint
ALTER TABLE `visits` ADD `planned_min` real;--> statement-breakpoint
ALTER TABLE `visits` ADD `table_min` real;--> statement-breakpoint
CREATE INDEX `visits_timed` ON `visits` (`person_id`,`closed_at_ms`) WHERE table_min is not null;
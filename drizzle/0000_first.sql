CREATE TABLE `bookings` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`person_id` text NOT NULL,
	`starts_at_ms` integer NOT NULL,
	`minutes` integer NOT NULL,
	`zones` text NOT NULL,
	`status` text DEFAULT 'booked' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "bookings_minutes" CHECK("bookings"."minutes" between 5 and 600),
	CONSTRAINT "bookings_status" CHECK("bookings"."status" in ('booked', 'cancelled', 'missed'))
);
--> statement-breakpoint
CREATE INDEX `bookings_start` ON `bookings` (`starts_at_ms`);--> statement-breakpoint
CREATE INDEX `bookings_client` ON `bookings` (`client_id`);--> statement-breakpoint
CREATE TABLE `care_told` (
	`visit_id` text NOT NULL,
	`place` integer NOT NULL,
	`when_told` text NOT NULL,
	`from_h` integer NOT NULL,
	`to_h` integer NOT NULL,
	`text` text NOT NULL,
	PRIMARY KEY(`visit_id`, `place`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `charts` (
	`visit_id` text NOT NULL,
	`zone` text NOT NULL,
	`side` text NOT NULL,
	`place` integer NOT NULL,
	`data` text NOT NULL,
	PRIMARY KEY(`visit_id`, `zone`, `side`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "charts_side" CHECK("charts"."side" in ('left', 'right', 'middle'))
);
--> statement-breakpoint
CREATE TABLE `clients` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`byline` text DEFAULT '' NOT NULL,
	`born_on` text,
	`phone` text DEFAULT '' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`profile` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "clients_named" CHECK(length(trim("clients"."name")) > 0)
);
--> statement-breakpoint
CREATE INDEX `clients_name` ON `clients` (`name`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`level` text NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	CONSTRAINT "people_level" CHECK("people"."level" in ('trainee', 'practised', 'expert'))
);
--> statement-breakpoint
CREATE TABLE `plans` (
	`case_hash` text PRIMARY KEY NOT NULL,
	`plan` text NOT NULL,
	`computed_at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `products` (
	`id` text PRIMARY KEY NOT NULL,
	`data` text NOT NULL,
	`stocked` integer DEFAULT true NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`visit_id` text NOT NULL,
	`zone` text NOT NULL,
	`side` text NOT NULL,
	`data` text NOT NULL,
	PRIMARY KEY(`visit_id`, `zone`, `side`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `studio` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`time_zone` text NOT NULL,
	`currency` text NOT NULL,
	`settings` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	CONSTRAINT "studio_single" CHECK("studio"."id" = 1)
);
--> statement-breakpoint
CREATE TABLE `table_journal` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`visit_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`kind` text NOT NULL,
	`data` text NOT NULL,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `table_journal_id` ON `table_journal` (`id`);--> statement-breakpoint
CREATE INDEX `table_journal_visit` ON `table_journal` (`visit_id`,`seq`);--> statement-breakpoint
CREATE TABLE `visits` (
	`id` text PRIMARY KEY NOT NULL,
	`booking_id` text,
	`client_id` text NOT NULL,
	`person_id` text NOT NULL,
	`on_date` text NOT NULL,
	`status` text DEFAULT 'open' NOT NULL,
	`consult` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`closed_at_ms` integer,
	`plan_hash` text,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`booking_id`) REFERENCES `bookings`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`plan_hash`) REFERENCES `plans`(`case_hash`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "visits_status" CHECK("visits"."status" in ('open', 'closed'))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `visits_booking_id_unique` ON `visits` (`booking_id`);--> statement-breakpoint
CREATE INDEX `visits_client` ON `visits` (`client_id`,`on_date`);
CREATE TABLE `home_care` (
	`visit_id` text NOT NULL,
	`item` text NOT NULL,
	`kept` text,
	`asked_at` text,
	PRIMARY KEY(`visit_id`, `item`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`asked_at`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "home_care_kept" CHECK("home_care"."kept" is null or "home_care"."kept" in ('kept', 'partly', 'not')),
	CONSTRAINT "home_care_said" CHECK(("home_care"."kept" is null) = ("home_care"."asked_at" is null))
);
--> statement-breakpoint
CREATE INDEX `home_care_asked` ON `home_care` (`asked_at`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_messages` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`visit_id` text,
	`booking_id` text,
	`kind` text NOT NULL,
	`words` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`posted_at_ms` integer,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`booking_id`) REFERENCES `bookings`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "messages_kind" CHECK("__new_messages"."kind" in ('postponed', 'referral', 'after-care', 'reminder', 'offer'))
);
--> statement-breakpoint
INSERT INTO `__new_messages`("id", "client_id", "visit_id", "booking_id", "kind", "words", "created_at_ms", "posted_at_ms") SELECT "id", "client_id", "visit_id", "booking_id", "kind", "words", "created_at_ms", "posted_at_ms" FROM `messages`;--> statement-breakpoint
DROP TABLE `messages`;--> statement-breakpoint
ALTER TABLE `__new_messages` RENAME TO `messages`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `messages_client` ON `messages` (`client_id`,`created_at_ms`);--> statement-breakpoint
CREATE INDEX `messages_booking` ON `messages` (`booking_id`);--> statement-breakpoint
ALTER TABLE `bookings` ADD `note` text DEFAULT '' NOT NULL;
CREATE TABLE `requests` (
	`id` text PRIMARY KEY NOT NULL,
	`what` text NOT NULL,
	`body_hash` text NOT NULL,
	`answer` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `requests_at` ON `requests` (`at_ms`);--> statement-breakpoint
CREATE TABLE `tablets` (
	`id` text PRIMARY KEY NOT NULL,
	`first_seen_ms` integer NOT NULL,
	`known_since_ms` integer,
	`locked_form` text,
	`wrong_pins` integer DEFAULT 0 NOT NULL,
	`pin_wait_until_ms` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `worked` (
	`visit_id` text NOT NULL,
	`place` integer NOT NULL,
	`zone` text NOT NULL,
	`side` text NOT NULL,
	`product` text NOT NULL,
	`way` text NOT NULL,
	`touch_c` real,
	`felt_peak_c` real,
	`limit_c` real,
	PRIMARY KEY(`visit_id`, `place`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `plans` ADD `engines` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `plans` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `plans` ADD `booking_id` text;--> statement-breakpoint
ALTER TABLE `plans` ADD `seq` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `plans_visit` ON `plans` (`visit_id`);--> statement-breakpoint
CREATE INDEX `plans_booking` ON `plans` (`booking_id`);--> statement-breakpoint
CREATE INDEX `plans_seq` ON `plans` (`seq`);--> statement-breakpoint
CREATE INDEX `visits_plan` ON `visits` (`plan_hash`);--> statement-breakpoint
ALTER TABLE `charts` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `readings` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `visits` ADD `consult_version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `visits` ADD `zones_version` integer DEFAULT 1 NOT NULL;
--> statement-breakpoint
UPDATE `plans` SET `visit_id` = (SELECT `id` FROM `visits` WHERE `visits`.`plan_hash` = `plans`.`case_hash` LIMIT 1), `seq` = rowid;

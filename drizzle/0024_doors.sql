CREATE TABLE `recovery_codes` (
	`hash` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`made_ms` integer NOT NULL,
	`used_ms` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`tablet` text NOT NULL,
	`started_ms` integer NOT NULL,
	`touched_ms` integer NOT NULL,
	`rests` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_person` ON `sessions` (`person_id`);--> statement-breakpoint
ALTER TABLE `people` ADD `role` text DEFAULT 'practitioner' NOT NULL;--> statement-breakpoint
ALTER TABLE `people` ADD `pass_hash` text;--> statement-breakpoint
UPDATE `people` SET `role` = 'trainee' WHERE `level` = 'trainee';--> statement-breakpoint
UPDATE `people` SET `role` = 'owner' WHERE rowid = (SELECT min(rowid) FROM `people` WHERE `active` = 1);

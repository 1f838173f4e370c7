CREATE TABLE `drill_answers` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	`skill` text NOT NULL,
	`seed` integer NOT NULL,
	`answer` text NOT NULL,
	`right` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `drill_answers_person` ON `drill_answers` (`person_id`,`seq`);
--> statement-breakpoint
CREATE TRIGGER `drill_answers_no_update` BEFORE UPDATE ON `drill_answers` BEGIN SELECT RAISE(ABORT, 'drill answers is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `drill_answers_no_delete` BEFORE DELETE ON `drill_answers` BEGIN SELECT RAISE(ABORT, 'drill answers is append-only'); END;

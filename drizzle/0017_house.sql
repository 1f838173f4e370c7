CREATE TABLE `studio_texts` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`words` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "studio_texts_kind" CHECK("studio_texts"."kind" in ('consent', 'guardian', 'care'))
);
--> statement-breakpoint
CREATE TABLE `way_changes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`way` text NOT NULL,
	`choice` text NOT NULL,
	`reason` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TRIGGER `way_changes_no_update` BEFORE UPDATE ON `way_changes` BEGIN SELECT RAISE(ABORT, 'way changes is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `way_changes_no_delete` BEFORE DELETE ON `way_changes` BEGIN SELECT RAISE(ABORT, 'way changes is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `studio_texts_no_update` BEFORE UPDATE ON `studio_texts` BEGIN SELECT RAISE(ABORT, 'studio texts is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `studio_texts_no_delete` BEFORE DELETE ON `studio_texts` BEGIN SELECT RAISE(ABORT, 'studio texts is append-only'); END;

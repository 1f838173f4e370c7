CREATE TABLE `batch_notes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`batch_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`kind` text NOT NULL,
	`what` text DEFAULT '' NOT NULL,
	`temp_c` real,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "batch_notes_kind" CHECK("batch_notes"."kind" in ('step', 'heat', 'colour', 'trouble')),
	CONSTRAINT "batch_notes_heat" CHECK(("batch_notes"."kind" = 'heat') = ("batch_notes"."temp_c" is not null))
);
--> statement-breakpoint
CREATE INDEX `batch_notes_batch` ON `batch_notes` (`batch_id`,`seq`);--> statement-breakpoint
CREATE TABLE `batches` (
	`id` text PRIMARY KEY NOT NULL,
	`lot` text NOT NULL,
	`firmness` text NOT NULL,
	`recipe` text NOT NULL,
	`end_c` real NOT NULL,
	`water_c` real NOT NULL,
	`room_c` real NOT NULL,
	`stove_w` real NOT NULL,
	`stove_found_w` real,
	`person_id` text,
	`weighed_at_ms` integer NOT NULL,
	`step` text NOT NULL,
	`state` text DEFAULT 'cooking' NOT NULL,
	`off_c` real,
	`ended_at_ms` integer,
	`jar_g` integer,
	`keeps_to` text,
	`words` text DEFAULT '' NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "batches_firmness" CHECK("batches"."firmness" in ('soft', 'firm', 'hard')),
	CONSTRAINT "batches_state" CHECK("batches"."state" in ('cooking', 'jarred', 'thrown')),
	CONSTRAINT "batches_ended" CHECK(("batches"."state" = 'cooking') = ("batches"."ended_at_ms" is null))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `batches_lot` ON `batches` (`lot`);--> statement-breakpoint
CREATE INDEX `batches_weighed` ON `batches` (`weighed_at_ms`);--> statement-breakpoint
CREATE UNIQUE INDEX `batches_cooking` ON `batches` (`state`) WHERE state = 'cooking';--> statement-breakpoint
CREATE TRIGGER `batch_notes_no_update` BEFORE UPDATE ON `batch_notes` BEGIN SELECT RAISE(ABORT, 'batch notes are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `batch_notes_no_delete` BEFORE DELETE ON `batch_notes` BEGIN SELECT RAISE(ABORT, 'batch notes are append-only'); END;

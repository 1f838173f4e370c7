CREATE TABLE `pot_heats` (
	`pot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`temp_c` real NOT NULL,
	PRIMARY KEY(`pot_id`, `at_ms`),
	FOREIGN KEY (`pot_id`) REFERENCES `pots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `pot_notes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`pot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`kind` text NOT NULL,
	`temp_c` real,
	FOREIGN KEY (`pot_id`) REFERENCES `pots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pot_notes_kind" CHECK("pot_notes"."kind" in ('measured', 'set')),
	CONSTRAINT "pot_notes_heat" CHECK("pot_notes"."kind" = 'set' or "pot_notes"."temp_c" is not null)
);
--> statement-breakpoint
CREATE INDEX `pot_notes_pot` ON `pot_notes` (`pot_id`,`seq`);--> statement-breakpoint
CREATE TABLE `pots` (
	`id` text PRIMARY KEY NOT NULL,
	`product_id` text NOT NULL,
	`wax_g` integer NOT NULL,
	`set_c` real,
	`sensor` text NOT NULL,
	`channel` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`product_id`) REFERENCES `products`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pots_wax" CHECK("pots"."wax_g" between 20 and 5000),
	CONSTRAINT "pots_set" CHECK("pots"."set_c" is null or "pots"."set_c" between 20 and 120),
	CONSTRAINT "pots_channel" CHECK("pots"."channel" between 1 and 16),
	CONSTRAINT "pots_sensor" CHECK("pots"."sensor" in ('none', 'simulated'))
);
--> statement-breakpoint
CREATE TRIGGER `pot_notes_no_update` BEFORE UPDATE ON `pot_notes` BEGIN SELECT RAISE(ABORT, 'pot notes are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `pot_notes_no_delete` BEFORE DELETE ON `pot_notes` BEGIN SELECT RAISE(ABORT, 'pot notes are append-only'); END;

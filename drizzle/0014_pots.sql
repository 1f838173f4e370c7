PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_pot_notes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`pot_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`kind` text NOT NULL,
	`temp_c` real,
	`felt` text,
	`grams` integer,
	`visit_id` text,
	FOREIGN KEY (`pot_id`) REFERENCES `pots`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pot_notes_kind" CHECK("__new_pot_notes"."kind" in ('measured', 'set', 'wrist', 'weighed', 'added', 'used')),
	CONSTRAINT "pot_notes_heat" CHECK("__new_pot_notes"."kind" <> 'measured' or "__new_pot_notes"."temp_c" is not null),
	CONSTRAINT "pot_notes_felt" CHECK(("__new_pot_notes"."kind" = 'wrist') = ("__new_pot_notes"."felt" is not null)),
	CONSTRAINT "pot_notes_grams" CHECK(("__new_pot_notes"."kind" in ('weighed', 'added', 'used')) = ("__new_pot_notes"."grams" is not null))
);
--> statement-breakpoint
INSERT INTO `__new_pot_notes`("seq", "pot_id", "at_ms", "person_id", "kind", "temp_c", "felt", "grams", "visit_id") SELECT "seq", "pot_id", "at_ms", "person_id", "kind", "temp_c", NULL, NULL, NULL FROM `pot_notes`;--> statement-breakpoint
DROP TABLE `pot_notes`;--> statement-breakpoint
ALTER TABLE `__new_pot_notes` RENAME TO `pot_notes`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `pot_notes_pot` ON `pot_notes` (`pot_id`,`seq`);--> statement-breakpoint
CREATE TABLE `__new_pots` (
	`id` text PRIMARY KEY NOT NULL,
	`product_id` text NOT NULL,
	`wax_g` integer NOT NULL,
	`heater_w` integer DEFAULT 100 NOT NULL,
	`lid` integer DEFAULT true NOT NULL,
	`school` text DEFAULT 'steady' NOT NULL,
	`lot` text DEFAULT '' NOT NULL,
	`set_c` real,
	`sensor` text NOT NULL,
	`channel` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`product_id`) REFERENCES `products`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "pots_wax" CHECK("__new_pots"."wax_g" between 0 and 5000),
	CONSTRAINT "pots_heater" CHECK("__new_pots"."heater_w" between 10 and 2000),
	CONSTRAINT "pots_school" CHECK("__new_pots"."school" in ('steady', 'melt-off', 'pulses', 'bath')),
	CONSTRAINT "pots_set" CHECK("__new_pots"."set_c" is null or "__new_pots"."set_c" between 20 and 120),
	CONSTRAINT "pots_channel" CHECK("__new_pots"."channel" between 1 and 16),
	CONSTRAINT "pots_sensor" CHECK("__new_pots"."sensor" in ('none', 'simulated'))
);
--> statement-breakpoint
INSERT INTO `__new_pots`("id", "product_id", "wax_g", "heater_w", "lid", "school", "lot", "set_c", "sensor", "channel", "active", "version") SELECT "id", "product_id", "wax_g", 100, true, 'steady', '', "set_c", "sensor", "channel", "active", "version" FROM `pots`;--> statement-breakpoint
DROP TABLE `pots`;--> statement-breakpoint
ALTER TABLE `__new_pots` RENAME TO `pots`;--> statement-breakpoint
CREATE TRIGGER `pot_notes_no_update` BEFORE UPDATE ON `pot_notes` BEGIN SELECT RAISE(ABORT, 'pot notes are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `pot_notes_no_delete` BEFORE DELETE ON `pot_notes` BEGIN SELECT RAISE(ABORT, 'pot notes are append-only'); END;

CREATE TABLE `trail` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`tablet` text,
	`kind` text NOT NULL,
	`what` text NOT NULL,
	`about` text,
	`hash` text NOT NULL,
	CONSTRAINT "trail_kind" CHECK("trail"."kind" in ('write', 'read'))
);
--> statement-breakpoint
CREATE INDEX `trail_at` ON `trail` (`at_ms`);--> statement-breakpoint
CREATE INDEX `trail_about` ON `trail` (`about`,`seq`);--> statement-breakpoint
CREATE INDEX `trail_person` ON `trail` (`person_id`,`seq`);--> statement-breakpoint
CREATE TRIGGER `trail_no_update` BEFORE UPDATE ON `trail` BEGIN SELECT RAISE(ABORT, 'the trail is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `trail_no_delete` BEFORE DELETE ON `trail` BEGIN SELECT RAISE(ABORT, 'the trail is append-only'); END;

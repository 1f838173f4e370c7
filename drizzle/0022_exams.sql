CREATE TABLE `exam_boards` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	`board` text NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `exam_events` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`exam_id` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	`event` text NOT NULL,
	FOREIGN KEY (`exam_id`) REFERENCES `exams`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `exam_events_exam` ON `exam_events` (`exam_id`,`seq`);--> statement-breakpoint
CREATE TABLE `exams` (
	`id` text PRIMARY KEY NOT NULL,
	`made_at_ms` integer NOT NULL,
	`level` text NOT NULL,
	`candidate_id` text,
	`candidate_name` text NOT NULL,
	`mode` text NOT NULL,
	`board` text NOT NULL,
	FOREIGN KEY (`candidate_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `exams_made` ON `exams` (`made_at_ms`);--> statement-breakpoint
CREATE TABLE `practice_strips` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`person_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`level` text NOT NULL,
	`piece` text NOT NULL,
	`points` integer NOT NULL,
	`out` integer NOT NULL,
	`broken` integer NOT NULL,
	`left` integer NOT NULL,
	`fault` text,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `practice_strips_person` ON `practice_strips` (`person_id`,`seq`);--> statement-breakpoint
CREATE TRIGGER `exam_events_no_update` BEFORE UPDATE ON `exam_events` BEGIN SELECT RAISE(ABORT, 'exam events is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `exam_events_no_delete` BEFORE DELETE ON `exam_events` BEGIN SELECT RAISE(ABORT, 'exam events is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `exams_no_update` BEFORE UPDATE ON `exams` BEGIN SELECT RAISE(ABORT, 'exams is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `exams_no_delete` BEFORE DELETE ON `exams` BEGIN SELECT RAISE(ABORT, 'exams is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `exam_boards_no_update` BEFORE UPDATE ON `exam_boards` BEGIN SELECT RAISE(ABORT, 'exam boards is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `exam_boards_no_delete` BEFORE DELETE ON `exam_boards` BEGIN SELECT RAISE(ABORT, 'exam boards is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `practice_strips_no_update` BEFORE UPDATE ON `practice_strips` BEGIN SELECT RAISE(ABORT, 'practice strips is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `practice_strips_no_delete` BEFORE DELETE ON `practice_strips` BEGIN SELECT RAISE(ABORT, 'practice strips is append-only'); END;

CREATE TABLE `consent_ends` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by_id` text,
	`words` text NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `consent_ends_client` ON `consent_ends` (`client_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `import_texts` (
	`import_id` text PRIMARY KEY NOT NULL,
	`csv` text NOT NULL,
	FOREIGN KEY (`import_id`) REFERENCES `imports`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `merges` (
	`id` text PRIMARY KEY NOT NULL,
	`kept_id` text NOT NULL,
	`gone_id` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by_id` text,
	`undo` text NOT NULL,
	`undone_at_ms` integer,
	FOREIGN KEY (`kept_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`gone_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `merges_kept` ON `merges` (`kept_id`);--> statement-breakpoint
CREATE INDEX `merges_gone` ON `merges` (`gone_id`);--> statement-breakpoint
CREATE TABLE `past_visits` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`on_date` text NOT NULL,
	`zones` text NOT NULL,
	`what` text DEFAULT '' NOT NULL,
	`family` text,
	`product` text DEFAULT '' NOT NULL,
	`minutes` integer,
	`paid_minor` integer,
	`length_mm` real,
	`words` text DEFAULT '' NOT NULL,
	`import_id` text NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `past_visits_client` ON `past_visits` (`client_id`,`on_date`);--> statement-breakpoint
CREATE INDEX `past_visits_import` ON `past_visits` (`import_id`);--> statement-breakpoint
CREATE TABLE `post_texts` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`words` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `clients` ADD `import_id` text;--> statement-breakpoint
CREATE INDEX `clients_import` ON `clients` (`import_id`) WHERE import_id is not null;--> statement-breakpoint
ALTER TABLE `imports` ADD `kind` text DEFAULT 'clients' NOT NULL;--> statement-breakpoint
ALTER TABLE `imports` ADD `state` text DEFAULT 'taking' NOT NULL;--> statement-breakpoint
ALTER TABLE `imports` ADD `mapping` text;--> statement-breakpoint
INSERT INTO `import_texts` (`import_id`, `csv`) SELECT `id`, `csv` FROM `imports` WHERE `csv` <> '';--> statement-breakpoint
ALTER TABLE `imports` DROP COLUMN `csv`;
--> statement-breakpoint
UPDATE `imports` SET `state` = 'taken' WHERE `taken` >= `total`;
--> statement-breakpoint
-- Cards that are put together or parted carry their rows over: only in that transaction does `erasing` have a row.
DROP TRIGGER `consents_no_update`;
--> statement-breakpoint
CREATE TRIGGER `consents_no_update` BEFORE UPDATE ON `consents` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
DROP TRIGGER `client_edits_no_update`;
--> statement-breakpoint
CREATE TRIGGER `client_edits_no_update` BEFORE UPDATE ON `client_edits` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'the history of a card is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consent_ends_no_update` BEFORE UPDATE ON `consent_ends` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consent_ends_no_delete` BEFORE DELETE ON `consent_ends` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `post_texts_no_update` BEFORE UPDATE ON `post_texts` BEGIN SELECT RAISE(ABORT, 'the words of a message are append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `post_texts_no_delete` BEFORE DELETE ON `post_texts` BEGIN SELECT RAISE(ABORT, 'the words of a message are append-only'); END;

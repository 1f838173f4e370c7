CREATE TABLE `erasing` (
	`client_id` text PRIMARY KEY NOT NULL
);
--> statement-breakpoint
CREATE TABLE `erasures` (
	`client_id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`by_id` text,
	`consents_until` text,
	`consents_why` text DEFAULT '' NOT NULL,
	`money_lines` integer NOT NULL,
	`money_until` text NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
-- Append-only still, but for a person who is erased: only in the transaction that does it does `erasing` have a row.
DROP TRIGGER `table_journal_no_delete`;
--> statement-breakpoint
CREATE TRIGGER `table_journal_no_delete` BEFORE DELETE ON `table_journal` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'the table journal is append-only'); END;
--> statement-breakpoint
DROP TRIGGER `consents_no_delete`;
--> statement-breakpoint
CREATE TRIGGER `consents_no_delete` BEFORE DELETE ON `consents` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'consents are append-only'); END;
--> statement-breakpoint
DROP TRIGGER `client_edits_no_delete`;
--> statement-breakpoint
CREATE TRIGGER `client_edits_no_delete` BEFORE DELETE ON `client_edits` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'the history of a card is append-only'); END;
--> statement-breakpoint
DROP TRIGGER `ledger_entries_no_update`;
--> statement-breakpoint
CREATE TRIGGER `ledger_entries_no_update` BEFORE UPDATE ON `ledger_entries` WHEN NOT EXISTS (SELECT 1 FROM `erasing`) BEGIN SELECT RAISE(ABORT, 'the ledger is append-only'); END;

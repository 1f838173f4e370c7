CREATE TABLE `ledger_closings` (
	`on_date` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`person_id` text,
	`last_seq` integer NOT NULL,
	`lines` integer NOT NULL,
	`earned_minor` integer NOT NULL,
	`cash_minor` integer NOT NULL,
	`counted_minor` integer,
	`words` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `ledger_entries` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`on_date` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by_id` text,
	`person_id` text,
	`kind` text NOT NULL,
	`act` text NOT NULL,
	`amount_minor` integer NOT NULL,
	`vat_bp` integer NOT NULL,
	`paid` text,
	`credit_id` text,
	`uses` integer DEFAULT 0 NOT NULL,
	`about` text,
	`visit_id` text,
	`client_id` text,
	`move_seq` integer,
	`item` text,
	`words` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`by_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`move_seq`) REFERENCES `shelf_moves`(`seq`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "ledger_entries_kind" CHECK("ledger_entries"."kind" in ('service', 'goods', 'gift', 'package', 'deposit')),
	CONSTRAINT "ledger_entries_act" CHECK("ledger_entries"."act" in ('taken', 'refund', 'undone')),
	CONSTRAINT "ledger_entries_paid" CHECK("ledger_entries"."paid" is null or "ledger_entries"."paid" in ('cash', 'card', 'transfer', 'credit', 'nothing')),
	CONSTRAINT "ledger_entries_about" CHECK(("ledger_entries"."act" = 'taken') = ("ledger_entries"."about" is null)),
	CONSTRAINT "ledger_entries_credit" CHECK("ledger_entries"."paid" is not 'credit' or "ledger_entries"."credit_id" is not null),
	CONSTRAINT "ledger_entries_nothing" CHECK("ledger_entries"."paid" is not 'nothing' or "ledger_entries"."amount_minor" = 0),
	CONSTRAINT "ledger_entries_vat" CHECK("ledger_entries"."vat_bp" between 0 and 5000)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `ledger_entries_id` ON `ledger_entries` (`id`);--> statement-breakpoint
CREATE INDEX `ledger_entries_on` ON `ledger_entries` (`on_date`,`seq`);--> statement-breakpoint
CREATE INDEX `ledger_entries_visit` ON `ledger_entries` (`visit_id`);--> statement-breakpoint
CREATE INDEX `ledger_entries_credit` ON `ledger_entries` (`credit_id`) WHERE credit_id is not null;--> statement-breakpoint
CREATE INDEX `ledger_entries_about` ON `ledger_entries` (`about`) WHERE about is not null;--> statement-breakpoint
CREATE INDEX `ledger_entries_move` ON `ledger_entries` (`move_seq`) WHERE move_seq is not null;--> statement-breakpoint
CREATE TABLE `visit_parts` (
	`visit_id` text NOT NULL,
	`place` integer NOT NULL,
	`service` text NOT NULL,
	`family` text,
	`product` text,
	`minutes` real NOT NULL,
	`materials_minor` integer NOT NULL,
	PRIMARY KEY(`visit_id`, `place`),
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "visit_parts_family" CHECK("visit_parts"."family" is null or "visit_parts"."family" in ('hard', 'soft', 'sugar'))
);
--> statement-breakpoint
CREATE TRIGGER `ledger_entries_no_update` BEFORE UPDATE ON `ledger_entries` BEGIN SELECT RAISE(ABORT, 'the ledger is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ledger_entries_no_delete` BEFORE DELETE ON `ledger_entries` BEGIN SELECT RAISE(ABORT, 'the ledger is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ledger_closings_no_update` BEFORE UPDATE ON `ledger_closings` BEGIN SELECT RAISE(ABORT, 'the ledger is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ledger_closings_no_delete` BEFORE DELETE ON `ledger_closings` BEGIN SELECT RAISE(ABORT, 'the ledger is append-only'); END;

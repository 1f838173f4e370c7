CREATE TABLE `client_edits` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_id` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	`changes` text NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `client_edits_client` ON `client_edits` (`client_id`,`seq`);--> statement-breakpoint
CREATE TABLE `consents` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`visit_id` text NOT NULL,
	`text_version` integer NOT NULL,
	`words` text NOT NULL,
	`signed_by` text NOT NULL,
	`signer_name` text NOT NULL,
	`signature` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "consents_signer" CHECK("consents"."signed_by" in ('client', 'guardian'))
);
--> statement-breakpoint
CREATE INDEX `consents_client` ON `consents` (`client_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `forms` (
	`id` text PRIMARY KEY NOT NULL,
	`visit_id` text NOT NULL,
	`client_id` text NOT NULL,
	`state` text DEFAULT 'filling' NOT NULL,
	`data` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`ended_at_ms` integer,
	`wrong_pins` integer DEFAULT 0 NOT NULL,
	`pin_wait_until_ms` integer DEFAULT 0 NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "forms_state" CHECK("forms"."state" in ('filling', 'signed', 'taken-back'))
);
--> statement-breakpoint
CREATE INDEX `forms_visit` ON `forms` (`visit_id`);--> statement-breakpoint
CREATE TABLE `messages` (
	`id` text PRIMARY KEY NOT NULL,
	`client_id` text NOT NULL,
	`visit_id` text NOT NULL,
	`kind` text NOT NULL,
	`words` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`posted_at_ms` integer,
	FOREIGN KEY (`client_id`) REFERENCES `clients`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`visit_id`) REFERENCES `visits`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "messages_kind" CHECK("messages"."kind" in ('postponed', 'referral'))
);
--> statement-breakpoint
CREATE INDEX `messages_client` ON `messages` (`client_id`,`created_at_ms`);--> statement-breakpoint
CREATE TABLE `rule_changes` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`code` text NOT NULL,
	`outcome` text,
	`wait_days` integer,
	`reason` text NOT NULL,
	`person_id` text,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "rule_changes_says" CHECK("rule_changes"."outcome" is not null or "rule_changes"."wait_days" is not null)
);
--> statement-breakpoint
CREATE TABLE `services` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`says` text NOT NULL,
	`zones` text NOT NULL,
	`place` integer NOT NULL,
	`active` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
ALTER TABLE `clients` ADD `archived_at_ms` integer;--> statement-breakpoint
ALTER TABLE `people` ADD `pin_hash` text;--> statement-breakpoint
ALTER TABLE `visits` ADD `ended_as` text;